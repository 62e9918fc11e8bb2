'use client';

import { useMemo } from 'react';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { comparedTable } from '@rigid-beam/core/tables/results/compared';
import { earlier as EARLIER } from '../../editor/words';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { Button, Hint, Select, Stack } from '../../ui/controls';
import { CopiedTable } from '../../ui/CopiedTable';
import { TextLine } from '../../ui/TextLine';
import { thenAndNow as WORDS } from './words';

/** Edits that are offered to be looked back over. */
const STEPS = 20;
/** Chosen where nothing stands beside the model. */
const NOW = 'now';

interface ThenAndNowProps {
  readonly solution: Solution;
  readonly outcome: number;
}

/** Earlier states of the model: kept by name or from before an edit, held beside the present one on the sheet and in figures, and gone back to. */
export function ThenAndNow({ solution, outcome }: ThenAndNowProps) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.settled.model);
  const earlier = useEditorState((state) => state.earlier);
  const kept = useEditorState((state) => state.keptStates);
  const undo = useEditorState((state) => state.history.undo);
  const back = undo.map((step, i) => ({ id: `before ${i + 1}`, text: EARLIER.before(step.label), of: step }));
  const all = [
    ...kept.map((state) => ({ id: `kept ${state.name}`, text: state.name, of: state })),
    ...back.slice(-STEPS).reverse(),
  ];
  // What is compared may be offered no longer: it was undone, or lies further back.
  const chosen = earlier && (all.find(({ of }) => of === earlier.of) ?? { id: 'other', text: earlier.name });
  const choices = [{ id: NOW, text: WORDS.now }, ...(chosen?.id === 'other' ? [chosen] : []), ...all.map(({ id, text }) => ({ id, text }))]; // oxfmt-ignore
  const compare = (id: string): void => {
    const of = all.find((one) => one.id === id)?.of;
    if (of) void editor.earlier.compare(of);
    else if (id === NOW) editor.earlier.leave();
  };
  const then = earlier?.drawn.results?.solution;
  const id = solution.outcomes[outcome]!.id;
  const table = useMemo(() => {
    const place = then?.outcomes.findIndex((one) => one.id === id) ?? -1;
    if (!then || place < 0 || !isReady(then, place) || !isReady(solution, outcome)) return undefined;
    return comparedTable({ model: earlier!.drawn.model, solution: then, outcome: place }, { model, solution, outcome }, display);
  }, [then, earlier, model, solution, outcome, display, id]);
  return (
    <Stack>
      <TextLine
        label={WORDS.keep}
        value=""
        placeholder={WORDS.example}
        onCommit={(name) => name.trim() && editor.earlier.keep(name.trim())}
      />
      <Select label={WORDS.compare} choices={choices} value={chosen?.id ?? NOW} onChange={compare} />
      {earlier && !table && <Hint role="status">{earlier.drawn.results && !then ? WORDS.unsolved : WORDS.solving(id)}</Hint>}
      {table && (
        <CopiedTable table={table}>
          <Button onPress={() => editor.earlier.goBack()}>{WORDS.goBack}</Button>
        </CopiedTable>
      )}
    </Stack>
  );
}
