import type { Column, Row } from './column';

export interface Sorting {
  readonly key: string;
  /** Ascending, or descending. */
  readonly way: 1 | -1;
}

/** Rows that show the text somewhere, in the order of a column: numbers as numbers. */
export function arranged(
  rows: readonly Row[],
  columns: readonly Column[],
  filter: string,
  sort: Sorting | undefined,
): readonly Row[] {
  const wanted = filter.trim().toLowerCase();
  const kept =
    wanted === '' ? rows : rows.filter((row) => columns.some((column) => column.show(row).toLowerCase().includes(wanted)));
  const column = columns.find(({ key }) => key === sort?.key);
  if (!column || !sort) return kept;
  return [...kept].sort((a, b) => sort.way * column.show(a).localeCompare(column.show(b), 'en', { numeric: true }));
}
