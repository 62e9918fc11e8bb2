'use client';

import { Fragment, memo, useContext, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { byHand } from '@rigid-beam/core/combinations/generate/difference';
import { limitStates, limitStateTable } from '@rigid-beam/core/model/categories';
import type { CaseColour, Combination, EnvelopeCombination, Model, SumCombination } from '@rigid-beam/core/model/model';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { mentionsAny } from '@rigid-beam/core/model/parameters/typed';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { useEditor } from '../../editor/use-editor';
import { Button, FieldNote, focusFace, Row } from '../../ui/controls';
import { ExpressionsContext } from '../../ui/expressions';
import { Swatch } from '../../ui/Swatch';
import { COMBINE } from '../words';
import { factorTable as WORDS } from '../words';

const Scroll = styled.div`
  overflow-x: auto;
`;

const Grid = styled.table`
  /* Not collapsed: lines would stay behind under a column that stands still. */
  border-collapse: separate;
  border-spacing: 0;
  font-size: 0.8rem;
  th,
  td {
    padding: 0.1rem 0.15rem;
    border-bottom: 1px solid var(--rule);
    text-align: center;
    font-weight: 400;
  }
  thead th {
    color: var(--soft);
    font-weight: 600;
  }
  tbody th {
    position: sticky;
    left: 0;
    background: var(--panel);
    text-align: left;
  }
  input {
    width: 2.6rem;
    padding: 0.15rem 0.2rem;
    border: 1px solid transparent;
    border-radius: 2px;
    background: transparent;
    color: var(--ink);
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  input:hover,
  input:focus {
    border-color: var(--rule-strong);
    background: var(--paper);
  }
  input[aria-invalid='true'] {
    border-color: var(--fault);
  }
  tr[data-idle] td,
  tr[data-idle] input,
  tr[data-idle] button:not([data-selected]) {
    color: var(--soft);
    font-weight: 400;
  }
  input[data-zero='true']:not(:focus) {
    color: var(--soft);
  }
`;

const Act = styled(ToggleButton)`
  min-height: 1.5rem;
  padding: 0.05rem 0.4rem;
  border: 1px solid transparent;
  border-radius: 3px;
  background: transparent;
  color: var(--ink);
  font-weight: 600;
  &[data-hovered] {
    background: var(--hover);
  }
  &[data-selected] {
    background: var(--pressed);
    color: var(--on-pressed);
  }
  ${focusFace}
`;

/** Rows that are there at once: a model may have thousands. */
const MOST = 60;

interface FactorColumn {
  readonly id: string;
  readonly title?: string | undefined;
  /** Of a case: that of its loads. */
  readonly colour?: CaseColour | 'plain';
}

/** The cases, and the actions and sums that sums take up. */
function columnsOf({
  cases,
  actions = [],
  combinations,
}: Pick<Model, 'cases' | 'actions' | 'combinations'>): readonly FactorColumn[] {
  const taken = new Set(combinations.flatMap((one) => (one.type === 'sum' ? Object.keys(one.factors) : [])));
  const ofCases = cases.map(({ id, title, colour = 'plain' as const }): FactorColumn => ({ id, title, colour }));
  return [
    ...ofCases,
    ...[...actions, ...combinations].filter(({ id }) => taken.has(id)).map(({ id, title }): FactorColumn => ({ id, title })),
  ];
}

const stateOf = ({ limitState = 'other', type }: Combination): string => (type === 'sum' ? limitState : 'envelope');

/** What a group of rows is, and how many there are. */
function stateWords(combination: Combination, counts: ReadonlyMap<string, number>): string {
  const title = combination.type === 'sum' ? limitStateTable[combination.limitState ?? 'other'].title : WORDS.envelopes;
  return `${title} · ${counts.get(stateOf(combination))}`;
}

/** Sums by their limit states, then the envelopes; within each as they stand in the model. */
const inGroups = (combinations: readonly Combination[]): readonly Combination[] =>
  [...limitStates, 'envelope'].flatMap((state) => combinations.filter((one) => stateOf(one) === state));

interface FactorTableProps {
  readonly cases: Model['cases'];
  readonly actions: Model['actions'];
  readonly combinations: Model['combinations'];
  readonly acting: string | undefined;
  /** Sums that govern nothing. */
  readonly idle: ReadonlySet<string>;
}

/** Every sum with its factors on the cases as a table that is typed into; arrow keys go from cell to cell. An envelope says what it encloses. */
export const FactorTable = memo(function FactorTable({ cases, actions, combinations: all, acting, idle }: FactorTableProps) {
  const editor = useEditor();
  const onPut = (sum: SumCombination): void => {
    const before = all.find(({ id }) => id === sum.id);
    editor.edit({ type: 'put', list: 'combinations', entry: { ...byHand(before, sum) }, key: sum.id });
  };
  const combinations = inGroups(all);
  const counts = new Map<string, number>();
  for (const one of combinations) counts.set(stateOf(one), (counts.get(stateOf(one)) ?? 0) + 1);
  const columns = columnsOf({ cases, combinations: all, ...(actions && { actions }) });
  const at = combinations.findIndex(({ id }) => id === acting);
  const [first, setFirst] = useState(0);
  const [fault, setFault] = useState<string>();
  const last = Math.max(0, combinations.length - MOST);
  // What acts is among those that are there.
  const from = Math.min(last, at >= 0 && (at < first || at >= first + MOST) ? Math.max(0, at - MOST / 2) : first);
  const table = useRef<HTMLTableElement>(null);
  // What was chosen elsewhere is in view.
  useEffect(() => {
    table.current?.querySelector('[data-acting]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [acting]);
  const go = (event: KeyboardEvent<HTMLInputElement>): void => {
    const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const column = event.currentTarget.dataset.column;
    const same = [...table.current!.querySelectorAll<HTMLInputElement>(`input[data-column="${CSS.escape(column ?? '')}"]`)];
    same[same.indexOf(event.currentTarget) + step]?.focus();
  };
  return (
    <Scroll>
      <Grid ref={table} aria-label={WORDS.factorsOfTheCombinations}>
        <thead>
          <tr>
            <th aria-label={WORDS.combination} />
            {columns.map(({ id, title, colour }) => (
              <th key={id} scope="col" title={title}>
                {colour !== undefined && <Swatch aria-hidden $colour={colour === 'plain' ? undefined : colour} />} {id}
              </th>
            ))}
            <th aria-label={WORDS.origin} />
          </tr>
        </thead>
        <tbody>
          {combinations.slice(from, from + MOST).map((combination, i, shown) => (
            <Fragment key={combination.id}>
              {stateOf(combination) !== (i > 0 ? stateOf(shown[i - 1]!) : undefined) && (
                <tr>
                  <th scope="rowgroup" colSpan={columns.length + 2}>
                    {stateWords(combination, counts)}
                  </th>
                </tr>
              )}
              <tr
                data-acting={acting === combination.id || undefined}
                data-idle={idle.has(combination.id) || undefined}
                title={idle.has(combination.id) ? WORDS.governsNothing : undefined}
              >
                <th scope="row">
                  <Act
                    isSelected={acting === combination.id}
                    onChange={() => editor.go({ acting: combination.id })}
                    aria-label={COMBINE.acts(combination.id, combination.title)}
                  >
                    {combination.id}
                  </Act>
                </th>
                {combination.type === 'sum' ? (
                  columns.map(({ id }) => (
                    <Cell key={id} sum={combination} caseId={id} onPut={onPut} onKey={go} onFault={setFault} />
                  ))
                ) : (
                  <Enclosed envelope={combination} columns={columns.length} />
                )}
                <td>
                  {combination.made ? <small>{WORDS.made}</small> : combination.type === 'sum' && <small>{WORDS.typed}</small>}
                </td>
              </tr>
            </Fragment>
          ))}
        </tbody>
      </Grid>
      {fault && (
        <FieldNote data-fault role="alert">
          {fault}
        </FieldNote>
      )}
      {combinations.length > MOST && (
        <Row>
          <Button isDisabled={from === 0} onPress={() => setFirst(Math.max(0, from - MOST))}>
            {COMBINE.earlier}
          </Button>
          <Button isDisabled={from === last} onPress={() => setFirst(Math.min(last, from + MOST))}>
            {COMBINE.later}
          </Button>
          <span>{COMBINE.shown(from + 1, Math.min(from + MOST, combinations.length), combinations.length)}</span>
        </Row>
      )}
    </Scroll>
  );
});

function Enclosed({ envelope, columns }: { readonly envelope: EnvelopeCombination; readonly columns: number }) {
  const of = [...envelope.of, ...(envelope.earthquake ? [COMBINE.theEarthquake] : [])];
  return (
    <td colSpan={Math.max(1, columns)} title={of.join(', ')}>
      {COMBINE.encloses.toLowerCase()} {of.length > 4 ? `${of.slice(0, 3).join(', ')} … ${of.at(-1)}` : of.join(', ')}
    </td>
  );
}

interface CellProps {
  readonly sum: SumCombination;
  readonly caseId: string;
  readonly onPut: (sum: SumCombination) => void;
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
  /** Why what is typed is no factor; nothing once it is one, or is given up. */
  readonly onFault: (fault: string | undefined) => void;
}

/** A factor; what is cleared no longer takes part. Enter or leaving takes it, Escape brings back what was. */
function Cell({ sum, caseId, onPut, onKey, onFault }: CellProps) {
  const [draft, setDraft] = useState<string>();
  const [isFaulty, setFaulty] = useState(false);
  const factor = sum.factors[caseId];
  const { scope, textAt, express } = useContext(ExpressionsContext);
  const place = placeText('combinations', sum.id, 'factors', caseId);
  const expression = textAt(place);
  const shown = expression ?? (factor === undefined ? '' : showNumber(factor, 5));
  const end = (fault?: string): void => {
    setFaulty(fault !== undefined);
    onFault(fault);
    if (fault === undefined) setDraft(undefined);
  };
  const leave = (): void => {
    if (draft === undefined || draft.trim() === shown) return draft === undefined ? undefined : end();
    if (draft.trim() === '') {
      const { [caseId]: _, ...rest } = sum.factors;
      onPut({ ...sum, factors: rest });
      return end();
    }
    const parsed = parseQuantity(draft, 'number', undefined, scope);
    if (!parsed.ok) return end(COMBINE.notFactor(caseId, sum.id, parsed.reason));
    if (!mentionsAny(draft, scope)) onPut({ ...sum, factors: { ...sum.factors, [caseId]: parsed.value } });
    else express(place, draft.trim());
    end();
  };
  return (
    <td>
      <input
        aria-label={COMBINE.factor(caseId, sum.id)}
        aria-invalid={isFaulty}
        data-column={caseId}
        data-zero={factor === undefined || factor === 0}
        {...(expression !== undefined && { title: `= ${showNumber(factor!, 5)}` })}
        placeholder="·"
        autoComplete="off"
        value={draft ?? shown}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key === 'Enter') leave();
          if (event.key === 'Escape') {
            event.stopPropagation();
            end();
          }
          onKey(event);
        }}
      />
    </td>
  );
}
