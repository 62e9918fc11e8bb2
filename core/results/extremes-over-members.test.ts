import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { finished } from '../steps';
import { ball, clamp, clamp3, inRow, roller, sketch, solved } from '../test/build';
import { extremesOverMembers, overMembersInSteps } from './extremes-over-members';
import { quantitiesOf, quantityTable } from './quantities';
import { quantityExtremes } from './read-quantity';

const spans = 9;
const members = Array.from({ length: spans }, (_, i) => [`m${i}`, String(i + 1), String(i + 2)] as const);

/** The same row in the plane, or in space, where members lie askew and are loaded across both axes. */
function row(space: 'plane' | 'space', loads: readonly (readonly [number, number, number])[]) {
  const places = [0, 3, 7, 12, 15, 19, 24, 27, 31, 36];
  const isSpace = space === 'space';
  return sketch({
    nodes: places.map((x, i) => (isSpace ? [String(i + 1), x, i % 2, (i * i) % 5] : [String(i + 1), x, 0])),
    members,
    supports: isSpace ? [clamp3('1'), ball('4'), ball('7'), ball('10')] : [clamp('1'), roller('4'), roller('7'), roller('10')],
    extra: { sections: [{ id: 's', shape: { type: 'rectangle', h: 0.3, b: 0.1 } }] },
    loads: loads.flatMap(([from, to, force], i) => [
      { type: 'line', member: `m${i}`, from: { wy: from * 1e3 }, to: { wy: to * 1e3, wx: 50 * force } } as const,
      { type: 'point', member: `m${i}`, at: 0.3, fy: force * 1e3, ...(isSpace && { fz: to * 1e3, mx: from * 1e2 }) } as const,
    ]),
  });
}

test('what is passed over would have changed nothing: the same extremes as by looking at every member', () => {
  const size = fc.integer({ min: -20, max: 20 });
  const loads = fc.array(fc.tuple(size, size, size), { minLength: spans, maxLength: spans });
  fc.assert(
    fc.property(fc.constantFrom('plane' as const, 'space' as const), loads, (space, own) => {
      const { solution } = solved(row(space, own));
      for (const quantity of quantitiesOf(solution.structure)) {
        const all = members.map((_, m) => quantityExtremes(solution, 0, m, quantity)!).filter(Boolean);
        const found = extremesOverMembers(solution, 0, quantity);
        const counting = finished(overMembersInSteps(solution, 0, quantity, 'those that count'));
        if (all.length === 0) return expect([found, counting]).toEqual([undefined, undefined]);
        const most = Math.max(...all.map(({ max }) => max.value));
        const least = Math.min(...all.map(({ min }) => min.value));
        const scale = Math.max(Math.abs(most), Math.abs(least), 1e-30);
        expect(Math.abs(found!.max.value - most) / scale).toBeLessThan(2e-9);
        expect(Math.abs(found!.min.value - least) / scale).toBeLessThan(2e-9);
        expect(found!.max.value).toBe(all[found!.max.member]!.max.value);
        expect(counting).toEqual(quantityTable[quantity].derived?.isMagnitude ? { max: found!.max, min: found!.max } : found);
      }
    }),
    { numRuns: 60 },
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
