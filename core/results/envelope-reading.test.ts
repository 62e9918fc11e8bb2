import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model/model';
import { solve } from '../analysis/session';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { extremesRead, type ReadExtremes } from './envelope-reading';
import { quantitiesOf, type Quantity } from './quantities';
import { readCurve } from './read-curve';
import { readExtremes } from './read-extremes';
import { quantityExtremes, rangeAt } from './read-quantity';

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
    sections: any.sections.map((section, i) =>
      i === 0 ? { id: section.id, shape: { type: 'channel', h: 0.2, b: 0.08, tw: 0.008, tf: 0.012, r: 0.01 } } : section,
    ),
    combinations: [...sums, { id: 'E', type: 'envelope', of: [...sums.map(({ id }) => id), 'R'] }],
  };
};

const finished = <T>(work: Generator<number, T>): T => {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
};

test('extremes of an envelope that are found block by block are those of its parts one by one, with the part that governs; so are its bounds', () => {
  const factor = fc.constantFrom(0, 1, -1, 1.35, 0.5, -0.7, 2);
  fc.assert(
    fc.property(fc.oneof(randomSpace, randomFrame), fc.array(factor, { minLength: 8, maxLength: 8 }), (any, factors) => {
      const { solution } = solve(combined(any, factors));
      fc.pre(solution !== undefined);
      const outcome = solution!.outcomes.length - 1;
      const steps: number[] = [];
      const stream = readExtremes(solution!, outcome);
      let step = stream.next();
      for (; !step.done; step = stream.next()) steps.push(step.value);
      expect(steps.at(-1)).toBe(1);
      const reading = { extremes: step.value as ReadonlyMap<Quantity, ReadExtremes>, curves: new Map() };
      for (const quantity of quantitiesOf(solution!.structure))
        any.members.forEach((_, m) => {
          const one = quantityExtremes(solution!, outcome, m, quantity);
          const read = extremesRead(reading, quantity, m);
          expect(read === undefined).toBe(one === undefined);
          if (!one || !read) return;
          const { max, min } = read;
          const size = Math.max(Math.abs(one.max.value), Math.abs(one.min.value), 1e-12);
          expect(Math.abs(max.value - one.max.value)).toBeLessThan(1e-10 * size);
          if (quantity === 'M') expect(min.value).toBeNaN();
          else expect(Math.abs(min.value - one.min.value)).toBeLessThan(1e-10 * size);
          const own = quantityExtremes(solution!, max.from, m, quantity);
          expect(Math.abs(own!.max.value - one.max.value)).toBeLessThan(1e-10 * size);
        });
      for (const quantity of quantitiesOf(solution!.structure)) {
        const { first, xs, max, min } = finished(readCurve(solution!, outcome, quantity));
        any.members.forEach((_, m) => {
          for (let i = first[m]! + 1; i + 1 < first[m + 1]!; i++) {
            // Right at a cut a value may stand on either side of its jump.
            if (xs[i] === xs[i - 1] || xs[i] === xs[i + 1]) continue;
            const here = rangeAt(solution!, outcome, m, quantity, xs[i]!);
            expect(Number.isNaN(max[i])).toBe(here === undefined);
            if (!here) continue;
            const size = Math.max(Math.abs(here.max), Math.abs(here.min), 1);
            expect(Math.abs(max[i]! - here.max)).toBeLessThan(1e-9 * size);
            expect(Math.abs(min[i]! - here.min)).toBeLessThan(1e-9 * size);
          }
        });
      }
    }),
    { numRuns: 30 },
  );
});
