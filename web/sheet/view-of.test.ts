import { describe, expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/analysis/session';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import type { Results } from '@rigid-beam/core/results/results';
import { scaleOfDiagram } from '@rigid-beam/drawing/drawn-scale';
import { plainView } from '@rigid-beam/drawing/view';
import { stateBeside, statesBeside, type EditorState } from '../editor/editor-state';
import { itemsOf } from '@rigid-beam/drawing/sheet-items';
import { partsIn, viewOf } from './view-of';

/** A row of posts on clamps, each pushed at its top. */
const posts = (count: number): Model =>
  sketch({
    nodes: Array.from({ length: 2 * count }, (_, i) => [`${i}`, Math.floor(i / 2), 3 * (i % 2)] as const),
    members: Array.from({ length: count }, (_, i) => [`p${i}`, `${2 * i}`, `${2 * i + 1}`] as const),
    supports: Array.from({ length: count }, (_, i) => clamp(`${2 * i}`)),
    loads: Array.from({ length: count }, (_, i) => ({ type: 'node' as const, node: `${2 * i + 1}`, fx: 1e3 })),
  });

function stateOf(model: Model, part: Partial<EditorState> = {}): EditorState {
  const drawn = { model, results: solve(model) as Results };
  return { model, drawn, switches: {}, selection: [], stage: 'results', quantity: 'Mz', diagramFactor: 1, scales: {}, style: 'hatched', face: 'tension', faded: new Set(), lit: [], acting: 'Q', ...part } as unknown as EditorState; // oxfmt-ignore
}
const texts = (state: EditorState, scale: number, look: 'turning' | 'still' = 'still'): number =>
  itemsOf(partsIn(state.drawn, viewOf(state, plainView, undefined, scale, look), look)).filter((item) => 'text' in item).length;

test('each stage shows what it is about, and what is switched besides', () => {
  const view = (part: Partial<EditorState>) => viewOf(stateOf(posts(2), part), plainView, undefined, 60, 'still');
  expect(view({ stage: 'geometry' })).toMatchObject({ quantity: 'none', loads: 'none', dimensions: 'plain', names: false });
  expect(view({ stage: 'loads' })).toMatchObject({ quantity: 'none', loads: 'said', members: 'faint', resultant: true });
  expect(view({ stage: 'results' })).toMatchObject({ quantity: 'Mz', loads: 'faint', dimensions: 'none', reactions: true });
  expect(view({ stage: 'loads', switches: { diagram: true, loads: false } })).toMatchObject({ quantity: 'Mz', loads: 'none' });
});

test('while the workings of this very model are read its freedoms stand there, and nothing of its results', () => {
  const state = stateOf(posts(2));
  const freedoms = [{ label: '1', node: 1, component: 0, state: 'free' }] as const;
  const view = (model: Model) => viewOf({ ...state, worked: { model, freedoms } }, plainView, undefined, 60, 'still');
  expect(view(state.model)).toMatchObject({ freedoms, quantity: 'none', reactions: false });
  expect(view(posts(2))).toMatchObject({ quantity: 'Mz', reactions: true });
  expect(view(posts(2)).freedoms).toBeUndefined();
  const lit = viewOf({ ...state, worked: { model: state.model, freedoms }, lit: ['1'] }, plainView, undefined, 60, 'still');
  expect(lit.freedoms).toEqual([{ ...freedoms[0], isLit: true }]);
  expect(itemsOf(partsIn(state.drawn, view(state.model), 'still')).some((item) => 'text' in item && item.text === '1')).toBe(
    true,
  );
});

test('a plane to draw on is there only in space', () => {
  const plane = { axis: 'z', at: 0 } as const;
  const flat = stateOf(posts(1));
  expect(viewOf(flat, plainView, plane, 60, 'still').plane).toBeUndefined();
  const spatial = stateOf({ ...posts(1), space: 'space' });
  expect(viewOf(spatial, plainView, plane, 60, 'still').plane).toBe(plane);
});

test('figures stand where there is room for them, and not while a look turns', () => {
  const state = stateOf(posts(4));
  expect(texts(state, 60)).toBeGreaterThan(4);
  expect(texts(state, 60, 'turning')).toBe(0);
  expect(texts(stateOf(posts(60)), 4)).toBeLessThan(texts(stateOf(posts(60)), 60));
});

describe('two drawings beside each other', () => {
  const sway = posts(2);
  const model: Model = {
    ...sway,
    cases: [...sway.cases, { id: 'small', category: 'imposed' as const }],
    loads: [...sway.loads, { id: 'slight', type: 'node', case: 'small', node: '1', fx: 50 }],
  };
  const small = { acting: 'small', quantity: 'Mz', switches: {} } as const;
  const beside = { where: 'right', panes: [small] } as const;
  const scales = (state: EditorState): readonly number[] =>
    [state, stateBeside(state)].map(
      (one) => scaleOfDiagram(model, one.drawn.results!.solution!, viewOf(one, plainView, undefined, 60, 'still')).perMetre,
    );

  test('each shows what its own pane looks at', () => {
    const state = stateOf(model, { beside });
    expect(viewOf(stateBeside(state), plainView, undefined, 60, 'still')).toMatchObject({ outcome: 1, quantity: 'Mz' });
    expect(viewOf(state, plainView, undefined, 60, 'still')).toMatchObject({ outcome: 0, quantity: 'Mz' });
    expect(stateBeside(stateBeside(state))).toEqual(state);
  });

  test('are drawn to one scale, which alone each would not be', () => {
    const [first, second] = scales(stateOf(model, { beside }));
    expect(second).toBe(first);
    expect(scales(stateOf(model, { acting: 'small' }))[0]).toBeLessThan(first! / 5);
  });

  test('of three all have one scale, and each its own pane', () => {
    const state = stateOf(model, { acting: 'small', beside: { where: 'right', panes: [{ ...small, quantity: 'Vy' }, { ...small, acting: model.cases[0]!.id }] } }); // oxfmt-ignore
    const all = [state, ...statesBeside(state)];
    expect(all.map((one) => viewOf(one, plainView, undefined, 60, 'still')).map(({ outcome, quantity }) => [outcome, quantity])).toEqual([
      [1, 'Mz'], [1, 'Vy'], [0, 'Mz'],
    ]); // oxfmt-ignore
    const perMetre = (one: EditorState): number =>
      scaleOfDiagram(model, one.drawn.results!.solution!, viewOf(one, plainView, undefined, 60, 'still')).perMetre;
    expect(perMetre(all[0]!)).toBe(perMetre(all[2]!));
    expect(perMetre(all[2]!)).toBe(perMetre(stateOf(model)));
    // The drawing in the middle shares its scale with none, and sees both others.
    expect(viewOf(all[1]!, plainView, undefined, 60, 'still').together).toHaveLength(2);
  });

  test('two that look at different differences are the same each time: whoever draws can tell that nothing has changed', () => {
    const both = [{ ...small, less: true }, { ...small, acting: 'third', less: true }] as const; // oxfmt-ignore
    const third = { ...model, cases: [...model.cases, { id: 'third', category: 'imposed' as const }] };
    const plain = stateOf(third, { beside: { where: 'right', panes: both } });
    const state = { ...plain, settled: plain.drawn };
    const seen = (): readonly unknown[] => statesBeside(state).map(({ drawn }) => drawn);
    const [first, again] = [seen(), seen()];
    expect(first[0]).not.toBe(first[1]);
    first.forEach((drawn, i) => expect(again[i]).toBe(drawn));
  });

  test('quantities of other dimensions keep a scale of their own', () => {
    const forces = { ...beside, panes: [{ ...small, quantity: 'Vy' }] } as const;
    const [first] = scales(stateOf(model, { beside: forces }));
    expect(first).toBe(scales(stateOf(model))[0]);
  });
});
