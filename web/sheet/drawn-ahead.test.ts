import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Results } from '@rigid-beam/core/results/results';
import { placeLabelsIn } from '@rigid-beam/drawing/place-labels';
import { lookFrom } from '@rigid-beam/drawing/projection';
import { itemsOf } from '@rigid-beam/drawing/sheet-items';
import { finished, type Steps } from '@rigid-beam/core/steps';
import { plainView } from '@rigid-beam/drawing/view';
import { spaceBuilding } from '../../bench/structures';
import { beginning, type EditorState } from '../editor/editor-state';
import { DrawnAhead, type Asked, type DrawnView } from './drawn-ahead';
import { goesThrough, likelyNext } from './in-strip';
import { partsInSteps, viewOf } from './view-of';

const frame = spaceBuilding(2, 2, 3, 3);
const ids = frame.cases.map(({ id }) => id);
const model = {
  ...frame,
  combinations: [
    { id: 'all', type: 'sum' as const, factors: Object.fromEntries(ids.map((id) => [id, 1.35])) },
    { id: 'either', type: 'envelope' as const, of: ids },
  ],
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
function* make({ drawn: of, view, camera }: Asked): Steps<DrawnView> {
  const parts = yield* partsInSteps(of, view, 'still');
  yield;
  return { parts, items: itemsOf(parts), placed: placeLabelsIn(parts, camera, measure) };
}

const outcomesNext = (state: EditorState): ReturnType<typeof likelyNext> => likelyNext(state).filter(({ acting }) => acting);

/** What is done one after the other: another choice, another look at it, other results. */
const step = fc.constantFrom<(state: EditorState) => EditorState>(
  ...[...ids, 'all', 'either'].map((acting) => (state: EditorState) => ({ ...state, acting })),
  ...(['N', 'Vy', 'Mz', 'M', 'sigma'] as const).map((quantity) => (state: EditorState) => ({ ...state, quantity })),
  ...(['results', 'loads'] as const).map((stage) => (state: EditorState) => ({ ...state, stage })),
  ...(['hatched', 'colour'] as const).map((style) => (state: EditorState) => ({ ...state, style })),
  ...[{}, { loads: true, diagram: true }].map((switches) => (state: EditorState) => ({ ...state, switches })),
  (state) => ({ ...state, selection: [{ kind: 'member', id: model.members[2]!.id }] }),
  ...[4, 9].map((fewer) => (state: EditorState) => ({ ...state, drawn: solved(fewer) })),
);

let idle: (() => void)[] = [];
const globals = globalThis as { requestIdleCallback?: unknown; cancelIdleCallback?: unknown };
/** So many steps are made while nothing else is to do. */
const rest = (steps = Infinity): void => {
  jest.advanceTimersByTime(1000);
  for (let i = 0; i < steps && idle.length > 0; i++) idle.shift()!();
};
beforeEach(() => {
  jest.useFakeTimers();
  idle = [];
  globals.requestIdleCallback = (run: IdleRequestCallback) => idle.push(() => run({ didTimeout: false, timeRemaining: () => 0 }));
  globals.cancelIdleCallback = () => (idle = []);
});
afterEach(() => {
  jest.useRealTimers();
  delete globals.requestIdleCallback;
  delete globals.cancelIdleCallback;
});

test('whatever was looked at or drawn ahead before, a drawing is the one that is made for the first time', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(step, fc.constantFrom(0, 4, 9, Infinity)), { minLength: 3, maxLength: 10 }), (steps) => {
      const ahead = new DrawnAhead(make);
      let state = first;
      for (const [change, rests] of steps) {
        state = change(state);
        const camera = state.stage === 'loads' ? { ...near } : near;
        const [now, one] = [state, asked(state, camera)];
        const fresh = finished(make(asked({ ...now, drawn: { ...now.drawn, model: { ...now.drawn.model } } }, camera)));
        const { items, placed } = ahead.drawing(one);
        expect({ items, placed }).toEqual({ items: fresh.items, placed: fresh.placed });
        ahead.prepare(() => likelyNext(now).map((place) => asked({ ...now, ...place }, camera)));
        rest(rests);
      }
    }),
    { numRuns: 8 },
  );
});

