import Papa from 'papaparse';
import { MOST_CELLS, TABLE_BYTES, type Grid, type Grids } from '../taking/grid';
import { reading as WORDS } from '../words';

/** A number with one comma in it, and one with a point. */
const WITH_COMMA = /^[+-]?\d+,\d+(?:e[+-]?\d+)?$/iu;
const GROUPED = /^[+-]?\d{1,3},\d{3}$/u;
const WITH_POINT = /^[+-]?\d*\.\d+(?:e[+-]?\d+)?$/iu;

/**
 * The table of a text file: cells between commas, semicolons or tabs, quoted or not, as RFC 4180 has it. Where commas do not divide cells they may
 * be decimal marks: they are if one number says so for certain (`3,6`, and none has a point); `1,000` alone says nothing, and stays as it is.
 */
export function readCsv(text: string, title: string): Grids {
  if (text.length > TABLE_BYTES) return WORDS.tooLarge(TABLE_BYTES);
  const { data, errors, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/u, ''), { skipEmptyLines: false });
  const unclosed = errors.find(({ type }) => type === 'Quotes');
  if (unclosed) return WORDS.quotes((unclosed.row ?? 0) + 1);
  if (data.reduce((sum, row) => sum + row.length, 0) > MOST_CELLS) return WORDS.tooManyCells(MOST_CELLS);
  const rows = data.map((row) => row.map((cell) => cell.replace(/^'(?=[=@+-])/u, '').trim()));
  while (rows.at(-1)?.every((cell) => cell === '')) rows.pop();
  if (rows.length === 0) return WORDS.empty;
  return [{ title, rows: meta.delimiter === ',' ? rows : withPoints(rows) }] satisfies Grid[];
}

/** The same cells with decimal points. */
function withPoints(rows: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const cells = rows.flat();
  const isComma =
    cells.some((cell) => WITH_COMMA.test(cell) && !GROUPED.test(cell)) && !cells.some((cell) => WITH_POINT.test(cell));
  return isComma ? rows.map((row) => row.map((cell) => (WITH_COMMA.test(cell) ? cell.replace(',', '.') : cell))) : rows;
}
