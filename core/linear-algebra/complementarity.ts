/** What a complementarity problem comes to: z, or those that cannot all be let go. */
export type Complementary =
  | { readonly z: Float64Array; readonly free: readonly number[] }
  | { readonly stuck: readonly number[] };

/** A pivot under this part of the largest that it could be is none. */
const SINGULAR = 1e-10;
/** What is under this part of the largest is zero. */
const NOTHING = 1e-11;
/** Rounds in which all are changed at once, before they are changed one by one. */
const MOST_ROUNDS = 50;

/**
 * Finds z ≥ 0 with w = q + M·z ≥ 0 and z·w = 0, M (n², by rows) symmetric without negative eigenvalues. All that are wrong are changed at once as
 * long as that comes to no set that was there before (Júdice and Pires, Computers & Operations Research 21, 1994); then one by one, which ends
 * after finitely many (Dantzig and Cottle, 1967). `size`: what is large for w; `stiff`: by index, what is large for its pivot.
 */
export function complementary(q: Float64Array, M: Float64Array, size: number, stiff: Float64Array): Complementary {
  const problem = new Problem(q, M, stiff, NOTHING * Math.max(size, ...q.map(Math.abs)));
  return problem.allAtOnce() ?? problem.oneByOne();
}

/** The z of a given set, with which its w are zero, whatever the signs of both; nothing where what is left without it can move. */
export const freed = (q: Float64Array, M: Float64Array, stiff: Float64Array, free: readonly number[]): Float64Array | undefined =>
  new Problem(q, M, stiff, 0).solved(free);

/**
 * The same where it leaves some of those that have room open: `room` says by which z each is where it was before anything moved. One that holds without a force, and without which what is left could move,
 * is where it was; those that `togetherWith` it too. 'open' where that does not agree with the rest.
 */
export function settledInRoom(
  {
    q,
    M,
    size,
    stiff,
  }: { readonly q: Float64Array; readonly M: Float64Array; readonly size: number; readonly stiff: Float64Array },
  { z, free }: Extract<Complementary, { readonly z: Float64Array }>,
  room: readonly number[],
  togetherWith: (i: number) => readonly number[],
): Extract<Complementary, { readonly z: Float64Array }> | 'open' {
  const zero = NOTHING * Math.max(size, ...q.map(Math.abs));
  const n = q.length;
  const rest = (of: Float64Array): Float64Array =>
    q.map((one, i) => of.reduce((sum, part, k) => sum + M[n * i + k]! * part, one));
  const isFree = new Set(free);
  const w = rest(z);
  const problem = new Problem(q, M, stiff, zero);
  const open = room.flatMap((of, i) =>
    of > 0 && !isFree.has(i) && Math.abs(w[i]!) <= zero && !problem.solved([...free, i]) ? [i, ...togetherWith(i)] : [],
  );
  if (open.length === 0) return { z, free };
  const moved = z.map((one, i) => (open.includes(i) ? room[i]! : one));
  const gone = [...new Set([...free, ...open])].sort((a, b) => a - b);
  const off = new Set(gone);
  const isRight = rest(moved).every((one, i) => (off.has(i) ? Math.abs(one) <= 100 * zero : one >= -100 * zero));
  return isRight ? { z: moved, free: gone } : 'open';
}

class Problem {
  private readonly n: number;

  constructor(
    private readonly q: Float64Array,
    private readonly M: Float64Array,
    private readonly stiff: Float64Array,
    private readonly zero: number,
  ) {
    this.n = q.length;
  }

  private at(i: number, k: number): number {
    return this.M[i * this.n + k]!;
  }

  allAtOnce(): Complementary | undefined {
    let free = this.indices((i) => this.q[i]! < -this.zero);
    const seen = new Set<string>();
    for (let round = 0; round < MOST_ROUNDS; round++) {
      const key = free.join(' ');
      if (seen.has(key)) return undefined;
      seen.add(key);
      const z = this.solved(free);
      if (!z) return undefined;
      const w = this.rest(z);
      const isFree = new Set(free);
      const next = this.indices((i) => (isFree.has(i) ? z[i]! * this.stiff[i]! > -this.zero : w[i]! < -this.zero));
      if (next.length === free.length && next.every((i) => isFree.has(i))) return { z: z.map((one) => Math.max(0, one)), free };
      free = next;
    }
    return undefined;
  }

