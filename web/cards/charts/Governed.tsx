'use client';

import styled from 'styled-components';
import type { Stretch } from '@rigid-beam/core/results/envelope';
import { runCharts as WORDS } from '../words';
import { LEFT, RIGHT } from './places';

/** One bar for who gives the greatest values, one for who gives the least: names where there is room, tints that take turns. */
const Bar = styled.ol`
  display: flex;
  flex: 1;
  height: 1rem;
  margin: 0 ${RIGHT}px 1px 0;
  padding: 0;
  list-style: none;
  font-size: 0.7rem;
  li {
    overflow: hidden;
    padding: 0 0.2rem;
    border-left: 1px solid var(--rule-strong);
    background: var(--panel);
    color: var(--ink);
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  li:nth-child(even) {
    background: var(--rule);
  }
`;

const Named = styled.div`
  display: flex;
  font-size: 0.7rem;
  > span {
    flex: 0 0 ${LEFT}px;
    padding-right: 0.4rem;
    color: var(--soft);
    text-align: right;
  }
`;

interface GovernedProps {
  readonly side: 'max' | 'min';
  readonly stretches: readonly Stretch[];
  readonly length: number;
  readonly nameOf: (outcome: number) => string;
  /** Metres as they are told. */
  readonly place: (x: number) => string;
}

export function Governed({ side, stretches, length, nameOf, place }: GovernedProps) {
  return (
    <Named>
      <span aria-hidden>{WORDS.sides[side]}</span>
      <Bar aria-label={WORDS.governs[side]}>
        {stretches.map(({ from, to, outcome }) => {
          const words = WORDS.fromTo(nameOf(outcome), place(from), place(to));
          return (
            <li key={from} title={words} aria-label={words} style={{ width: `${(100 * (to - from)) / length}%` }}>
              {nameOf(outcome)}
            </li>
          );
        })}
      </Bar>
    </Named>
  );
}
