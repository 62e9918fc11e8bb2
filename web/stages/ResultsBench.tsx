'use client';

import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { digitsOfShare } from '@rigid-beam/core/quantities/show';
import { nameOf, quantityWords } from '@rigid-beam/core/results/quantities';
import { isReady } from '@rigid-beam/core/results/readings';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { extremesTable } from '@rigid-beam/core/tables/results/extremes';
import { balanceTable, reactionsTable } from '@rigid-beam/core/tables/results/nodal';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Hint, PanelSubtitle, PlainButton, Stack } from '../ui/controls';
import { ReadTable } from '../ui/ReadTable';
import { resultantWords } from './resultant-words';
import { resultsBench as WORDS } from './words';

/** Reactions with their sum against the loads, and the extreme values of the structure. */
export function ResultsBench() {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const display = useDisplay();
  const { space } = useModel();
  const acts = solution?.outcomes[outcome];
  if (!solution || !acts) return <Hint>{WORDS.none}</Hint>;
  const linear = responseOf(solution, outcome);
  return (
    <Stack>
      <PanelSubtitle>{WORDS.whatGovernsIn(acts.id)}</PanelSubtitle>
      {isReady(solution, outcome) ? (
        <Extremes solution={solution} outcome={outcome} display={display} />
      ) : (
        <Hint>{WORDS.reading}</Hint>
      )}
      <PanelSubtitle>{WORDS.reactions}</PanelSubtitle>
      <ReadTable table={reactionsTable(solution, outcome, display)} />
      {linear && (
        <>
          <PanelSubtitle>{WORDS.balance}</PanelSubtitle>
          <ReadTable table={balanceTable(linear, solution.structure.active, display)} />
          <Hint>{resultantWords(resultantOf(linear.equilibrium.applied, linear.equilibrium.size), space, display)}</Hint>
          <Hint>{WORDS.agree(digitsOfShare(linear.equilibrium.residual))}</Hint>
        </>
      )}
    </Stack>
  );
}

interface ResultsProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly display: DisplayUnits;
}

/** The extremes in the room that the panel has: the quantity as a symbol, its unit and what governs beside the value. */
function Extremes({ solution, outcome, display }: ResultsProps) {
  const editor = useEditor();
  const { structure, outcomes } = solution;
  const all = extremesTable(solution, outcome, display, (quantity) => governingValues(solution, outcome, quantity));
  const table = { ...all, columns: all.columns.filter(({ key }) => ['quantity', 'value', 'member', 'at'].includes(key)) };
  return (
    <ReadTable
      table={table}
      cell={({ key }, { quantity, side, value, member, from }) => {
        switch (key) {
          case 'quantity':
            return (
              <abbr title={`${side === 'max' ? WORDS.largest : WORDS.smallest} ${nameOf(structure, quantity, display)}`}>
                {WORDS.text(quantityWords('space', quantity, display).symbol, side === 'max' ? '↥' : '↧')}
              </abbr>
            );
          case 'value':
            return showValue(quantity, value, display) + (from === outcome ? '' : ` (${outcomes[from]!.id})`);
          case 'member':
            return (
              <PlainButton
                aria-label={WORDS.selectMember(member)}
                onPress={() => editor.select([{ kind: 'member', id: member }])}
              >
                {member}
              </PlainButton>
            );
          default:
            return undefined;
        }
      }}
    />
  );
}
