import { describe, expect, test } from '@jest/globals';
import { solve } from '../../../analysis/session';
import { checkModel } from '../../../model/check';
import type { Model } from '../../../model/model';
import { defaultDisplay } from '../../../quantities/display';
import { extremesOverMembers } from '../../../results/extremes-over-members';
import { clamp, clamp3, inRow, pin, roller, sketch } from '../../../test/build';
import { crossed } from '../../../test/closed-forms/one-sided';
import { headlinesOf, memberLines } from './headlines';
import { closerLooks, judgementsOf, recheckWords } from './right';

const display = defaultDisplay;
const lines = (given: Model, outcome: number): string[] => {
  const model = checkModel(given).model!;
  const solution = solve(model).solution!;
  return headlinesOf({ model, solution, outcome, display }, (quantity) => extremesOverMembers(solution, outcome, quantity)).map(({ title, value, words }) => `${title}: ${value} ${words}`); // oxfmt-ignore
};
const judged = (given: Model, outcome: number, drawn: 'Mz' | 'My' = 'Mz'): string[] => {
  const model = checkModel(given).model!;
  const solution = solve(model).solution!;
  const asked = { model, solution, outcome, display, drawn };
  const quick = judgementsOf(asked, (quantity) => extremesOverMembers(solution, outcome, quantity));
  return [...quick, ...closerLooks.flatMap((look) => look(asked) ?? [])].map(({ words, is }) => (is === 'well' ? words : `! ${words}`)); // oxfmt-ignore
};

const L = 8;
const w = 12e3;
const two = sketch({
  nodes: inRow(0, L, 2 * L),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [pin('1'), roller('2'), roller('3')],
  loads: [{ type: 'line', member: 'a', from: { wy: -w }, to: { wy: -w } }],
  extra: { combinations: [{ id: 'U', type: 'sum', factors: { Q: -2 } }, { id: 'E', type: 'envelope', of: ['Q', 'U'] }] },
}); // oxfmt-ignore

test('two equal spans, one loaded: the largest moment is 49/512 wL², at 7/16 of its span; shear, movement as a part of the span', () => {
  const [moment, force, movement, ...rest] = lines(two, 0);
  const M = ((49 / 512) * w * L * L) / 1e3;
  expect(moment).toBe(
    `Largest moment: ${Number(M.toPrecision(4))} kN·m in member a, ${(7 / 16) * L} m from node 1, tension below`,
  );
  expect(force).toBe(`Largest shear force: ${Number(((9 / 16) * w * L / 1e3).toPrecision(4))} kN in member a at node 2`); // oxfmt-ignore
  expect(movement).toMatch(/^Largest movement: [\d.]+ mm down, in member a, 3\.\d+ m from node 1, span\/\d+$/);
  expect(rest).toEqual([]);
});

test('of an envelope each says the combination that it comes from', () => {
  const [moment, , movement] = lines(two, 2);
  expect(moment).toMatch(/tension above, in U$/);
  expect(movement).toMatch(/mm up, in member a, .* span\/\d+, in U$/);
});

test('a mast under wind: compression, sway as a part of its height, tension on the windward side, stress beside its yield', () => {
  const mast = sketch({
    nodes: [['1', 0, 0], ['2', 0, 6]],
    members: [['m', '1', '2']],
    supports: [clamp('1')],
    loads: [{ type: 'node', node: '2', fx: 3e3, fy: -5e4 }],
    section: { Wz: 1e-4 },
  }); // oxfmt-ignore
  const strong = { ...mast, materials: mast.materials.map((one) => ({ ...one, fy: 355e6 })) };
  const drop = (3e3 * 6 ** 3) / (3 * 200e9 * 1e-5);
  const [moment, force, movement, stress] = lines(strong, 0);
  expect(moment).toBe('Largest moment: 18 kN·m in member m at node 1, tension on the left');
  expect(force).toBe('Largest axial force: 50 kN in member m at node 1, compression');
  expect(movement).toBe(`Largest movement: ${(drop * 1e3).toPrecision(3).replace(/0+$/, '').replace(/\.$/, '')} mm to the right, in member m at node 2, height/${Math.round(6 / drop)}`); // oxfmt-ignore
  expect(stress).toMatch(/^Highest stress: 190 .*in member m at node 1, compression, 53\.5 % of its yield stress$/);
  expect(judged(strong, 0)).toContainEqual(expect.stringMatching(/^The largest movement is 1\/56 of the height: small enough/));
  const soft = { ...mast, sections: mast.sections.map((one) => ({ ...one, Iz: 8e-6 })) };
  expect(judged(soft, 0)).toContainEqual(expect.stringMatching(/^! The largest movement is 1\/44 of the height/));
});

