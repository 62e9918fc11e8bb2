import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { columnsInMemory, TOGETHER } from './columns-in-memory';
import { combine, combinerOf } from './combine';
import { factorize, type Factor } from './factor';
import { BATCH, DESCRIPTOR } from './kernels';
import { wasmKernels } from './kernels-wasm';
import { wasmModule } from './wasm-module';
import { nullVectors, solveInPlace, solveRefined } from './solve';
import { diagonal, multiply } from './sparse-symmetric';
import { systemOf, matrixOf, springTriplets, springs, dense, grid } from '../test/systems';

/** L and D as dense matrices, out of the panels. */
function denseFactor(f: Factor): { L: number[][]; D: number[] } {
  const n = f.analysis.size;
  const L = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_unused, j) => Number(i === j)));
  const D = new Array<number>(n);
  const { numbers, integers } = f.heap;
  for (let s = 0; s < f.analysis.supernodes; s++) {
    const [first, pivots, front, rows, panel] = integers.subarray(f.table + s * DESCRIPTOR) as unknown as number[] as [
      number,
      number,
      number,
      number,
      number,
    ];
    for (let k = 0; k < pivots; k++) {
      D[first + k] = numbers[panel + k * (front + 1)]!;
      for (let i = k + 1; i < front; i++) L[integers[rows + i]!]![first + k] = numbers[panel + k * front + i]!;
    }
  }
  return { L, D };
}

describe('sparse symmetric matrices', () => {
  test('triplets are mirrored down, added, and sorted by column', () => {
    const a = matrixOf(3, [[2, 0, 5], [0, 2, 1], [1, 1, 7], [0, 0, 2], [2, 2, 3]]); // oxfmt-ignore
    expect([...a.pointers]).toEqual([0, 2, 3, 4]);
    expect([...a.rows]).toEqual([0, 2, 1, 2]);
    expect([...a.values]).toEqual([2, 6, 7, 3]);
    expect(dense(a)).toEqual([
      [2, 0, 6],
      [0, 7, 0],
      [6, 0, 3],
    ]);
    expect([...diagonal(a)]).toEqual([2, 7, 3]);
  });

  test('a column without entries stays empty', () => expect([...matrixOf(3, [[2, 2, 4]]).pointers]).toEqual([0, 0, 0, 1]));
});

