import type { Factor } from './factor';
import { BATCH } from './kernels';

/** Lays BATCH columns at a time side by side where solutions stand in the factor's memory, and lets `work` go on from there. */
function inBatches(f: Factor, columns: readonly Float64Array[], work: (first: number, count: number) => void): void {
  if (!f.isCurrent()) throw new Error('this factor has been overwritten by a later one');
  for (let first = 0; first < columns.length; first += BATCH) {
    const count = Math.min(BATCH, columns.length - first);
    putSides(f, columns, first, count);
    work(first, count);
  }
}

function putSides(
  { heap: { numbers }, solutions, analysis: { size } }: Factor,
  columns: readonly Float64Array[],
  first: number,
  count: number,
): void {
  if (count < BATCH) numbers.fill(0, solutions, solutions + BATCH * size);
  for (let c = 0; c < count; c++) {
    const column = columns[first + c]!;
    for (let i = 0, k = solutions + c; i < size; i++, k += BATCH) numbers[k] = column[i]!;
  }
}

function takeSolution({ heap: { numbers }, solutions, analysis: { size } }: Factor, c: number, column: Float64Array): void {
  for (let i = 0, k = solutions + c; i < size; i++, k += BATCH) column[i] = numbers[k]!;
}

function substitute(f: Factor): void {
  f.kernels.forward(f.table, f.analysis.supernodes, f.solutions, f.scratch);
  f.kernels.backward(f.table, f.analysis.supernodes, f.solutions, false);
}

/** x = L⁻ᵀ D⁻¹ L⁻¹ b for several right-hand sides, each in place. */
export function solveInPlace(f: Factor, columns: readonly Float64Array[]): void {
  inBatches(f, columns, (first, count) => {
    substitute(f);
    for (let c = 0; c < count; c++) takeSolution(f, c, columns[first + c]!);
  });
}

/** A residual under this part of the right-hand side is left as it is. */
const EXACT = 1e-11;

/**
 * x = A⁻¹ b, with one step of iterative refinement for the right-hand sides whose residual shows that rounding in the factor cost
 * something. `residuals`: the largest part of b − A·x beside the largest part of b, `sizes`: that part of b, for each.
 */
export function solveRefined(
  f: Factor,
  sides: readonly Float64Array[],
): { solutions: Float64Array[]; residuals: number[]; sizes: number[] } {
  const { numbers } = f.heap;
  const length = BATCH * f.analysis.size;
  const solutions = sides.map((b) => new Float64Array(b.length));
  const residuals: number[] = [];
  const sizes: number[] = [];
  inBatches(f, sides, (first, count) => {
    numbers.copyWithin(f.sides, f.solutions, f.solutions + length);
    substitute(f);
    const before = sizesOfResiduals(f);
    for (let c = 0; c < count; c++) {
      takeSolution(f, c, solutions[first + c]!);
      residuals.push(before.relative[c]!);
      sizes.push(before.sides[c]!);
    }
    if (before.relative.some((size) => size > EXACT)) refine(f, solutions, residuals, first, count);
  });
  return { solutions, residuals, sizes };
}

/** Corrects the solutions of the batch at hand by those for their residuals, and keeps what is better. */
function refine(f: Factor, solutions: readonly Float64Array[], residuals: number[], first: number, count: number): void {
  const { numbers } = f.heap;
  const length = BATCH * f.analysis.size;
  const rough = numbers.slice(f.solutions, f.solutions + length);
  numbers.copyWithin(f.solutions, f.residuals, f.residuals + length);
  substitute(f);
  for (let i = 0; i < length; i++) numbers[f.solutions + i]! += rough[i]!;
  const { relative } = sizesOfResiduals(f);
  for (let c = 0; c < count; c++) {
    if (!(residuals[first + c]! > EXACT && relative[c]! < residuals[first + c]!)) continue;
    takeSolution(f, c, solutions[first + c]!);
    residuals[first + c] = relative[c]!;
  }
}

/** What is left of the right-hand sides of the batch at hand: the largest part of each beside its largest part. */
function sizesOfResiduals(f: Factor): { relative: number[]; sides: number[] } {
  const { kernels, matrix, analysis, heap, scratch } = f;
  kernels.residual(analysis.size, matrix.pointers, matrix.rows, matrix.values, f.solutions, f.sides, f.residuals, scratch);
  const found = Array.from(heap.numbers.subarray(scratch, scratch + 2 * BATCH));
  const sides = found.slice(BATCH);
  return { relative: sides.map((size, c) => (size === 0 ? 0 : found[c]! / size)), sides };
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
  inBatches(f, vectors, (first, count) => {
    f.kernels.backward(f.table, f.analysis.supernodes, f.solutions, true);
    for (let c = 0; c < count; c++) takeSolution(f, c, vectors[first + c]!);
  });
  return vectors;
}
