import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { largestOf, type Largest } from './largest';
import { evaluate, writeBernstein } from './polynomial';

const length = 6;
const coefficient = fc.integer({ min: -4, max: 4 });
const cubic = fc.array(coefficient, { minLength: 4, maxLength: 4 });

/** Which is the largest of some polynomials, which are given in powers of t = x / length. */
function found(all: readonly (readonly number[])[], side: 1 | -1): { parts: Largest[]; at: (i: number, x: number) => number } {
  const own = all.map((c) => Float64Array.from(c, (value, k) => value / length ** k));
  const bernstein = new Float64Array(4 * own.length);
  own.forEach((coefficients, i) => writeBernstein({ coefficients, at: 0, degree: 3 }, length, bernstein, 4 * i));
  const powers = (i: number): Float64Array => own[i]!.map((value) => side * value);
  const parts = largestOf({ bernstein, side, count: own.length, size: 4, length, powers }, 1e-9 * length);
  return { parts, at: (i, x) => side * evaluate(own[i]!, 0, 3, x) };
}

/** Many, and many that meet in one place in the middle, at a third and at an end: there is nothing that halving could tell apart. */
const several = fc.oneof(
  fc.array(cubic, { minLength: 1, maxLength: 40 }),
  fc
    .tuple(fc.array(cubic, { minLength: 3, maxLength: 20 }), fc.constantFrom(0, 1 / 2, 1 / 3, 1))
    .map(([all, t]) => all.map(([, b, c, d]) => [5 - t * (b! + t * (c! + t * d!)), b!, c!, d!])),
);

test('of many polynomials the largest one is found on every part, without a gap, and of equal ones the first', () => {
  fc.assert(
    fc.property(several, fc.constantFrom(1, -1), fc.double({ min: 0, max: 1, noNaN: true }), (all, side, t) => {
      const { parts, at } = found(all, side);
      expect([parts[0]!.from, parts.at(-1)!.to]).toEqual([0, length]);
      parts.slice(1).forEach(({ from, by }, i) => {
        expect(from).toBe(parts[i]!.to);
        expect(by).not.toBe(parts[i]!.by);
        // Neither has the advantage where they change over.
        expect(at(by, from)).toBeCloseTo(at(parts[i]!.by, from), 6);
      });
      for (const { from, to, by } of parts) {
        const x = from + t * (to - from);
        for (let i = 0; i < all.length; i++) expect(at(i, x)).toBeLessThanOrEqual(at(by, x) + 1e-8);
        expect(all.findIndex((one) => one.every((value, k) => value === all[by]![k]))).toBe(by);
      }
    }),
    { numRuns: 400 },
  );
});

test('one that only touches the largest, in the middle or elsewhere, governs nothing', () => {
  for (const t of [0.5, 0.25, 0.75]) {
    const line = [1, 0, 0, 0];
    expect(found([line, [1 + t * t, -2 * t, 1, 0]], 1).parts).toEqual([{ from: 0, to: length, by: 1 }]);
    expect(found([[1 - t * t, 2 * t, -1, 0], line], 1).parts).toEqual([{ from: 0, to: length, by: 1 }]);
  }
});

test('one that is the largest on a short part only is not lost, wherever that lies', () => {
  for (const t of [0.001, 0.02, 0.3, 0.4999, 0.5, 0.77, 0.995]) {
    // A hump of the height h and the half width √h over a line.
    const h = 1e-5;
    const hump = [h - t * t, 2 * t, -1, 0];
    const under = Array.from({ length: 12 }, (_, i) => [-1e-3 * i, 0, 0, 0]);
    const { parts } = found([...under, hump], 1);
    const one = parts.find(({ by }) => by === under.length)!;
    expect(one.from).toBeCloseTo(length * Math.max(0, t - Math.sqrt(h)), 9);
    expect(one.to).toBeCloseTo(length * Math.min(1, t + Math.sqrt(h)), 9);
  }
});
