import { expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Subject } from '@rigid-beam/drawing/display-list';
import lintel from '../../examples/lintel.rbm.json';
import type { Editor } from '../editor/editor';
import { trace } from './trace';

const model = checkModel(lintel).model!;
const results = solve(model);

/** What is shown where this is selected and acts; or why nothing is. */
function traced(selection: readonly Subject[], { text = '', acting = 'Q1', quantity = 'Mz' } = {}): string | undefined {
  let shown: string | undefined;
  const settled = { model, results };
  const state = { model, settled, drawn: settled, selection, acting, quantity, stage: 'results' };
  const refused = trace({ state, show: ({ traced: next }: { traced: string }) => (shown = next) } as unknown as Editor, text);
  return refused ?? shown;
}

test('a value leads to its place, a member to its largest one, a node to its largest reaction or movement', () => {
  expect(traced([{ kind: 'extreme', member: 'a', x: 1.2 }])).toBe('a:Mz@1.2m');
  expect(traced([{ kind: 'member', id: 'a' }])).toBe('a:Mz@1.60714285714m');
  expect(traced([{ kind: 'member', id: 'a' }], { quantity: 'Vy' })).toBe('a:Vy@3.6m');
  // How it bends follows from its moments.
  expect(traced([{ kind: 'member', id: 'a' }], { quantity: 'v' })).toBe('a:Mz@1.60714285714m');
  expect(traced([{ kind: 'node', id: '2' }])).toBe('2.fy');
  expect(traced([{ kind: 'support', id: '1' }])).toBe('1.fy');
  expect(traced([{ kind: 'node', id: '4' }])).toMatch(/^4\.(uy|rz)$/);
});

test('what is written leads there, and what cannot be says why', () => {
  expect(traced([], { text: 'b:Mz@50%' })).toBe('b:Mz@2.4m');
  expect(traced([], { text: '2.fy' })).toBe('2.fy');
  expect(traced([], { text: 'x:Mz@1m' })).toMatch(/There is no member “x”/);
  expect(traced([])).toMatch(/^Select a value, a member or a node/);
  expect(traced([{ kind: 'member', id: 'gone' }])).toMatch(/^Select a value/);
  expect(traced([{ kind: 'node', id: '2' }], { acting: 'C' })).toMatch(/^Select a value/);
});
