'use client';

import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { digitsOfShare } from '@rigid-beam/core/quantities/show';
import { isLine, nameOf, symbolOf } from '@rigid-beam/core/results/quantities';
import { isReadAhead, isReady } from '@rigid-beam/core/results/readings';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { cellWords } from '@rigid-beam/core/tables/column';
import { endForcesTable } from '@rigid-beam/core/tables/results/end-forces';
import { foundationTable } from '@rigid-beam/core/tables/results/foundation';
import { balanceTable, displacementsTable } from '@rigid-beam/core/tables/results/nodal';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Button, Hint, PanelSubtitle, PlainButton, Row, Stack } from '../ui/controls';
import { CopiedTable } from '../ui/CopiedTable';
import { Fold } from '../ui/Fold';
import { Where } from '../ui/ReadTable';
import { InfluenceButton } from '../cards/InfluenceButton';
import type { SheetController } from '../sheet/controller';
import { CutTool } from '../sheet/tools/cut-tool';
import { ShapePart } from './results/ShapePart';
import { CutPart } from './results/CutPart';
import { EarthquakeResults } from './results/EarthquakeResults';
import { ThenAndNow } from './results/ThenAndNow';
import { cutPart as CUT, thenAndNow as THEN } from './results/words';
import { Headlines } from './results/Headlines';
import { InfluencePart } from './results/InfluencePart';
import { IsItRight } from './results/IsItRight';
import { resultantWords } from './resultant-words';
import { extremesShown, hasFoundations, isEarthquake, reactionsShown } from './results-shown';
import { resultsBench as WORDS } from './words';

/** Reactions with their sum against the loads, and the extreme values of the structure. */
export function ResultsBench({ sheet }: { readonly sheet: SheetController | undefined }) {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const display = useDisplay();
  const { space } = useModel();
  const influence = useEditorState((state) => state.influence);
  const cut = useEditorState((state) => state.cut);
  const hasParameters = useEditorState((state) => state.model.parameters !== undefined);
  const editor = useEditor();
  const acts = solution?.outcomes[outcome];
  if (!solution || !acts) return <Hint>{WORDS.none}</Hint>;
  const linear = responseOf(solution, outcome);
  const isShaken = isEarthquake(solution, outcome);
  if (influence) return <InfluencePart looked={influence} />;
  if (cut) return <CutPart cut={cut} />;
  if (acts.kind === 'shape') return <ShapePart solution={solution} outcome={outcome} shape={acts} />;
  return (
    <Stack>
      <PanelSubtitle>{WORDS.whatGovernsIn(acts.id)}</PanelSubtitle>
      {isReady(solution, outcome) ? <Headlines solution={solution} outcome={outcome} /> : <Hint>{WORDS.reading}</Hint>}
      {isShaken && <EarthquakeResults solution={solution} />}
      {!solution.letGo && !isShaken && <Hint>{WORDS.leadsToInfluence}</Hint>}
      {isReady(solution, outcome) && <IsItRight solution={solution} outcome={outcome} />}
      <Fold title={WORDS.reactions} startsOpen>
        <Reactions solution={solution} outcome={outcome} display={display} />
      </Fold>
      <Foundations solution={solution} outcome={outcome} display={display} />
      {isReady(solution, outcome) && (
        <Fold title={WORDS.allExtremes}>
          <Extremes solution={solution} outcome={outcome} display={display} />
        </Fold>
      )}
      <Fold title={WORDS.movements}>
        <Movements solution={solution} outcome={outcome} display={display} />
      </Fold>
      <Fold title={WORDS.endForces}>
        <EndForces solution={solution} outcome={outcome} display={display} />
      </Fold>
      <Row>
        <Button onPress={() => editor.show({ drawer: 'memberExtremes' })}>{WORDS.schedules}</Button>
        {sheet && <Button onPress={() => sheet.take(new CutTool(sheet))}>{CUT.draw}</Button>}
        {hasParameters && <Button onPress={() => editor.show({ drawer: 'parameters' })}>{WORDS.parameters}</Button>}
        {linear && <Button onPress={() => editor.show({ drawer: 'workings', traced: undefined })}>{WORDS.workings}</Button>}
      </Row>
      <Fold title={THEN.title} remembered="then and now">
        <ThenAndNow solution={solution} outcome={outcome} />
      </Fold>
      {linear && (
        <Fold title={WORDS.balance}>
          <CopiedTable table={balanceTable(linear, solution.structure.active, display)} />
          <Hint>{resultantWords(resultantOf(linear.equilibrium.applied, linear.equilibrium.size), space, display)}</Hint>
          <Hint>{WORDS.agree(digitsOfShare(linear.equilibrium.residual))}</Hint>
        </Fold>
      )}
    </Stack>
  );
}

/** What the supports exert; a figure leads to its influence line. */
function Reactions({ solution, outcome, display }: ResultsProps) {
  const { structure } = solution;
  const { table, componentAt } = reactionsShown(solution, outcome, display);
  return (
    <CopiedTable
      table={table}
      cell={(column, row) => {
        const component = componentAt(column, row.index);
        if (component === undefined) return undefined;
        return (
          <InfluenceButton structure={structure} effect={{ kind: 'reaction', node: row.index, component }}>
            {cellWords(column, row)}
          </InfluenceButton>
        );
      }}
    />
  );
}

/** Of an envelope what each support has to take at one time. */
function Foundations({ solution, outcome, display }: ResultsProps) {
  if (!hasFoundations(solution, outcome)) return null;
  return (
    <Fold title={WORDS.foundations}>
      <FoundationTable solution={solution} outcome={outcome} display={display} />
    </Fold>
  );
}

function FoundationTable({ solution, outcome, display }: ResultsProps) {
  const table = foundationTable(solution, outcome, display);
  return table && <CopiedTable table={table} />;
}

/** How the nodes move. */
function Movements({ solution, outcome, display }: ResultsProps) {
  return <CopiedTable table={displacementsTable(solution, outcome, display)} isCopied={!isReadAhead(solution, outcome)} />;
}

/** What acts at the ends of the members. */
function EndForces({ solution, outcome, display }: ResultsProps) {
  return <CopiedTable table={endForcesTable(solution, outcome, display)} isCopied={!isReadAhead(solution, outcome)} />;
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
  const { whole, table } = extremesShown(solution, outcome, display);
  const { space } = useModel();
  return (
    <CopiedTable
      table={table}
      whole={whole}
      cell={({ key }, { quantity, side, value, member, x, from, trains }) => {
        switch (key) {
          case 'quantity':
            return (
              <abbr title={`${side === 'max' ? WORDS.largest : WORDS.smallest} ${nameOf(structure, quantity, display)}`}>
                {WORDS.text(symbolOf(space, quantity, display), side === 'max' ? WORDS.most : WORDS.least)}
              </abbr>
            );
          case 'value': {
            const words = showValue(quantity, value, display) + (from === outcome ? '' : ` (${outcomes[from]!.id})`);
            if (!isLine(quantity)) return words;
            return (
              <>
                <InfluenceButton
                  structure={structure}
                  effect={{ kind: 'along', member: structure.names.members.indexOf(member), at: x, quantity }}
                >
                  {words}
                </InfluenceButton>
                {trains && <Where>{trains}</Where>}
              </>
            );
          }
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
