'use client';

import { isRange } from '@rigid-beam/core/combinations/outcome';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { digitsOfShare, inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { enveloped } from '@rigid-beam/core/results/envelope';
import { nodalAt, partsOf } from '@rigid-beam/core/results/read';
import { quiet, sizesOf } from '@rigid-beam/core/results/noise';
import { isReady } from '@rigid-beam/core/results/readings';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { StructuralResponse, Solution } from '@rigid-beam/core/results/results';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { nameOf, quantitiesOf, quantityTable, type Quantity } from '@rigid-beam/core/results/quantities';
import { quietValue, showValue } from '@rigid-beam/drawing/show-quantity-value';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Hint, PanelSubtitle, PlainButton, Stack } from '../ui/controls';
import { Table } from '../ui/Table';
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
        <ExtremesTable solution={solution} outcome={outcome} display={display} />
      ) : (
        <Hint>{WORDS.reading}</Hint>
      )}
      <PanelSubtitle>{WORDS.reactions}</PanelSubtitle>
      <ReactionsTable solution={solution} outcome={outcome} display={display} />
      {linear && (
        <>
          <PanelSubtitle>{WORDS.balance}</PanelSubtitle>
          <BalanceTable linear={linear} active={solution.structure.active} display={display} />
          <Hint>{resultantWords(resultantOf(linear.equilibrium.applied, linear.equilibrium.size), space, display)}</Hint>
          <Hint>{WORDS.agree(digitsOfShare(linear.equilibrium.residual))}</Hint>
        </>
      )}
    </Stack>
  );
}

interface TableProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly display: DisplayUnits;
}

/** Of a magnitude only the largest value matters. */
const sidesOf = (quantity: Quantity): readonly ('max' | 'min')[] =>
  quantityTable[quantity].derived?.isMagnitude ? ['max'] : ['max', 'min'];

function ExtremesTable({ solution, outcome, display }: TableProps) {
  const editor = useEditor();
  const members = solution.structure.names.members;
  const { structure } = solution;
  const rows = quantitiesOf(structure).flatMap((quantity) => {
    const governing = governingValues(solution, outcome, quantity);
    return governing ? sidesOf(quantity).map((side) => ({ quantity, side, ...governing[side] })) : [];
  });
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col" aria-label={WORDS.quantity} />
          <th scope="col">{WORDS.value}</th>
          <th scope="col">{WORDS.member}</th>
          <th scope="col">{WORDS.at}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ quantity, side, value, member, x, from }) => (
          <tr key={quantity + side}>
            <td>
              <abbr title={`${side === 'max' ? WORDS.largest : WORDS.smallest} ${nameOf(structure, quantity)}`}>
                {WORDS.text(quantityTable[quantity].symbol, side === 'max' ? '↥' : '↧')}
              </abbr>
            </td>
            <td>
              {showValue(quantity, quietValue(solution, outcome, quantity, value), display)}
              {from !== outcome && ` (${solution.outcomes[from]!.id})`}
            </td>
            <td>
              <PlainButton
                aria-label={WORDS.selectMember(members[member]!)}
                onPress={() => editor.select([{ kind: 'member', id: members[member]! }])}
              >
                {members[member]}
              </PlainButton>
            </td>
            <td>{showQuantity(x, display.length, 3)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** X, Y, Z, and the couples about them; a plane structure has one couple. */
const componentName = (k: number, active: readonly number[]): string =>
  k < 3 ? 'XYZ'[k]! : active.length === 3 ? 'M' : `M${'XYZ'[k - 3]}`;

function ReactionsTable({ solution, outcome, display }: TableProps) {
  const { active } = solution.structure;
  const acts = solution.outcomes[outcome]!;
  const sizes = sizesOf(solution, outcome);
  const read = (f: number, unit: string): string => {
    const show = (value: number): string => showNumber(inUnit(quiet(value, f % 6 < 3 ? sizes.force : sizes.couple), unit));
    if (!isRange(acts)) return show(nodalAt(solution, outcome, 'reactions', f));
    const { max, min } = enveloped(partsOf(solution, outcome), (part) => nodalAt(solution, part, 'reactions', f));
    return `${show(min)} … ${show(max)}`;
  };
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{WORDS.node}</th>
          {active.map((k) => (
            <th key={k} scope="col">
              {componentName(k, active)} ({k < 3 ? display.force : display.moment})
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {solution.structure.names.nodes.map((id, i) =>
          solution.supported[i] ? (
            <tr key={id}>
              <td>{id}</td>
              {active.map((k) => (
                <td key={k}>{read(6 * i + k, k < 3 ? display.force : display.moment)}</td>
              ))}
            </tr>
          ) : null,
        )}
      </tbody>
    </Table>
  );
}

interface BalanceProps {
  readonly linear: StructuralResponse;
  readonly active: readonly number[];
  readonly display?: DisplayUnits;
}

function BalanceTable({ linear, active, display = defaultDisplay }: BalanceProps) {
  const { applied, reactions, size } = linear.equilibrium;
  const cells = (values: readonly number[]) =>
    active.map((k) => {
      const value = values[k]!;
      return <td key={k}>{showNumber(inUnit(quiet(value, size), k < 3 ? display.force : display.moment))}</td>;
    });
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col" />
          {active.map((k) => (
            <th key={k} scope="col">
              {k < 3 ? componentName(k, active) : WORDS.aboutOrigin(componentName(k, active))}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>{WORDS.loads}</td>
          {cells(applied)}
        </tr>
        <tr>
          <td>{WORDS.reactions}</td>
          {cells(reactions)}
        </tr>
      </tbody>
    </Table>
  );
}
