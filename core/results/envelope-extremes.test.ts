import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { solve } from '../analysis/session';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { envelopeExtremes } from './envelope-extremes';
import { extremes } from './extremes';
import { lineQuantities } from './quantities';

/** Three cases that cut members in different places, sums of them, and an envelope of the sums and a case. */
const combined = (any: Model, factors: readonly number[]): Model => {
  const member = any.members[1]!.id;
  const sums = [0, 1, 2, 3, 4, 5].map((i) => ({
    id: `S${i}`,
    type: 'sum' as const,
    factors: { Q: factors[i]!, P: factors[i + 1]!, R: factors[i + 2]! },
  }));
  return {
    ...any,
    cases: [...any.cases, { id: 'P', category: 'wind' }, { id: 'R', category: 'snow' }],
    loads: [
      ...any.loads,
      { id: 'x1', case: 'P', type: 'line', member, from: { at: 0.2, wy: -700 }, to: { at: 0.7, wy: 900 } },
      { id: 'x2', case: 'R', type: 'point', member, at: 0.45, fy: -3e3, mz: 500 },
      { id: 'x3', case: 'R', type: 'line', member: any.members[0]!.id, from: { wx: 100, wy: -500 }, to: { wy: 800 } },
    ],
    combinations: [...sums, { id: 'E', type: 'envelope', of: [...sums.map(({ id }) => id), 'R'] }],
  };
};

test('extremes of an envelope that are found block by block are those of its parts one by one, with the part that governs', () => {
  const factor = fc.constantFrom(0, 1, -1, 1.35, 0.5, -0.7, 2);
  fc.assert(
    fc.property(fc.oneof(randomSpace, randomFrame), fc.array(factor, { minLength: 8, maxLength: 8 }), (any, factors) => {
      const { solution } = solve(combined(any, factors));
      fc.pre(solution !== undefined);
      const outcome = solution!.outcomes.length - 1;
      const steps: number[] = [];
      const stream = envelopeExtremes(solution!, outcome, lineQuantities);
      let step = stream.next();
      for (; !step.done; step = stream.next()) steps.push(step.value);
      expect(steps.at(-1)).toBe(1);
      for (const quantity of lineQuantities)
        step.value.get(quantity)!.forEach(({ max, min }, m) => {
          const one = extremes(solution!, outcome, m, quantity);
          const size = Math.max(Math.abs(one.max.value), Math.abs(one.min.value), 1e-12);
          expect(Math.abs(max.value - one.max.value)).toBeLessThan(1e-10 * size);
          expect(Math.abs(min.value - one.min.value)).toBeLessThan(1e-10 * size);
          const own = extremes(solution!, max.from, m, quantity);
          expect(Math.abs(own.max.value - one.max.value)).toBeLessThan(1e-10 * size);
        });
    }),
    { numRuns: 40 },
  );
});
