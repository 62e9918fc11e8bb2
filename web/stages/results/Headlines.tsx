'use client';

import { useMemo } from 'react';
import type { Solution } from '@rigid-beam/core/results/results';
import { headlinesOf } from '@rigid-beam/core/tables/results/headlines/headlines';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { ResultLines } from '../../cards/ResultLines';
import { useDisplay, useEditorState } from '../../editor/use-editor';
import { Hint } from '../../ui/controls';
import { headlines as WORDS } from './words';

interface HeadlinesProps {
  readonly solution: Solution;
  readonly outcome: number;
}

/** What is asked first: the largest moment, force, movement and stress, each with its place. */
export function Headlines({ solution, outcome }: HeadlinesProps) {
  const display = useDisplay();
  const model = useEditorState((state) => state.settled.model);
  const all = useMemo(
    () => headlinesOf({ model, solution, outcome, display }, (quantity) => governingValues(solution, outcome, quantity)),
    [model, solution, outcome, display],
  );
  if (all.length === 0) return <Hint>{WORDS.nothing}</Hint>;
  return <ResultLines label={WORDS.label} lines={all} structure={solution.structure} selects="member" />;
}
