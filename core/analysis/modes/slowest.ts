import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { columnsInMemory, TOGETHER, type ColumnsInMemory } from '../../linear-algebra/columns-in-memory';
import { addTimes } from '../../linear-algebra/vectors';

/** K·x = λ·M·x by what its two sides do: M·x, and K⁻¹·x in place. */
export interface Pencil {
  readonly size: number;
  readonly multiply: (x: Float64Array) => Float64Array;
  readonly solve: (columns: readonly Float64Array[]) => void;
}

/** How many modes are to settle, how nearly, and after how many vectors it is given up. */
export interface Wanted {
  readonly wanted: number;
  readonly settled: number;
  readonly most: number;
  readonly watch?: ((part: number) => void) | undefined;
}

/** A mode as it was found: of which parts of the basis it is made, and what it misses beside itself. */
export interface Found {
  readonly value: number;
  readonly parts: Float64Array;
  readonly left: number;
}

/** A mode: λ = ω², and its vector, φᵀ·M·φ = 1. */
export interface Eigen {
  readonly value: number;
  readonly vector: Float64Array;
}

/** So many vectors are driven at once: multiple modes come out together. */
const BLOCK = TOGETHER;
/** A mode has settled when what its vector misses is this part of it (of its value the square); those behind it only show where the next ones lie. */
export const SETTLED = 1e-8;
export const ABOUT = 3e-2;
const BEHIND = 3;
/** A vector of which less than this part is new is none. */
const NEW = 1e-8;
/** One of which less than this is new is taken apart once more: rounding is the same, beside what was there, and a large part of what is left. */
const LITTLE = 1e-3;
/** Vectors that were found last lead to what is driven next. */
const RECENT = 2 * BLOCK;
const MUCH = 1e-6;
/** So often what is new is driven before it counts. */
const AFRESH = 5;

/**
 * The slowest modes by block Lanczos iteration on K⁻¹·M with full reorthogonalisation (Golub and Van Loan, Matrix Computations, section 10.3; Bathe, Finite
 * Element Procedures, section 11.6), in the inner product of M. What was found stays: more vectors can be asked for.
 */
export class Slowest {
  /** What was found, and M times each of it. */
  private readonly basis: Float64Array[] = [];
  private readonly sides: Float64Array[] = [];
  /** By vector that was driven: V ᵀ·M·K⁻¹·M·v with all before it. */
  private readonly driven: number[][] = [];
  /** How the vectors that were driven last led to those that are not driven yet. */
  private link: { readonly from: number; readonly rows: number[][] } = { from: 0, rows: [] };
  private seed = 1;
  /** So often vectors that were scattered are driven before it is asked what has settled: what they lead to would else not be seen yet. */
  private due = 0;

  /** `start`: vectors that the modes are about made of, if any are known. */
  constructor(
    private readonly pencil: Pencil,
    start: readonly Float64Array[] = [],
  ) {
    if (start.length > 0) this.drawIn(Array.from({ length: BLOCK - 1 }, () => this.mixed(start)));
    this.scatter(BLOCK - this.basis.length);
  }

  /** Adds vectors of no particular kind. */
  scatter(count: number): void {
    this.due = AFRESH;
    this.drawIn(Array.from({ length: count }, () => unlike(this.pencil.size, this.seed++)));
  }

  /** Of all vectors a part: few that lead to all of them lead there sooner than many. */
  private mixed(vectors: readonly Float64Array[]): Float64Array {
    const c = this.seed++;
    const sum = new Float64Array(this.pencil.size);
    vectors.forEach((one, i) => addTimes(sum, one, -Math.sin((c + 0.37) * (i + 1) + c)));
    return sum;
  }

  private drawIn(vectors: readonly Float64Array[]): void {
    const columns = vectors.map((one) => this.pencil.multiply(one));
    this.pencil.solve(columns);
    for (const one of columns) this.add(one);
  }

  /** Iterates until so many modes have settled, and gives them with those that go along behind them; fewer where no more are there. Undefined beyond `most` vectors. */
  find({ wanted, most, settled: near, watch }: Wanted): readonly Found[] | undefined {
    for (; this.due > 0 && this.driven.length < this.basis.length; this.due--) this.drive();
    this.due = 0;
    for (;;) {
      const isWhole = this.driven.length === this.basis.length;
      if (this.driven.length >= wanted + BEHIND || isWhole) {
        const ritz = this.ritz();
        const due = ritz.slice(0, wanted + BEHIND);
        const settled = due.filter(({ left }, i) => left <= (i < wanted ? near : ABOUT)).length;
        watch?.(settled / due.length);
        if (isWhole || settled === wanted + BEHIND) return due;
      }
      if (this.driven.length > most) return undefined;
      this.drive();
    }
  }

  private drive(): void {
    const from = this.driven.length;
    const before = this.basis.length;
    const columns = this.sides.slice(from).map((side) => side.slice());
    this.pencil.solve(columns);
    const rows: number[][] = [];
    const old = columns.map(() => new Array<number>(before).fill(0));
    for (let first = 0; first < columns.length; first += TOGETHER)
      this.takeOutBefore(columns.slice(first, first + TOGETHER), old.slice(first, first + TOGETHER));
    columns.forEach((w, c) => {
      const { along, rest } = this.add(w, old[c]);
      this.driven.push(along.slice(0, before));
      rows.push([...along.slice(before), ...rest]);
    });
    this.link = { from, rows };
  }

