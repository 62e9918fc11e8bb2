import { unzipSync } from 'fflate';
import readXlsxFile from 'read-excel-file/universal';
import { MOST_CELLS, TABLE_BYTES, UNPACKED_BYTES, type Grids } from '../taking/grid';
import { reading as WORDS } from '../words';

/** The tables of a file of Office Open XML, a sheet each; values as they stand, whatever format shows them in. Empty sheets are left out. */
export async function readXlsx(file: Uint8Array): Promise<Grids> {
  if (file.length > TABLE_BYTES) return WORDS.tooLarge(TABLE_BYTES);
  try {
    // What a packed file would become is told by its directory, before anything is unpacked.
    let unpacked = 0;
    unzipSync(file, { filter: ({ originalSize }) => ((unpacked += originalSize), false) });
    if (unpacked > UNPACKED_BYTES) return WORDS.tooLarge(UNPACKED_BYTES);
    const sheets = await readXlsxFile(file.slice().buffer, { dateFormat: 'yyyy-mm-dd' });
    const grids = sheets.map(({ sheet, data }) => ({ title: sheet, rows: data.map((row) => row.map(textOf)) }));
    if (grids.reduce((sum, { rows }) => sum + rows.reduce((cells, row) => cells + row.length, 0), 0) > MOST_CELLS)
      return WORDS.tooManyCells(MOST_CELLS);
    const found = grids.filter(({ rows }) => rows.some((row) => row.some((cell) => cell !== '')));
    return found.length === 0 ? WORDS.empty : found;
  } catch (error) {
    return WORDS.noXlsx(error instanceof Error ? error.message : String(error));
  }
}

/** A cell as a text: a number with all its digits; nothing else of what a spreadsheet knows is a value of a structure. */
function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') return value.trim();
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value);
}
