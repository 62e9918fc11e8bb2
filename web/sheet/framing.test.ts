import { expect, test } from '@jest/globals';
import { emptyModel } from '@rigid-beam/core/model/model';
import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { plainView } from '@rigid-beam/drawing/view';
import type { EditorState } from '../session/editor-state';
import { CARD_WIDTH, framed, TITLE_BLOCK } from './framing';

const camera: Camera = { x: 0, y: 0, scale: 1, width: 900, height: 650 };
const model = { ...emptyModel('Shed'), nodes: [[0, 0], [12, 0], [6, 5]].map(([x, y], i) => ({ id: String(i), x: x!, y: y! })) }; // prettier-ignore

const seenIn = (part: Partial<EditorState>, coveredTop = 0): { x: number; y: number }[] => {
  const state = { drawn: { model }, selection: [], schedule: undefined, ...part } as unknown as EditorState;
  const found = framed(state, plainView, camera, () => true, coveredTop);
  return model.nodes.map(({ x, y }) => ({ x: screenX(found, x), y: screenY(found, y) }));
};

test('the whole structure is in view, beside or above the title block', () => {
  for (const { x, y } of seenIn({})) {
    expect(x > 0 && x < camera.width && y > 0 && y < camera.height).toBe(true);
    expect(x < camera.width - TITLE_BLOCK.width || y < camera.height - TITLE_BLOCK.height).toBe(true);
  }
});

test('a card and an open schedule are kept free of it', () => {
  const selection: EditorState['selection'] = [{ kind: 'node', id: '1' }];
  expect(Math.max(...seenIn({ selection }).map(({ x }) => x))).toBeLessThan(camera.width - CARD_WIDTH);
  expect(Math.max(...seenIn({ schedule: 'nodes' }).map(({ y }) => y))).toBeLessThan(camera.height * 0.48);
});

test('words over the top of the sheet are kept free of it', () => {
  expect(Math.min(...seenIn({}, 250).map(({ y }) => y))).toBeGreaterThan(250);
});

test('of a single node, or of nothing, some metres of paper are shown', () => {
  const state = { drawn: { model: emptyModel('Shed') }, selection: [] } as unknown as EditorState;
  const empty = framed(state, plainView, camera, () => true);
  expect(camera.width / empty.scale).toBeGreaterThan(10);
  expect(camera.width / empty.scale).toBeLessThan(40);
});
