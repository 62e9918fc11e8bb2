import type { Factor } from './factor';
import { BATCH } from './kernels';
import { multiply, type SparseSymmetric } from './sparse-symmetric';

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
  const first = sides.map((b, c) => residual(a, b, solutions[c]!));
  const poor = first.flatMap(({ size }, c) => (size > EXACT ? [c] : []));
  const residuals = first.map(({ size }) => size);
  solveInPlace(
    f,
    poor.map((c) => first[c]!.r),
  );
  for (const c of poor) {
    const better = solutions[c]!.map((x, i) => x + first[c]!.r[i]!);
    const { size } = residual(a, sides[c]!, better);
    if (!(size < residuals[c]!)) continue;
    solutions[c] = better;
    residuals[c] = size;
  }
  return { solutions, residuals };
}

function residual(a: SparseSymmetric, b: Float64Array, x: Float64Array): { r: Float64Array; size: number } {
  const r = multiply(a, x);
  let largest = 0;
  let size = 0;
  for (let i = 0; i < r.length; i++) {
    const side = b[i]!;
    const left = side - r[i]!;
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
