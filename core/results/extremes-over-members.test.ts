import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp, inRow, roller, sketch, solved } from '../test/build';
import { extremesOverMembers } from './extremes-over-members';
import { quantitiesOf } from './quantities';
import { quantityExtremes } from './read-quantity';

const spans = 9;
const members = Array.from({ length: spans }, (_, i) => [`m${i}`, String(i + 1), String(i + 2)] as const);

test('what is passed over would have changed nothing: the same extremes as by looking at every member', () => {
  const size = fc.integer({ min: -20, max: 20 });
  fc.assert(
    fc.property(fc.array(fc.tuple(size, size, size), { minLength: spans, maxLength: spans }), (loads) => {
      const { solution } = solved(
        sketch({
          nodes: inRow(0, 3, 7, 12, 15, 19, 24, 27, 31, 36),
          members,
          supports: [clamp('1'), roller('4'), roller('7'), roller('10')],
          loads: loads.flatMap(([from, to, force], i) => [
            { type: 'line', member: `m${i}`, from: { wy: from * 1e3 }, to: { wy: to * 1e3, wx: 50 * force } } as const,
            { type: 'point', member: `m${i}`, at: 0.3, fy: force * 1e3 } as const,
          ]),
        }),
      );
      for (const quantity of quantitiesOf(solution.structure)) {
        const all = members.map((_, m) => quantityExtremes(solution, 0, m, quantity)!).filter(Boolean);
        const found = extremesOverMembers(solution, 0, quantity);
        if (all.length === 0) return expect(found).toBeUndefined();
        const most = Math.max(...all.map(({ max }) => max.value));
        const least = Math.min(...all.map(({ min }) => min.value));
        const scale = Math.max(Math.abs(most), Math.abs(least), 1e-30);
        expect(Math.abs(found!.max.value - most) / scale).toBeLessThan(2e-9);
        expect(Math.abs(found!.min.value - least) / scale).toBeLessThan(2e-9);
        expect(found!.max.value).toBe(all[found!.max.member]!.max.value);
      }
    }),
    { numRuns: 40 },
  );
});

test('of an envelope a member is passed over only where none of its parts reaches beyond what is known', () => {
  const pull = (node: string, of: string, fx: number) => ({ type: 'node', case: of, node, fx }) as const;
  const model = sketch({
    nodes: [...inRow(0, 3), ['3', 0, 4], ['4', 3, 4]],
    members: [
      ['a', '1', '2'],
      ['b', '3', '4'],
    ],
    supports: [clamp('1'), clamp('3')],
    loads: [pull('2', 'A', 1e3), pull('4', 'B', 7e3)],
    extra: {
      cases: ['A', 'B'].map((id) => ({ id, category: 'imposed' as const })),
      combinations: [{ id: 'E', type: 'envelope', of: ['A', 'B'] }],
    },
  });
  const { solution } = solved(model);
  const outcome = solution.outcomes.findIndex(({ id }) => id === 'E');
  expect(extremesOverMembers(solution, outcome, 'N')!.max).toMatchObject({
    member: 1,
    value: expect.closeTo(7e3, 6) as unknown as number,
  });
});
