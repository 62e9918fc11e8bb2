import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lookFrom, onWorkPlane, seenPoint } from './projection';

describe('a look', () => {
  test('is orthonormal, and what is seen on a work plane lies on it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.integer({ min: -80, max: 80 }),
        fc.constantFrom('x', 'y', 'z'),
        (round, height, axis) => {
          const projection = lookFrom(round, height);
          const point = onWorkPlane(projection, { axis, at: 1.5 }, 3, -2);
          if (!point) return;
          expect(point[['x', 'y', 'z'].indexOf(axis)]).toBe(1.5);
          expect(seenPoint(projection, point)[0]).toBeCloseTo(3, 9);
          expect(seenPoint(projection, point)[1]).toBeCloseTo(-2, 9);
        },
      ),
    );
  });
});
