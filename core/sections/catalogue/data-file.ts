/** A line of a data file: the cells by the names of their columns; empty ones are left out. */
export type DataRow = ReadonlyMap<string, string>;

/** The lines of a data file: names of columns first, then a line each, without quotes. */
export function readData(text: string): readonly DataRow[] {
  const [head = '', ...lines] = text.trim().split(/\r?\n/);
  const columns = head.split(',');
  return lines.map((line, i) => {
    const cells = line.split(',');
    if (cells.length !== columns.length) throw new Error(`Line ${i + 2} of a table of shapes: ${columns.length} cells expected`);
    return new Map(columns.flatMap((column, k) => (cells[k] === '' ? [] : [[column, cells[k]!]])));
  });
}

/** The lines of one family. */
export const rowsOf = (rows: readonly DataRow[], family: string): readonly DataRow[] =>
  rows.filter((row) => row.get('family') === family);