describe('factor and solve', () => {
  const kernels = wasmKernels();

  test('A·x = b to the last digits for any springs, for several right-hand sides', () => {
    fc.assert(
      fc.property(springs, fc.integer({ min: 1, max: 2 * BATCH + 1 }), ({ size, width, pairs, ground }, sides) => {
        const { matrix, analysis } = systemOf(size, springTriplets(pairs, ground), width);
        const f = factorize(analysis, matrix, kernels);
        expect(f.weak).toEqual([]);
        const exact = Array.from({ length: sides }, (_unused, c) =>
          Float64Array.from({ length: size }, (_u, i) => Math.sin(3 * i + c + 1)),
        );
        const { solutions, residuals } = solveRefined(
          f,
          exact.map((x) => multiply(matrix, x)),
        );
        expect(Math.max(...residuals)).toBeLessThan(1e-11);
        solutions.forEach((x, c) => x.forEach((value, i) => expect(Math.abs(value - exact[c]![i]!)).toBeLessThan(1e-9)));
      }),
    );
  });

  test('what is left of right-hand sides is b − A·x, of one and of several side by side', () => {
    fc.assert(
      fc.property(springs, fc.constantFrom(1, BATCH), ({ size, width, pairs, ground }, together) => {
        const { matrix, analysis } = systemOf(size, springTriplets(pairs, ground), width);
        const f = factorize(analysis, matrix, kernels);
        const { numbers } = f.heap;
        const at = (start: number, c: number): Float64Array =>
          Float64Array.from({ length: size }, (_u, i) => numbers[start + together * i + c]!);
        for (let k = 0; k < together * size; k++) {
          numbers[f.solutions + k] = Math.sin(k + 1);
          numbers[f.sides + k] = 20 * Math.cos(3 * k);
        }
        kernels.residual(f.matrix, { x: f.solutions, together, b: f.sides, r: f.residuals, sizes: f.scratch });
        const sizes = numbers.slice(f.scratch, f.scratch + 2 * together);
        for (let c = 0; c < together; c++) {
          const product = multiply(matrix, at(f.solutions, c));
          const left = at(f.sides, c).map((b, i) => b - product[i]!);
          at(f.residuals, c).forEach((value, i) => expect(Math.abs(value - left[i]!)).toBeLessThan(1e-11));
          expect(sizes[c]).toBeCloseTo(Math.max(...left.map(Math.abs)), 9);
          expect(sizes[together + c]).toBe(Math.max(...at(f.sides, c).map(Math.abs)));
        }
      }),
    );
  });

  test.each([1, 3])('what a factor gets wrong is corrected, for %i right-hand sides', (count) => {
    const { matrix, analysis } = grid(5, 3);
    const f = factorize(analysis, matrix, kernels);
    f.heap.numbers[f.heap.integers[f.table + 4]!]! *= 1 + 1e-5;
    const exact = Array.from({ length: count }, (_u, c) =>
      Float64Array.from({ length: matrix.size }, (_v, i) => Math.cos(i + c)),
    );
    const sides = exact.map((x) => multiply(matrix, x));
    const worst = (found: readonly Float64Array[]): number =>
      Math.max(...found.flatMap((x, c) => Array.from(x, (value, i) => Math.abs(value - exact[c]![i]!))));
    const rough = sides.map((b) => b.slice());
    solveInPlace(f, rough);
    const { solutions, residuals } = solveRefined(f, sides);
    expect(worst(rough)).toBeGreaterThan(1e-8);
    expect(worst(solutions)).toBeLessThan(1e-3 * worst(rough));
    expect(Math.max(...residuals)).toBeLessThan(1e-9);
  });

  test.each([
    [3, 1],
    [7, 6],
    [10, 6],
    [5, 13],
    [2, 120],
  ])('L·D·Lᵀ is A on a grid of %i × %i-fold points', (side, width) => {
    const { matrix, analysis } = grid(side, width);
    const f = factorize(analysis, matrix, kernels);
    const { L, D } = denseFactor(f);
    const A = dense(matrix);
    let worst = 0;
    for (let i = 0; i < L.length; i++)
      for (let j = 0; j <= i; j++) {
        let sum = 0;
        for (let k = 0; k <= j; k++) sum += L[i]![k]! * D[k]! * L[j]![k]!;
        worst = Math.max(worst, Math.abs(sum - A[i]![j]!));
      }
    expect(worst).toBeLessThan(1e-11 * width);
  });

  test('every loose part gives a weak pivot and a null vector; what is held is solved all the same', () => {
    // Two free chains of springs and one on the ground.
    const { matrix, analysis, place } = systemOf(
      7,
      springTriplets([[0, 1, 2], [1, 2, 3], [3, 4, 1], [5, 6, 4]], [0, 0, 0, 0, 0, 1, 0]), // oxfmt-ignore
    );
    const f = factorize(analysis, matrix, kernels);
    expect(f.weak).toHaveLength(2);
    const vectors = nullVectors(f);
    for (const v of vectors) expect(Math.max(...multiply(matrix, v).map(Math.abs))).toBeLessThan(1e-12);
    const shown = vectors.map((v) => Array.from(place, (p) => Number(v[p]!.toFixed(9))).join()).sort();
    expect(shown).toEqual(['0,0,0,1,1,0,0', '1,1,1,0,0,0,0']);
    const x = new Float64Array(7).with(place[6]!, 4);
    solveInPlace(f, [x]);
    expect(Array.from(place, (p) => Number(x[p]!.toFixed(9)) + 0)).toEqual([0, 0, 0, 0, 0, 4, 5]);
  });

  test('counts as many negative pivots as there are eigenvalues under zero, and solves all the same', () => {
    const n = 40;
    const links = Array.from({ length: n - 1 }, (_, i): [number, number, number] => [i, i + 1, 1]);
    const eigenvalues = Array.from({ length: n }, (_, k) => 2 - 2 * Math.cos(((k + 1) * Math.PI) / (n + 1)));
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 3.99, noNaN: true }), fc.integer({ min: 1, max: 3 }), (shift, width) => {
        fc.pre(eigenvalues.every((value) => Math.abs(value - shift) > 1e-3));
        const ground = Array.from({ length: n }, (_, i) => (i === 0 || i === n - 1 ? 1 : 0) - shift);
        const { matrix, analysis } = systemOf(n, springTriplets(links, ground), width);
        const f = factorize(analysis, matrix, kernels);
        expect(f.negative).toHaveLength(eigenvalues.filter((value) => value < shift).length);
        const { residuals } = solveRefined(f, [new Float64Array(matrix.size).fill(1)]);
        expect(residuals[0]).toBeLessThan(1e-9);
      }),
    );
  });

  test('tells how near a matrix is to being singular, and where', () => {
    const { matrix, analysis } = systemOf(2, springTriplets([[0, 1, 1]], [1e-7, 0]));
    const f = factorize(analysis, matrix, kernels);
    expect(f.smallestRatio).toBeLessThan(1e-6);
    expect([0, 1]).toContain(f.smallestAt);
    expect(f.weak).toEqual([]);
  });

  test('a factor that a later one has overwritten is refused', () => {
    const { matrix, analysis } = grid(3, 2);
    const first = factorize(analysis, matrix, kernels);
    factorize(analysis, matrix, kernels);
    expect(() => solveInPlace(first, [new Float64Array(analysis.size)])).toThrow(/overwritten/);
  });

  test('tells of its progress, and gives up when told to', () => {
    const { matrix, analysis } = grid(12, 3);
    const heard: number[] = [];
    factorize(analysis, matrix, kernels, { watch: (done) => void heard.push(done) });
    expect(heard.length).toBe(analysis.supernodes);
    expect(heard.every((done, i) => i === 0 || done >= heard[i - 1]!)).toBe(true);
    expect(() =>
      factorize(analysis, matrix, kernels, {
        watch: () => {
          throw new Error('enough');
        },
      }),
    ).toThrow('enough');
  });
});

