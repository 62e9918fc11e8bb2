import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Results } from '@rigid-beam/core/results/results';
import { placeLabelsIn } from '@rigid-beam/drawing/place-labels';
import { lookFrom } from '@rigid-beam/drawing/projection';
import { isLasting, itemsOf } from '@rigid-beam/drawing/sheet-items';
import { plainView } from '@rigid-beam/drawing/view';
import { spaceBuilding } from '../../bench/structures';
import { beginning, type EditorState } from '../editor/editor-state';
import { DrawnAhead, type Asked, type DrawnView } from './drawn-ahead';
import { likelyNext } from './in-strip';
import { partsIn, viewOf } from './view-of';

const frame = spaceBuilding(2, 2, 3, 3);
const ids = frame.cases.map(({ id }) => id);
const model = {
  ...frame,
  combinations: [{ id: 'all', type: 'sum' as const, factors: Object.fromEntries(ids.map((id) => [id, 1.35])) }],
};
const opened = { id: 'm', projectId: 'p', projectName: 'Garden', projectNumber: '7', revision: 3, model, history: [] };
/** The model with fewer of its loads, and its results. */
function solved(fewer = 0): EditorState['drawn'] {
  const own = { ...model, loads: model.loads.slice(fewer) };
  return { model: own, results: solve(own) as Results };
}
const drawn = solved();
const first: EditorState = { ...beginning(opened, `?stage=results&quantity=Mz&acting=${ids[1]}`), drawn, settled: drawn };

const seen = { ...plainView, projection: lookFrom(30, 20) };
const near = { x: 0, y: 0, scale: 40, width: 900, height: 600 };
const measure = (text: string): number => 6 * text.length;

const asked = (state: EditorState, camera = near): Asked => ({
  drawn: state.drawn,
  view: viewOf(state, seen, undefined, camera.scale, 'still'),
  camera,
});
const make = ({ drawn: of, view, camera }: Asked): DrawnView => {
  const parts = partsIn(of, view, 'still');
  return { parts, items: itemsOf(parts), placed: placeLabelsIn(parts, camera, measure) };
};

/** What is done one after the other: another choice, another look at it, other results. */
const step = fc.constantFrom<(state: EditorState) => EditorState>(
  ...[...ids, 'all'].map((acting) => (state: EditorState) => ({ ...state, acting })),
  ...(['N', 'Vy', 'Mz'] as const).map((quantity) => (state: EditorState) => ({ ...state, quantity })),
  ...(['results', 'loads'] as const).map((stage) => (state: EditorState) => ({ ...state, stage })),
  ...(['hatched', 'colour'] as const).map((style) => (state: EditorState) => ({ ...state, style })),
  ...[{}, { loads: true, diagram: true }].map((switches) => (state: EditorState) => ({ ...state, switches })),
  (state) => ({ ...state, selection: [{ kind: 'member', id: model.members[2]!.id }] }),
  ...[4, 9].map((fewer) => (state: EditorState) => ({ ...state, drawn: solved(fewer) })),
);

let idle: (() => void)[] = [];
const globals = globalThis as { requestIdleCallback?: unknown; cancelIdleCallback?: unknown };
const rest = (): void => {
  jest.advanceTimersByTime(1000);
  while (idle.length > 0) idle.shift()!();
};
beforeEach(() => {
  jest.useFakeTimers();
  idle = [];
  globals.requestIdleCallback = (run: () => void) => idle.push(run);
  globals.cancelIdleCallback = () => (idle = []);
});
afterEach(() => {
  jest.useRealTimers();
  delete globals.requestIdleCallback;
  delete globals.cancelIdleCallback;
});

test('whatever was looked at or drawn ahead before, a drawing is the one that is made for the first time', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(step, fc.boolean()), { minLength: 3, maxLength: 10 }), (steps) => {
      const ahead = new DrawnAhead(make);
      let state = first;
      for (const [change, rests] of steps) {
        state = change(state);
        const camera = state.stage === 'loads' ? { ...near } : near;
        const [now, one] = [state, asked(state, camera)];
        expect(isLasting(one.drawn.results?.solution, one.view)).toBe(true);
        const fresh = make(asked({ ...now, drawn: { ...now.drawn, model: { ...now.drawn.model } } }, camera));
        const { items, placed } = ahead.drawing(one);
        expect({ items, placed }).toEqual({ items: fresh.items, placed: fresh.placed });
        ahead.prepare(() => likelyNext(now).map((place) => asked({ ...now, ...place }, camera)));
        if (rests) rest();
      }
    }),
    { numRuns: 8 },
  );
});

test('what the pointer is over, and what stands beside what acts, is drawn when nothing else is to do, and not made again', () => {
  const makes: unknown[] = [];
  const ahead = new DrawnAhead((one) => {
    makes.push(one.view.outcome);
    return make(one);
  });
  const state: EditorState = { ...first, pointedAt: { acting: 'all' } };
  const next = (): Asked[] => likelyNext(state).map((place) => asked({ ...state, ...place }));
  ahead.drawing(asked(state));
  ahead.prepare(next);
  expect(makes).toEqual([1]);
  rest();
  expect(makes).toEqual([1, 3, 2, 0]);
  for (const acting of [...ids, 'all']) ahead.drawing(asked({ ...state, acting }));
  expect(makes).toHaveLength(4);
  ahead.forget();
  ahead.drawing(asked(state));
  expect(makes).toHaveLength(5);
});

test('whatever is made ahead, what was looked at before stays', () => {
  let makes = 0;
  const ahead = new DrawnAhead((one) => (makes++, make(one)));
  const look = (quantity: 'N' | 'Vy' | 'Mz'): number => {
    const before = makes;
    const state: EditorState = { ...first, quantity };
    ahead.drawing(asked(state));
    const taken = makes - before;
    for (const scale of [40, 50, 60]) {
      // Of another camera each time, so that none of them is known: it makes no more of them than it keeps.
      ahead.prepare(() => likelyNext(state).map((place) => asked({ ...state, ...place }, { ...near, scale })));
      rest();
    }
    return taken;
  };
  expect((['Mz', 'N', 'Vy', 'N', 'Mz'] as const).map(look)).toEqual([1, 1, 1, 0, 0]);
});

test.each([
  [1, [1, 2, 0, 3]],
  [80, [1, 2]],
  [120, [1]],
])('where a drawing takes %d ms, %j are made, and none once that is stopped', (time, expected) => {
  const made: number[] = [];
  const ahead = new DrawnAhead((one) => {
    jest.advanceTimersByTime(time);
    made.push(one.view.outcome);
    return make(one);
  });
  const next = (): Asked[] => likelyNext(first).map((place) => asked({ ...first, ...place }));
  ahead.drawing(asked(first));
  ahead.prepare(next);
  ahead.stop();
  rest();
  expect(made).toEqual([1]);
  ahead.prepare(next);
  rest();
  expect(made).toEqual(expected);
});

test('beside each other, and where nothing of an outcome is drawn, nothing is likely', () => {
  expect(likelyNext({ ...first, stage: 'geometry' })).toEqual([]);
  expect(likelyNext({ ...first, beside: { where: 'right', panes: [{ acting: ids[0], quantity: 'N', switches: {} }] } })).toEqual(
    [],
  );
  const named = (...all: readonly string[]) => all.map((acting) => ({ acting }));
  expect(likelyNext({ ...first, acting: ids[2] })).toEqual(named('all', ids[1]!, ids[0]!));
  expect(likelyNext({ ...first, acting: ids[1], unlisted: new Set(['other']) })).toEqual(named(ids[2]!, ids[0]!));
});
