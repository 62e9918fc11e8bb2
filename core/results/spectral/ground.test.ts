import { expect, test } from '@jest/globals';
import { accelerationAt } from './ground';

const shape = { shape: 'type 1', ground: 'C', acceleration: 2 } as const;

test.each([
  [0, 1.15 * 2],
  [0.1, 1.15 * 2 * (1 + 0.5 * 1.5)],
  [0.4, 1.15 * 2 * 2.5],
  [1.2, (1.15 * 2 * 2.5) / 2],
  [4, (1.15 * 2 * 2.5 * 0.6 * 2) / 16],
])('EN 1998-1, 3.2.2.2 at T = %s s on ground C', (period, expected) =>
  expect(accelerationAt(shape, 'x', period)).toBeCloseTo(expected, 12),
);

test('it ends at 4 s, damping lowers it by η, at least 0.55', () => {
  expect(accelerationAt(shape, 'x', 4.01)).toBeUndefined();
  expect(accelerationAt({ ...shape, damping: 0.15 }, 'x', 0.4)).toBeCloseTo(1.15 * 2 * 2.5 * Math.SQRT1_2, 12);
  expect(accelerationAt({ ...shape, damping: 0.5 }, 'x', 0.4)).toBeCloseTo(1.15 * 2 * 2.5 * 0.55, 12);
});

test('upwards and downwards: 3.0, 0.9 a_g, no soil', () => {
  expect(accelerationAt(shape, 'y', 0.1)).toBeCloseTo(0.9 * 2 * 3, 12);
  expect(accelerationAt({ ...shape, shape: 'type 2' }, 'y', 0.3)).toBeCloseTo((0.45 * 2 * 3 * 0.15) / 0.3, 12);
  expect(accelerationAt({ ...shape, behaviour: 4 }, 'y', 0.1)).toBeCloseTo((0.9 * 2 * 2.5) / 1.5, 12);
});

test.each([
  [0, (1.15 * 2 * 2) / 3],
  [0.1, 1.15 * 2 * (2 / 3 + 0.5 * (0.625 - 2 / 3))],
  [0.6, 1.15 * 2 * 0.625],
  [1.2, (1.15 * 2 * 0.625) / 2],
  // No less than β·a_g.
  [3, 0.2 * 2],
])('EN 1998-1, 3.2.2.5 with q = 4 at T = %s s', (period, expected) =>
  expect(accelerationAt({ ...shape, behaviour: 4 }, 'z', period)).toBeCloseTo(expected, 12),
);

test('a table is straight between its periods, and tells nothing beside them', () => {
  const table = [[0.1, 3], [0.5, 5], [2, 1]].map(([period, acceleration]) => ({ period: period!, acceleration: acceleration! })); // oxfmt-ignore
  const at = (period: number): number | undefined => accelerationAt({ table, vertical: 0.7 }, 'x', period);
  expect([at(0.1), at(0.3), at(0.5), at(1.25), at(2)]).toEqual([3, 4, 5, 3, 1]);
  expect([at(0.09), at(2.01)]).toEqual([undefined, undefined]);
  expect(accelerationAt({ table, vertical: 0.7 }, 'y', 0.3)).toBeCloseTo(2.8, 12);
});