test('what the pointer is over, and what stands beside what acts, is drawn when nothing else is to do, and not made again', () => {
  const makes: string[] = [];
  const ahead = new DrawnAhead((one) => {
    makes.push(`${one.view.outcome} ${one.view.quantity}`);
    return make(one);
  });
  const state: EditorState = { ...first, pointedAt: { acting: 'all' } };
  const next = (): Asked[] => likelyNext(state).map((place) => asked({ ...state, ...place }));
  ahead.drawing(asked(state));
  ahead.prepare(next);
  expect(makes).toEqual(['1 Mz']);
  rest();
  const [outcomes, lines] = [
    ['1 Mz', '3 Mz', '2 Mz', '0 Mz', '4 Mz'],
    ['1 N', '1 Vy', '1 Vz', '1 T', '1 My', '1 v', '1 w'],
  ];
  const all = [...outcomes, ...lines, '1 M', '1 uX', '1 uY', '1 uZ', '1 sigma', '1 sigmaV'];
  expect(makes).toEqual(all);
  for (const acting of [...ids, 'all']) ahead.drawing(asked({ ...state, acting }));
  for (const quantity of ['N', 'My', 'w', 'sigma'] as const) ahead.drawing(asked({ ...state, quantity }));
  expect(makes).toEqual(all);
  // What was made ahead goes with its camera, what was looked at stays.
  ahead.drawing(asked(state, { ...near, scale: 50 }));
  ahead.drawing(asked({ ...state, quantity: 'sigma' }));
  ahead.drawing(asked({ ...state, quantity: 'uX' }));
  expect(makes).toEqual([...all, '1 Mz', '1 uX']);
  ahead.forget();
  ahead.drawing(asked(state));
  expect(makes).toEqual([...all, '1 Mz', '1 uX', '1 Mz']);
});

test('while results are awaited nothing is drawn ahead: it would be drawn again with them', () => {
  const awaited: EditorState = { ...first, drawn: { model: drawn.model }, pointedAt: { acting: 'all' } };
  expect(likelyNext(awaited)).toEqual([]);
  expect(likelyNext({ ...awaited, progress: 'stopped' })).not.toEqual([]);
});

test('what may be asked for next stays longest of what was made ahead', () => {
  const makes: string[] = [];
  const ahead = new DrawnAhead((one) => {
    makes.push(`${one.view.outcome} ${one.view.quantity}`);
    return make(one);
  });
  // Each of them draws outcomes ahead that no other asks for: in the end more than are kept.
  const lines = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'v', 'w'] as const;
  for (const quantity of [...lines, ...lines]) {
    const state: EditorState = { ...first, quantity };
    ahead.drawing(asked(state));
    ahead.prepare(() => likelyNext(state).map((place) => asked({ ...state, ...place })));
    rest();
  }
  const of = (quantity: string): string[] => makes.filter((one) => one === `1 ${quantity}`);
  for (const quantity of [...lines, 'M', 'uX', 'uY', 'uZ', 'sigma', 'sigmaV'].filter((one) => one !== 'N'))
    expect(of(quantity)).toHaveLength(1);
});

test('what is asked for while it is made ahead is made to its end, not anew', () => {
  let begun = 0;
  let steps = 0;
  const ahead = new DrawnAhead(function* (one) {
    begun += 1;
    for (let i = 0; i < 3; i++) yield void (steps += 1);
    return yield* make(one);
  });
  const other: EditorState = { ...first, acting: ids[2]! };
  const prepare = (): void => ahead.prepare(() => [asked(other)]);
  ahead.drawing(asked(first));
  prepare();
  rest(2);
  expect([begun, steps]).toEqual([2, 5]);
  prepare();
  rest(1);
  expect([begun, steps]).toEqual([2, 6]);
  expect(ahead.drawing(asked(other)).items).toEqual(finished(make(asked(other))).items);
  expect([begun, steps]).toEqual([2, 6]);
});

