'use client';

import { useMemo } from 'react';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { AskedCut } from '@rigid-beam/core/results/bodies/asked';
import { middleOf } from '@rigid-beam/core/results/bodies/cut';
import { balanceWords, bodyTable, cutByOutcome, facesTable } from '@rigid-beam/core/tables/results/cut';
import { cutIn } from '../../editor/cut-of';
import { actingIndex } from '../../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { Button, Hint, PanelSubtitle, Row, Stack } from '../../ui/controls';
import { CopiedTable } from '../../ui/CopiedTable';
import { Fold } from '../../ui/Fold';
import { cutPart as WORDS } from './words';

/** What goes through the cut that is looked at, the body that it frees, in balance, and the same in every outcome. */
export function CutPart({ cut }: { readonly cut: AskedCut }) {
  const editor = useEditor();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const found = useMemo(() => solution && cutIn(solution, cut, outcome), [solution, cut, outcome]);
  if (!solution) return null;
  const { structure } = solution;
  const acts = solution.outcomes[outcome]!;
  return (
    <Stack aria-label={WORDS.title} role="region">
      <PanelSubtitle>{WORDS.titleIn(acts.id)}</PanelSubtitle>
      <Row>
        <Button onPress={() => editor.cut({ ...cut, side: cut.side === 'one' ? 'other' : 'one' })}>{WORDS.otherSide}</Button>
        <Button onPress={() => editor.cut(undefined)}>{WORDS.done}</Button>
      </Row>
      {!found && <Hint>{WORDS.nothing}</Hint>}
      {found?.balance && (
        <>
          <CopiedTable table={bodyTable(found.balance, middleOf(structure, found.body.places), structure.active, display)} />
          <Hint>{balanceWords(found.balance.residual)}</Hint>
          <PanelSubtitle>{WORDS.faces}</PanelSubtitle>
          <CopiedTable table={facesTable(found.balance, solution, display)} />
        </>
      )}
      {found && (
        <Fold title={WORDS.byOutcome} {...(isRange(acts) && { startsOpen: true })}>
          <CopiedTable table={cutByOutcome(solution, outcome, found.body, display)} />
        </Fold>
      )}
      {found && <Hint>{WORDS.aboutTheMiddle}</Hint>}
    </Stack>
  );
}
