import { describe, expect, test } from '@jest/globals';
import { fit } from './camera';
import { worldPath, type Item, type Label } from './display-list';
import { placeLabels, roughMeasure } from './place-labels';
import { sheetItems } from './sheet-items';
import { ribModel, lintelModel, solutionOf, view, camera, labels } from './test/demo';

describe('labels', () => {
  test('placed labels never overlap, and the governing values are always there', () => {
    const solution = solutionOf(ribModel);
    const ribCamera = fit({ left: 0, right: 12, bottom: 0, top: 4.5 }, 936, 640, { left: 150, right: 60, top: 80, bottom: 200 });
    const items = sheetItems(ribModel, solution, { ...view, outcome: 2, scale: ribCamera.scale });
    const placed = placeLabels(items, ribCamera, roughMeasure);
    const free = placed.filter(({ label }) => label.rank < 1000);
    for (const [i, a] of free.entries())
      for (const b of free.slice(i + 1))
        expect(
          a.left >= b.left + b.width || b.left >= a.left + a.width || a.top >= b.top + b.height || b.top >= a.top + a.height,
        ).toBe(true);
    expect(placed.filter(({ label }) => label.role === 'extreme')).toHaveLength(2);
    expect(placed.length).toBeLessThanOrEqual(labels(items).length);
  });

  test('what lies outside the view is left out', () => {
    const away = { ...camera, x: 1000 };
    expect(placeLabels(sheetItems(lintelModel, undefined, view), away, roughMeasure)).toEqual([]);
  });

  test('a text touches something light where it has no other place, and something heavy never, whichever comes first', () => {
    const text: Label = { ...{ kind: 'label', text: '3.60', x: camera.x, y: camera.y, dx: 0, dy: 0, away: [0, 1] }, ink: 'dimension', role: 'dimension', rank: 1 }; // oxfmt-ignore
    const through = (texts: 'keep off' | 'rather beside'): Item =>
      worldPath([camera.x, camera.y - 1, camera.x, camera.y + 1], { stroke: 'member', texts });
    const [light, heavy] = [through('rather beside'), through('keep off')];
    const count = (...lines: Item[]): number => placeLabels([...lines, text], camera, roughMeasure).length;
    expect([count(), count(light), count(light, heavy), count(heavy, light)]).toEqual([1, 1, 0, 0]);
  });
});