  /** Takes all vectors out of some columns: the last ones, which hold nearly all of them, one after the other; then the others at once, twice where that was much. */
  private takeOutBefore(columns: readonly Float64Array[], along: readonly number[][]): void {
    const before = this.basis.length;
    const others = Math.max(0, before - RECENT);
    const laid = columnsInMemory(columns);
    for (let i = others; i < before; i++) this.takeOutAll(laid, { from: i, to: i + 1 }, along);
    const much = MUCH * Math.hypot(...along.flat());
    for (let pass = 0; pass < 2; pass++) if (this.takeOutAll(laid, { from: 0, to: others }, along) <= much) break;
    laid.putBack();
  }

  /**
   * Takes some vectors out of the columns of a block, and adds their parts in them to what they are known to have. Returns the size of these parts: where that is
   * not small, a little of them is left.
   */
  private takeOutAll(columns: ColumnsInMemory, { from, to }: Range, along: readonly number[][]): number {
    const parts = columns.dots(this.sides.slice(from, to));
    columns.take(this.basis.slice(from, to), parts);
    along.forEach((one, c) => {
      for (let i = from; i < to; i++) one[i]! += parts[TOGETHER * (i - from) + c]!;
    });
    return Math.sqrt(dot(parts, parts));
  }

  /** The same of one vector and one column. */
  private takeOut(w: Float64Array, i: number, along: number[]): void {
    const part = dot(w, this.sides[i]!);
    along[i]! += part;
    addTimes(w, this.basis[i]!, -part);
  }

  /** Takes what is new of a vector into the basis; tells its parts along what was there, and how much is new. `known`: those that are taken out already. */
  private add(w: Float64Array, known: readonly number[] = []): { along: number[]; rest: number[] } {
    const { basis, sides } = this;
    const along = [...known, ...new Array<number>(basis.length - known.length).fill(0)];
    let [side, rest] = [w, 0];
    // Once more where little is left, of which rounding would be a large part.
    for (let pass = 0, isDue = true; pass < 2 && isDue; pass++) {
      for (let i = pass === 0 ? known.length : 0; i < basis.length; i++) this.takeOut(w, i, along);
      side = this.pencil.multiply(w);
      rest = Math.sqrt(Math.max(0, dot(w, side)));
      isDue = rest < LITTLE * Math.hypot(rest, ...along);
    }
    if (!(rest > NEW * Math.hypot(rest, ...along))) return { along, rest: [] };
    scale(w, 1 / rest);
    scale(side, 1 / rest);
    basis.push(w);
    sides.push(side);
    return { along, rest: [rest] };
  }

  /** The best combinations of what was driven, slowest first, with what each of them misses beside itself. */
  private ritz(): readonly Found[] {
    const n = this.driven.length;
    if (n === 0) return [];
    const H = Array.from({ length: n }, (_, i) =>
      Array.from({ length: n }, (__, j) => this.driven[Math.max(i, j)]![Math.min(i, j)]!),
    );
    const { realEigenvalues: values, eigenvectorMatrix: vectors } = new EigenvalueDecomposition(new Matrix(H), {
      assumeSymmetric: true,
    });
    const largest = values.reduce((most, one) => Math.max(most, one), 0);
    const { from, rows } = this.link;
    const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
    return Array.from(values.keys())
      .filter((k) => values[k]! > 1e-14 * largest)
      .sort((a, b) => values[b]! - values[a]!)
      .map((k) => {
        const parts = Float64Array.from({ length: n }, (_, i) => vectors.get(i, k));
        let left = 0;
        for (let r = 0; r < width; r++) left += rows.reduce((sum, row, c) => sum + (row[r] ?? 0) * parts[from + c]!, 0) ** 2;
        return { value: 1 / values[k]!, parts, left: Math.sqrt(left) / values[k]! };
      });
  }

  /** Modes with their vectors, driven once more: what is left of quick modes in the slow ones, small as it is, would be large in their forces. */
  vectorsOf(modes: readonly Found[]): readonly Eigen[] {
    // M times a vector is the same sum of M times the basis.
    const columns = modes.map(() => new Float64Array(this.pencil.size));
    for (let first = 0; first < columns.length; first += TOGETHER) {
      const some = columns.slice(first, first + TOGETHER);
      // What is taken out is less than nothing.
      const parts = new Float64Array(TOGETHER * this.driven.length);
      some.forEach((_, c) => {
        const { parts: own, value } = modes[first + c]!;
        for (let i = 0; i < own.length; i++) parts[TOGETHER * i + c] = -own[i]! * value;
      });
      const laid = columnsInMemory(some);
      laid.take(this.sides.slice(0, this.driven.length), parts);
      laid.putBack();
    }
    this.pencil.solve(columns);
    return modes.map(({ value }, i) => ({ value, vector: columns[i]! }));
  }
}

/** Numbers between −1 and 1 of no particular kind, others for every seed: Marsaglia's xorshift generator (Journal of Statistical Software 8, 2003). */
function unlike(size: number, seed: number): Float64Array {
  const numbers = new Float64Array(size);
  let state = (Math.imul(seed, 0x9e3779b9) ^ 0x5bd1e995) | 1;
  for (let i = 0; i < size; i++) {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    numbers[i] = state / 0x80000000;
  }
  return numbers;
}

function scale(a: Float64Array, factor: number): void {
  for (let i = 0; i < a.length; i++) a[i]! *= factor;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

interface Range {
  readonly from: number;
  readonly to: number;
}
