'use client';

import { useState } from 'react';
import type { Table } from '@rigid-beam/core/tables/column';
import { copiedTable } from '@rigid-beam/core/tables/copied';
import { Button } from './controls';
import { copyTable as WORDS } from './words';

/** Copies a whole table to the clipboard, as it pastes into a spreadsheet; says that it did. */
export function CopyTable<R>({ table }: { readonly table: Table<R> }) {
  const [done, setDone] = useState<'copied' | 'refused'>();
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(copiedTable(table));
      setDone('copied');
    } catch {
      setDone('refused');
    }
  };
  return (
    <>
      <Button aria-label={WORDS.copy(table.title)} onPress={() => void copy()}>
        {WORDS.short}
      </Button>
      <span role="status">{done === 'copied' ? WORDS.copied(table.rows.length) : done === 'refused' ? WORDS.refused : ''}</span>
    </>
  );
}
