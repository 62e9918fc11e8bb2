import { useCallback, useEffect, useRef, useState } from 'react';
import { takeStored } from '../editor/storage';
import { AT_ONCE, type Wanted } from './arranged';
import { InOrder } from './in-order';
import { tilesOf } from './requests';
import type { ShownTiles } from './tile';

/** Milliseconds between two looks at tiles that are being made, and how often they are looked at. */
const LOOK = 700;
const LOOKS = 20;
/** Milliseconds after the last letter of a search. */
const TYPED = 150;

interface Tiles {
  readonly shown: ShownTiles;
  readonly wanted: Wanted;
  readonly want: (part: Partial<Wanted>) => void;
  readonly showMore: () => void;
  /** Asks for what is there now. */
  readonly reload: () => Promise<void>;
}

/** The tiles of the projects page, as far down as somebody looks; asked for again while some are being made, and where they are older than what was edited since. */
export function useTiles(first: ShownTiles): Tiles {
  const [shown, setShown] = useState(first);
  const [wanted, setWanted] = useState<Wanted>({ search: '', sorting: 'made', count: AT_ONCE });
  const looks = useRef(0);
  const newest = useRef(wanted);
  const order = useRef(new InOrder());
  const load = useCallback(async (): Promise<void> => {
    const asked = newest.current;
    const question = order.current.begin();
    const found = await tilesOf(asked);
    // What was asked for since comes by itself; an answer that was longer on its way than a newer one is none.
    if (found && asked === newest.current && order.current.takes(question)) setShown(found);
  }, []);
  const want = useCallback(
    (part: Partial<Wanted>): void => {
      const next = { ...newest.current, count: AT_ONCE, ...part };
      newest.current = next;
      setWanted(next);
      setTimeout(() => newest.current === next && void load(), part.search === undefined ? 0 : TYPED);
    },
    [load],
  );
  // The browser's own back brings the page as it was before models were edited.
  useEffect(() => {
    if (takeStored()) void load();
  }, [load]);
  useEffect(() => {
    if (looks.current >= LOOKS || shown.projects.every(({ models }) => models.every(({ isCurrent }) => isCurrent))) return;
    const timer = setTimeout(() => {
      looks.current++;
      void load();
    }, LOOK);
    return () => clearTimeout(timer);
  }, [shown, load]);
  const showMore = useCallback(() => want({ count: newest.current.count + AT_ONCE }), [want]);
  const reload = useCallback(async () => {
    looks.current = 0;
    await load();
  }, [load]);
  return { shown, wanted, want, showMore, reload };
}
