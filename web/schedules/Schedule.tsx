'use client';

import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { cellText, type Row, type TypedColumn } from '@rigid-beam/core/tables/column';
import { scheduleLists, schedules, type ScheduleList } from '@rigid-beam/core/tables/schedules/lists';
import { chooseFile } from '../browser/choose-file';
import { TAKEN_FILES } from '../taking/words';
import { expressionAt, readTable, writeCells, type Cell } from '@rigid-beam/core/tables/schedules/write-cells';
import { useCatalogue } from '../editor/catalogue/use-catalogue';
import { useEditor, useEditorState } from '../editor/use-editor';
import { Button, PlainButton, ToggleButton } from '../ui/controls';
import { SaveTable } from '../ui/SaveTable';
import { CellField } from './CellField';
import { Head } from './Head';
import { linked } from './linked';
import { tableAction, type TableAction } from './keys';
import { Bar, Drawer, Line, Said, Scroll, widthsOf } from './parts';
import { cellAt, copied, filledDown, pasted } from './range';
import { useCells } from './use-cells';
import { useGrid } from './use-grid';
import { schedule as WORDS } from './words';

/** A list of the model as a table with the habits of a spreadsheet, in the drawer under the sheet and linked with its selection. */
export function Schedule({ list }: { readonly list: ScheduleList }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const selection = useEditorState((state) => state.selection);
  const [filter, setFilter] = useState('');
  const [draft, setDraft] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const leaving = useRef(false);

  const kind = schedules[list];
  // A designation is read in it.
  const catalogue = useCatalogue(list === 'sections' ? 'wanted' : 'not yet');
  const columns = useMemo(() => kind.columns(model, catalogue), [model, kind, catalogue]);
  const all = useMemo(() => kind.rows(model), [model, kind]);
  const texts = useMemo(() => new Map(model.formulas?.map(({ of, is }) => [of, is])), [model.formulas]);
  const grid = useGrid(columns, all, filter);
  const sorted = grid.getRowModel().rows;
  const rows = useMemo(() => sorted.map(({ original }) => original), [sorted]);
  const selected = useMemo(() => linked[list].selected(model, selection), [list, model, selection]);
  const widths = widthsOf(columns);
  // One empty row below all others takes what is new.
  const count = rows.length + 1;
  const { scroll, windowed, active, anchor, range, go, move, setActive, setAnchor, seen, above, below, isChosen, isActive } =
    useCells(count, columns.length);

  // What is selected on the sheet comes into view here.
  const [leadId] = selected;
  const latest = useRef(rows);
  useEffect(() => {
    latest.current = rows;
  }, [rows]);
  useEffect(() => {
    const row = latest.current.findIndex(({ id }) => id === leadId);
    const box = scroll.current;
    if (row < 0 || !box || box.contains(document.activeElement)) return;
    windowed.scrollToIndex(row, { align: 'center' });
  }, [leadId, scroll, windowed]);

  const shown = { rows, columns };
  const selectRows = (from: number, to: number): void => {
    const subjects = rows.slice(Math.min(from, to), Math.max(from, to) + 1).flatMap(({ id }) => linked[list].subjects(model, id));
    if (subjects.length > 0) editor.select(subjects);
  };
  const write = (cells: readonly Cell[]): boolean => {
    const next = writeCells(model, list, cells, catalogue);
    if (!next.ok) {
      setTrouble(next.reason);
      return false;
    }
    const refused = editor.refusalOf(next.intent)[0]?.message;
    setTrouble(refused);
    return refused === undefined && editor.edit(next.intent);
  };
  /** A cell as it is typed over: the expression that gives its number where there is one. */
  const written = (column: TypedColumn, row: Row): string => expressionAt(texts, list, row.id, column) ?? cellText(column, row);
  const givenBy = (column: TypedColumn, row: Row | undefined): { title?: string; 'data-given'?: true } => {
    const text = row && texts.size > 0 ? expressionAt(texts, list, row.id, column) : undefined;
    return text === undefined ? {} : { title: `= ${text}`, 'data-given': true };
  };
  const commit = (): boolean => {
    if (draft === undefined) return true;
    const row = rows[active.row];
    const isSame = row && written(columns[active.column]!, row) === draft;
    if (!isSame && !write([cellAt(shown, active.row, active.column, draft)])) return false;
    setDraft(undefined);
    return true;
  };

  const onCopy = (event: ClipboardEvent): void => {
    if (draft !== undefined) return;
    event.clipboardData.setData('text/plain', copied(shown, range));
    event.preventDefault();
  };
  const onPaste = (event: ClipboardEvent): void => {
    if (draft !== undefined) return;
    const table = readTable(event.clipboardData.getData('text/plain'));
    event.preventDefault();
    if (write(pasted(shown, range, table)))
      setAnchor({ row: range.top + table.length - 1, column: range.left + table[0]!.length - 1 });
  };
  const fillDown = (): void => {
    // What is given by an expression is given by it below as well.
    const cells = filledDown(shown, range, written);
    if (cells.length > 0) write(cells);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (draft !== undefined) {
      if (event.key === 'Escape') setDraft(undefined);
      else if (event.key === 'Enter' && commit()) go(active.row + 1, active.column, 'alone');
      else if (event.key === 'Tab' && commit()) go(active.row, active.column + (event.shiftKey ? -1 : 1), 'alone');
      else return event.stopPropagation();
      event.preventDefault();
      event.stopPropagation();
      // Going back to the table takes the focus from the field, which must not write a second time.
      leaving.current = true;
      scroll.current?.focus();
      leaving.current = false;
      return;
    }
    const action = tableAction(event);
    if (!action || !act(action)) return;
    event.preventDefault();
    event.stopPropagation();
  };
  /** False where there is nothing to be done. */
  const act = (action: TableAction): boolean => {
    const column = columns[active.column];
    switch (action.kind) {
      case 'step':
      case 'edge':
        move(action);
        return true;
      case 'sort':
        if (column) grid.setSorting([{ id: column.key, desc: action.way === -1 }]);
        return column !== undefined;
      case 'edit': {
        if (!column || column.computed) return false;
        const row = rows[active.row];
        setDraft(action.first ?? (row ? written(column, row) : ''));
        return true;
      }
      case 'fillDown':
        fillDown();
        return true;
      case 'selectRows':
        selectRows(range.top, range.bottom);
        return true;
      case 'close':
        editor.show({ drawer: undefined });
        return true;
    }
  };

  return (
    <Drawer aria-label={WORDS.scheduleOf(list)}>
      <Bar>
        {scheduleLists.map((one) => (
          <ToggleButton key={one} isSelected={one === list} onChange={() => editor.show({ drawer: one })}>
            {schedules[one].words}
          </ToggleButton>
        ))}
        <input
          aria-label={WORDS.showOnlyRowsWith}
          placeholder={WORDS.onlyRowsWith}
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
        />
        <Button onPress={fillDown}>{WORDS.fillDown}</Button>
        <SaveTable table={{ title: kind.words, columns, rows }} />
        <Button onPress={() => chooseFile(TAKEN_FILES, (file) => editor.show({ dialog: { file } }))}>{WORDS.fromFile}</Button>
        <Said role="status" data-fault={trouble !== undefined || undefined}>
          {trouble ?? WORDS.hint(rows.length, list)}
        </Said>
        <PlainButton aria-label={WORDS.closeTheSchedule} onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Bar>
      <Scroll
        ref={scroll}
        role="grid"
        tabIndex={0}
        aria-label={WORDS.sorting(list)}
        aria-rowcount={count + 1}
        aria-colcount={columns.length}
        aria-activedescendant={`cell-${active.row}-${active.column}`}
        onKeyDown={onKeyDown}
        onCopy={onCopy}
        onPaste={onPaste}
      >
        <Head
          columns={columns}
          sortedBy={(key) => grid.getColumn(key)?.getIsSorted() ?? false}
          onSort={(key) => grid.getColumn(key)?.toggleSorting()}
          widths={widths}
        />
        <div style={{ height: above }} />
        {seen.map((r) => {
          const row = rows[r];
          return (
            <Line
              key={row?.id ?? 'new'}
              role="row"
              aria-rowindex={r + 2}
              aria-selected={row ? selected.has(row.id) : false}
              style={widths}
            >
              <span
                role="rowheader"
                data-chosen={(row && selected.has(row.id)) || undefined}
                onClick={(event) => (event.shiftKey ? selectRows(anchor.row, r) : selectRows(r, r))}
              >
                {row ? r + 1 : 'new'}
              </span>
              {columns.map((column, c) => {
                const isInHand = isActive(r, c);
                return (
                  <span
                    key={column.key}
                    role="gridcell"
                    id={`cell-${r}-${c}`}
                    className="number"
                    data-active={isInHand || undefined}
                    data-chosen={isChosen(r, c) || undefined}
                    data-computed={column.computed}
                    onPointerDown={(event) => {
                      if (isInHand && draft !== undefined) return;
                      if (commit()) go(r, c, event.shiftKey ? 'extended' : 'alone');
                    }}
                    onPointerEnter={(event) => event.buttons === 1 && draft === undefined && setActive({ row: r, column: c })}
                    onDoubleClick={() => !column.computed && setDraft(row ? written(column, row) : '')}
                    {...givenBy(column, row)}
                  >
                    {isInHand && draft !== undefined ? (
                      <CellField column={column} value={draft} onChange={setDraft} onLeave={() => leaving.current || commit()} />
                    ) : row ? (
                      cellText(column, row)
                    ) : (
                      ''
                    )}
                  </span>
                );
              })}
            </Line>
          );
        })}
        <div style={{ height: below }} />
      </Scroll>
    </Drawer>
  );
}
