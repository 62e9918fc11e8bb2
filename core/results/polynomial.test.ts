import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { derivative, evaluate, quadraticRoots, signChanges } from './polynomial';

/** Coefficients of Π (s − root), ascending. */
const fromRoots = (roots: readonly number[]): Float64Array =>
  roots.reduce<Float64Array>(
    (c, root) => Float64Array.from({ length: c.length + 1 }, (_, k) => (c[k - 1] ?? 0) - root * (c[k] ?? 0)),
    Float64Array.of(1),
  );

describe('polynomials', () => {
  test('are evaluated inside a larger array', () => {
    const c = Float64Array.of(9, 9, 1, 2, 3, 9);
    expect(evaluate(c, 2, 2, 2)).toBe(1 + 4 + 12);
    expect([...derivative(Float64Array.of(1, 2, 3))]).toEqual([2, 6]);
    expect([...derivative(Float64Array.of(4))]).toEqual([0]);
  });

  test('sign changes of products of linear factors are their roots', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: -20, max: 40 }), { minLength: 1, maxLength: 5 }), (roots) => {
        const length = 21.5;
        const expected = roots.filter((root) => root > 0 && root < length).sort((a, b) => a - b);
        const found = signChanges(fromRoots(roots), length);
        expect(found).toHaveLength(expected.length);
        found.forEach((root, i) => expect(Math.abs(root - expected[i]!)).toBeLessThan(1e-9));
      }),
    );
  });

  test('a zero that is only touched changes no sign', () => {
    expect(signChanges(fromRoots([3, 3]), 10)).toEqual([]);
    expect(signChanges(fromRoots([3, 3, 3]), 10)[0]).toBeCloseTo(3, 4);
    expect(signChanges(fromRoots([3, 3, 7]), 10)[0]).toBeCloseTo(7, 9);
  });

  test('a quadratic keeps the digits of a small root beside a large one', () => {
    const roots = new Float64Array(2);
    quadraticRoots(1, -1e9, 1, roots);
    expect(roots[0]).toBeCloseTo(1e-9, 20);
    expect(roots[1]! / 1e9).toBeCloseTo(1, 14);
    quadraticRoots(1, 0, 1, roots);
    expect([...roots]).toEqual([NaN, NaN]);
  });

  test('nothing, a constant and rounding have none', () => {
    expect(signChanges(Float64Array.of(0, 0, 0), 5)).toEqual([]);
    expect(signChanges(Float64Array.of(2), 5)).toEqual([]);
    expect(signChanges(Float64Array.of(1e5, 1e-12, -1e-13), 5)).toEqual([]);
  });
});