  oneByOne(): Complementary {
    const free = new Set<number>();
    let z = new Float64Array(this.n);
    let w = this.q.slice();
    for (let left = 1000 + 50 * this.n; left > 0; left--) {
      const driven = this.indices((i) => !free.has(i) && w[i]! < -this.zero).sort((a, b) => w[a]! - w[b]!)[0];
      if (driven === undefined) {
        const found = [...free].sort((a, b) => a - b);
        return { z: this.solved(found)!.map((one) => Math.max(0, one)), free: found };
      }
      for (; ; left--) {
        if (left <= 0) return { stuck: [...free, driven] };
        const along = this.direction([...free], driven);
        const step = this.step(free, driven, { z, w, ...along });
        if (step.at < 0) return { stuck: [...free, driven].sort((a, b) => a - b) };
        z = z.map((one, i) => one + step.by * along.dz[i]!);
        w = w.map((one, i) => one + step.by * along.dw[i]!);
        if (free.delete(step.at)) z[step.at] = 0;
        else free.add(step.at);
        if (step.at === driven) break;
      }
    }
    return { stuck: [...free] };
  }

  /** How all change where one of them grows by 1 and those that are free stay without w. */
  private direction(free: readonly number[], driven: number): { readonly dz: Float64Array; readonly dw: Float64Array } {
    const dz = this.solved(free, (i) => this.at(i, driven)) ?? new Float64Array(this.n);
    dz[driven] = 1;
    const dw = Float64Array.from({ length: this.n }, (_, i) => dz.reduce((sum, part, k) => sum + this.at(i, k) * part, 0));
    for (const i of free) dw[i] = 0;
    return { dz, dw };
  }

  /** How far until the driven one is without w, or another one has to change its side; −1 where that never comes. */
  private step(
    free: ReadonlySet<number>,
    driven: number,
    { z, w, dz, dw }: Readonly<Record<'z' | 'w' | 'dz' | 'dw', Float64Array>>,
  ): { readonly at: number; readonly by: number } {
    let [at, by] = [-1, Infinity];
    const take = (i: number, length: number): void => {
      if (length < by) [at, by] = [i, Math.max(0, length)];
    };
    if (dw[driven]! > SINGULAR * this.stiff[driven]!) take(driven, -w[driven]! / dw[driven]!);
    for (let i = 0; i < this.n; i++) {
      if (i === driven) continue;
      if (free.has(i)) {
        if (dz[i]! < 0) take(i, -z[i]! / dz[i]!);
      } else if (w[i]! >= -this.zero && dw[i]! < -SINGULAR * this.stiff[i]!) take(i, -w[i]! / dw[i]!);
    }
    return { at, by };
  }

  private indices(is: (i: number) => boolean): number[] {
    return Array.from({ length: this.n }, (_, i) => i).filter(is);
  }

  /** w of a z. */
  private rest(z: Float64Array): Float64Array {
    return this.q.map((one, i) => z.reduce((sum, part, k) => (part === 0 ? sum : sum + this.at(i, k) * part), one));
  }

  /** z of those that are free, so that their w is zero, by Cholesky; nothing where what is left without them can move. */
  solved(free: readonly number[], right: (i: number) => number = (i) => this.q[i]!): Float64Array | undefined {
    const n = free.length;
    const L = new Float64Array(n * n);
    for (let i = 0; i < n; i++) {
      for (let k = 0; k <= i; k++) {
        let sum = this.at(free[i]!, free[k]!);
        for (let j = 0; j < k; j++) sum -= L[i * n + j]! * L[k * n + j]!;
        if (i !== k) L[i * n + k] = sum / L[k * n + k]!;
        else if (sum > SINGULAR * this.stiff[free[i]!]!) L[i * n + i] = Math.sqrt(sum);
        else return undefined;
      }
    }
    const x = free.map((i) => -right(i));
    for (let i = 0; i < n; i++) {
      for (let k = 0; k < i; k++) x[i]! -= L[i * n + k]! * x[k]!;
      x[i]! /= L[i * n + i]!;
    }
    for (let i = n - 1; i >= 0; i--) {
      for (let k = i + 1; k < n; k++) x[i]! -= L[k * n + i]! * x[k]!;
      x[i]! /= L[i * n + i]!;
    }
    const z = new Float64Array(this.n);
    free.forEach((i, k) => (z[i] = x[k]!));
    return z;
  }
}
