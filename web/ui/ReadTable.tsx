'use client';

import { useRef, type ReactNode } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import styled from 'styled-components';
import { cellWords, type Column, type Table as CoreTable } from '@rigid-beam/core/tables/column';
import { Table } from './Table';

/** What stands in small print below a cell’s words: the place of a value. */
export const Where = styled.small`
  display: block;
  color: var(--soft);
`;

/** Rows from which on a table scrolls by itself, and only those in view are there. */
const MANY = 40;
/** Columns from which on a table may be wider than the panel, and scrolls. */
const WIDE = 5;
/** Height of a row, pixels, until it was measured. */
const ROW = 26;

const Scroll = styled.div`
  max-height: 22rem;
  overflow: auto;
  thead th {
    position: sticky;
    top: 0;
    background: var(--panel);
  }
`;

export interface ReadTableProps<R> {
  readonly table: CoreTable<R>;
  /** What stands in a cell in place of its words. */
  readonly cell?: (column: Column<R>, row: R) => ReactNode;
}

/** A table of the core that is read, not written. */
export function ReadTable<R>({ table, cell }: ReadTableProps<R>) {
  const shown = (column: Column<R>, row: R): ReactNode => cell?.(column, row) ?? cellWords(column, row);
  if (table.rows.length > MANY) return <Windowed table={table} shown={shown} />;
  const rows = <Rows table={table} rows={table.rows} shown={shown} />;
  return table.columns.length > WIDE ? (
    <Scroll tabIndex={0} role="group" aria-label={table.title}>
      {rows}
    </Scroll>
  ) : (
    rows
  );
}

interface RowsProps<R> {
  readonly table: CoreTable<R>;
  readonly rows: readonly R[];
  readonly shown: (column: Column<R>, row: R) => ReactNode;
  /** Where not all rows are there: the place of the first, and the room above and below. */
  readonly window?: { readonly first: number; readonly above: number; readonly below: number };
}

function Rows<R>({ table: { title, columns, rows: all }, rows, shown, window }: RowsProps<R>) {
  return (
    <Table aria-label={title} aria-rowcount={window && all.length + 1}>
      <thead>
        <tr>
          {columns.map(({ key, title: name, unit }) => (
            <th key={key} scope="col" aria-label={name === '' ? title : undefined}>
              {unit ? `${name} (${unit})` : name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {window && <tr aria-hidden style={{ height: window.above }} />}
        {rows.map((row, i) => (
          <tr key={i + (window?.first ?? 0)} aria-rowindex={window && window.first + i + 2}>
            {columns.map((column) => (
              <td key={column.key}>{shown(column, row)}</td>
            ))}
          </tr>
        ))}
        {window && <tr aria-hidden style={{ height: window.below }} />}
      </tbody>
    </Table>
  );
}

function Windowed<R>({ table, shown }: Omit<RowsProps<R>, 'rows'>) {
  const scroll = useRef<HTMLDivElement>(null);
  const windowed = useVirtualizer({
    count: table.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW,
    overscan: 6,
  });
  const seen = windowed.getVirtualItems();
  const [first, last] = [seen[0], seen.at(-1)];
  const rows = first && last ? table.rows.slice(first.index, last.index + 1) : [];
  const above = first?.start ?? 0;
  const below = windowed.getTotalSize() - (last?.end ?? 0);
  return (
    <Scroll ref={scroll} tabIndex={0} role="group" aria-label={table.title}>
      <Rows table={table} rows={rows} shown={shown} window={{ first: first?.index ?? 0, above, below }} />
    </Scroll>
  );
}
