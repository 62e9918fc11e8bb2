import Papa from 'papaparse';
import { isSpan, type Column, type Table } from '../column';
import { headOf, plainColumns } from '../plain-columns';

/** How decimals are written: with a comma, cells are divided by semicolons. */
export const decimalMarks = ['point', 'comma'] as const;
export type DecimalMark = (typeof decimalMarks)[number];

/** Rows of one part of a file. */
const BLOCK = 1000;

/**
 * A table as RFC 4180 has it: units in the head, a number with all its digits, lines that end with CR and LF; part after part, so that no more than one
 * is in memory. A text that a spreadsheet would take for a formula begins with an apostrophe.
 */
export function* csvParts<R>({ columns, rows }: Table<R>, mark: DecimalMark): Generator<string> {
  const all = plainColumns(columns, rows);
  const settings = { delimiter: mark === 'comma' ? ';' : ',', newline: '\r\n' } as const;
  const lines = (cells: readonly (readonly string[])[]): string => `${Papa.unparse([...cells] as string[][], settings)}\r\n`;
  yield lines([all.map((column) => harmless(headOf(column)))]);
  for (let from = 0; from < rows.length; from += BLOCK)
    yield lines(rows.slice(from, from + BLOCK).map((row) => all.map((column) => cell(column, row, mark))));
}

function cell<R>({ value }: Column<R>, row: R, mark: DecimalMark): string {
  const found = value(row);
  if (found === undefined) return '';
  if (typeof found === 'string') return harmless(found);
  const one = isSpan(found) ? found.max : found;
  const text = Object.is(one, -0) ? '0' : String(one);
  return mark === 'comma' ? text.replace('.', ',') : text;
}

/** What a spreadsheet would run as a formula; a sign before a number is none. */
const FORMULA = /^(?:[=@\t\r]|[+-](?![\d.,]))/u;
export const harmless = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);
