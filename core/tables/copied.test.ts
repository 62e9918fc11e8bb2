import { expect, test } from '@jest/globals';
import type { Table } from './column';
import { copiedTable } from './copied';

test('a table is copied as a spreadsheet takes it: units in the head, a range in two columns, no tab or line within a cell', () => {
  interface Line {
    readonly id: string;
    readonly value: number | { readonly min: number; readonly max: number } | undefined;
  }
  const table: Table<Line> = {
    title: 'Reactions',
    columns: [
      { key: 'id', title: 'Node', value: ({ id }) => id },
      { key: 'x', title: 'X', unit: 'kN', value: ({ value }) => value },
    ],
    rows: [
      { id: 'a\tb\nc', value: 1234.5 },
      { id: '2', value: -0.25 },
      { id: '3', value: undefined },
    ],
  };
  expect(copiedTable(table)).toBe('Node\tX (kN)\na b c\t1234.5\n2\t-0.25\n3\t');
  const band = { ...table, rows: [{ id: '1', value: { min: -2, max: 3 } }] };
  expect(copiedTable(band)).toBe('Node\tX min (kN)\tX max (kN)\n1\t-2\t3');
});
