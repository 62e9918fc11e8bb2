import fc from 'fast-check';
import { analyse, type Analysis } from '../linear-algebra/analysis';
import { graphOfPairs } from '../linear-algebra/graph';
import { fromTriplets, multiply, type SparseSymmetric } from '../linear-algebra/sparse-symmetric';

export type Triplet = readonly [number, number, number];
export interface System {
  readonly matrix: SparseSymmetric;
  readonly analysis: Analysis;
  /** Where each unknown of the caller has gone. */
  readonly place: Int32Array;
}

/** A matrix of the caller's order, ordered and numbered by its blocks of `width` unknowns. */
export function systemOf(size: number, triplets: readonly Triplet[], width = 1): System {
  const blocks = Math.ceil(size / width);
  const weights = Int32Array.from({ length: blocks }, (_, b) => Math.min(width, size - b * width));
  const block = (i: number): number => Math.floor(i / width);
  const graph = graphOfPairs(blocks, Int32Array.from(triplets.flatMap(([i, j]) => [block(i), block(j)])));
  const analysis = analyse(graph, weights);
  const place = Int32Array.from({ length: size }, (_, i) => analysis.firstUnknown[block(i)]! + (i % width));
  return {
    matrix: matrixOf(
      size,
      triplets.map(([i, j, k]) => [place[i]!, place[j]!, k]),
    ),
    analysis,
    place,
  };
}

export const matrixOf = (size: number, triplets: readonly Triplet[]): SparseSymmetric =>
  fromTriplets(
    size,
    triplets.length,
    Int32Array.from(triplets, ([i]) => i),
    Int32Array.from(triplets, ([, j]) => j),
    Float64Array.from(triplets, ([, , k]) => k),
  );

/** Springs between pairs of points and to the ground: positive semidefinite, regular where every part is held. */
export function springTriplets(pairs: readonly Triplet[], ground: readonly number[]): Triplet[] {
  const triplets: Triplet[] = ground.map((k, i) => [i, i, k]);
  for (const [a, b, k] of pairs) if (a !== b) triplets.push([a, a, k], [b, b, k], [a, b, -k]);
  return triplets;
}

export const springs = fc.integer({ min: 1, max: 60 }).chain((size) =>
  fc.record({
    size: fc.constant(size),
    width: fc.integer({ min: 1, max: 6 }),
    pairs: fc.array(fc.tuple(fc.nat(size - 1), fc.nat(size - 1), fc.double({ min: 0.1, max: 10, noNaN: true })), {
      maxLength: 200,
    }),
    ground: fc.array(fc.double({ min: 0.01, max: 5, noNaN: true }), { minLength: size, maxLength: size }),
  }),
);

export const dense = (a: SparseSymmetric): number[][] =>
  Array.from({ length: a.size }, (_, i) => [...multiply(a, new Float64Array(a.size).with(i, 1))]);

/** A square grid of springs with `width` unknowns a point, every one joined to all of the neighbours. */
export function grid(side: number, width: number): System {
  const triplets: Triplet[] = [];
  const join = (a: number, b: number): void => {
    for (let i = 0; i < width; i++)
      for (let j = 0; j < width; j++) triplets.push([a * width + i, b * width + j, -0.1 - 0.01 * ((i + j) % 3)]);
  };
  for (let i = 0; i < side; i++)
    for (let j = 0; j < side; j++) {
      if (i + 1 < side) join(i * side + j, (i + 1) * side + j);
      if (j + 1 < side) join(i * side + j, i * side + j + 1);
      for (let k = 0; k < width; k++) triplets.push([(i * side + j) * width + k, (i * side + j) * width + k, 0.6 * width]);
    }
  return systemOf(side * side * width, triplets, width);
}
