import { describe, expect, test } from '@jest/globals';
import { solve } from '../analysis/session';
import { supportChecks } from '../results/support-checks';
import { sketch, type LooseLoad } from '../test/build';
import { applyIntent } from './edits/apply-intent';
import { copyCase } from './edits/copy-case';
import type { Intent } from './edits/intent';
import { loadChecks } from './load-checks';
import { scaledLoad } from './loads/scaled';
import type { Load, Model } from './model';

const held = { ux: 'fixed', uy: 'fixed', rz: 'fixed' } as const;
const beam = (loads: readonly LooseLoad[], extra: Partial<Model> = {}): Model =>
  sketch({
    nodes: [['1', 0, 0], ['2', 4, 3], ['3', 8, 3], ['x', 9, 9]],
    members: [['a', '1', '2', { behaviour: 'truss' }], ['b', '2', '3']],
    supports: [{ node: '1', ...held }, { node: '2', ...held }, { node: '3', ...held }],
    loads,
    extra: { cases: [{ id: 'Q', category: 'imposed' }], ...extra },
  }); // oxfmt-ignore
const after = (model: Model, intent: Intent): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const codes = (model: Model): string[] => loadChecks(model).map(({ code }) => code);
const line: LooseLoad = { type: 'line', member: 'b', from: { wy: -1e3 }, to: { wy: -1e3 } };

describe('what of the loads is worth a look', () => {
  test('nothing, where all is in order', () => expect(codes(beam([line]))).toEqual([]));

  test.each<[string, Model, RegExp]>([
    ['a load of no size', beam([line, { ...line, from: { wy: 0 }, to: {} }]), /^Load 2 has no size\./],
    ['a load on a loose node', beam([line, { type: 'node', node: 'x', fy: -1 }]), /^Load 2 stands on a node that no member meets/],
    ['one that is a thousand times larger', beam([line, line, line, { ...line, from: { wy: -1e6 }, to: { wy: -1e6 } }]), /^Load 4 is a thousand times/],
    ['a case in which nothing acts', beam([line], { cases: [{ id: 'Q', category: 'imposed' }, { id: 'S', category: 'snow' }] }), /^Case S has no loads/],
    ['self weight twice', beam([line], { cases: [{ id: 'Q', category: 'imposed', selfWeight: 1 }, { id: 'G', category: 'permanent', selfWeight: 1 }] }), /^Self weight is included in Q and in G/],
    ['self weight never', beam([{ ...line, case: 'G' }], { cases: [{ id: 'G', category: 'permanent' }], materials: [{ id: 'm', E: 2e11, density: 7850 }] }), /^No load case includes self weight/],
  ])('%s, and its remedy ends it', (_, model, words) => {
    const [found] = loadChecks(model);
    expect(found!.words).toMatch(words);
    expect(codes(after(model, found!.remedy!.intent))).not.toContain(found!.code);
  }); // oxfmt-ignore

  test('loads between the joints of a truss member become forces on its joints, with the same reactions', () => {
    const model = beam([
      { type: 'line', member: 'a', axes: 'projected', from: { at: 0.2, wy: -2e3 }, to: { wy: -500 } },
      { type: 'point', member: 'a', at: 1.5, measure: 'length', fx: 300, fy: -700 },
    ]);
    const [found] = loadChecks(model);
    expect(found!.words).toBe('Loads 1, 2 bend truss members between the joints.');
    const mended = after(model, found!.remedy!.intent);
    expect(codes(mended)).toEqual([]);
    const [before, then] = [model, mended].map((one) => solve(one).solution!.responses[0]!.equilibrium.applied);
    then!.forEach((value, k) => expect(value).toBeCloseTo(before![k]!, 6));
    // Across a member there is no such thing in global directions.
    expect(loadChecks(beam([{ ...line, member: 'a', axes: 'local' } as LooseLoad]))[0]!.remedy).toBeUndefined();
  });
});

test('supports that carry nothing in any case, and those that are pulled up, are told', () => {
  const seesaw = sketch({
    nodes: [['1', 0, 0], ['2', 4, 0], ['3', 6, 0], ['4', 20, 0], ['5', 24, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '4', '5']],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }, { node: '4', ...held }],
    loads: [{ type: 'node', node: '3', fy: -1000 }],
  }); // oxfmt-ignore
  const { solution } = solve(seesaw);
  expect(supportChecks(seesaw, solution!, 0)).toEqual([
    { code: 'uplift', node: '1', force: expect.closeTo(500, 6) },
    { code: 'idle-support', node: '4', force: 0 },
  ]);
});

test('a case is copied with all its loads, so many times as large; cases stand in another order', () => {
  const model = beam([
    line,
    { type: 'thermal', member: 'b', uniform: 20 },
    { type: 'point', member: 'b', at: 0.3, fx: 5, mz: -2 },
  ]);
  const { id, intents } = copyCase(model, 'Q', -0.5)!;
  const copied = after(model, { type: 'batch', intents });
  expect(copied.cases.map((one) => one.id)).toEqual(['Q', id]);
  const mine = copied.loads.filter((load) => load.case === id);
  expect(mine).toMatchObject([{ from: { wy: 500 } }, { uniform: -10 }, { at: 0.3, fx: -2.5, mz: 1 }]);
  const area = { id: '1', case: 'Q', type: 'area', members: ['b'], width: 4, pressure: 800 } as Load;
  expect(scaledLoad(area, 2)).toMatchObject({ width: 4, pressure: 1600 });
  const turned = after(copied, { type: 'order', list: 'cases', keys: [id, 'Q'] });
  expect(turned.cases.map((one) => one.id)).toEqual([id, 'Q']);
  expect(applyIntent(copied, { type: 'order', list: 'cases', keys: ['Q', 'Q'] })).toMatchObject({ ok: false });
});
