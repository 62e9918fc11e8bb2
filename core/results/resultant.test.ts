import { expect, test } from '@jest/globals';
import { resultantOf } from './resultant';

const near = (...parts: number[]): number[] => parts.map((part) => expect.closeTo(part, 9) as unknown as number);

test('forces that are parallel act together at the centre of their sizes', () => {
  // 3 kN and 1 kN down at x = 1 and 5 m.
  expect(resultantOf([0, -4e3, 0, 0, 0, -3e3 - 5e3], 4e3)).toEqual({
    force: [0, -4e3, 0],
    size: 4e3,
    foot: near(2, 0, 0),
    couple: 0,
  });
});

test('a force and a couple in its plane are the force on another line', () => {
  // 6 kN to the right through y = 2 m turns clockwise about the origin.
  const found = resultantOf([6e3, 0, 0, 0, 0, -12e3], 6e3)!;
  expect(found.foot).toEqual(near(0, 2, 0));
});

test('in space a part of the couple stays, about the central axis', () => {
  const found = resultantOf([0, 0, 5, 0, 10, 7], 5)!;
  expect(found.couple).toBeCloseTo(7, 12);
  expect(found.foot).toEqual(near(-2, 0, 0));
});

test('a couple alone has no line; loads that balance each other have nothing', () => {
  expect(resultantOf([0, 1e-9, 0, 0, 0, 40], 100)).toMatchObject({ size: 0, couple: 40 });
  expect(resultantOf([1e-9, 0, 0, 0, 0, 0], 100)).toBeUndefined();
});
