'use client';

import { useMemo, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { isRange, type Outcome } from '@rigid-beam/core/combinations/outcome';
import { quietValue } from '@rigid-beam/core/results/noise';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { isReadAhead, isReady } from '@rigid-beam/core/results/readings';
import type { Wanted } from '@rigid-beam/core/tables/arranged';
import { cellWords, type Table } from '@rigid-beam/core/tables/column';
import { readConditions } from '@rigid-beam/core/tables/conditions';
import {
  hasPlaces,
  PLACES,
  resultLists,
  resultListWords,
  resultTable,
  type AskedList,
  type ResultList,
  type ResultRow,
} from '@rigid-beam/core/tables/results/lists';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { PlainButton, Select, ToggleButton } from '../ui/controls';
import { CopyTable } from '../ui/CopyTable';
import { SaveTable } from '../ui/SaveTable';
import { QuantityField } from '../ui/QuantityField';
import { Head } from './Head';
import { tableAction, type TableAction } from './keys';
import { Bar, Drawer, Line, Said, Scroll, widthsOf } from './parts';
import { copied } from './range';
import { useArranged } from './use-arranged';
import { useCells } from './use-cells';
import { whoseOf, whoseChoices } from './whose';
import { resultSchedule as WORDS, schedule as SCHEDULE } from './words';

/** Results as a table with the habits of a spreadsheet: narrowed, ordered, copied whole or in part, linked with the sheet. */
export function ResultSchedule({ list }: { readonly list: ResultList }) {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const acts = solution?.outcomes[outcome];
  return (
    <Drawer aria-label={WORDS.scheduleOf(resultListWords(list))}>
      {solution && acts ? (
        <Read key={list} solution={solution} outcome={outcome} list={list} />
      ) : (
        <Bar>
          <Lists list={list} />
          <Said role="status">{WORDS.noResults}</Said>
          <Close />
        </Bar>
      )}
    </Drawer>
  );
}

function Lists({ list }: { readonly list: ResultList }) {
  const editor = useEditor();
  const buckles = useEditorState((state) => settledSolution(state)?.outcomes.some(isCritical) ?? false);
  const swings = useEditorState((state) => settledSolution(state)?.masses !== undefined);
  const isShaken = useEditorState((state) => settledSolution(state)?.ground !== undefined);
  const isDriven = useEditorState((state) => settledSolution(state)?.masses?.harmonic !== undefined);
  const isOffered = {
    bucklingLengths: buckles,
    naturalModes: swings,
    masses: swings,
    harmonic: isDriven,
    baseShear: isShaken,
  } as Partial<Record<ResultList, boolean>>;
  return resultLists
    .filter((one) => one === list || (isOffered[one] ?? true))
    .map((one) => (
      <ToggleButton key={one} isSelected={one === list} onChange={() => editor.show({ drawer: one })}>
        {resultListWords(one)}
      </ToggleButton>
    ));
}

const isCritical = (one: Outcome): boolean => one.kind === 'shape' && one.measure === 'factor';

function Close() {
  const editor = useEditor();
  return (
    <PlainButton aria-label={SCHEDULE.closeTheSchedule} onPress={() => editor.show({ drawer: undefined })}>
      ✕
    </PlainButton>
  );
}

interface ReadProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly list: ResultList;
}

/** Whether there is anything of a quantity; of an envelope that is being read nobody knows. */
function isAnything(solution: Solution, outcome: number, quantity: Quantity): boolean {
  const found = governingValues(solution, outcome, quantity);
  return !found || quietValue(solution, outcome, quantity, largestOf(found)) !== 0;
}

const EMPTY: Table<ResultRow> = { title: '', columns: [], rows: [] };

