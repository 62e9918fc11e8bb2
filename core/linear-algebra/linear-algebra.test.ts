import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { eliminationTree, factor } from './factor';
import { graphOfPairs, minimumDegree } from './minimum-degree';
import { nullVector, solveInPlace, solveRefined } from './solve';
import { diagonal, fromTriplets, multiply, type SparseSymmetric } from './sparse-symmetric';

/** A random positive definite matrix: springs between random pairs and to the ground. */
const springs = fc.integer({ min: 1, max: 30 }).chain((size) =>
  fc.record({
    size: fc.constant(size),
    pairs: fc.array(fc.tuple(fc.nat(size - 1), fc.nat(size - 1), fc.double({ min: 0.1, max: 10, noNaN: true })), {
      maxLength: 80,
    }),
    ground: fc.array(fc.double({ min: 0.01, max: 5, noNaN: true }), { minLength: size, maxLength: size }),
  }),
);

function matrixOf({
  size,
  pairs,
  ground,
}: {
  size: number;
  pairs: [number, number, number][];
  ground: number[];
}): SparseSymmetric {
  const triplets: [number, number, number][] = ground.map((k, i) => [i, i, k]);
  for (const [a, b, k] of pairs) {
    if (a === b) continue;
    triplets.push([a, a, k], [b, b, k], [a, b, -k]);
  }
  return fromTriplets(
    size,
    triplets.length,
    Int32Array.from(triplets, ([i]) => i),
    Int32Array.from(triplets, ([, j]) => j),
    Float64Array.from(triplets, ([, , k]) => k),
  );
}

const dense = (a: SparseSymmetric): number[][] =>
  Array.from({ length: a.size }, (_, i) => {
    const unit = new Float64Array(a.size);
    unit[i] = 1;
    return [...multiply(a, unit)];
  });

describe('sparse symmetric matrices', () => {
  test('triplets are mirrored up, added, and sorted by column', () => {
    const a = fromTriplets(3, 5, Int32Array.of(2, 0, 1, 0, 2), Int32Array.of(0, 2, 1, 0, 2), Float64Array.of(5, 1, 7, 2, 3));
    expect([...a.pointers]).toEqual([0, 1, 2, 4]);
    expect([...a.rows]).toEqual([0, 1, 0, 2]);
    expect([...a.values]).toEqual([2, 7, 6, 3]);
    expect(dense(a)).toEqual([
      [2, 0, 6],
      [0, 7, 0],
      [6, 0, 3],
    ]);
    expect([...diagonal(a)]).toEqual([2, 7, 3]);
  });

  test('a column without entries stays empty', () =>
    expect([...fromTriplets(3, 1, Int32Array.of(2), Int32Array.of(2), Float64Array.of(4)).pointers]).toEqual([0, 0, 0, 1]));
});

describe('minimum degree', () => {
  test('is a permutation of any graph', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.array(fc.nat(39), { maxLength: 120 }), (size, ends) => {
        const order = minimumDegree(
          graphOfPairs(
            size,
            Int32Array.from(ends.slice(0, 2 * Math.floor(ends.length / 2)), (v) => v % size),
          ),
        );
        expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: size }, (_, i) => i));
      }),
    );
  });

  test('eliminates a star from its tips: no fill', () => {
    const pairs = Int32Array.from(Array.from({ length: 9 }, (_, i) => [0, i + 1]).flat());
    const order = minimumDegree(graphOfPairs(10, pairs));
    expect([...order].indexOf(0)).toBeGreaterThanOrEqual(8);
  });

  test('keeps the factor of a grid far sparser than the natural order does', () => {
    const side = 24;
    const pairs: number[] = [];
    for (let i = 0; i < side; i++)
      for (let j = 0; j < side; j++) {
        if (i + 1 < side) pairs.push(i * side + j, (i + 1) * side + j);
        if (j + 1 < side) pairs.push(i * side + j, i * side + j + 1);
      }
    const fill = (place: Int32Array): number => {
      const count = pairs.length / 2;
      const rows = Int32Array.from({ length: count + side * side }, (_, k) => (k < count ? place[pairs[2 * k]!]! : k - count));
      const columns = Int32Array.from({ length: count + side * side }, (_, k) =>
        k < count ? place[pairs[2 * k + 1]!]! : k - count,
      );
      return eliminationTree(
        fromTriplets(side * side, rows.length, rows, columns, new Float64Array(rows.length).fill(1)),
      ).counts.reduce((a, b) => a + b, 0);
    };
    const natural = Int32Array.from({ length: side * side }, (_, i) => i);
    const place = new Int32Array(side * side);
    minimumDegree(graphOfPairs(side * side, Int32Array.from(pairs))).forEach((v, k) => (place[v] = k));
    expect(fill(place)).toBeLessThan(0.6 * fill(natural));
  });
});

