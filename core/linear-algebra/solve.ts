import type { Factor } from './factor';
import { BATCH } from './kernels';
import { multiply, multiplyFour, TOGETHER, type SparseSymmetric } from './sparse-symmetric';

/** Runs `work` on the right-hand sides, BATCH at a time, in the factor's memory. In place. */
function inBatches(f: Factor, columns: readonly Float64Array[], work: () => void): void {
  if (!f.isCurrent()) throw new Error('this factor has been overwritten by a later one');
  const { numbers } = f.heap;
  const { size } = f.analysis;
  for (let first = 0; first < columns.length; first += BATCH) {
    const count = Math.min(BATCH, columns.length - first);
    numbers.fill(0, f.sides, f.sides + BATCH * size);
    for (let c = 0; c < count; c++) {
      const column = columns[first + c]!;
      for (let i = 0; i < size; i++) numbers[f.sides + BATCH * i + c] = column[i]!;
    }
    work();
    for (let c = 0; c < count; c++) {
      const column = columns[first + c]!;
      for (let i = 0; i < size; i++) column[i] = numbers[f.sides + BATCH * i + c]!;
    }
  }
}

/** x = L⁻ᵀ D⁻¹ L⁻¹ b for several right-hand sides, each in place. */
export function solveInPlace(f: Factor, columns: readonly Float64Array[]): void {
  inBatches(f, columns, () => {
    f.kernels.forward(f.table, f.analysis.supernodes, f.sides, f.scratch);
    f.kernels.backward(f.table, f.analysis.supernodes, f.sides, false);
  });
}

/** A residual under this part of the right-hand side is left as it is. */
const EXACT = 1e-11;

/**
 * x = A⁻¹ b, with one step of iterative refinement for the right-hand sides whose residual shows that rounding in the factor cost
 * something. `residuals`: the largest part of b − A·x beside the largest part of b, for each.
 */
export function solveRefined(
  a: SparseSymmetric,
  f: Factor,
  sides: readonly Float64Array[],
): { solutions: Float64Array[]; residuals: number[] } {
  const solutions = sides.map((b) => b.slice());
  solveInPlace(f, solutions);
  const first = residuals(a, sides, solutions);
  const poor = first.flatMap(({ size }, c) => (size > EXACT ? [c] : []));
  const sizes = first.map(({ size }) => size);
  solveInPlace(
    f,
    poor.map((c) => first[c]!.r),
  );
  const better = poor.map((c) => solutions[c]!.map((x, i) => x + first[c]!.r[i]!));
  residuals(
    a,
    poor.map((c) => sides[c]!),
    better,
  ).forEach(({ size }, k) => {
    const c = poor[k]!;
    if (!(size < sizes[c]!)) return;
    solutions[c] = better[k]!;
    sizes[c] = size;
  });
  return { solutions, residuals: sizes };
}

interface Residual {
  /** b − A·x */
  readonly r: Float64Array;
  /** Its largest part beside the largest part of b. */
  readonly size: number;
}

/** What is left of each right-hand side, four of them at a time. */
function residuals(a: SparseSymmetric, sides: readonly Float64Array[], solutions: readonly Float64Array[]): Residual[] {
  const found: Residual[] = [];
  for (let first = 0; first < sides.length; first += TOGETHER) {
    const count = Math.min(TOGETHER, sides.length - first);
    if (count === 1) {
      found.push(residualOf(sides[first]!, multiply(a, solutions[first]!), 0, 1));
      continue;
    }
    const x = new Float64Array(TOGETHER * a.size);
    const y = new Float64Array(TOGETHER * a.size);
    for (let c = 0; c < count; c++) {
      const solution = solutions[first + c]!;
      for (let i = 0; i < a.size; i++) x[TOGETHER * i + c] = solution[i]!;
    }
    multiplyFour(a, x, y);
    for (let c = 0; c < count; c++) found.push(residualOf(sides[first + c]!, y, c, TOGETHER));
  }
  return found;
}

/** b less what stands at `from` and every `step` numbers on. */
function residualOf(b: Float64Array, product: Float64Array, from: number, step: number): Residual {
  const r = new Float64Array(b.length);
  let largest = 0;
  let size = 0;
  for (let i = 0, k = from; i < b.length; i++, k += step) {
    const side = b[i]!;
    const left = side - product[k]!;
    r[i] = left;
    if (Math.abs(left) > largest) largest = Math.abs(left);
    if (Math.abs(side) > size) size = Math.abs(side);
  }
  return { r, size: size === 0 ? 0 : largest / size };
}

/**
 * For each weak unknown (at most `most` of them) a v with A·v = 0 and v = 1 there, the other weak unknowns at rest: v = L⁻ᵀ e.
 * Together they span the null space.
 */
export function nullVectors(f: Factor, most = Infinity): Float64Array[] {
  const vectors = f.weak.slice(0, most).map((unknown) => {
    const v = new Float64Array(f.analysis.size);
    v[unknown] = 1;
    return v;
  });
  inBatches(f, vectors, () => f.kernels.backward(f.table, f.analysis.supernodes, f.sides, true));
  return vectors;
}
