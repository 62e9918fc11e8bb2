import { expect, test } from '@jest/globals';
import { emptyModel } from '@rigid-beam/core/model/model';
import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { symbolPath, worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { plainView } from '@rigid-beam/drawing/view';
import type { EditorState } from '../editor/editor-state';
import { fitted, framed } from './framing';

const camera: Camera = { x: 0, y: 0, scale: 1, width: 1016, height: 680 };
const model = { ...emptyModel('Shed'), nodes: [[0, 0], [12, 0], [6, 5]].map(([x, y], i) => ({ id: String(i), x: x!, y: y! })) }; // oxfmt-ignore
const state = { drawn: { model, results: { solution: {} } }, selection: [] } as unknown as EditorState;

test.each([
  ['symbols of a fixed size', [symbolPath(0, 0, [-30, -60, 30, 0], {}), symbolPath(12, 0, [0, 0, 90, -20], {})]],
  ['a diagram that grows along', [worldPath([0, 0, 6, 9, 12, 0], {})]],
  ['the structure alone', []],
])('the whole drawing fills the sheet, in its middle: %s', (_what, more: Item[]) => {
  const items = [worldPath([0, 0, 6, 5, 12, 0], {}), ...more];
  const found = fitted(state, plainView, camera, () => ({ items, placed: [] }));
  const places = items.flatMap((item) => {
    const { vertices } = item as Extract<Item, { kind: 'path' }>;
    return Array.from({ length: vertices.length / 4 }, (_, i) => [
      screenX(found, vertices[4 * i]!) + vertices[4 * i + 2]!,
      screenY(found, vertices[4 * i + 1]!) - vertices[4 * i + 3]!,
    ]);
  });
  const [left, right] = [Math.min(...places.map(([x]) => x!)), Math.max(...places.map(([x]) => x!))];
  const [top, bottom] = [Math.min(...places.map(([, y]) => y!)), Math.max(...places.map(([, y]) => y!))];
  expect(Math.max((right - left) / camera.width, (bottom - top) / camera.height)).toBeGreaterThan(0.85);
  expect(left).toBeGreaterThan(0);
  expect(top).toBeGreaterThan(0);
  expect((left + right) / 2).toBeCloseTo(camera.width / 2, -1);
  expect((top + bottom) / 2).toBeCloseTo(camera.height / 2, -1);
});

test('of a single node, or of nothing, some metres of paper are shown', () => {
  const empty = framed({ ...state, drawn: { model: emptyModel('Shed') } }, plainView, camera, () => true);
  expect(camera.width / empty.scale).toBeGreaterThan(10);
  expect(camera.width / empty.scale).toBeLessThan(40);
});
