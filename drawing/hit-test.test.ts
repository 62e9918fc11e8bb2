import { describe, expect, test } from '@jest/globals';
import { screenX, screenY } from './camera';
import { hitTest } from './hit-test';
import { placeLabels, roughMeasure } from './place-labels';
import { sheetItems } from './sheet-items';
import { lintelModel, view, camera } from './test/demo';

type Pair = readonly [number, number];

describe('hit-testing', () => {
  const items = sheetItems(lintelModel, undefined, { ...view, scale: camera.scale });
  const placed = placeLabels(items, camera, roughMeasure);
  const at = ([x, y]: Pair, [dx, dy]: Pair) =>
    hitTest(items, placed, camera, [screenX(camera, x) + dx, screenY(camera, y) + dy], 7)?.subject;

  test.each<[string, Pair, Pair, object | undefined]>([
    ['a node before the member', [3.6, 0], [2, 2], { kind: 'node', id: '2' }],
    ['a member before the load that ends on it', [5, 0], [0, 1], { kind: 'member', id: 'b' }],
    ['the comb of a load', [5, 0], [0, -15], { kind: 'load', id: '2' }],
    ['a support below its node', [3.6, 0], [0, 12], { kind: 'support', id: '2' }],
    ['empty paper', [6, 3], [0, 0], undefined],
  ])('%s', (_, place, off, subject) => expect(at(place, off)).toEqual(subject));

  test('a text is hit as a whole, and says which', () => {
    const label = placed.find(({ label: { text } }) => text === '4.80')!;
    const hit = hitTest(items, placed, camera, [label.left + 3, label.top + 3], 7);
    expect(hit?.subject).toEqual({ kind: 'dimension', axis: 'x', from: 3.6, to: 8.4 });
    expect(hit?.label).toBe(label);
  });
});
