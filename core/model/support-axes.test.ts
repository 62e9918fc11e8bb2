import { expect, test } from '@jest/globals';
import { inGlobalAxes, inOwnAxes } from './support-axes';

const near = (...parts: number[]): number[] => parts.map((part) => expect.closeTo(part, 12) as unknown as number);

test('a support on a slope has its x up the slope', () => {
  expect(inGlobalAxes({ angle: 30 }, [1, 0, 0])).toEqual(near(Math.sqrt(3) / 2, 0.5, 0));
  expect(inOwnAxes({ angle: 90 }, [0, 1, 0])).toEqual([1, 0, 0]);
  expect(inOwnAxes(undefined, [1, 2, 3])).toEqual([1, 2, 3]);
});

test('in space there and back is the same vector', () => {
  const support = { axes: { x: [1, 1, 0] as const, y: [0, 1, 1] as const } };
  expect(inGlobalAxes(support, inOwnAxes(support, [3, -4, 5]))).toEqual(near(3, -4, 5));
  expect(inGlobalAxes(support, [1, 0, 0])).toEqual(near(Math.SQRT1_2, Math.SQRT1_2, 0));
});