function Read({ solution, outcome, list }: ReadProps) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.settled.model);
  const selection = useEditorState((state) => state.selection);
  const [filter, setFilter] = useState('');
  const [whose, setWhose] = useState('all');
  const [of, setOf] = useState<AskedList['of']>('itself');
  const [places, setPlaces] = useState<number>(PLACES.usual);
  const [sorted, setSorted] = useState<Wanted<ResultRow>['sorted']>();

  const acts = solution.outcomes[outcome]!;
  const isEnvelope = acts.kind === 'envelope';
  const asked = isEnvelope && list !== 'foundations' ? of : 'itself';
  const isThere = list !== 'memberExtremes' || isReady(solution, outcome) || asked !== 'itself';
  const given = useMemo(
    () =>
      isThere
        ? resultTable(
            solution,
            list,
            { outcome, of: asked, places, isThere: (quantity) => isAnything(solution, outcome, quantity) },
            display,
          )
        : undefined,
    [solution, list, outcome, asked, places, display, isThere],
  );
  const table = given ?? EMPTY;
  const read = useMemo(() => readConditions(filter, table.columns), [filter, table]);
  const belongs = useMemo(() => whoseOf(model, selection, whose), [model, selection, whose]);
  const wanted = useMemo<Wanted<ResultRow>>(() => {
    const conditions = read.ok && filter.trim() !== '' ? read.holds : undefined;
    const holds = belongs && conditions ? (row: ResultRow) => belongs(row) && conditions(row) : (belongs ?? conditions);
    return { ...(holds && { holds }), ...(sorted && { sorted }) };
  }, [read, belongs, filter, sorted]);
  const { order, progress } = useArranged(table, wanted);
  const { columns } = table;
  const count = order.length;
  // As it is narrowed and ordered.
  const shown = useMemo(
    () => ({ ...table, rows: wanted.holds || wanted.sorted ? Array.from(order, (i) => table.rows[i]!) : table.rows }),
    [table, order, wanted],
  );
  const rowAt = (r: number): ResultRow => table.rows[order[r]!]!;
  const { scroll, active, range, go, move, setActive, seen, above, below, isChosen, isActive } = useCells(count, columns.length);
  const widths = widthsOf(columns, 4.2);
  const subjects = (from: number, to: number): Subject[] => {
    const all = new Map<string, Subject>();
    for (let r = from; r <= Math.min(to, count - 1); r++) {
      const { node, member } = rowAt(r);
      if (member !== undefined) all.set(`member ${member}`, { kind: 'member', id: member });
      else if (node !== undefined) all.set(`node ${node}`, { kind: 'node', id: node });
    }
    return [...all.values()];
  };
  const sortBy = (key: string): void =>
    setSorted(sorted?.key !== key ? { key, way: 1 } : sorted.way === 1 ? { key, way: -1 } : undefined);
  const act = (action: TableAction): boolean => {
    switch (action.kind) {
      case 'step':
      case 'edge':
        move(action);
        return true;
      case 'sort': {
        const column = columns[active.column];
        if (column) setSorted({ key: column.key, way: action.way });
        return column !== undefined;
      }
      case 'selectRows':
        editor.select(subjects(range.top, range.bottom));
        return true;
      case 'close':
        editor.show({ drawer: undefined });
        return true;
      case 'edit': {
        // Enter goes where the row comes from: its outcome acts, and what it is of is selected.
        if (action.first !== undefined || count === 0) return false;
        const row = rowAt(active.row);
        editor.go({ acting: solution.outcomes[row.outcome]!.id });
        editor.select(subjects(active.row, active.row));
        return true;
      }
      case 'fillDown':
        return false;
    }
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const action = tableAction(event);
    if (!action || !act(action)) return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onCopy = (event: ClipboardEvent): void => {
    if (count === 0) return;
    const rows = Array.from(order.subarray(range.top, range.bottom + 1), (i) => table.rows[i]!);
    event.clipboardData.setData('text/plain', copied({ rows, columns }, { ...range, top: 0, bottom: rows.length - 1 }));
    event.preventDefault();
  };
  const said = !read.ok
    ? read.reason
    : !isThere
      ? WORDS.reading
      : !given
        ? WORDS.nothing
        : progress !== undefined
          ? WORDS.ordering(Math.round(100 * progress))
          : WORDS.hint(count, table.rows.length);
  return (
    <>
      <Bar>
        <Lists list={list} />
        <input
          aria-label={WORDS.filter}
          placeholder={WORDS.filterExample}
          value={filter}
          aria-invalid={!read.ok}
          onChange={(event) => setFilter(event.target.value)}
        />
        <Select label={WORDS.whose} hideLabel choices={whoseChoices(model)} value={whose} onChange={setWhose} />
        {isEnvelope && list !== 'foundations' && (
          <ToggleButton isSelected={of !== 'itself'} onChange={(on) => setOf(on ? 'each of its parts' : 'itself')}>
            {WORDS.each}
          </ToggleButton>
        )}
        {hasPlaces(list) && (
          <QuantityField
            label={WORDS.places}
            hideLabel
            dimension="number"
            unit=""
            value={places}
            onCommit={(value) =>
              value !== undefined && setPlaces(Math.min(PLACES.most, Math.max(PLACES.least, Math.round(value))))
            }
          />
        )}
        {!(isRange(acts) && isReadAhead(solution, outcome)) && progress === undefined && given && (
          <>
            <CopyTable table={shown} />
            <SaveTable table={shown} />
          </>
        )}
        <Close />
        <Said role="status" data-fault={!read.ok || undefined}>
          {said}
        </Said>
      </Bar>
      <Scroll
        ref={scroll}
        role="grid"
        tabIndex={0}
        aria-label={WORDS.grid(resultListWords(list), acts.id)}
        aria-rowcount={count + 1}
        aria-colcount={columns.length}
        aria-activedescendant={count > 0 ? `result-${active.row}-${active.column}` : undefined}
        onKeyDown={onKeyDown}
        onCopy={onCopy}
      >
        <Head
          columns={columns}
          sortedBy={(key) => (sorted?.key !== key ? false : sorted.way > 0 ? 'asc' : 'desc')}
          onSort={sortBy}
          widths={widths}
        />
        <div style={{ height: above }} />
        {seen.map((r) => {
          if (r >= count) return null;
          const row = rowAt(r);
          return (
            <Line key={r} role="row" aria-rowindex={r + 2} style={widths}>
              <span role="rowheader" onClick={() => editor.select(subjects(r, r))}>
                {order[r]! + 1}
              </span>
              {columns.map((column, c) => (
                <span
                  key={column.key}
                  role="gridcell"
                  id={`result-${r}-${c}`}
                  className="number"
                  data-active={isActive(r, c) || undefined}
                  data-chosen={isChosen(r, c) || undefined}
                  onPointerDown={(event) => go(r, c, event.shiftKey ? 'extended' : 'alone')}
                  onPointerEnter={(event) => event.buttons === 1 && setActive({ row: r, column: c })}
                  onDoubleClick={() => act({ kind: 'edit' })}
                >
                  {cellWords(column, row)}
                </span>
              ))}
            </Line>
          );
        })}
        <div style={{ height: below }} />
      </Scroll>
    </>
  );
}
