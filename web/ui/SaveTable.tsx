'use client';

import { useState } from 'react';
import type { Table } from '@rigid-beam/core/tables/column';
import { keepFile } from '../browser/keep-file';
import { Button } from './controls';
import { saveTable as WORDS } from './words';

const MEDIA = {
  csv: 'text/csv;charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

/** What writes the files comes when the first one is asked for. */
async function contentOf(table: Table<never>, kind: keyof typeof MEDIA): Promise<BlobPart> {
  if (kind === 'xlsx') return (await (await import('@rigid-beam/core/tables/files/xlsx')).xlsxFile([table])) as BlobPart;
  const { csvParts } = await import('@rigid-beam/core/tables/files/csv');
  return new Blob([...csvParts(table, 'point')]);
}

/** Lets the browser keep a table as it is shown, as CSV or XLSX. */
export function SaveTable<R>({ table }: { readonly table: Table<R> }) {
  const [trouble, setTrouble] = useState<string>();
  const save = async (kind: keyof typeof MEDIA): Promise<void> => {
    try {
      const content = await contentOf(table as unknown as Table<never>, kind);
      keepFile(`${table.title.toLowerCase().replace(/[^a-z0-9]+/gu, '-')}.${kind}`, content, MEDIA[kind]);
      setTrouble(undefined);
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <>
      {(['csv', 'xlsx'] as const).map((kind) => (
        <Button key={kind} aria-label={WORDS.save(kind.toUpperCase(), table.title)} onPress={() => void save(kind)}>
          {kind.toUpperCase()}
        </Button>
      ))}
      {trouble && <span role="alert">{trouble}</span>}
    </>
  );
}
