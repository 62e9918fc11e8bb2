import { expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Path } from '@rigid-beam/drawing/display-list';
import { plainView } from '@rigid-beam/drawing/view';
import lintel from '../../examples/lintel.rbm.json';
import type { EditorState } from '../editor/editor-state';
import { Swing } from './swing';

const model = checkModel({ ...lintel, supports: lintel.supports.slice(0, 1) }).model!;
const results = solve(model);
const stateOf = (part: object): EditorState =>
  ({ drawn: { model, results }, shownMotion: undefined, ...part }) as unknown as EditorState;
const tipOf = (items: readonly unknown[]): number => (items[0] as Path).vertices.at(-3)!;

test('a motion swings to both sides, comes to rest at its widest, and begins anew with another', () => {
  let now = 0;
  const swing = new Swing(() => now);
  const at = (time: number, state = stateOf({})): { tip: number; goesOn: boolean } => {
    now = time;
    const { items, goesOn } = swing.marks(state, plainView, 'moving');
    return { tip: tipOf(items), goesOn };
  };
  expect(at(0).tip).toBeCloseTo(0, 9);
  const [one, other] = [at(600), at(1800)];
  expect(one.goesOn && other.goesOn).toBe(true);
  expect(one.tip).toBeCloseTo(-other.tip, 9);
  const rest = at(60_000);
  expect(rest.goesOn).toBe(false);
  expect(rest.tip).toBeCloseTo(one.tip, 9);
  const again = solve(model);
  expect(at(60_100, stateOf({ drawn: { model, results: again } })).goesOn).toBe(true);
});

test('what is held still is shown when it is asked for: nodes that could spin, by round arrows at rest', () => {
  const hinged = (id: string, start: string, end: string) => ({
    id,
    start,
    end,
    section: 's',
    material: 'm',
    behaviour: 'truss',
  });
  const truss = checkModel({
    ...{ format: 'rigid-beam/model', version: 1, title: '', space: 'plane' },
    materials: [{ id: 'm', E: 210e9 }], sections: [{ id: 's', A: 1e-3 }],
    nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 4, y: 0 }, { id: '3', x: 2, y: 2 }],
    members: [hinged('a', '1', '2'), hinged('b', '2', '3'), hinged('c', '1', '3')],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }],
    cases: [{ id: 'G', category: 'permanent' }], loads: [{ case: 'G', type: 'node', node: '3', fy: -1e3 }],
  }).model!; // oxfmt-ignore
  const drawn = { model: truss, results: solve(truss) };
  const shown = (shownMotion: 'held' | undefined) =>
    new Swing(() => 0).marks(stateOf({ drawn, shownMotion }), plainView, 'moving');
  expect(shown(undefined).items).toEqual([]);
  // A line and its barb at each of the three nodes.
  expect(shown('held')).toMatchObject({ items: { length: 6 }, goesOn: false });
});

test('who wants less motion sees it at rest; what stands has none', () => {
  const { items, goesOn } = new Swing(() => 0).marks(stateOf({}), plainView, 'still');
  expect(goesOn).toBe(false);
  expect(Math.abs(tipOf(items))).toBeGreaterThan(0.1);
  const stands = checkModel(lintel).model!;
  const marks = new Swing(() => 0).marks(stateOf({ drawn: { model: stands, results: solve(stands) } }), plainView, 'moving');
  expect(marks).toEqual({ items: [], goesOn: false });
});
