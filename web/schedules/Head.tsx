'use client';

import type { CSSProperties } from 'react';
import type { Column as GridColumn } from '@tanstack/react-table';
import type { Column } from '@rigid-beam/core/tables/column';
import { withPowers } from '../ui/with-powers';
import { Line } from './parts';
import { schedule as WORDS } from './words';

interface HeadProps<R> {
  readonly columns: readonly Column<R>[];
  /** The same as the grid has them: it knows which one the rows are in the order of. */
  readonly sorted: readonly GridColumn<R>[];
  readonly widths: CSSProperties;
}

const ARIA = { asc: 'ascending', desc: 'descending' } as const;
const MARK = { asc: '▲', desc: '▼' } as const;

/** The names of the columns with their units; one sorts by a column: upwards, downwards, as it was. */
export function Head<R>({ columns, sorted, widths }: HeadProps<R>) {
  return (
    <Line role="row" data-head style={widths}>
      <span role="columnheader" aria-label={WORDS.row} />
      {columns.map(({ key, title, unit }, c) => {
        const way = sorted[c]!.getIsSorted();
        return (
          <span key={key} role="columnheader" aria-sort={way ? ARIA[way] : 'none'} onClick={() => sorted[c]!.toggleSorting()}>
            {title}
            {unit ? ` (${withPowers(unit)})` : ''} {way ? MARK[way] : ''}
          </span>
        );
      })}
    </Line>
  );
}
