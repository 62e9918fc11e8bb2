import { expect, test } from '@jest/globals';
import { AnalysisSession, solve } from '../../analysis/session';
import { sketch } from '../../test/build';
import { checkModel } from '../check';
import { applyIntent } from '../edits/apply-intent';
import type { Load, Model } from '../model';

const held = { ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' } as const;
/** A frame in space with loads of every kind in G, and a sway of 1/200 of them in N. */
const model = (direction = 'right', more: Partial<Model> = {}): Model =>
  sketch({
    nodes: [['1', 0, 0, 0], ['2', 0, 3, 0], ['3', 5, 4, 2], ['4', 5, 0, 2]],
    members: [['a', '1', '2'], ['b', '2', '3', { roll: 30 }], ['c', '4', '3']],
    supports: [{ node: '1', ...held }, { node: '4', ...held }],
    extra: {
      materials: [{ id: 'm', E: 200e9, G: 80e9, density: 7850 }],
      cases: [{ id: 'G', category: 'permanent', selfWeight: 1.1 }, { id: 'N', category: 'other' }],
      loads: [
        { id: '1', case: 'G', type: 'node', node: '3', fy: -4000, fx: 100 },
        { id: '2', case: 'G', type: 'point', member: 'b', at: 0.3, axes: 'local', fy: -900, fz: 500 },
        { id: '3', case: 'G', type: 'line', member: 'b', axes: 'projected', from: { wy: -700 }, to: { at: 0.8, wy: -200 } },
        { id: '4', case: 'G', type: 'line', member: 'a', axes: 'local', from: { wx: -300, wy: 80 }, to: { wx: -300 } },
        { id: '5', case: 'G', type: 'chain', members: ['a', 'b'], from: { wy: -100 }, to: { wy: -900 } },
        { id: '6', case: 'N', type: 'notional', of: 'G', share: 1 / 200, direction } as Load,
      ],
      ...more,
    },
  }); // oxfmt-ignore

const applied = (one: Model): readonly number[][] =>
  solve(one).solution!.responses.map(({ equilibrium }) => [...equilibrium.applied]);

test.each([['right', 0, 1], ['left', 0, -1], ['forward', 2, 1], ['back', 2, -1]] as const)(
  'a share of all that is vertical acts to the %s, self weight included, at the same heights', (direction, axis, sense) => {
    const [G, N] = applied(model(direction)) as [number[], number[]];
    expect(N[axis]! * sense).toBeCloseTo(-G[1]! / 200, 8);
    expect(N[1]).toBeCloseTo(0, 9);
    // V down at (x, y, z) turns about X by z·V and about Z by −x·V; V/200 along X there turns about Y by z·V/200, along Z by −x·V/200.
    const plumb = model(direction, { loads: model(direction).loads.filter(({ id }) => id !== '2' && id !== '4') });
    const upright = { ...plumb, loads: plumb.loads.map((load) => (load.type === 'node' ? { ...load, fx: 0 } : load)) };
    const [down, aside] = applied(upright) as [number[], number[]];
    expect(aside[4]! * sense).toBeCloseTo((axis === 0 ? down[3]! : down[5]!) / 200, 6);
  }); // oxfmt-ignore

test('it follows the case: in one session the same as alone', () => {
  const session = new AnalysisSession();
  session.update(model());
  const intent = { type: 'put', list: 'loads', entry: { id: '1', case: 'G', type: 'node', node: '3', fy: -9000 }, key: '1' } as const; // oxfmt-ignore
  const edited = applyIntent(model(), intent);
  if (!edited.ok) throw new Error('refused');
  const { solution } = session.update(edited.model).now;
  expect([...solution!.responses[1]!.displacements]).toEqual([...solve(edited.model).solution!.responses[1]!.displacements]);
  expect(solution!.responses[1]!.equilibrium.applied[0]).toBeCloseTo(-solution!.responses[0]!.equilibrium.applied[1] / 200, 8);
});

test('without the case that it takes from it goes; renamed, it follows', () => {
  const removed = applyIntent(model(), { type: 'remove', list: 'cases', keys: ['G'] });
  expect(removed.ok && removed.model.loads).toEqual([]);
  const renamed = applyIntent(model(), { type: 'rename', list: 'cases', names: { G: 'dead' } });
  expect(renamed.ok && renamed.model.loads.at(-1)).toMatchObject({ of: 'dead' });
});

test.each<[string, Partial<Load>, RegExp]>([
  ['its own case', { of: 'N' } as Partial<Load>, /from another case than its own/],
  ['a case that is missing', { of: 'X' } as Partial<Load>, /There is no case “X”/],
  ['no direction', { direction: undefined } as never, /one of right, left, forward, back/],
])('%s is a fault', (_, change, words) => {
  const loads = model().loads.map((load) => (load.type === 'notional' ? { ...load, ...change } : load));
  const { notices } = checkModel(JSON.parse(JSON.stringify({ ...model(), loads })));
  expect(notices.map(({ message }) => message).join('\n')).toMatch(words);
});
