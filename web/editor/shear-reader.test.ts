import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { isAwaited } from '@rigid-beam/core/results/readings';
import { shearPoints } from '@rigid-beam/core/sections/shear-points';
import { clamp3, sketch } from '@rigid-beam/core/test/build';
import type { Results } from '@rigid-beam/core/results/results';
import type { EditorState } from './editor-state';
import { ShearReader } from './shear-reader';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

const model = sketch({
  nodes: [['1', 0, 0, 0], ['2', 2, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1')],
  loads: [{ type: 'node', node: '2', fy: -1e3 }], extra: { sections: [{ id: 's', shape: { type: 'round', d: 0.1 } }] },
}); // oxfmt-ignore
const drawn = { model, results: solve(model) as Results };

function readerOf(part: Partial<EditorState>) {
  const at = { state: { stage: 'results', switches: {}, quantity: 'Mz', drawer: undefined, beside: undefined, drawn, ...part } as EditorState };
  const asked = jest.fn(shearPoints);
  const reader = new ShearReader({
    state: () => at.state,
    find: (shape) => Promise.resolve(asked(shape)),
    show: (next) => (at.state = { ...at.state, drawn: reader.given(next) }),
  });
  const isThere = (): boolean => !isAwaited(at.state.drawn.results!.solution!, 0, 'sigmaV');
  return { reader, asked, isThere };
} // oxfmt-ignore

test('shear is found at once where it is drawn, once a shape, and goes with every solution from then on', async () => {
  const { reader, asked, isThere } = readerOf({ quantity: 'sigmaV' });
  expect(reader.given(drawn)).toBe(drawn);
  await reader.follow();
  expect([asked.mock.calls.length, isThere()]).toEqual([1, true]);
  await reader.follow();
  expect(asked).toHaveBeenCalledTimes(1);
  expect(reader.given(drawn).results!.solution!.isShearKnown).toBe(true);
});

test('where it is only listed one looks at results for a moment first; elsewhere, and once all is closed, nothing is meshed', async () => {
  const { reader, asked, isThere } = readerOf({});
  await reader.follow();
  expect(asked).not.toHaveBeenCalled();
  await jest.runAllTimersAsync();
  expect([asked.mock.calls.length, isThere()]).toEqual([1, true]);
  const other = readerOf({ stage: 'geometry' });
  await other.reader.follow();
  const closed = readerOf({});
  await closed.reader.follow();
  closed.reader.close();
  await jest.runAllTimersAsync();
  expect([other.asked.mock.calls.length, closed.asked.mock.calls.length]).toEqual([0, 0]);
});
