import { unzipSync, zipSync, type Zippable } from 'fflate';
import writeXlsxFile from 'write-excel-file/universal';
import { isSpan, type Column, type Table } from '../column';
import { headOf, plainColumns } from '../plain-columns';

/** Rows of a sheet: more than a spreadsheet shows, or than are built in memory at once, are for CSV. */
export const MOST_ROWS = 200_000;
/** Letters of a sheet’s name, and those that it may not have. */
const NAME = 31;
const FORBIDDEN = /[\\/?*[\]:]/gu;
/** The time that stands in the file: none, so that the same table is the same bytes. */
const TIMELESS = '1980-01-02T00:00:00';

/** Widths of columns, letters. */
const WIDTHS = { least: 8, most: 40 } as const;

interface Blob {
  readonly arrayBuffer: () => Promise<ArrayBuffer>;
}

/** Tables as sheets of one file of Office Open XML: numbers as numbers, units in the head, which stays while one scrolls. Refuses one that is too long. */
export async function xlsxFile(tables: readonly Table<never>[]): Promise<Uint8Array> {
  const long = tables.find(({ rows }) => rows.length > MOST_ROWS);
  if (long)
    throw new Error(`“${long.title}” has ${long.rows.length} rows, and a sheet takes ${MOST_ROWS}: narrow it, or write CSV`);
  const names = new Set<string>();
  const sheets = tables.map((table) => {
    const columns = plainColumns(table.columns, table.rows);
    const head = columns.map((column) => ({ value: headOf(column), type: String, fontWeight: 'bold' as const }));
    const data = [head, ...table.rows.map((row) => columns.map((column) => cell(column, row)))];
    const width = columns.map((column) => ({
      width: Math.min(WIDTHS.most, Math.max(WIDTHS.least, headOf(column).length + 3)),
    }));
    return { data, sheet: nameOf(table.title, names), columns: width, stickyRowsCount: 1 };
  });
  const written = writeXlsxFile(sheets as never) as unknown as { readonly toBlob: () => Promise<Blob> };
  const bytes = new Uint8Array(await (await written.toBlob()).arrayBuffer());
  const parts: Zippable = {};
  for (const [name, content] of Object.entries(unzipSync(bytes)).sort(([a], [b]) => (a < b ? -1 : 1)))
    parts[name] = [content, { mtime: TIMELESS }];
  return zipSync(parts, { mtime: TIMELESS });
}

function cell<R>({ value }: Column<R>, row: R): object | null {
  const found = value(row);
  if (found === undefined || found === '') return null;
  if (typeof found === 'string') return { value: found, type: String };
  const one = isSpan(found) ? found.max : found;
  return { value: Object.is(one, -0) ? 0 : one, type: Number };
}

/** The title of a table as a sheet may be called, once in the file. */
function nameOf(title: string, taken: Set<string>): string {
  const plain = title.replace(FORBIDDEN, ' ').trim().slice(0, NAME) || 'Table';
  let name = plain;
  for (let i = 2; taken.has(name.toLowerCase()); i++) name = `${plain.slice(0, NAME - 4)} ${i}`;
  taken.add(name.toLowerCase());
  return name;
}