test('what fails ahead is begun anew when it is asked for', () => {
  const faults = ['once'];
  const ahead = new DrawnAhead(function* (one) {
    yield;
    if (one.view.outcome === 2 && faults.pop()) throw new Error('a fault');
    return yield* make(one);
  });
  const other: EditorState = { ...first, acting: ids[2]! };
  ahead.drawing(asked(first));
  ahead.prepare(() => [asked(other)]);
  expect(() => rest()).toThrow('a fault');
  expect(ahead.drawing(asked(other)).items).toEqual(finished(make(asked(other))).items);
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
      ahead.prepare(() => outcomesNext(state).map((place) => asked({ ...state, ...place }, { ...near, scale })));
      rest();
    }
    return taken;
  };
  expect((['Mz', 'N', 'Vy', 'N', 'Mz'] as const).map(look)).toEqual([1, 1, 1, 0, 0]);
});

test.each([
  [90, [1, 2, 0, 3, 4]],
  [120, [1, 2]],
])('where a step of a drawing takes %d ms, %j are made, and none once that is stopped', (time, expected) => {
  const made: number[] = [];
  const ahead = new DrawnAhead(function* (one) {
    made.push(one.view.outcome);
    jest.advanceTimersByTime(time);
    yield;
    jest.advanceTimersByTime(time);
    return yield* make(one);
  });
  const next = (): Asked[] => outcomesNext(first).map((place) => asked({ ...first, ...place }));
  ahead.drawing(asked(first));
  ahead.prepare(next);
  ahead.stop();
  rest();
  expect(made).toEqual([1]);
  ahead.prepare(next);
  rest();
  expect(made).toEqual(expected);
});

test('a machine that was slow for a moment is tried again after the next look', () => {
  const made: number[] = [];
  let time = 120;
  const ahead = new DrawnAhead(function* (one) {
    made.push(one.view.outcome);
    jest.advanceTimersByTime(time);
    yield;
    return yield* make(one);
  });
  const look = (acting: string): void => {
    const state: EditorState = { ...first, acting };
    ahead.drawing(asked(state));
    ahead.prepare(() => outcomesNext(state).map((place) => asked({ ...state, ...place })));
    rest();
  };
  look(ids[1]!);
  expect(made).toEqual([1, 2]);
  // Still slow: one more is made, and no other.
  look(ids[2]!);
  expect(made).toEqual([1, 2, 3]);
  time = 10;
  look(ids[2]!);
  expect([...made].sort()).toEqual([0, 1, 2, 3, 4]);
});

test('whoever goes through outcomes finds those further off first, whoever goes through quantities these', () => {
  const cases = Array.from({ length: 9 }, (_, i) => ({ ...frame.cases[0]!, id: `c${i}` }));
  const many = { model: { ...frame, cases }, results: drawn.results };
  const kinds = (goes: 'outcomes' | 'quantities'): string =>
    likelyNext({ ...first, drawn: many, acting: 'c4' }, goes).map(({ acting }) => (acting ? 'o' : 'q')).join(''); // oxfmt-ignore
  expect(kinds('outcomes')).toMatch(/^o{8}q+$/);
  expect(kinds('quantities')).toMatch(/^o{4}q+o{4}$/);
  const view = (place: Partial<EditorState>) => asked({ ...first, ...place }).view;
  const [here, other, quantity] = [view({}), view({ acting: 'all' }), view({ quantity: 'N' })];
  expect(goesThrough(undefined, here, 'quantities')).toBe('quantities');
  expect(goesThrough(here, other, 'quantities')).toBe('outcomes');
  expect(goesThrough(here, here, 'outcomes')).toBe('outcomes');
  expect(goesThrough(here, quantity, 'outcomes')).toBe('quantities');
});

test('beside each other, and where nothing of an outcome is drawn, nothing is likely', () => {
  expect(likelyNext({ ...first, stage: 'geometry' })).toEqual([]);
  expect(likelyNext({ ...first, beside: { where: 'right', panes: [{ acting: ids[0], quantity: 'N', switches: {} }] } })).toEqual(
    [],
  );
  const named = (state: EditorState) => outcomesNext(state).map(({ acting }) => acting);
  expect(named({ ...first, acting: ids[2] })).toEqual(['all', ids[1], 'either', ids[0]]);
  expect(named({ ...first, acting: ids[1], unlisted: new Set(['other']) })).toEqual([ids[2], ids[0], 'either']);
  expect(likelyNext({ ...first, switches: { diagram: false, loads: true } }).filter(({ quantity }) => quantity)).toEqual([]);
});
