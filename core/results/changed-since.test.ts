import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../analysis/session';
import type { Model } from '../model/model';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { changedSince } from './changed-since';
import { lineQuantities, type Quantity } from './quantities';
import { nodalAt, valueAt } from './read';

const SUM: Partial<Model> = { combinations: [{ id: 'U', title: '', type: 'sum', factors: { Q: 1.5 } }] };

test('what has changed is in each place what is now less what was then, whatever loads and joints are by now', () => {
  let compared = 0;
  fc.assert(
    fc.property(underAnyLoad(randomFrame), fc.nat(), fc.integer({ min: -9, max: 9 }), (frame: Model, pick, more) => {
      const before: Model = { ...frame, ...SUM };
      const which = before.members[pick % before.members.length]!;
      const after: Model = {
        ...before,
        sections: [...before.sections, { ...before.sections[0]!, id: 'stiffer', Iz: 3e-5 }],
        members: before.members.map((one) => (one === which ? { ...one, section: 'stiffer', ...(one.behaviour ? {} : { releases: { end: { mz: 2e5 } } }) } : one)),
        loads: [...before.loads, { id: 'more', case: before.cases[0]!.id, type: 'point', member: which.id, at: 0.37, fy: 1e3 * more }],
      };
      const [then, now] = [solve(before).solution, solve(after).solution];
      if (!then || !now) return;
      const change = changedSince(now, then, 'Q');
      if (typeof change === 'string') throw new Error(change);
      const [last, at] = [change.outcomes.length - 1, now.outcomes.findIndex(({ id }) => id === 'Q')];
      for (const m of now.structure.names.members.keys())
        for (const part of [0, 0.2, 0.5, 0.83, 1])
          for (const quantity of lineQuantities) {
            const x = part * now.structure.lengths[m]!;
            const [there, here] = [then, now].map((one) => valueAt(one, at, m, quantity, x)) as [number, number];
            expect(Math.abs(valueAt(change, last, m, quantity, x) - (here - there))).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(here), Math.abs(there)));
          }
      for (const f of [1, 7, 8]) expect(nodalAt(change, last, 'reactions', f)).toBeCloseTo(nodalAt(now, at, 'reactions', f) - nodalAt(then, at, 'reactions', f), 4);
      compared++;
      // Of a section that is another by now no stress is told as if it were one.
      const m = after.members.findIndex(({ id }) => id === which.id);
      expect(change.fibres[m]).toBeUndefined();
      expect(change.fibres.filter((one) => one !== undefined)).toHaveLength(now.fibres.filter((one, i) => one !== undefined && i !== m).length);
    }),
    { numRuns: 40 },
  );
  expect(compared).toBeGreaterThan(30);
}); // oxfmt-ignore

test('it is not told where places are not the same, nor of what is no single value', () => {
  const before: Model = { ...fc.sample(randomFrame, { numRuns: 1, seed: 4 })[0]!, ...SUM };
  const then = solve(before).solution!;
  const after = (change: Partial<Model>, id = 'Q'): unknown => {
    const { solution } = solve({ ...before, ...change });
    return changedSince(solution!, then, id);
  };
  expect(after({ nodes: before.nodes.map((node, i) => (i === 1 ? { ...node, x: node.x + 0.1 } : node)) })).toMatch(/node “t0” stands elsewhere by now/); // oxfmt-ignore
  const { start, end, ...rest } = before.members[0]!;
  expect(after({ members: [...before.members, { ...rest, id: 'new', start, end: before.members.at(-1)!.end }] })).toMatch(/member “new” is not in both states/); // oxfmt-ignore
  expect(after({ members: [{ ...rest, start: end, end: start }, ...before.members.slice(1)] })).toMatch(/member “.+” runs otherwise by now/); // oxfmt-ignore
  expect(after({}, 'nobody')).toMatch(/There is no nobody in both states/);
  expect(after({ combinations: [{ id: 'U', title: '', type: 'envelope', of: ['Q'] }] }, 'U')).toMatch(
    /U is no single value in both states/,
  );
  const now = solve(before).solution!;
  const [one, other] = [changedSince(now, then, 'Q'), changedSince(now, then, 'U')];
  // Whoever asks again gets the very same, whichever was asked for between.
  expect([changedSince(now, then, 'Q') === one, changedSince(now, then, 'U') === other]).toEqual([true, true]);
  const quantity: Quantity = 'Mz';
  const same = changedSince(solve(before).solution!, then, 'U');
  expect(typeof same === 'object' && Math.abs(valueAt(same, same.outcomes.length - 1, 0, quantity, 1))).toBeLessThan(1e-9);
});
