'use client';

import { useContext, useMemo } from 'react';
import styled from 'styled-components';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { nextNumber } from '@rigid-beam/core/model/edits/next-id';
import { expectedQuantities, type Expected } from '@rigid-beam/core/model/expected';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { turnedRound } from '@rigid-beam/core/model/parameters/turned-round';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { cellWords, type Table } from '@rigid-beam/core/tables/column';
import { handCheck, type HandValue } from '@rigid-beam/core/results/hand-check';
import { quantityTable, symbolOf, unitOfQuantity, type Quantity } from '@rigid-beam/core/results/quantities';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { differenceWords, handTable, handWords } from '@rigid-beam/core/tables/results/hand-check';
import { useDisplay, useEditor, useModel } from '../editor/use-editor';
import { Hint, Stack } from '../ui/controls';
import { ExpressionsContext } from '../ui/expressions';
import { Fold } from '../ui/Fold';
import { QuantityField } from '../ui/QuantityField';
import { handCheckPart as WORDS } from './words';

const List = styled.ul`
  display: grid;
  gap: 0.35rem;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 0.8rem;
  li {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0 0.6rem;
  }
  small {
    grid-column: 1 / -1;
  }
`;

interface HandCheckProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly member: string;
  /** What is looked at. */
  readonly quantity: Quantity;
}

const isExpected = (quantity: Quantity): quantity is Expected['quantity'] =>
  (expectedQuantities as readonly string[]).includes(quantity);

/** The largest of a quantity on a member, whichever its sign. */
function largestOn(solution: Solution, outcome: number, m: number, quantity: Quantity): number | undefined {
  if (!isReady(solution, outcome)) return undefined;
  const found = quantityExtremes(solution, outcome, m, quantity);
  return found && Math.max(Math.abs(found.max.value), Math.abs(found.min.value));
}

/** The textbook beam that is nearest to a member, beside what was solved; and what one has worked out oneself, kept with the model. */
export function HandCheck({ solution, outcome, member, quantity }: HandCheckProps) {
  const display = useDisplay();
  const m = solution.structure.names.members.indexOf(member);
  const found = useMemo(() => (m < 0 ? undefined : handCheck(solution, outcome, m)), [solution, outcome, m]);
  if (m < 0) return null;
  return (
    <Fold title={WORDS.title} remembered="hand check">
      <Stack>
        {found ? (
          <>
            <Hint>{handWords(found, display)}</Hint>
            <Compared table={handTable(found, display)} />
          </>
        ) : (
          <Hint>{isRange(solution.outcomes[outcome]!) ? WORDS.ofOneOutcome : WORDS.noFormula}</Hint>
        )}
        <OwnValue solution={solution} outcome={outcome} m={m} quantity={isExpected(quantity) ? quantity : 'Mz'} />
      </Stack>
    </Fold>
  );
}

/** A formula a line, and below it both values with their difference: the panel has no room for five columns. */
function Compared({ table }: { readonly table: Table<HandValue> }) {
  const told = (key: string, row: HandValue): string =>
    cellWords(
      table.columns.find((one) => one.key === key)!,
      row,
    );
  return (
    <List aria-label={table.title}>
      {table.rows.map((row) => (
        <li key={row.what}>
          <span>{told('what', row)}</span>
          <span className="number">{told('formula', row)}</span>
          <small className="number">{WORDS.compared(told('hand', row), told('solved', row), told('difference', row))}</small>
        </li>
      ))}
    </List>
  );
}

interface OwnValueProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly m: number;
  readonly quantity: Expected['quantity'];
}

/** One’s own value of what is looked at, and how far it is from what was solved. */
function OwnValue({ solution, outcome, m, quantity }: OwnValueProps) {
  const editor = useEditor();
  const display = useDisplay();
  const { expected = [], space } = useModel();
  const { textAt } = useContext(ExpressionsContext);
  const member = solution.structure.names.members[m]!;
  const { id } = solution.outcomes[outcome]!;
  const own = expected.find((one) => one.member === member && one.outcome === id && one.quantity === quantity);
  const solved = largestOn(solution, outcome, m, quantity);
  const unit = unitOfQuantity(quantity, display);
  const name = own?.id ?? `E${nextNumber(expected.map((one) => one.id.replace(/^E/u, '')))}`;
  const place = placeText('expected', name, 'value');
  const put = (value: number): Intent => ({
    type: 'put',
    list: 'expected',
    entry: { id: name, outcome: id, member, quantity, value: Math.abs(value) },
    ...(own && { key: own.id }),
  });
  const keep = (value: number | undefined): void => {
    if (value !== undefined) editor.edit(put(value));
    else if (own) editor.edit({ type: 'remove', list: 'expected', keys: [own.id] });
  };
  /** It may be worked out by an expression, which is kept: the size of what comes out, whichever its sign. */
  const keepText = (text: string | undefined, value: number): void => {
    if (text === undefined) editor.edit({ type: 'remove', list: 'formulas', keys: [place] });
    else {
      const is = value < 0 ? turnedRound(text) : text;
      const intents: Intent[] = [put(value), { type: 'put', list: 'formulas', entry: { of: place, is } }];
      editor.edit({ type: 'batch', intents, label: WORDS.ownKept });
    }
  };
  return (
    <>
      <QuantityField
        label={WORDS.own(symbolOf(space, quantity, display), id)}
        value={own?.value}
        dimension={quantityTable[quantity].dimension}
        unit={unit}
        mayBeEmpty
        keeping={{ text: textAt(place), keep: keepText }}
        onCommit={keep}
      />
      {own && solved !== undefined && (
        <p role="status">{WORDS.beside(showQuantity(solved, unit), differenceWords(own.value, solved))}</p>
      )}
    </>
  );
}
