'use client';

import type { CSSProperties } from 'react';
import styled from 'styled-components';
import type { Column } from '@rigid-beam/core/tables/column';

/** A cell of a table. */
export interface Place {
  readonly row: number;
  readonly column: number;
}

/** Height of a row, pixels. */
export const HEIGHT = 26;

/** Every line is as wide as all columns, whatever stands in them. */
export const widthsOf = <R>(columns: readonly Column<R>[], head = 3.2): CSSProperties =>
  ({
    gridTemplateColumns: `${head}rem ${columns.map(({ width = 1 }) => `minmax(${6.5 * width}rem, ${width}fr)`).join(' ')}`,
    '--columns': `${head + 6.5 * columns.reduce((all, { width = 1 }) => all + width, 0)}rem`,
  }) as CSSProperties;

export const Drawer = styled.section`
  display: grid;
  height: 100%;
  grid-template-rows: auto minmax(0, 1fr);
  background: var(--panel);
  border-top: 1.5px solid var(--ink);
`;

export const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.5rem;
  padding: 0.3rem 0.6rem;
  input {
    width: 9rem;
    min-height: 1.6rem;
    padding: 0.1rem 0.4rem;
    border: 1px solid var(--rule);
    border-radius: 3px;
    background: var(--paper);
  }
`;

export const Scroll = styled.div`
  overflow: auto;
  background: var(--paper);
  outline-offset: -2px;
`;

export const Line = styled.div`
  display: grid;
  min-width: var(--columns);
  height: ${HEIGHT}px;
  border-bottom: 1px solid var(--rule);
  > * {
    padding: 0.2rem 0.5rem;
    border-right: 1px solid var(--rule);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  &[data-head] {
    position: sticky;
    top: 0;
    z-index: 1;
    background: var(--panel);
    font-weight: 600;
  }
  [data-chosen] {
    background: var(--hover);
  }
  [data-active] {
    box-shadow: inset 0 0 0 2px var(--focus);
  }
  /* A number that an expression gives. */
  [data-given] {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  [data-computed] {
    color: var(--soft);
  }
  input {
    width: 100%;
    height: 100%;
    border: 0;
    padding: 0;
    background: var(--paper);
    outline: none;
  }
`;

/** On a line of its own where there is little room. */
export const Said = styled.p`
  flex: 1 1 14rem;
  color: var(--soft);
  &[data-fault] {
    color: var(--fault);
  }
`;
