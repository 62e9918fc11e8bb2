import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../analysis/session';
import type { Model } from '../model/model';
import { clamp, EI, inRow, loadsOf, pin, roller, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { underAnyLoad } from '../test/random-loads';
import { randomSpace } from '../test/random-space';
import { energiesOf, mutualWork } from './energy';

const beam = sketch({ nodes: inRow(0, 6), members: [['a', '1', '2']], supports: [pin('1'), roller('2')], loads: [{ type: 'line', member: 'a', from: { wy: -2e3 }, to: { wy: -2e3 } }] }); // oxfmt-ignore
const given = (model: Model, ...loads: Parameters<typeof loadsOf>[0]): Model => ({ ...model, loads: loadsOf(loads) });

test('of a simple beam under an even load w²L⁵/(240 EI)', () => {
  const { work, stored } = energiesOf(solve(beam).solution!, 0)!;
  const theory = (2e3 ** 2 * 6 ** 5) / (240 * EI);
  expect([work / theory, stored / theory]).toEqual([expect.closeTo(1, 10), expect.closeTo(1, 10)]);
});

describe.each([
  ['in the plane', randomFrame],
  ['in space', randomSpace],
] as const)('work of the loads and energy of any frame %s', (_, frames) => {
  test('are the same: springs, hinges, turned supports, self weight and loads along members', () => {
    let compared = 0;
    fc.assert(
      fc.property(underAnyLoad(frames), (model) => {
        const loads = model.loads.filter(({ type }) => !['thermal', 'strain', 'settlement'].includes(type)).map((load) => (load.type === 'point' ? { ...load, mx: 0, my: 0, mz: 0 } : load)); // oxfmt-ignore
        const { solution, mechanisms } = solve({ ...model, loads });
        fc.pre(solution !== undefined && mechanisms.length === 0);
        const found = energiesOf(solution!, 0);
        if (!found) return;
        compared++;
        expect(Math.abs(found.work - found.stored)).toBeLessThanOrEqual(1e-9 * Math.max(found.work, found.stored, 1e-9));
      }),
      { numRuns: 20 },
    );
    expect(compared).toBeGreaterThan(10);
  });
});

test('a deflection that does not belong to its moments tells it', () => {
  const { solution } = solve(beam);
  const [one] = solution!.responses;
  const displacements = one!.displacements.slice();
  const coefficients = one!.coefficients.map((c) => 1.01 * c);
  const wrong = energiesOf({ ...solution!, responses: [{ ...one!, coefficients, displacements }] }, 0)!;
  expect(Math.abs(wrong.work - wrong.stored) / wrong.stored).toBeGreaterThan(5e-3);
});

test('what cannot be told is not: strains, settlements, couples between the ends, envelopes', () => {
  const read = (model: Model, outcome = 0) => energiesOf(solve(model).solution!, outcome);
  expect(read(given(beam, { type: 'thermal', member: 'a', uniform: 20 }))).toBeUndefined();
  expect(read(given(beam, { type: 'settlement', node: '2', uy: -0.01 }))).toBeUndefined();
  expect(read(given(beam, { type: 'point', member: 'a', at: 0.5, mz: 1e3 }))).toBeUndefined();
  expect(read({ ...beam, combinations: [{ id: 'E', type: 'envelope', of: ['Q'] }] }, 1)).toBeUndefined();
  expect(read({ ...beam, supports: [clamp('1')] })).toBeDefined();
});

describe.each([
  ['in the plane', randomFrame],
  ['in space', randomSpace],
] as const)('the loads of two cases on any frame %s', (_, frames) => {
  test('do the same on the movements of each other, wherever they begin and end', () => {
    let compared = 0;
    fc.assert(
      fc.property(underAnyLoad(frames), underAnyLoad(frames), (model, other) => {
        const plain = (loads: Model['loads'], id: string) =>
          loads
            .filter((load) => !['thermal', 'strain', 'settlement'].includes(load.type) && (!('member' in load) || model.members.some((one) => one.id === load.member)) && (!('node' in load) || model.nodes.some((one) => one.id === load.node)))
            .map((load, i) => ({ ...load, ...(load.type === 'point' && { mx: 0, my: 0, mz: 0 }), id: `${id}${i}`, case: id })); // oxfmt-ignore
        const cases = ['A', 'B'].map((id) => ({ id, title: id, category: 'imposed' as const }));
        const loads = [...plain(model.loads, 'A'), ...plain(other.loads, 'B')] as Model['loads'];
        const { solution, mechanisms } = solve({ ...model, cases, loads, combinations: [] });
        fc.pre(solution !== undefined && mechanisms.length === 0);
        const found = mutualWork(solution!, 0, 1);
        if (!found) return;
        compared++;
        const size = Math.max(...found.map(Math.abs), 1e-9, 1e-6 * Math.abs(energiesOf(solution!, 0)?.work ?? 0));
        expect(Math.abs(found[0] - found[1])).toBeLessThanOrEqual(1e-8 * size);
      }),
      { numRuns: 25 },
    );
    expect(compared).toBeGreaterThan(8);
  });
});
