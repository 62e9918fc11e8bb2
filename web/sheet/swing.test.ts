import { expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Path } from '@rigid-beam/drawing/display-list';
import { plainView } from '@rigid-beam/drawing/view';
import lintel from '../../examples/lintel.rbm.json';
import type { EditorState } from '../session/editor-state';
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

test('who wants less motion sees it at rest; what stands has none', () => {
  const { items, goesOn } = new Swing(() => 0).marks(stateOf({}), plainView, 'still');
  expect(goesOn).toBe(false);
  expect(Math.abs(tipOf(items))).toBeGreaterThan(0.1);
  const stands = checkModel(lintel).model!;
  const marks = new Swing(() => 0).marks(stateOf({ drawn: { model: stands, results: solve(stands) } }), plainView, 'moving');
  expect(marks).toEqual({ items: [], goesOn: false });
});
