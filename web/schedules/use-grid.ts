import { useMemo, useState } from 'react';
import {
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
  type Table as Grid,
} from '@tanstack/react-table';
import { cellText, type Column } from '@rigid-beam/core/tables/column';

/** Numbers in a text count as numbers: member 10 comes behind member 9. */
const inOrder = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

/** The columns of a table as a grid sorts and narrows them: by what is read in them. */
export const gridColumns = <R>(columns: readonly Column<R>[]): ColumnDef<R, string>[] =>
  columns.map((column) => ({
    id: column.key,
    accessorFn: (row) => cellText(column, row),
    sortingFn: (a, b) => inOrder(a.getValue(column.key), b.getValue(column.key)),
    sortDescFirst: false,
  }));

/** How rows are narrowed to those that show a text somewhere, and ordered. */
export const gridModels = <R>() => ({
  globalFilterFn: 'includesString' as const,
  getColumnCanGlobalFilter: () => true,
  getCoreRowModel: getCoreRowModel<R>(),
  getFilteredRowModel: getFilteredRowModel<R>(),
  getSortedRowModel: getSortedRowModel<R>(),
});

/** A table's rows, narrowed to those that show a text somewhere, in the order of a column. */
export function useGrid<R>(columns: readonly Column<R>[], rows: readonly R[], filter: string): Grid<R> {
  const definitions = useMemo(() => gridColumns(columns), [columns]);
  const models = useMemo(() => gridModels<R>(), []);
  const [sorting, setSorting] = useState<SortingState>([]);
  return useReactTable({
    ...models,
    data: rows as R[],
    columns: definitions,
    state: { globalFilter: filter.trim(), sorting },
    onSortingChange: setSorting,
  });
}
