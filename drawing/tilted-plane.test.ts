import { describe, expect, test } from '@jest/globals';
import { distance, type Point } from '@rigid-beam/core/model/point';
import { lookFrom, onWorkPlane, seenPoint } from './projection';
import { inTilted, isOnPlane, movedThrough, ofTilted, planeThrough } from './tilted-plane';

const slope = planeThrough([[0, 4, 0], [6, 6, 0], [0, 4, 10]], '2, 3, 4')!; // oxfmt-ignore

describe('a plane through three nodes', () => {
  test('is one across an axis where it is, none where they lie in one line, and else leans as they do', () => {
    expect(planeThrough([[0, 3, 0], [5, 3, 0], [5, 3, 4]], '')).toEqual({ axis: 'y', at: 3 }); // oxfmt-ignore
    expect(planeThrough([[0, 0, 0], [1, 1, 1], [2, 2, 2]], '')).toBeUndefined(); // oxfmt-ignore
    expect(slope.axis).toBe('y');
    const { across, up, normal } = slope.tilted!;
    // Along the eaves level, up the slope.
    expect(Math.abs(across[1])).toBeLessThan(1e-12);
    expect(Math.abs(up[1] / Math.hypot(up[0], up[2]))).toBeCloseTo(2 / 6, 12);
    expect(Math.hypot(...normal)).toBeCloseTo(1, 12);
  });

  test('what is pointed at lies on it, and is seen where it was pointed at', () => {
    const projection = lookFrom(30, 25);
    const point = onWorkPlane(projection, slope, 3, -2)!;
    expect(isOnPlane(slope, point)).toBe(true);
    expect(seenPoint(projection, point)[0]).toBeCloseTo(3, 9);
    expect(seenPoint(projection, point)[1]).toBeCloseTo(-2, 9);
    const [a, b] = inTilted(slope.tilted!, point);
    expect(distance(ofTilted(slope.tilted!, a, b), point)).toBeLessThan(1e-9);
  });

  test('moved through another node it leans the same', () => {
    const node: Point = [1, 9, 2];
    const moved = movedThrough(slope, node);
    expect(isOnPlane(moved, node)).toBe(true);
    expect(isOnPlane(moved, [1 + 3, 9 + 1, 2])).toBe(true);
    expect(isOnPlane(moved, [0, 4, 0])).toBe(false);
    expect(movedThrough({ axis: 'z', at: 0 }, node)).toEqual({ axis: 'z', at: 2 });
  });
});
