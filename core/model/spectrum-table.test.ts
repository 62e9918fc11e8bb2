import { expect, test } from '@jest/globals';
import { readSpectrumTable, spectrumTableText } from './spectrum-table';

test('a table is read as a spreadsheet or a hand writes it, and written as it is read', () => {
  const table = [{ period: 0, acceleration: 1.5 }, { period: 0.25, acceleration: 3 }, { period: 2, acceleration: 0.4 }]; // oxfmt-ignore
  expect(readSpectrumTable('0\t1.5\r\n0.25;3\n\n 2   .4 \n')).toEqual({ table });
  expect(readSpectrumTable(spectrumTableText(table))).toEqual({ table });
});

test.each([
  ['0 1\n0,5 2', 'Line 2, “0,5 2”, is no period and acceleration'],
  ['0 1\nT S', 'Line 2'],
  ['0 1 2\n3 4', 'Line 1'],
  ['1 1\n1 2', 'Line 2, “1 2”, does not follow'],
  ['0 0\n1 2', 'Line 1, “0 0”, has no acceleration'],
  ['0 1', 'two lines at least'],
  ['', 'two lines at least'],
])('%j is refused with its line', (text, words) => expect((readSpectrumTable(text) as { fault: string }).fault).toContain(words));
