import { isSpan, type CellValue, type Column } from './column';

/** Rows that tell what stands in a column: where one cell goes from the least to the greatest, all do. */
const TELLING = 100;

/** A column of which cells are from the least to the greatest is two in a file, so that each cell is a number or a word. */
export const plainColumns = <R>(columns: readonly Column<R>[], rows: readonly R[]): readonly Column<R>[] =>
  columns.flatMap((column) => halves(column, rows));

function halves<R>(column: Column<R>, rows: readonly R[]): readonly Column<R>[] {
  const spans = (row: R): boolean => isSpan(column.value(row));
  if (!rows.slice(0, TELLING).some(spans)) return [column];
  return (['min', 'max'] as const).map((side) => ({
    ...column,
    title: `${column.title} ${side}`,
    value: (row: R): CellValue => {
      const value = column.value(row);
      return isSpan(value) ? value[side] : value;
    },
  }));
}

/** The head of a column with its unit. */
export const headOf = <R>({ title, unit }: Column<R>): string => (unit ? `${title} (${unit})` : title);
