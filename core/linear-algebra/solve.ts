import type { Factor } from './factor';
import { BATCH, type SolvePlaces } from './kernels';
import { multiply, type SparseSymmetric } from './sparse-symmetric';

/** Columns that lie side by side where solutions stand in the factor's memory: those from `first` on. */
interface Batch {
  readonly first: number;
  readonly count: number;
  /** Numbers an unknown, BATCH or 1. */
  readonly together: number;
}

/** Lays the columns side by side, some at a time, and lets `work` go on from there. */
function inBatches(f: Factor, columns: readonly Float64Array[], work: (batch: Batch) => void): void {
  if (!f.isCurrent()) throw new Error('this factor has been overwritten by a later one');
  for (let first = 0; first < columns.length; first += BATCH) {
    const count = Math.min(BATCH, columns.length - first);
    const batch = { first, count, together: count === 1 ? 1 : BATCH };
    putColumns(f, columns, batch);
    work(batch);
  }
}

function putColumns(f: Factor, columns: readonly Float64Array[], { first, count, together }: Batch): void {
  const { numbers } = f.heap;
  const { size } = f.analysis;
  if (count < together) numbers.fill(0, f.solutions, f.solutions + together * size);
  for (let c = 0; c < count; c++) {
    const column = columns[first + c]!;
    for (let i = 0, k = f.solutions + c; i < size; i++, k += together) numbers[k] = column[i]!;
  }
}

/** Takes column c of a batch out again. */
function takeColumn(f: Factor, c: number, { first, together }: Batch, columns: readonly Float64Array[]): void {
  const { numbers } = f.heap;
  const column = columns[first + c]!;
  for (let i = 0, k = f.solutions + c; i < column.length; i++, k += together) column[i] = numbers[k]!;
}

const placesOf = ({ table, analysis, solutions, scratch }: Factor, together: number): SolvePlaces => ({
  table,
  supernodes: analysis.supernodes,
  x: solutions,
  together,
  work: scratch,
});

function substitute(f: Factor, { together }: Batch): void {
  const places = placesOf(f, together);
  f.kernels.forward(places);
  f.kernels.backward(places);
}

/** x = L⁻ᵀ D⁻¹ L⁻¹ b for several right-hand sides, each in place. */
export function solveInPlace(f: Factor, columns: readonly Float64Array[]): void {
  inBatches(f, columns, (batch) => {
    substitute(f, batch);
    for (let c = 0; c < batch.count; c++) takeColumn(f, c, batch, columns);
  });
}

/** A residual under this part of the right-hand side is left as it is. */
const EXACT = 1e-11;

/**
 * x = A⁻¹ b, with one step of iterative refinement for the right-hand sides whose residual shows that rounding in the factor cost
 * something. They are written to `solutions`. `residuals`: the largest part of b − A·x beside the largest part of b, `sizes`: that part
 * of b, for each.
 */
export function solveRefined(
  f: Factor,
  sides: readonly Float64Array[],
  solutions: readonly Float64Array[] = sides.map((b) => new Float64Array(b.length)),
): { solutions: readonly Float64Array[]; residuals: number[]; sizes: number[] } {
  const residuals: number[] = [];
  const sizes: number[] = [];
  inBatches(f, sides, (batch) => {
    f.heap.numbers.copyWithin(f.sides, f.solutions, f.solutions + batch.together * f.analysis.size);
    substitute(f, batch);
    const left = leftOver(f, batch);
    for (let c = 0; c < batch.count; c++) {
      takeColumn(f, c, batch, solutions);
      residuals.push(left.residuals[c]!);
      sizes.push(left.sizes[c]!);
    }
    if (left.residuals.some((residual) => residual > EXACT)) refine(f, batch, solutions, residuals);
  });
  return { solutions, residuals, sizes };
}

/** The largest part of b − A·x beside the largest part of b, for each solution and its right-hand side. */
export function residualsOf(f: Factor, solutions: readonly Float64Array[], sides: readonly Float64Array[]): number[] {
  const residuals: number[] = [];
  inBatches(f, sides, (batch) => {
    f.heap.numbers.copyWithin(f.sides, f.solutions, f.solutions + batch.together * f.analysis.size);
    putColumns(f, solutions, batch);
    residuals.push(...leftOver(f, batch).residuals.slice(0, batch.count));
  });
  return residuals;
}

/** Corrects the solutions of the batch at hand by those for their residuals, and keeps what is better. */
function refine(f: Factor, batch: Batch, solutions: readonly Float64Array[], residuals: number[]): void {
  const { numbers } = f.heap;
  const length = batch.together * f.analysis.size;
  const rough = numbers.slice(f.solutions, f.solutions + length);
  numbers.copyWithin(f.solutions, f.residuals, f.residuals + length);
  substitute(f, batch);
  for (let i = 0; i < length; i++) numbers[f.solutions + i]! += rough[i]!;
  leftOver(f, batch)
    .residuals.slice(0, batch.count)
    .forEach((residual, c) => {
      const before = residuals[batch.first + c]!;
      if (!(before > EXACT && residual < before)) return;
      takeColumn(f, c, batch, solutions);
      residuals[batch.first + c] = residual;
    });
}

/** The largest part of what is left of each right-hand side of the batch at hand beside its own largest part, and that part. */
function leftOver(f: Factor, { together }: Batch): { residuals: number[]; sizes: number[] } {
  const { kernels, matrix, heap, scratch } = f;
  kernels.residual(matrix, { x: f.solutions, together, b: f.sides, r: f.residuals, sizes: scratch });
  const found = Array.from(heap.numbers.subarray(scratch, scratch + 2 * together));
  const sizes = found.slice(together);
  return { residuals: sizes.map((size, c) => (size === 0 ? 0 : found[c]! / size)), sizes };
}

/**
 * For each of some weak unknowns a v with A·v = 0 and v = 1 there, the other weak unknowns at rest: v = L⁻ᵀ e. Those of all together
 * span the null space.
 */
export function nullVectors(f: Factor, unknowns: readonly number[] = f.weak): Float64Array[] {
  const vectors = unknowns.map((unknown) => {
    const v = new Float64Array(f.analysis.size);
    v[unknown] = 1;
    return v;
  });
  inBatches(f, vectors, (batch) => {
    f.kernels.backwardOfUnits(placesOf(f, batch.together));
    for (let c = 0; c < batch.count; c++) takeColumn(f, c, batch, vectors);
  });
  return vectors;
}

/**
 * For each of some weak unknowns the x with x = 1 there, the other weak unknowns at rest, and A·x = 0 at all others. Where pivots are not
 * zero but only small, it is this x, and not that of `nullVectors`, whose combinations hold the null space.
 */
export function heldVectors(f: Factor, a: SparseSymmetric, unknowns: readonly number[] = f.weak): Float64Array[] {
  const vectors = unknowns.map((unknown) => multiply(a, new Float64Array(a.size).fill(-1, unknown, unknown + 1)));
  solveInPlace(f, vectors);
  vectors.forEach((x, i) => (x[unknowns[i]!] = 1));
  return vectors;
}
