import { expect, test } from '@jest/globals';
import { degreeFor } from './legendre';

test('a wave needs more terms the longer it is; of thousands of half waves, whose terms overflow, it is as many as are allowed', () => {
  const degrees = [0.1, 1, 5, 20].map((z) => degreeFor(z, 1e-5, 100));
  expect(degrees).toEqual(degrees.toSorted((a, b) => a - b));
  expect(degrees.at(-1)).toBeLessThan(60);
  expect(degreeFor(20, 1e-5, 8)).toBe(8);
  expect(degreeFor(4156, 1e-5, 5000)).toBe(5000);
});
