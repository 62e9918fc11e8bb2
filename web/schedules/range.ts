import { cellText, type Row, type Table, type TypedColumn } from '@rigid-beam/core/tables/column';
import type { Cell } from '@rigid-beam/core/tables/schedules/write-cells';
import type { Place } from './parts';

/** Cells from one corner to the other, both counted. */
export interface Range {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** What is marked between where a range began and the cell that the keyboard is in. */
export const rangeBetween = (a: Place, b: Place): Range => ({
  top: Math.min(a.row, b.row),
  bottom: Math.max(a.row, b.row),
  left: Math.min(a.column, b.column),
  right: Math.max(a.column, b.column),
});

/** The rows and columns that a schedule shows; what stands below the last row is new. */
export interface Shown {
  readonly rows: readonly Row[];
  readonly columns: readonly TypedColumn[];
}

/** A text for one cell; rows below the last one are added, in their order. */
export const cellAt = ({ rows, columns }: Shown, row: number, column: number, text: string): Cell => ({
  row: rows[row]?.id,
  ...(row >= rows.length && { added: row - rows.length }),
  column: columns[column]?.key ?? '',
  text,
});

/** What is marked, as a spreadsheet takes it. */
export const copied = <R>({ rows, columns }: Pick<Table<R>, 'rows' | 'columns'>, { top, bottom, left, right }: Range): string =>
  rows
    .slice(top, bottom + 1)
    .map((row) =>
      columns
        .slice(left, right + 1)
        .map((column) => cellText(column, row))
        .join('\t'),
    )
    .join('\n');

/**
 * What a pasted table writes: from the first marked cell on, however much is marked, passing over what is computed; but one cell fills all that
 * is marked.
 */
export function pasted(shown: Shown, range: Range, table: readonly (readonly string[])[]): Cell[] {
  const { top, left } = range;
  const isOne = table.length === 1 && table[0]!.length === 1;
  if (isOne) return everyCell(range).map(([row, column]) => cellAt(shown, row, column, table[0]![0]!));
  return table.flatMap((line, r) =>
    line.flatMap((text, c) => (shown.columns[left + c]?.computed ? [] : [cellAt(shown, top + r, left + c, text)])),
  );
}

/** The first marked row written into all that are marked below it, as `text` has it; nothing where there is none. */
export function filledDown(shown: Shown, range: Range, text: (column: TypedColumn, row: Row) => string = cellText): Cell[] {
  const source = shown.rows[range.top];
  if (!source) return [];
  return everyCell({ ...range, top: range.top + 1 }).map(([row, column]) =>
    cellAt(shown, row, column, text(shown.columns[column]!, source)),
  );
}

const everyCell = ({ top, bottom, left, right }: Range): (readonly [row: number, column: number])[] =>
  Array.from({ length: Math.max(0, bottom - top + 1) }, (_, r) =>
    Array.from({ length: right - left + 1 }, (__, c) => [top + r, left + c] as const),
  ).flat();
