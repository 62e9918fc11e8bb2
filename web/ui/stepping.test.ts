import { expect, test } from '@jest/globals';
import { stepOf, stepped } from './stepping';

const plain = { shiftKey: false, altKey: false };

test.each([
  [10, 1],
  [12, 1],
  [2.5, 0.1],
  [-350, 10],
  [0, 1],
  [0.035, 0.001],
])('an arrow key changes the second figure of %d: by %d', (value, step) => expect(stepOf(value, plain)).toBeCloseTo(step, 12));

test('Shift takes ten steps, Alt a tenth of one; a run of steps leaves no tail of digits', () => {
  expect(stepOf(10, { ...plain, shiftKey: true })).toBe(10);
  expect(stepOf(10, { ...plain, altKey: true })).toBeCloseTo(0.1, 12);
  let value = 2.5;
  for (let i = 0; i < 7; i++) value = stepped(value, 0.1, 1);
  expect(value).toBe(3.2);
  expect(stepped(0.1, 0.1, -1)).toBe(0);
});
