import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boundsOf, fit, screenX, screenY, worldX, worldY, zoomAt } from './camera';
import { camera } from './test/demo';
import { evenly } from '@rigid-beam/core/test/evenly';

describe('the camera', () => {
  test('goes to the screen and back', () => {
    fc.assert(
      fc.property(evenly(-50, 50), evenly(-50, 50), (x, y) => {
        expect(worldX(camera, screenX(camera, x))).toBeCloseTo(x, 9);
        expect(worldY(camera, screenY(camera, y))).toBeCloseTo(y, 9);
      }),
    );
  });

  test('fits a box between its margins, up is up', () => {
    expect(screenX(camera, 0)).toBeCloseTo(150, 6);
    expect(screenX(camera, 9.9)).toBeCloseTo(876, 6);
    expect(screenY(camera, 1)).toBeLessThan(screenY(camera, 0));
    const tall = fit({ left: 0, right: 0, bottom: 0, top: 10 }, 500, 500, { left: 50, right: 50, top: 50, bottom: 50 });
    expect(screenY(tall, 10)).toBeCloseTo(50, 6);
    expect(screenY(tall, 0)).toBeCloseTo(450, 6);
  });

  test('zooms about the point under the pointer', () => {
    const closer = zoomAt(camera, 300, 200, 1.7);
    expect(closer.scale).toBeCloseTo(1.7 * camera.scale, 9);
    expect(worldX(closer, 300)).toBeCloseTo(worldX(camera, 300), 9);
    expect(worldY(closer, 200)).toBeCloseTo(worldY(camera, 200), 9);
  });

  test('bounds of nothing are nothing', () => expect(boundsOf([])).toBeUndefined());
});
