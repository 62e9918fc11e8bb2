import { describe, expect, test } from '@jest/globals';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { Random } from '../../test/random';
import { derivativesAt, fromPowers, integralOf, product, timesPlace } from './legendre';
import { SETTLED, Slowest, type Found, type Pencil } from './slowest';

/** K of ones, and a mass matrix of some rank with these values. */
function pencilOf(values: readonly number[], size: number, seed: number): Pencil {
  const random = new Random(seed);
  const some = Matrix.zeros(size, size);
  for (let i = 0; i < size; i++) for (let j = 0; j <= i; j++) some.set(i, j, random.below(2001) / 1000 - 1);
  const axes = new EigenvalueDecomposition(some.clone().add(some.transpose()), { assumeSymmetric: true }).eigenvectorMatrix;
  const M = axes.mmul(Matrix.diag([...values, ...new Array<number>(size - values.length).fill(0)])).mmul(axes.transpose());
  return {
    size,
    multiply: (x) => Float64Array.from(M.mmul(Matrix.columnVector(x)).to1DArray()),
    solve: () => undefined,
  };
}
const asked = (wanted: number, most = 200) => ({ wanted, settled: SETTLED, most });
const valuesOf = (found: readonly Found[] | undefined): number[] => found!.map(({ value }) => value);

describe('the slowest modes of a pencil', () => {
  test('are those of the dense matrix, also where several are the same', () => {
    const values = [9, 7, 7, 7, 7, 7, 5, 4, 2, 1, 0.5, 0.1];
    const slowest = new Slowest(pencilOf(values, 60, 3));
    const first = valuesOf(slowest.find(asked(8)));
    // Of more alike than are driven at once some stay away until something new comes.
    expect(first.filter((value) => Math.abs(7 * value - 1) < 1e-9)).toHaveLength(4);
    slowest.scatter(2);
    valuesOf(slowest.find(asked(8)))
      .slice(0, 8)
      .forEach((value, i) => expect(value * values[i]!).toBeCloseTo(1, 9));
  });

  test('are fewer where the mass lets no more be; without mass there is none', () => {
    expect(valuesOf(new Slowest(pencilOf([4, 3], 30, 5)).find(asked(6)))).toEqual([
      expect.closeTo(1 / 4, 10),
      expect.closeTo(1 / 3, 10),
    ]);
    expect(new Slowest(pencilOf([], 10, 1)).find(asked(2))).toEqual([]);
  });

  test('are given up beyond as many vectors as are allowed', () => {
    const values = Array.from({ length: 100 }, (_, i) => 1 + i / 1e6);
    expect(new Slowest(pencilOf(values, 100, 7)).find(asked(20, 24))).toBeUndefined();
  });

  test('have vectors of mass 1, and what is added later finds what was not there', () => {
    const pencil = pencilOf([8, 6, 4, 2, 1, 0.7, 0.4], 40, 9);
    const slowest = new Slowest(pencil);
    const [first] = slowest.vectorsOf(slowest.find(asked(2))!);
    const mass = pencil.multiply(first!.vector).reduce((sum, part, i) => sum + part * first!.vector[i]!, 0);
    expect(mass).toBeCloseTo(1, 9);
    slowest.scatter(3);
    expect(valuesOf(slowest.find(asked(4))).slice(0, 4)).toEqual([8, 6, 4, 2].map((value) => expect.closeTo(1 / value, 9)));
  });
});

describe('series of Legendre’s polynomials', () => {
  /** By powers, at a place. */
  const at = (series: Float64Array, ξ: number): number => {
    const place = derivativesAt(ξ, series.length);
    return series.reduce((sum, part, n) => sum + part * place[3 * n]!, 0);
  };
  // 2 − x + 3x² + x³ on 1 ≤ x ≤ 4.
  const cubic = fromPowers([2, -1, 3, 1], 1, 3);
  const exact = (ξ: number): number => {
    const x = 2.5 + 1.5 * ξ;
    return 2 - x + 3 * x * x + x ** 3;
  };

  test('are the polynomial, times the place, and its integral', () => {
    for (const ξ of [-1, -0.3, 0, 0.8, 1]) {
      expect(at(cubic, ξ)).toBeCloseTo(exact(ξ), 10);
      expect(at(timesPlace(cubic), ξ)).toBeCloseTo(ξ * exact(ξ), 10);
      expect((at(integralOf(cubic), ξ + 1e-5) - at(integralOf(cubic), ξ - 1e-5)) / 2e-5).toBeCloseTo(exact(ξ), 4);
    }
    expect(at(integralOf(cubic), -1)).toBeCloseTo(0, 12);
    // ∫ (2 − x + 3x² + x³)·ξ dξ by Simpson, which is exact of the third degree, on two halves of degree four within rounding of it.
    const simpson = Array.from({ length: 201 }, (_, i) => -1 + i / 100).reduce((sum, ξ, i) => sum + (i % 200 === 0 ? 1 : i % 2 === 1 ? 4 : 2) * ξ * exact(ξ), 0) / 300; // oxfmt-ignore
    expect(product(cubic, Float64Array.of(0, 1))).toBeCloseTo(simpson, 6);
  });

  test('have the derivatives that differences have', () => {
    const d = 1e-4;
    for (const ξ of [-0.9, 0.2, 0.7]) {
      const [low, here, high] = [ξ - d, ξ, ξ + d].map((place) => derivativesAt(place, 7));
      for (let n = 0; n <= 7; n++) {
        expect(here![3 * n + 1]).toBeCloseTo((high![3 * n]! - low![3 * n]!) / (2 * d), 4);
        expect(here![3 * n + 2]).toBeCloseTo((high![3 * n + 1]! - low![3 * n + 1]!) / (2 * d), 3);
      }
    }
  });
});
