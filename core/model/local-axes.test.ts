import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { memberAxes, supportAxes } from './local-axes';
import { evenly } from '../test/evenly';

describe('local axes', () => {
  test.each([
    [
      [3, 4],
      [0.6, 0.8, 1],
    ],
    [
      [-3, 4],
      [-0.6, 0.8, -1],
    ],
    [
      [3, -4],
      [0.6, -0.8, 1],
    ],
    [
      [0, 5],
      [0, 1, 1],
    ],
    [
      [0, -5],
      [0, -1, -1],
    ],
    [
      [1e-9, -5],
      [expect.closeTo(0, 8), -1, -1],
    ],
    [
      [-5, 0],
      [-1, 0, -1],
    ],
  ] as const)('%j', ([dx, dy], expected) => {
    const axes = memberAxes(dx, dy, 0, 0);
    const [c, s, sense] = [axes[0]!, axes[1]!, axes[8]!];
    expect([c, s, sense]).toEqual([...expected]);
    // y points up, or along −X on a vertical member.
    const [yx, yy] = [-sense * s, sense * c];
    expect(Math.abs(dx) > 1e-6 ? yy : -yx).toBeGreaterThan(0);
  });
});

describe('axes in space', () => {
  const rows = (axes: Float64Array): number[][] =>
    [0, 3, 6].map((i) => [...axes.subarray(i, i + 3)].map((x) => Number(x.toFixed(12)) + 0));

  test.each<[string, [number, number, number], number, number[][]]>([
    ['along X', [2, 0, 0], 0, [[1, 0, 0], [0, 1, 0], [0, 0, 1]]],
    ['along −X: y still points up', [-2, 0, 0], 0, [[-1, 0, 0], [0, 1, 0], [0, 0, -1]]],
    ['along Z', [0, 0, 3], 0, [[0, 0, 1], [0, 1, 0], [-1, 0, 0]]],
    ['a post: y is −X', [0, 3, 0], 0, [[0, 1, 0], [-1, 0, 0], [0, 0, 1]]],
    ['a post drawn downwards: y is −X', [0, -3, 0], 0, [[0, -1, 0], [-1, 0, 0], [0, 0, -1]]],
    ['rolled by a quarter: y is where z was', [2, 0, 0], 90, [[1, 0, 0], [0, 0, 1], [0, -1, 0]]],
    ['rising in space', [3, 4, 0], 0, [[0.6, 0.8, 0], [-0.8, 0.6, 0], [0, 0, 1]]],
  ])('%s', (_, [dx, dy, dz], roll, expected) => expect(rows(memberAxes(dx, dy, dz, roll))).toEqual(expected)); // oxfmt-ignore

  test('are right-handed and of unit length, and y has the greatest upward part, however the member lies', () => {
    const part = evenly(-5, 5);
    fc.assert(
      fc.property(part, part, part, fc.integer({ min: -180, max: 180 }), (dx, dy, dz, roll) => {
        if (Math.hypot(dx, dz) < 1e-3) return;
        const [x, y, z] = rows(memberAxes(dx, dy, dz, roll)) as [number[], number[], number[]];
        const dot = (a: number[], b: number[]): number => a.reduce((sum, v, i) => sum + v * b[i]!, 0);
        for (const [a, b, value] of [[x, x, 1], [y, y, 1], [x, y, 0], [x, z, 0], [y, z, 0]] as const) expect(dot(a, b)).toBeCloseTo(value, 9); // oxfmt-ignore
        expect(dot([x[1]! * y[2]! - x[2]! * y[1]!, x[2]! * y[0]! - x[0]! * y[2]!, x[0]! * y[1]! - x[1]! * y[0]!], z)).toBeCloseTo(
          1,
          9,
        );
        const upright = memberAxes(dx, dy, dz, 0);
        expect(upright[4]).toBeGreaterThan(0);
        expect(upright[7]).toBeCloseTo(0, 12);
      }),
    );
  });

  test('support axes are made normal to each other; none come from parallel directions', () => {
    expect(rows(supportAxes([2, 0, 0], [1, 1, 0])!)).toEqual([[1, 0, 0], [0, 1, 0], [0, 0, 1]]); // oxfmt-ignore
    expect(supportAxes([1, 0, 0], [3, 0, 0])).toBeUndefined();
    expect(supportAxes([0, 0, 0], [0, 1, 0])).toBeUndefined();
  });
});
