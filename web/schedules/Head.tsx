'use client';

import type { CSSProperties } from 'react';
import { withPowers } from '../ui/with-powers';
import type { Sorting } from './arranged';
import type { Column } from './column';
import { Line } from './parts';
import { schedule as WORDS } from './words';

interface HeadProps {
  readonly columns: readonly Column[];
  readonly widths: CSSProperties;
  readonly sort: Sorting | undefined;
  readonly onSort: (sort: Sorting | undefined) => void;
}

/** The names of the columns with their units; one sorts by a column: upwards, downwards, as it was. */
export function Head({ columns, widths, sort, onSort }: HeadProps) {
  return (
    <Line role="row" data-head style={widths}>
      <span role="columnheader" aria-label={WORDS.row} />
      {columns.map(({ key, title, unit }) => {
        const way = sort?.key === key ? sort.way : undefined;
        return (
          <span
            key={key}
            role="columnheader"
            aria-sort={way === undefined ? 'none' : way === 1 ? 'ascending' : 'descending'}
            onClick={() => onSort(way === -1 ? undefined : { key, way: way === undefined ? 1 : -1 })}
          >
            {title}
            {unit ? ` (${withPowers(unit)})` : ''} {way === undefined ? '' : way === 1 ? '▲' : '▼'}
          </span>
        );
      })}
    </Line>
  );
}
