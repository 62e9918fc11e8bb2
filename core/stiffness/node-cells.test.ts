import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cellsOf } from './node-cells';

test('every point of a box is visited once, however the points are spread', () => {
  const coordinate = fc.oneof(fc.integer({ min: -2, max: 2 }), fc.double({ min: -3, max: 3, noNaN: true }), fc.constant(1e9));
  const point = fc.tuple(coordinate, coordinate, coordinate);
  fc.assert(
    fc.property(fc.array(point, { maxLength: 60 }), point, point, (points, a, b) => {
      const low = a.map((value, k) => Math.min(value, b[k]!));
      const high = a.map((value, k) => Math.max(value, b[k]!));
      const visited: number[] = [];
      cellsOf(Float64Array.from(points.flat())).near(low, high, (p) => visited.push(p));
      const isInside = (p: number): boolean => points[p]!.every((value, k) => value >= low[k]! && value <= high[k]!);
      expect(visited.filter(isInside).sort((p, q) => p - q)).toEqual(points.map((_, p) => p).filter(isInside));
    }),
    { numRuns: 200 },
  );
});

test('of a regular structure a member’s box holds little more than its own nodes', () => {
  const points = Array.from({ length: 8 * 9 * 10 }, (_, p) => [p % 8, 3 * (Math.floor(p / 8) % 9), 5 * Math.floor(p / 72)]);
  let visits = 0;
  cellsOf(Float64Array.from(points.flat())).near([2, 3, 5], [3, 3, 5], () => visits++);
  expect(visits).toBeLessThan(30);
});
