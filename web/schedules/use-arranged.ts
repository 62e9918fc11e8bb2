import { useEffect, useMemo, useState } from 'react';
import { arranged, arrangedNow, type Wanted } from '@rigid-beam/core/tables/arranged';
import type { Table } from '@rigid-beam/core/tables/column';

/** Rows up to which all is done at once: no longer than a frame. */
const FEW = 1500;
/** Milliseconds in one piece, and between two of them, in which the page goes on. */
const PIECE = 10;

interface Arranged {
  /** Indices of the rows that are wanted, in their order: those of before, until the new ones are there. */
  readonly order: Uint32Array;
  /** The part that is done of an order that is being found. */
  readonly progress?: number;
}

/** The rows of a table that are wanted, in their order; of many they are found in pieces, between which the page goes on. */
export function useArranged<R>(table: Table<R>, wanted: Wanted<R>): Arranged {
  const isFew = table.rows.length <= FEW || (!wanted.holds && !wanted.sorted);
  const now = useMemo(() => (isFew ? arrangedNow(table, wanted) : undefined), [isFew, table, wanted]);
  const [found, show] = useState<{ readonly table: Table<R>; readonly order: Uint32Array }>();
  const [progress, tell] = useState<number>();
  useEffect(() => {
    if (now) return tell(undefined);
    const reading = arranged(table, wanted);
    let later: ReturnType<typeof setTimeout> | undefined;
    const goOn = (): void => {
      const until = performance.now() + PIECE;
      for (let step = reading.next(); ; step = reading.next()) {
        if (step.done) {
          show({ table, order: step.value });
          return tell(undefined);
        }
        if (performance.now() > until) {
          tell(step.value);
          break;
        }
      }
      later = setTimeout(goOn, 0);
    };
    goOn();
    return () => clearTimeout(later);
  }, [now, table, wanted]);
  const order = now ?? (found?.table === table ? found.order : NONE);
  return { order, ...(progress !== undefined && { progress }) };
}

const NONE = new Uint32Array();
