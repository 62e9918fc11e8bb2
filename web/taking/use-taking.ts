import { useEffect, useRef, useState } from 'react';
import type { Model } from '@rigid-beam/core/model/model';
import type { Understood } from '@rigid-beam/core/tables/taking/heads';
import type { TakableKind } from '@rigid-beam/core/tables/taking/takable';
import type { Taken } from '@rigid-beam/core/tables/taking/take-tables';
import { TakingClient } from './taking-client';
import { taking as WORDS } from './words';

/** A file of tables as it is understood, and what becomes of it; nothing of either while it is being found. */
export interface Taking {
  readonly tables: readonly Understood[] | undefined;
  readonly taken: Taken | undefined;
  /** Why the file cannot be read. */
  readonly trouble: string | undefined;
  readonly change: (at: number, table: Understood) => void;
  readonly changeKind: (at: number, kind: TakableKind | undefined) => void;
}

export function useTaking(file: File, model: Model): Taking {
  const client = useRef<TakingClient>(undefined);
  const [tables, setTables] = useState<readonly Understood[]>();
  const [taken, setTaken] = useState<{ readonly of: readonly Understood[]; readonly model: Model; readonly what: Taken }>();
  const [trouble, setTrouble] = useState<string>();
  const failed = (fault: unknown): void => setTrouble(WORDS.failed((fault as Error).message));
  // The model as it was when the file came: what is edited meanwhile changes what becomes of it, not how it is understood.
  const first = useRef(model);
  useEffect(() => {
    const made = new TakingClient();
    client.current = made;
    let isWanted = true;
    made
      .ask((reader) => reader.tables(file, first.current) as Promise<readonly Understood[] | string>)
      .then((read) => {
        if (!isWanted) return;
        if (typeof read === 'string') setTrouble(`${read}.`);
        else setTables(read);
      }, failed);
    return () => {
      isWanted = false;
      made.close();
    };
  }, [file]);
  useEffect(() => {
    if (!tables) return undefined;
    let isWanted = true;
    client.current
      ?.ask((reader) => reader.taken(tables, WORDS.label(file.name), model))
      .then((what) => {
        if (isWanted) setTaken({ of: tables, model, what });
      }, failed);
    return () => {
      isWanted = false;
    };
  }, [tables, model, file]);
  const change = (at: number, table: Understood): void => setTables((now) => now?.map((one, i) => (i === at ? table : one)));
  return {
    ...{ tables, trouble, change },
    taken: taken?.of === tables && taken?.model === model ? taken.what : undefined,
    changeKind: (at, kind) => {
      const table = tables?.[at];
      if (table)
        client.current?.ask((reader) => reader.understoodAs(table, kind, model)).then((anew) => change(at, anew), failed);
    },
  };
}
