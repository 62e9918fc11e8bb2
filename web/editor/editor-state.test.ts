import { expect, test } from '@jest/globals';
import { sketch } from '@rigid-beam/core/test/build';
import { beginning, redrawOf, type EditorState } from './editor-state';
import type { Opened } from './opened';

const model = sketch({ nodes: [['1', 0, 0], ['2', 3, 0]], members: [['a', '1', '2']], supports: [], loads: [] }); // oxfmt-ignore
const opened: Opened = { id: 'm', projectId: 'p', projectName: 'Garden', projectNumber: '7', revision: 3, model, history: [] };
const state = beginning(opened, '?stage=results&quantity=N&beside=below&beside-acting=W');
const after = (part: Partial<EditorState>) => redrawOf({ ...state, ...part }, state);

test('a page begins at the place of its address, with the stored model and nothing else', () => {
  expect(state).toMatchObject({ stage: 'results', quantity: 'N', acting: undefined, projectNumber: '7', selection: [] });
  expect(state.beside).toEqual({ where: 'below', panes: [{ acting: 'W', quantity: undefined, switches: {} }] });
  expect(state.drawn).toEqual({ model });
});

test('what is chosen is drawn at once, what only looks different in the next frame, all else not at all', () => {
  expect(after({ acting: 'W' })).toBe('at once');
  expect(after({ beside: undefined, selection: [{ kind: 'node', id: '1' }] })).toBe('at once');
  expect(after({ selection: [{ kind: 'node', id: '1' }] })).toBe('next frame');
  expect(after({ panel: 'folded', refusal: [], preview: model })).toBe('never');
});
