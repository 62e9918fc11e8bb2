import { cellText, type Table } from './column';
import { headOf, plainColumns } from './plain-columns';

/** A whole table as a spreadsheet takes it from the clipboard: a line a row, tabs between cells, units in the head. */
export function copiedTable<R>({ columns, rows }: Table<R>): string {
  const all = plainColumns(columns, rows);
  const plain = (text: string): string => text.replace(/[\t\n\r]+/gu, ' ');
  return [all.map(headOf), ...rows.map((row) => all.map((column) => cellText(column, row)))]
    .map((line) => line.map(plain).join('\t'))
    .join('\n');
}