describe('factor and solve', () => {
  test('A·x = b to the last digits for any springs', () => {
    fc.assert(
      fc.property(springs, (system) => {
        const a = matrixOf(system);
        const x = Float64Array.from({ length: a.size }, (_, i) => Math.sin(3 * i + 1));
        const f = factor(a);
        expect(f.weak).toEqual([]);
        const solution = solveRefined(a, f, multiply(a, x));
        solution.forEach((value, i) => expect(Math.abs(value - x[i]!)).toBeLessThan(1e-9));
      }),
    );
  });

  test('L·D·Lᵀ is A', () => {
    const a = matrixOf({
      size: 5,
      pairs: [
        [0, 1, 2],
        [1, 2, 3],
        [2, 4, 1],
        [0, 3, 5],
        [3, 4, 2],
      ],
      ground: [1, 0, 0, 0, 2],
    });
    const f = factor(a);
    const L = Array.from({ length: 5 }, (_, i) => Array.from({ length: 5 }, (_unused, j) => Number(i === j)));
    for (let j = 0; j < 5; j++) for (let p = f.pointers[j]!; p < f.pointers[j + 1]!; p++) L[f.rows[p]!]![j] = f.values[p]!;
    const product = L.map((row) => L.map((other) => row.reduce((sum, value, k) => sum + value * f.pivots[k]! * other[k]!, 0)));
    product.forEach((row, i) => row.forEach((value, j) => expect(value).toBeCloseTo(dense(a)[i]![j]!, 12)));
  });

  test('every loose part gives a weak pivot and a null vector; what is held is solved all the same', () => {
    // Two free chains of springs and one on the ground.
    const a = matrixOf({
      size: 7,
      pairs: [
        [0, 1, 2],
        [1, 2, 3],
        [3, 4, 1],
        [5, 6, 4],
      ],
      ground: [0, 0, 0, 0, 0, 1, 0],
    });
    const f = factor(a);
    expect(f.weak).toHaveLength(2);
    const vectors = f.weak.map((column) => nullVector(f, column));
    for (const v of vectors) expect(Math.max(...multiply(a, v).map(Math.abs))).toBeLessThan(1e-12);
    expect(vectors.map((v) => [...v].map((x) => Number(x.toFixed(9))))).toEqual([
      [1, 1, 1, 0, 0, 0, 0],
      [0, 0, 0, 1, 1, 0, 0],
    ]);
    const x = Float64Array.of(0, 0, 0, 0, 0, 0, 4);
    solveInPlace(f, x);
    expect([...x].map((value) => Number(value.toFixed(9)))).toEqual([0, 0, 0, 0, 0, 4, 5]);
  });

  test('tells how near a matrix is to being singular', () => {
    const soft = matrixOf({ size: 2, pairs: [[0, 1, 1]], ground: [1e-7, 0] });
    expect(factor(soft).smallestRatio).toBeLessThan(1e-6);
    expect(factor(soft).weak).toEqual([]);
  });
});