test.each([
  [0, 3],
  [1, 1],
  [4096, 4],
  [4097, 5],
  [9001, 10],
])('a sum of vectors of %d numbers is each of its %d parts times its weight', (length, count) => {
  const parts = Array.from({ length: count }, (_, c) => Float64Array.from({ length }, (__, i) => Math.sin(i + 10 * c)));
  const weights = parts.map((_, c) => [1.35, 0, -1.5, 0.7, 1e6][c % 5]!);
  const expected = Float64Array.from({ length }, (_, i) => weights.reduce((sum, w, c) => sum + w * parts[c]![i]!, 0));
  const sum = combine(parts, weights);
  expect(sum).toHaveLength(length);
  expect(sum.every((value, i) => Math.abs(value - expected[i]!) <= 1e-9)).toBe(true);
  const sums = combinerOf(parts, Math.min(1, length), wasmKernels());
  for (const factor of [1, -2, 0.5]) {
    sums.sum(weights.map((weight) => factor * weight));
    sums.bound();
  }
  const bounds = [...expected].slice(1).map((value) => [Math.max(value, -2 * value), Math.min(value, -2 * value)]);
  expect(bounds.every(([max, min], i) => Math.abs(sums.max[i]! - max!) + Math.abs(sums.min[i]! - min!) <= 1e-8)).toBe(true);
  expect(sums.max).toHaveLength(bounds.length);
});

test.each([
  [1, 1, 3],
  [20, 3, 0],
  [2049, 4, 8],
  [5000, 2, 19],
])('vectors of %d numbers are taken out of %d columns, each by its product with them: %d vectors', (length, count, others) => {
  const made = (seed: number): Float64Array => Float64Array.from({ length }, (_, k) => Math.sin(13 * seed + k));
  const columns = Array.from({ length: count }, (_, c) => made(c));
  const vectors = Array.from({ length: others }, (_, i) => made(50 + i));
  const dotsWith = (all: readonly Float64Array[]): number[][] =>
    all.map((one) => vectors.map((other) => one.reduce((sum, value, k) => sum + value * other[k]!, 0)));
  const dots = dotsWith(columns);
  const expected = columns.map((one, c) =>
    one.map((value, k) => vectors.reduce((left, other, i) => left - dots[c]![i]! * other[k]!, value)),
  );
  const laid = columnsInMemory(columns, wasmKernels());
  const parts = laid.dots(vectors);
  const areAs = (found: Float64Array, all: readonly number[][]): void =>
    all.forEach((ofColumn, c) =>
      ofColumn.forEach((dot, i) => expect(Math.abs(found[TOGETHER * i + c]! - dot)).toBeLessThan(1e-9 * (1 + Math.abs(dot)))),
    );
  areAs(parts, dots);
  laid.take(vectors, parts);
  areAs(laid.dots(vectors), dotsWith(expected));
  laid.putBack();
  columns.forEach((one, c) => expect(one.every((value, k) => Math.abs(value - expected[c]![k]!) < 1e-9 * length)).toBe(true));
  expect(() => columnsInMemory(Array.from({ length: TOGETHER + 1 }, () => made(1)))).toThrow(/have room/);
});

test('memory that a much smaller system does not need is given back', () => {
  const kernels = wasmKernels();
  const large = kernels.reserve(1e7).numbers.length;
  expect(large).toBeGreaterThanOrEqual(1e7);
  expect(kernels.reserve(100).numbers.length).toBeLessThan(large / 8);
});

test('a platform that cannot run the kernels is told so in words', () =>
  expect(() => wasmModule('AGFzbQ==')).toThrow(/computes with WebAssembly/));
