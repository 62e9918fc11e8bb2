'use client';

import type { CSSProperties } from 'react';
import type { Column } from '@rigid-beam/core/tables/column';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { Line } from './parts';
import { schedule as WORDS } from './words';

interface HeadProps<R> {
  readonly columns: readonly Column<R>[];
  /** Which way rows are in the order of a column, and what a click on it does. */
  readonly sortedBy: (key: string) => 'asc' | 'desc' | false;
  readonly onSort: (key: string) => void;
  readonly widths: CSSProperties;
}

const ARIA = { asc: 'ascending', desc: 'descending' } as const;
const MARK = { asc: '▲', desc: '▼' } as const;

/** The names of the columns with their units; one sorts by a column: upwards, downwards, as it was. */
export function Head<R>({ columns, sortedBy, onSort, widths }: HeadProps<R>) {
  return (
    <Line role="row" data-head style={widths}>
      <span role="columnheader" aria-label={WORDS.row} />
      {columns.map(({ key, title, unit }) => {
        const way = sortedBy(key);
        return (
          <span key={key} role="columnheader" aria-sort={way ? ARIA[way] : 'none'} onClick={() => onSort(key)}>
            {title}
            {unit ? ` (${withPowers(unit)})` : ''} {way ? MARK[way] : ''}
          </span>
        );
      })}
    </Line>
  );
}
