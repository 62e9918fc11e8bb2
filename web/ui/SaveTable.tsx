'use client';

import { useEffect, useRef, useState } from 'react';
import type { Table } from '@rigid-beam/core/tables/column';
import { keepFile } from '../browser/keep-file';
import { Button } from './controls';
import { tableFile } from './table-file';
import type { TableKind } from './table.worker';
import { saveTable as WORDS } from './words';

/** Of a table with fewer rows nobody sees how far it is. */
const LONG = 5000;

/** Lets the browser keep a table as it is shown, as CSV or XLSX. It is written beside the page; of a long one it is told how far it is, and it can be given up. */
export function SaveTable<R>({ table }: { readonly table: Table<R> }) {
  const [trouble, setTrouble] = useState<string>();
  const [done, setDone] = useState<{ readonly kind: TableKind; readonly share: number }>();
  const under = useRef<AbortController>(undefined);
  useEffect(() => () => under.current?.abort(), []);
  const save = async (kind: TableKind): Promise<void> => {
    under.current?.abort();
    const giveUp = (under.current = new AbortController());
    setTrouble(undefined);
    try {
      const told = (share: number): void => {
        if (under.current === giveUp && table.rows.length > LONG) setDone({ kind, share });
      };
      const content = await tableFile(table, kind, told, giveUp.signal);
      if (content) keepFile(`${table.title.toLowerCase().replace(/[^a-z0-9]+/gu, '-')}.${kind}`, content, content.type);
    } catch (error) {
      setTrouble((error as Error).message);
    } finally {
      if (under.current === giveUp) setDone(undefined);
    }
  };
  return (
    <>
      {(['csv', 'xlsx'] as const).map((kind) => (
        <Button key={kind} aria-label={WORDS.save(kind.toUpperCase(), table.title)} onPress={() => void save(kind)}>
          {kind.toUpperCase()}
        </Button>
      ))}
      {done && (
        <>
          <span role="status">{WORDS.done(done.kind.toUpperCase(), done.share)}</span>
          <Button onPress={() => under.current?.abort()}>{WORDS.giveUp}</Button>
        </>
      )}
      {trouble && <span role="alert">{trouble}</span>}
    </>
  );
}
