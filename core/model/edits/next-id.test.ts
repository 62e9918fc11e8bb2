import { expect, test } from '@jest/globals';
import { freeName, nextLetters, nextNumber } from './next-id';

test('numbers fill the first gap', () => {
  expect(nextNumber([])).toBe('1');
  expect(nextNumber(['1', '2', '4', 'a'])).toBe('3');
});

test('letters go on behind z', () => {
  const used: string[] = [];
  for (let i = 0; i < 55; i++) used.push(nextLetters(used));
  expect([used[0], used[25], used[26], used[27], used[52]]).toEqual(['a', 'z', 'aa', 'ab', 'ba']);
});

test('names take a number when they are taken', () => {
  expect(freeName('beam', [])).toBe('beam');
  expect(freeName('beam', ['beam', 'beam 2'])).toBe('beam 3');
});
