'use client';

import { useMemo } from 'react';
import { loadChecks } from '@rigid-beam/core/model/load-checks';
import { useEditor, useModel } from '../../editor/use-editor';
import { Checks } from '../Checks';

/** What of the loads is worth a look. */
export function LoadChecks() {
  const editor = useEditor();
  const model = useModel();
  const found = useMemo(() => loadChecks(model), [model]);
  return (
    <Checks
      checks={found.map(({ code, words, loads, remedy }) => ({
        id: code + words,
        words,
        subjects: loads.map((id) => ({ kind: 'load', id })),
        ...(remedy && { remedy: { words: remedy.words, act: () => editor.edit(remedy.intent, remedy.words) } }),
      }))}
    />
  );
}
