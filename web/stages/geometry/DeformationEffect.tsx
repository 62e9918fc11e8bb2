'use client';

import { useEffect, useState } from 'react';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { quantitiesOf, type Quantity, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { actingIndex } from '../../editor/editor-state';
import { settledSolution, useDisplay, useEditorState } from '../../editor/use-editor';
import { Hint } from '../../ui/controls';
import { settingsPart as WORDS } from './words';

/** What is compared: how far members deflect, and what bends them. */
const COMPARED: readonly Quantity[] = ['v', 'w', 'Mz', 'My'];

interface Kept {
  readonly solution: Solution;
  /** What is counted. */
  readonly counted: string;
}

/** After the deformation by shear or by axial force was counted or left out: what that changed in the acting case. */
export function DeformationEffect() {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const counted = useEditorState(({ settled: { model } }) =>
    [model.analysis?.shearDeformation === true, model.analysis?.axialDeformation !== false].join(),
  );
  const display = useDisplay();
  const [pair, setPair] = useState<{ readonly before?: Kept; readonly now?: Kept }>({});
  useEffect(() => {
    if (!solution) return;
    setPair(({ before, now }) => {
      const next = { solution, counted };
      // Another edit is compared with nothing.
      if (!now || now.counted === counted) return { now: next, ...(before && now?.solution === solution && { before }) };
      return { before: now, now: next };
    });
  }, [solution, counted]);
  const { before, now } = pair;
  const isSame = before?.solution.outcomes[outcome]?.id === now?.solution.outcomes[outcome]?.id;
  if (!before || !now || !isSame || !now.solution.outcomes[outcome]) return null;
  const there = new Set(quantitiesOf(now.solution.structure));
  const changes = COMPARED.filter((quantity) => there.has(quantity)).flatMap((quantity) => {
    const [old, next] = [before, now].map((one) => largestOf(governingValues(one.solution, outcome, quantity))) as [
      number,
      number,
    ];
    const unit = unitOfQuantity(quantity, display);
    const show = (value: number): string => showNumber(inUnit(value, unit), 4);
    if (!(Math.max(old, next) > 0)) return [];
    return [WORDS.changed(quantity, show(old), show(next), unit, showNumber((100 * (next - old)) / Math.max(old, 1e-300), 2))];
  });
  return changes.length > 0 ? (
    <Hint role="status">{WORDS.deformationChanges(now.solution.outcomes[outcome].id, changes.join('; '))}</Hint>
  ) : null;
}
