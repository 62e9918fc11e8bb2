import { describe, expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { giveRelative } from '@rigid-beam/core/sections/relative';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import { coloured, idleIn, loadLine, weightIn } from './case-lines';
import { extremesShown, hasFoundations, isEarthquake, reactionsShown } from './results-shown';
import { begunSection, givenStep, largestSize, materialNote, sectionNote } from './section-lines';
import { supportsAlong, supportsOfKind } from './supports-placed';

/** A shed's rafter: clamped at the wall, rolling at its other end, with a tail that nothing loads. */
const rafter = sketch({
  nodes: [['1', 0, 0], ['2', 4, 3], ['3', 8, 3]],
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [clamp('1'), { node: '3', uy: 'fixed' }],
  loads: [{ type: 'node', node: '2', fy: -6e3 }],
}); // oxfmt-ignore
const edited = (model: Model, intent: Parameters<typeof applyIntent>[1]): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error('refused');
  return applied.model;
};

describe('sections', () => {
  test('are said by what tells them apart, and drawn to the scale of the largest', () => {
    const round = { id: 'post', shape: { type: 'round', d: 0.2 } } as const;
    expect(sectionNote(round, 31.416, defaultDisplay)).toMatch(/^A 314\.2 cm² · I 7854 cm⁴ · 31\.4 kg$/);
    expect(sectionNote({ id: 'mine', A: 1e-2, Iz: 2e-4, catalogue: 'HEA 100' }, undefined, defaultDisplay)).toMatch(
      /^HEA 100 · A /,
    );
    expect([largestSize([]), largestSize([round, { id: 'bar', A: 1e-4 }])]).toEqual([0, 0.2]);
  });

  test('a material is said by E, and by its density where it has one', () => {
    expect(materialNote({ id: 'oak', E: 11e9 }, defaultDisplay)).toBe('E 11 GPa');
    expect(materialNote({ id: 'oak', E: 11e9, density: 690 }, defaultDisplay)).toBe('E 11 GPa · 690 kg/m³');
  });

  test('are begun under a free name, and given in one step or none', () => {
    const first = begunSection('round', []);
    const second = begunSection('round', [first]);
    expect(first.shape?.type).toBe('round');
    expect(second.id).not.toBe(first.id);
    expect(begunSection('general', [])).toMatchObject({ A: 0.01, Iz: 1e-4 });
    expect(givenStep({ id: 'x', intents: [] }, 2)).toBeUndefined();
    const step = givenStep(giveRelative(rafter, ['a'], 3), 1)!;
    const given = edited(rafter, step);
    expect(given.members.map(({ section }) => section === rafter.members[0]!.section)).toEqual([false, true]);
  });
});

test('supports are given to many nodes in one step; along a member only where one is', () => {
  const one = supportsOfKind('pinned', rafter, ['2'])!;
  expect(one.type).toBe('put');
  const both = edited(rafter, supportsOfKind('pinned', rafter, ['2', '3'])!);
  expect(both.supports.map(({ node, ux, uy }) => [node, ux, uy])).toEqual(expect.arrayContaining([['2', 'fixed', 'fixed'], ['3', 'fixed', 'fixed']])); // oxfmt-ignore
  expect(supportsOfKind('pinned', rafter, [])).toBeUndefined();
  const alone = { ...rafter, nodes: [...rafter.nodes, { id: '9', x: 0, y: 9 }] };
  expect(supportsAlong(alone, ['9'])).toBeUndefined();
  expect(supportsAlong(alone, ['2', '9'])).toMatchObject({ type: 'put', entry: { node: '2' } });
});

describe('results in the panel', () => {
  const solution = solve(rafter).solution!;

  test('reactions have the columns that something holds, and a cell tells of what its own support holds', () => {
    const { table, componentAt } = reactionsShown(solution, 0, defaultDisplay);
    const [, x, y, m] = table.columns;
    expect(table.columns).toHaveLength(4);
    expect([componentAt(x!, 0), componentAt(y!, 0), componentAt(m!, 0)]).toEqual([0, 1, 5]);
    expect([componentAt(x!, 2), componentAt(y!, 2), componentAt(table.columns[0]!, 0)]).toEqual([undefined, 1, undefined]);
    const rolls = solve({ ...rafter, supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '3', uy: 'fixed' }] }).solution!; // oxfmt-ignore
    expect(reactionsShown(rolls, 0, defaultDisplay).table.columns).toHaveLength(3);
  });

  test('extremes are of what there is any of; the panel has four columns, what is copied all of them', () => {
    const { whole, table } = extremesShown(solution, 0, defaultDisplay);
    expect(whole.rows.length).toBeGreaterThan(4);
    expect(table.columns.map(({ key }) => key)).toEqual(['quantity', 'value', 'member', 'at']);
    expect(whole.columns.length).toBeGreaterThan(4);
    const still = extremesShown(solve({ ...rafter, loads: [] }).solution!, 0, defaultDisplay);
    expect(still.whole.rows).toEqual([]);
  });

  test('a case has neither foundations nor an earthquake, an envelope foundations', () => {
    const id = rafter.cases[0]!.id;
    const model: Model = { ...rafter, combinations: [{ id: 'E', type: 'envelope', of: [id] }] };
    const enveloped = solve(model).solution!;
    expect([0, 1].map((outcome) => hasFoundations(enveloped, outcome))).toEqual([false, true]);
    expect(isEarthquake(enveloped, 1)).toBe(false);
  });
});

describe('cases and combinations', () => {
  const [loadCase] = rafter.cases;
  const heavy: Model = { ...rafter, materials: rafter.materials.map((one) => ({ ...one, density: 7850 })) };

  test('a case weighs what its members do, times its factor; nothing where it does not count', () => {
    expect(weightIn(heavy, loadCase!)).toBeUndefined();
    const once = weightIn(heavy, { ...loadCase!, selfWeight: 1 })!;
    // 9 m of the section that sketches have: 0.005 m² of steel.
    expect(once).toBeCloseTo(9 * 0.005 * 7850 * 9.80665, 6);
    expect(weightIn({ ...heavy, gravity: 9.81 }, { ...loadCase!, selfWeight: -2 })).toBeCloseTo((-2 * once * 9.81) / 9.80665, 6);
  });

  test('a load is said in a line, with its place; brown is no colour of its own', () => {
    expect(loadLine(rafter.loads[0]!, rafter, defaultDisplay)).toMatch(/6 kN.*2/);
    expect(coloured({ ...loadCase!, colour: 'olive' }, 'brown')).not.toHaveProperty('colour');
    expect(coloured(loadCase!, 'olive').colour).toBe('olive');
  });

  test('what governs nowhere is told of the model that it was found of, and of no other', () => {
    const counts = new Map([['U1', 4], ['U2', 0]]); // oxfmt-ignore
    expect([...idleIn({ model: rafter, counts }, rafter)]).toEqual(['U2']);
    expect(idleIn({ model: rafter, counts }, heavy).size + idleIn(undefined, rafter).size).toBe(0);
  });
});
