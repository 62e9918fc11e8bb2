import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../analysis/session';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { clamp, inRow, loadsOf, roller, sketch } from '../test/build';
import { underAnyLoad } from '../test/random-loads';
import { randomFrame } from '../test/random-frame';
import { recheck } from './recheck';

const beam = checkModel(
  sketch({
    nodes: inRow(0, 4, 9),
    members: [
      ['a', '1', '2'],
      ['b', '2', '3'],
    ],
    supports: [clamp('1'), roller('2'), roller('3')],
    loads: [{ type: 'chain', members: ['a', 'b'], from: { wy: -4e3 }, to: { wy: -9e3 } }],
    extra: {
      cases: [{ id: 'Q', category: 'imposed' }, { id: 'G', category: 'permanent', selfWeight: 1 }, { id: 'T', category: 'traffic' }],
      combinations: [
        { id: 'U', type: 'sum', factors: { G: 1.35, Q: 1.5, T: -2 } },
        { id: 'E', type: 'envelope', of: ['U', 'G'] },
      ],
    },
  }),
).model!; // oxfmt-ignore
const model: Model = { ...beam, loads: [...beam.loads, ...loadsOf([{ type: 'train', members: ['a', 'b'], stands: 5, axles: [3e4, 2e4], spacings: [2] }, { type: 'settlement', node: '2', uy: -2e-3 }], 'T').map((one, i) => ({ ...one, id: `t${i}` }))] }; // oxfmt-ignore
const at = (some: Model, id: string) => {
  const { solution } = solve(some);
  return { solution: solution!, outcome: solution!.outcomes.findIndex((one) => one.id === id) };
};

describe('another way to the same answer', () => {
  test('agrees for cases and sums of them: runs, trains, settlements and self weight with their factors', () => {
    for (const id of ['Q', 'G', 'T', 'U']) {
      const { solution, outcome } = at(model, id);
      const found = recheck(model, solution, outcome, 'none');
      expect([id, found]).toEqual([id, expect.objectContaining({ status: 'compared', values: 3 * 12 + 2 * 6 * 8 })]);
      expect(found.status === 'compared' && found.difference).toBeLessThan(1e-9);
    }
  });

  test('of any frame under any load', () => {
    fc.assert(
      fc.property(underAnyLoad(randomFrame), (some) => {
        const results = solve(some);
        fc.pre(results.status === 'solved' && results.mechanisms.length === 0);
        const found = recheck(some, results.solution!, 0, 'none');
        expect(found.status === 'compared' && found.difference).toBeLessThan(1e-8);
      }),
      { numRuns: 10 },
    );
  });

  test('of sections of a catalogue, lying and relative ones, bars with nothing but an area, and in space', () => {
    const nodes = inRow(0, 4, 9);
    const shaped = { ...model, sections: [{ id: 's', shape: { type: 'i', h: 0.22, b: 0.11, tw: 0.0059, tf: 0.0092, r: 0.012 } }], members: model.members.map((one) => ({ ...one, roll: 90 })) }; // oxfmt-ignore
    const relative = { ...model, sections: [{ id: 's', relative: { I: 2 } }] };
    const { sections, ...rest } = sketch({
      nodes: [...nodes, ['4', 4, 3]],
      members: ([['1', '2'], ['3', '2'], ['1', '4'], ['4', '3'], ['2', '4']] as const).map(([a, b]) => [`${a}-${b}`, a, b, { behaviour: 'truss' }]),
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, roller('3')],
      loads: [{ type: 'point', member: '1-2', at: 0.3, fy: -1e4 }, { type: 'node', node: '4', fx: 5e3 }],
    }); // oxfmt-ignore
    const truss = { ...rest, sections: sections.map(({ id, A }) => ({ id, A: A! })) };
    const space = { ...beam, space: 'space', supports: beam.supports.map((one) => ({ ...one, uz: 'fixed', rx: 'fixed', ry: 'fixed' })) }; // oxfmt-ignore
    for (const [i, some] of [shaped, relative, truss, space].entries()) {
      const made = checkModel(some).model!;
      const { solution, notices } = solve(made);
      if (!solution) throw new Error(notices.map(({ message }) => message).join());
      const found = recheck(made, solution, 0, 'none');
      expect([i, found]).toEqual([i, expect.objectContaining({ status: 'compared' })]);
      expect([i, found.status === 'compared' && found.difference < 1e-9 ? '' : found]).toEqual([i, '']);
    }
    const solution = solve(checkModel(space).model!).solution!;
    const stiffnesses = solution.structure.stiffnesses.slice();
    stiffnesses[1] = 0;
    const limp = { ...solution, structure: { ...solution.structure, stiffnesses } };
    expect(recheck(checkModel(space).model!, limp, 0, 'none')).toEqual({ status: 'torsion' });
  });

  test('says what differs and by how much when an answer is wrong', () => {
    const { solution, outcome } = at(model, 'Q');
    const [first, ...others] = solution.responses;
    const displacements = first!.displacements.slice();
    const largest = Math.max(...solution.responses[0]!.displacements.map(Math.abs));
    displacements[6 * 2 + 5]! += 0.01 * largest;
    const wrong = { ...solution, responses: [{ ...first!, displacements }, ...others] };
    expect(recheck(model, wrong, outcome, 'none')).toMatchObject({ status: 'compared', where: { node: '3' } });
    const broken = recheck(model, wrong, outcome, 'none');
    expect(broken.status === 'compared' && broken.difference).toBeGreaterThan(0.005);
    displacements[6 * 2 + 5] = NaN;
    expect(recheck(model, wrong, outcome, 'none')).toMatchObject({ difference: NaN });
  });

  test('is not gone where there is no one answer, where something is loose, or where it would take too long', () => {
    const { solution, outcome } = at(model, 'E');
    expect(recheck(model, solution, outcome, 'none')).toEqual({ status: 'range' });
    expect(recheck(model, solution, 0, 'held')).toEqual({ status: 'loose' });
    const long = sketch({ nodes: inRow(...Array.from({ length: 150 }, (_, i) => i)), members: Array.from({ length: 149 }, (_, i) => [`${i}`, `${i + 1}`, `${i + 2}`] as const), supports: [clamp('1')] }); // oxfmt-ignore
    expect(recheck(long, solve(long).solution!, 0, 'none')).toEqual({ status: 'large', unknowns: 897 });
    const sway: Model = { ...model, loads: [...model.loads, { id: 'n', case: 'Q', type: 'notional', of: 'G', share: 0.005, direction: '+x' } as never] }; // oxfmt-ignore
    expect(recheck(sway, at(model, 'Q').solution, 0, 'none')).toEqual({ status: 'share' });
  });
});
