import { useRef, useState } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { TableAction } from './keys';
import { HEIGHT, type Place } from './parts';
import { rangeBetween } from './range';

/** The cells of a long table: those in view, the one that is in hand, and the part that is marked from an anchor to it. */
export function useCells(rows: number, columns: number) {
  const [active, setActive] = useState<Place>({ row: 0, column: 0 });
  const [anchor, setAnchor] = useState<Place>({ row: 0, column: 0 });
  const scroll = useRef<HTMLDivElement>(null);
  const windowed = useVirtualizer({
    count: rows,
    getScrollElement: () => scroll.current,
    estimateSize: () => HEIGHT,
    overscan: 4,
    // The head lies over the first row.
    scrollMargin: HEIGHT,
    scrollPaddingStart: HEIGHT,
  });
  const seen = windowed.getVirtualItems();
  const range = rangeBetween(active, anchor);
  const go = (row: number, column: number, reach: 'alone' | 'extended'): void => {
    const to = { row: within(row, rows), column: within(column, columns) };
    setActive(to);
    if (reach === 'alone') setAnchor(to);
    windowed.scrollToIndex(to.row);
  };
  /** By keys: a step, or to an edge. */
  const move = (action: Extract<TableAction, { readonly kind: 'step' | 'edge' }>): void => {
    if (action.kind === 'step') return go(active.row + action.rows, active.column + action.columns, action.range);
    const row = !action.ofAll ? active.row : action.end === 'first' ? 0 : rows - 1;
    go(row, action.end === 'first' ? 0 : columns - 1, action.range);
  };
  return {
    ...{ scroll, windowed, active, anchor, range, go, move, setActive, setAnchor },
    /** The rows in view, by their places, and the room that the others take. */
    seen: seen.map(({ index }) => index),
    above: (seen[0]?.start ?? HEIGHT) - HEIGHT,
    below: windowed.getTotalSize() - ((seen.at(-1)?.end ?? HEIGHT) - HEIGHT),
    isChosen: (row: number, column: number): boolean =>
      row >= range.top && row <= range.bottom && column >= range.left && column <= range.right,
    isActive: (row: number, column: number): boolean => active.row === row && active.column === column,
  };
}

const within = (place: number, count: number): number => Math.max(Math.min(place, count - 1), 0);
