'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { Model } from '@rigid-beam/core/model/model';
import { takables } from '@rigid-beam/core/tables/taking/takable';
import type { TakenRow } from '@rigid-beam/core/tables/taking/take-tables';
import type { TakenColumn, Understood } from '@rigid-beam/core/tables/taking/heads';
import { Hint, Select } from '../ui/controls';
import { TextLine } from '../ui/TextLine';
import { Tick } from '../ui/Tick';
import { tablesDialog as WORDS } from './words';

/** Rows that are shown: those at the top, or those with faults, are what one looks at. */
const SHOWN = 200;
const NONE = '';

const Scroll = styled.div`
  overflow: auto;
  padding: 0 0.75rem 0.6rem;
  background: var(--paper);
`;

const Grid = styled.table`
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  font-size: 0.8rem;
  th,
  td {
    padding: 0.2rem 0.5rem;
    border-bottom: 1px solid var(--rule);
    text-align: left;
    vertical-align: top;
    white-space: nowrap;
  }
  th {
    min-width: 7.5rem;
    font-weight: 600;
  }
  th:first-child,
  td:first-child {
    min-width: 0;
    color: var(--soft);
    text-align: right;
  }
  td[data-left='true'] {
    color: var(--soft);
  }
  tr[data-state='faulty'] td {
    color: var(--fault);
  }
  tr[data-state='new'] td:nth-child(2) {
    color: var(--good);
  }
  td:nth-child(2) {
    max-width: 22rem;
    white-space: normal;
  }
`;

const Above = styled.div`
  padding: 0.5rem 0;
`;

interface TakenRowsProps {
  readonly table: Understood;
  readonly model: Model;
  /** What becomes of its rows; nothing while that is being found. */
  readonly rows: readonly TakenRow[] | undefined;
  readonly onChange: (columns: readonly TakenColumn[]) => void;
}

/** A table of a file: what each of its columns is, and what becomes of each of its rows. */
export function TakenRows({ table: { grid, kind, head, first, columns }, model, rows, onChange }: TakenRowsProps) {
  const [isFaultyOnly, setIsFaultyOnly] = useState(false);
  const known = kind ? takables[kind].columns(model).filter(({ key, computed }) => key === 'id' || !computed) : [];
  const choices = [...known.map(({ key, title }) => ({ id: key, text: title })), { id: NONE, text: WORDS.notTaken }];
  const of = new Map(rows?.map((row) => [row.line, row]));
  const hasFaults = rows?.some(({ state }) => state === 'faulty') === true;
  const lines = grid.rows.flatMap((cells, i) => {
    const row = of.get(i + 1);
    const isShown = i >= first && cells.some((cell) => cell !== '') && (!(isFaultyOnly && hasFaults) || row?.state === 'faulty');
    return isShown ? [{ line: i + 1, cells, row }] : [];
  });
  const nameOf = (c: number): string => grid.rows[head]?.[c] || WORDS.unnamed(c);
  // What a column is, no other is.
  const set = (at: number, changed: TakenColumn): void =>
    onChange(
      columns.map((column, c) =>
        c === at ? changed : column.key !== undefined && column.key === changed.key ? { ...column, key: undefined } : column,
      ),
    );
  return (
    <Scroll tabIndex={0} role="group" aria-label={grid.title}>
      {hasFaults && (
        <Above>
          <Tick isSelected={isFaultyOnly} onChange={setIsFaultyOnly}>
            {WORDS.onlyFaulty}
          </Tick>
        </Above>
      )}
      <Grid>
        <thead>
          <tr>
            <th scope="col">{WORDS.line}</th>
            <th scope="col">{WORDS.becomes}</th>
            {columns.map(({ key, unit }, c) => {
              const taken = known.find((one) => one.key === key);
              return (
                <th key={c} scope="col">
                  {nameOf(c)}
                  {kind && (
                    <Select
                      hideLabel
                      label={WORDS.columnOf(nameOf(c))}
                      value={taken?.key ?? NONE}
                      choices={choices}
                      onChange={(id) => set(c, { ...(unit && { unit }), key: id === NONE ? undefined : id })}
                    />
                  )}
                  {taken?.unit !== undefined && (
                    <TextLine
                      label={WORDS.unitOf(taken.title)}
                      value={unit ?? ''}
                      placeholder={taken.unit}
                      onCommit={(said) => set(c, { key, ...(said.trim() !== '' && { unit: said.trim() }) })}
                    />
                  )}
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {lines.slice(0, SHOWN).map(({ line, cells, row }) => (
            <tr key={line} data-state={row?.state}>
              <td>{line}</td>
              <td>{row?.why ?? (row ? WORDS.states[row.state] : '')}</td>
              {columns.map(({ key }, c) => (
                <td key={c} data-left={key === undefined}>
                  {cells[c]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Grid>
      {lines.length > SHOWN && <Hint>{WORDS.more(lines.length - SHOWN)}</Hint>}
    </Scroll>
  );
}
