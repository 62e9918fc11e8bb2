import type { Analysis } from './analysis';
import { BATCH, DESCRIPTOR, scratchLength, type Heap, type Kernels, type MatrixPlaces } from './kernels';
import { diagonal, type SparseSymmetric } from './sparse-symmetric';

/** A pivot under this part of the diagonal that it started from is weak, unless told otherwise: rounding alone can be that large. */
const WEAK = 1e-12;

/**
 * A = L·D·Lᵀ in the memory of its kernels, by supernodes. The memory is the factor's own until the same kernels factor again, which
 * whoever holds both decides; using it later is an error.
 * `weak` lists the unknowns whose pivot was, whatever its sign, too small beside their diagonal to be trusted, and those that were to be held: their
 * motion is held at rest, and `nullVectors` tells what it is.
 */
export interface Factor {
  readonly analysis: Analysis;
  readonly kernels: Kernels;
  readonly heap: Heap;
  /** Index of the descriptors among the integers. */
  readonly table: number;
  /** A itself. */
  readonly matrix: MatrixPlaces;
  /** Room for right-hand sides, solutions and residuals, BATCH numbers an unknown each. */
  readonly sides: number;
  readonly solutions: number;
  readonly residuals: number;
  /** Room for the kernels' own use. */
  readonly scratch: number;
  readonly weak: readonly number[];
  /** Unknowns whose pivot is negative: as many as A has negative eigenvalues (Sylvester's law of inertia). */
  readonly negative: readonly number[];
  /** The smallest pivot, by its size, beside its diagonal entry over the unknowns that are not weak, and which unknown it is: a measure of the digits lost. */
  readonly smallestRatio: number;
  readonly smallestAt: number;
  readonly isCurrent: () => boolean;
}

const generations = new WeakMap<Kernels, number>();

export interface FactorOptions {
  readonly watch?: Watch | undefined;
  /** A pivot under this part of its diagonal is weak. */
  readonly tolerance?: number;
  /** Unknowns that are held whatever their pivots are. */
  readonly held?: readonly number[];
}

/** Called after each supernode with the part of the work done; may throw to give up. */
export type Watch = (done: number) => void;

/**
 * Multifrontal LDLᵀ without pivoting (Duff and Reid, 1983; Liu, 1992): each supernode is assembled from the matrix and from the
 * borders that its children left, factored as a dense panel, and leaves a border of its own on a stack.
 */
export function factorize(
  analysis: Analysis,
  a: SparseSymmetric,
  kernels: Kernels,
  { watch, tolerance = WEAK, held = [] }: FactorOptions = {},
): Factor {
  const { supernodes, firstPivot, rowPointers, rows, parents, size } = analysis;
  const generation = (generations.get(kernels) ?? 0) + 1;
  generations.set(kernels, generation);
  let largest = 0;
  for (let s = 0; s < supernodes; s++) largest = Math.max(largest, rowPointers[s + 1]! - rowPointers[s]!);
  const half = (integers: number): number => Math.ceil(integers / 2);
  let end = 0;
  /** The next free place of the heap, for so many numbers; places are even, which suits vectors of two. */
  const place = (length: number): number => {
    const start = end;
    end += length + (length & 1);
    return start;
  };
  const tableAt = place(half(DESCRIPTOR * supernodes));
  const rowsAt = place(half(rows.length));
  const placesAt = place(half(rows.length));
  const localAt = place(half(size));
  const matrix = {
    size,
    pointers: 2 * place(half(size + 1)),
    rows: 2 * place(half(a.rows.length)),
    values: place(a.values.length),
  };
  const sides = place(BATCH * size);
  const solutions = place(BATCH * size);
  const residuals = place(BATCH * size);
  const started = place(size);
  const panels = place(analysis.factorLength);
  const stack = place(analysis.stackLength);
  const scratch = place(scratchLength(largest));
  const heap = kernels.reserve(end);
  const { numbers, integers } = heap;
  integers.set(rows, 2 * rowsAt);
  integers.set(analysis.places, 2 * placesAt);
  integers.set(a.pointers, matrix.pointers);
  integers.set(a.rows, matrix.rows);
  numbers.set(a.values, matrix.values);
  numbers.set(diagonal(a), started);
  for (const unknown of held) numbers[started + unknown] = Infinity;

  const children: number[][] = Array.from({ length: supernodes }, () => []);
  const borders = new Float64Array(supernodes);
  const weak: number[] = [];
  const negative: number[] = [];
  let [panel, top, smallestRatio, smallestAt, done] = [panels, stack, 1, -1, 0];
  for (let s = 0; s < supernodes; s++) {
    const first = firstPivot[s]!;
    const pivots = firstPivot[s + 1]! - first;
    const front = rowPointers[s + 1]! - rowPointers[s]!;
    const rest = front - pivots;
    const list = 2 * rowsAt + rowPointers[s]!;
    const places = { first, pivots, front, list, panel };
    const descriptor = 2 * tableAt + DESCRIPTOR * s;
    integers[descriptor] = first;
    integers[descriptor + 1] = pivots;
    integers[descriptor + 2] = front;
    integers[descriptor + 3] = list;
    integers[descriptor + 4] = panel;
    numbers.fill(0, top, top + rest * rest);
    kernels.gather(matrix, places, 2 * localAt);
    let low = top;
    for (const child of children[s]!) {
      const childPivots = firstPivot[child + 1]! - firstPivot[child]!;
      const childRest = rowPointers[child + 1]! - rowPointers[child]! - childPivots;
      low = Math.min(low, borders[child]!);
      const border = { at: borders[child]!, size: childRest, places: 2 * placesAt + rowPointers[child]! + childPivots };
      kernels.extendAdd(border, places, top);
    }
    kernels.factorPanel(places, started + first, tolerance, scratch);
    if (rest > 0) {
      kernels.updateBorder(places, top, scratch);
      if (low < top) numbers.copyWithin(low, top, top + rest * rest);
      borders[s] = low;
      children[parents[s]!]!.push(s);
    }
    top = low + rest * rest;
    for (let k = 0; k < pivots; k++) {
      const pivot = numbers[panel + k * (front + 1)]!;
      if (pivot < 0) negative.push(first + k);
      const ratio = Math.abs(pivot / numbers[started + first + k]!);
      if (pivot === 0) weak.push(first + k);
      else if (ratio < smallestRatio) [smallestRatio, smallestAt] = [ratio, first + k];
    }
    panel += front * pivots;
    if (watch) watch((done += pivots * (rest * front + pivots * pivots)) / analysis.work);
  }
  const isCurrent = (): boolean => generations.get(kernels) === generation;
  return {
    analysis,
    kernels,
    heap,
    table: 2 * tableAt,
    matrix,
    sides,
    solutions,
    residuals,
    scratch,
    weak,
    negative,
    smallestRatio,
    smallestAt,
    isCurrent,
  };
}
