import { describe, expect, test } from '@jest/globals';
import type { Underlay } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { apart, calibrated, levelled, moved, pixelOfPoint, pointOfPixel } from './placing';

const underlay: Underlay = {
  image: 'data:image/png;base64,AA==',
  width: 200,
  height: 100,
  x: 1,
  y: 2,
  metresPerPixel: 0.05,
  angle: 30,
};
const after = (placement: Partial<Underlay>, px: number, py: number): Point =>
  pointOfPixel({ ...underlay, ...placement }, px, py);
const points: readonly [Point, Point] = [pointOfPixel(underlay, 20, 30), pointOfPixel(underlay, 120, 30)];
const expectPoint = (a: Point, b: readonly number[]): void => a.forEach((part, k) => expect(part).toBeCloseTo(b[k]!, 8));

describe('an underlay', () => {
  test('is calibrated by two points and their true distance, about the first', () => {
    const placed = calibrated(underlay, points, 12);
    expectPoint(after(placed, 20, 30), points[0]);
    const end = after(placed, 120, 30);
    expect(Math.hypot(end[0] - points[0][0], end[1] - points[0][1])).toBeCloseTo(12, 8);
    // Another dimension of the same picture is right then, too.
    const [a, b] = [after(placed, 0, 0), after(placed, 0, 100)];
    expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeCloseTo(12, 8);
  });

  test('is turned level about the first point', () => {
    const placed = levelled(underlay, points);
    expectPoint(after(placed, 20, 30), points[0]);
    expectPoint(after(placed, 120, 30), [points[0][0] + 5, points[0][1], 0]);
  });

  test.each([
    ['x', 3, [3, 2, -1], [3, 7, -11]],
    ['y', 4, [1, 4, -2], [11, 4, -7]],
    ['z', -1, [1, 2, -1], [11, 7, -1]],
  ] as const)('lies in a plane across %s, and keeps its place there when it is calibrated', (across, at, low, high) => {
    const lying: Underlay = { ...underlay, angle: 0, across, at };
    expectPoint(pointOfPixel(lying, 0, 100), low);
    expectPoint(pointOfPixel(lying, 200, 0), high);
    const ends = [pointOfPixel(lying, 0, 100), pointOfPixel(lying, 200, 100)] as const;
    const [px, py] = pixelOfPoint({ ...lying, angle: 37 }, pointOfPixel({ ...lying, angle: 37 }, 31, 17));
    expect([px, py]).toEqual([expect.closeTo(31, 9), expect.closeTo(17, 9)]);
    expect(apart(lying, ends)).toBeCloseTo(10, 9);
    // Seen square to the picture, what lies behind each other is one place of it.
    const k = { x: 0, y: 1, z: 2 }[across];
    expect(apart(lying, [low, low.map((part, i) => (i === k ? part + 3 : part)) as unknown as Point])).toBe(0);
    const placed = { ...lying, ...calibrated(lying, ends, 5) };
    expectPoint(pointOfPixel(placed, 0, 100), low);
    expectPoint(pointOfPixel({ ...lying, ...moved(lying, ends) }, 0, 100), ends[1]);
  });
});
