'use client';

import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { digitsOfShare } from '@rigid-beam/core/quantities/show';
import type { Component } from '@rigid-beam/core/influence/effect';
import { isHeld } from '@rigid-beam/core/influence/read-effect';
import { isLine, nameOf, symbolOf } from '@rigid-beam/core/results/quantities';
import { isReadByPlace, partsOf } from '@rigid-beam/core/results/read';
import { isReadAhead, isReady } from '@rigid-beam/core/results/readings';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { cellWords } from '@rigid-beam/core/tables/column';
import { inComponentOrder } from '@rigid-beam/core/tables/results/components';
import { endForcesTable } from '@rigid-beam/core/tables/results/end-forces';
import { extremesTable } from '@rigid-beam/core/tables/results/extremes';
import { foundationTable } from '@rigid-beam/core/tables/results/foundation';
import { balanceTable, displacementsTable, reactionsTable } from '@rigid-beam/core/tables/results/nodal';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
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

const isEarthquake = (solution: Solution, outcome: number): boolean =>
  partsOf(solution, outcome).some((part) => solution.outcomes[part]!.kind === 'spectral');

/** What the supports exert; a figure leads to its influence line. */
function Reactions({ solution, outcome, display }: ResultsProps) {
  const { structure } = solution;
  const order = inComponentOrder(structure.active, display);
  const all = reactionsTable(solution, outcome, display);
  // A column of what no support holds is zero throughout.
  const isAnywhere = (component: Component): boolean => all.rows.some(({ index }) => isHeld(structure, index, component));
  const kept = order.filter((component) => isAnywhere(component as Component));
  const table = { ...all, columns: all.columns.filter((_, i) => i === 0 || kept.includes(order[i - 1]!)) };
  return (
    <CopiedTable
      table={table}
      cell={(column, row) => {
        const component = kept[table.columns.indexOf(column) - 1] as Component | undefined;
        const words = cellWords(column, row);
        if (component === undefined || !isHeld(structure, row.index, component)) return undefined;
        return (
          <InfluenceButton structure={structure} effect={{ kind: 'reaction', node: row.index, component }}>
            {words}
          </InfluenceButton>
        );
      }}
    />
  );
}

/** Of an envelope what each support has to take at one time. */
function Foundations({ solution, outcome, display }: ResultsProps) {
  if (solution.outcomes[outcome]?.kind !== 'envelope' || isReadByPlace(solution, outcome)) return null;
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
  const all = extremesTable(solution, outcome, display, (quantity) => governingValues(solution, outcome, quantity));
  // What there is nothing of says nothing.
  const there = new Set(all.rows.flatMap(({ quantity, value }) => (value === 0 ? [] : [quantity])));
  const rows = all.rows.filter(({ quantity }) => there.has(quantity));
  const { space } = useModel();
  const table = { ...all, rows, columns: all.columns.filter(({ key }) => ['quantity', 'value', 'member', 'at'].includes(key)) };
  return (
    <CopiedTable
      table={table}
      whole={{ ...all, rows }}
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