test('a cantilever hangs by a part of its length', () => {
  const beam = sketch({ nodes: inRow(0, 3), members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -1e3 }] }); // oxfmt-ignore
  expect(lines(beam, 0)[2]).toMatch(/mm down, in member a at node 2, length\/667 of the cantilever$/);
});

test('what carries nothing, and what bends about the axis that is not drawn, ask for a look', () => {
  const idle = { ...two, nodes: [...two.nodes, { id: '4', x: L, y: 3 }], members: [...two.members, { ...two.members[0]!, id: 'flag', start: '2', end: '4' }] }; // oxfmt-ignore
  expect(judged(idle, 0)).toContainEqual('! 1 member carries nothing: flag.');
  const stiff = { ...two, sections: two.sections.map((one) => ({ ...one, Iz: 1e-4 })) };
  expect(judged(stiff, 0)).toEqual([
    expect.stringMatching(/^Loads and reactions, and the forces at every joint, balance (to \d+ digits|exactly)\.$/),
    expect.stringMatching(/^1[3-6] of 16 digits/),
    expect.stringMatching(/small enough/),
    expect.stringMatching(/^The work of the loads is the energy in members and springs(, to \d+ digits)?\.$/),
    'Every member carries something.',
  ]);
  const arm = sketch({ nodes: [['1', 0, 0, 0], ['2', 4, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1')], loads: [{ type: 'node', node: '2', fy: -1e3, fz: 2e3 }] }); // oxfmt-ignore
  expect(judged(arm, 0)).toContainEqual('! The bending moment about y is larger, 8 kN·m, than what is drawn, 4 kN·m.');
  expect(judged(arm, 0, 'My').join()).not.toMatch(/is larger/);
});

test('of members that act one way those that are slack are told, and those that never act', () => {
  const model = sketch({ ...crossed(9e3), extra: { combinations: [{ id: 'U', type: 'sum', factors: { Q: -1 } }] } });
  const slack = (given: Model): string[] => judged(given, 0).filter((words) => /[Ss]lack/.test(words));
  expect(slack(model)).toEqual([expect.stringMatching(/^Slack: “down”\. No member that acts one way has a force of the other way, (exactly|to 1\d digits)\.$/)]); // oxfmt-ignore
  expect(slack({ ...model, combinations: [] })[1]).toBe('! Slack in every case and combination: “down”.');
});

test('what another way found is said with its digits, or why it was not gone', () => {
  const where = { member: 'b', quantity: 'Mz' } as const;
  expect(recheckWords({ status: 'compared', difference: 3e-12, where, values: 1200 }, display)).toEqual({ key: 'recheck', is: 'well', words: 'Solved once more in another way, 1,200 values agree to 11 digits; most apart are those Mz in b.' }); // oxfmt-ignore
  expect(recheckWords({ status: 'compared', difference: 0.02, where: { node: '4' }, values: 9 }, display).is).toBe('to be looked at'); // oxfmt-ignore
  expect(recheckWords({ status: 'compared', difference: NaN, where: { node: '4' }, values: 9 }, display).is).toBe('to be looked at'); // oxfmt-ignore
  expect(recheckWords({ status: 'large', unknowns: 4242 }, display).words).toMatch(/4,242 unknowns/);
});

test('of one member each line stands for itself, without its name', () => {
  const model = checkModel(two).model!;
  const solution = solve(model).solution!;
  const told = memberLines({ model, solution, outcome: 0, display, members: [1] });
  expect(told.map(({ title, words }) => `${title} ${words}`)).toEqual([
    'Moment at node 2, tension above',
    'Shear force at node 2',
    expect.stringMatching(/^Movement up, 3\.\d+ m from node 2, span\/\d+$/),
  ]);
});

test('of an envelope a moment says the axial force with it, an axial force the moment, in that combination', () => {
  const mast = sketch({
    nodes: [['1', 0, 0], ['2', 0, 5]], members: [['m', '1', '2']], supports: [clamp('1')],
    extra: {
      cases: [{ id: 'G', category: 'permanent' }, { id: 'W', category: 'wind' }],
      loads: [{ id: 'g', case: 'G', type: 'node', node: '2', fy: -10e3 }, { id: 'w', case: 'W', type: 'node', node: '2', fx: 2e3 }],
      combinations: [
        { id: 'U1', type: 'sum', factors: { G: 1.35, W: 0.5 } },
        { id: 'U2', type: 'sum', factors: { G: 1, W: 1.5 } },
        { id: 'E', type: 'envelope', of: ['U1', 'U2'] },
      ],
    },
  }); // oxfmt-ignore
  const [moment, force] = lines(mast, 4);
  expect(moment).toBe('Largest moment: 15 kN·m in member m at node 1, tension on the left, in U2 with 10 kN compression');
  expect(force).toBe('Largest axial force: 13.5 kN in member m at node 1, compression, in U1 with a moment of 5 kN·m');
});

test('what bends is a part of its span beside the line between its ends, however far these give way', () => {
  const beam = (uy: 'fixed' | number) =>
    sketch({
      nodes: inRow(0, 6),
      members: [['a', '1', '2']],
      supports: [{ node: '1', ux: 'fixed', uy }, { node: '2', uy }],
      loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
    }); // oxfmt-ignore
  const [stiff, soft] = ['fixed' as const, 2e5].map((uy) => lines(beam(uy), 0)[2]!);
  expect(stiff).toMatch(/, span\/\d+$/);
  expect(/span\/\d+/.exec(soft!)![0]).toBe(/span\/\d+/.exec(stiff!)![0]);
  expect(soft).not.toBe(stiff);
});

describe('a symmetric shed', () => {
  const shed = (loads: Model['loads'], change: Partial<Model> = {}): Model => ({
    ...sketch({
      nodes: [['a', 0, 0], ['b', 0, 3], ['c', 6, 3], ['d', 6, 0]], members: [['l', 'a', 'b'], ['m', 'b', 'c'], ['r', 'c', 'd']],
      supports: [clamp('a'), clamp('d')],
    }),
    cases: ['G', 'W'].map((id) => ({ id, title: id, category: 'imposed' })), loads, ...change,
  }); // oxfmt-ignore
  const loads = [
    { id: '1', case: 'G', type: 'line', member: 'm', from: { wy: -5e3 }, to: { wy: -5e3 } },
    { id: '2', case: 'W', type: 'node', node: 'b', fx: 3e3, fy: -2e3 },
  ] as Model['loads'];
  const said = (model: Model, outcome: number, key: string) =>
    closerLooks.flatMap((look) => look({ model, solution: solve(model).solution!, outcome, display: defaultDisplay }) ?? []).find((one) => one.key === key); // oxfmt-ignore

  test('moves symmetrically under what is symmetric; what is not alike on both sides is told', () => {
    expect(said(shed(loads), 0, 'symmetry')?.words).toBe('The structure is symmetric about X = 3 m, and moves symmetrically.');
    expect(said(shed(loads), 1, 'symmetry')).toMatchObject({ words: 'The structure is symmetric about X = 3 m; what acts is not.', is: 'well' }); // oxfmt-ignore
    const foot = shed(loads, { supports: [clamp('a'), { node: 'd', ux: 'fixed', uy: 'fixed' }] });
    expect(said(foot, 0, 'symmetry')).toMatchObject({ words: 'The shape is symmetric about X = 3 m, the supports are not.', is: 'to be looked at' }); // oxfmt-ignore
    const sliding = shed(loads, { supports: [{ node: 'a', ux: 'fixed', uy: 'fixed', rz: 'fixed' }, { node: 'd', uy: 'fixed', rz: 'fixed' }] }); // oxfmt-ignore
    expect(said(sliding, 0, 'symmetry')?.words).toMatch(/moves symmetrically/);
  });

  test('two cases do the same on each other', () => {
    expect(said(shed(loads), 0, 'reciprocity')).toMatchObject({
      words: expect.stringMatching(
        /^The loads of G do on the movements of W what those of W do on the movements of G(, to 1\d digits)?\.$/,
      ),
      is: 'well',
    });
  });
});
