import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { correlationOf, uncorrelated } from './correlation';

test('modes that swing alike are one, those far apart know nothing of each other', () => {
  expect(correlationOf(7, 7, 0.05)).toBe(1);
  expect(correlationOf(7, 8, 0.05)).toBe(correlationOf(8, 7, 0.05));
  // Wilson, Der Kiureghian and Bayo (1981): 5 % damping, ω ratio 0.9.
  expect(correlationOf(0.9, 1, 0.05)).toBeCloseTo(0.473, 3);
  expect(correlationOf(1, 10, 0.05)).toBeLessThan(0.01);
});

test('the squares of what is not correlated add up to what is', () => {
  const frequency = fc.double({ min: 0.1, max: 30, noNaN: true });
  fc.assert(
    fc.property(fc.array(frequency, { minLength: 1, maxLength: 12 }), fc.integer({ min: 0, max: 11 }), fc.double({ min: 0.005, max: 0.5, noNaN: true }), (drawn, twice, damping) => {
      const all = [...drawn, drawn[twice % drawn.length]!];
      const ρ = all.map((one) => all.map((other) => (one === other ? 1 : correlationOf(one, other, damping))));
      const roots = uncorrelated(ρ);
      // What swings twice alike is no root of its own.
      expect(roots.length).toBeLessThan(all.length);
      all.forEach((_, i) =>
        all.forEach((__, j) => expect(roots.reduce((sum, root) => sum + root[i]! * root[j]!, 0)).toBeCloseTo(ρ[i]![j]!, 6)),
      );
    }),
    { numRuns: 200 },
  ); // oxfmt-ignore
});
