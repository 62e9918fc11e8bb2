'use client';

import { useMemo } from 'react';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { supportChecks } from '@rigid-beam/core/results/support-checks';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Checks } from './Checks';
import { supportsBench as WORDS } from './words';

/** Supports that carry nothing, and those that what acts pulls up. */
export function SupportChecks() {
  const editor = useEditor();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const model = useEditorState((state) => state.settled.model);
  const outcome = useEditorState(actingIndex);
  const found = useMemo(() => (solution ? supportChecks(model, solution, outcome) : []), [model, solution, outcome]);
  const acts = solution?.outcomes[outcome]?.id ?? '';
  return (
    <Checks
      checks={found.map(({ code, node, force }) => ({
        id: `${code} ${node}`,
        words: code === 'uplift' ? WORDS.pulledUp(node, showQuantity(force, display.force, 3), acts) : WORDS.carriesNothing(node),
        subjects: [{ kind: 'node', id: node }],
        remedy:
          code === 'uplift'
            ? { words: WORDS.seeReactions, act: () => editor.go({ stage: 'results' }) }
            : { words: WORDS.remove, act: () => editor.propose({ type: 'remove', list: 'supports', keys: [node] }) },
      }))}
    />
  );
}
