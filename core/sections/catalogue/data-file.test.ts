import { expect, test } from '@jest/globals';
import { catalogue } from './all';
import { data, families } from './families';
import { readData } from './data-file';

test('a data file is read line by line; a line with a cell too few is no line', () => {
  const [first, second] = readData('family,designation,h,b\nX,X 1,10,\r\nX,X 2,20,5\n');
  expect([...first!]).toEqual([['family', 'X'], ['designation', 'X 1'], ['h', '10']]); // oxfmt-ignore
  expect(second!.get('b')).toBe('5');
  expect(() => readData('a,b\n1,2\n3\n')).toThrow(/Line 3/);
});

test('every line belongs to a family that is listed, and every shape has a name of its own', () => {
  const known = new Set(families.map(({ id }) => id));
  for (const [file, rows] of Object.entries(data))
    for (const row of rows)
      expect([file, row.get('family'), known.has(row.get('family')!)]).toEqual([file, row.get('family'), true]);
  const names = catalogue().map(({ designation }) => designation);
  expect(new Set(names).size).toBe(names.length);
});
