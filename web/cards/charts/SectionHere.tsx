'use client';

import type { Solution } from '@rigid-beam/core/results/results';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { useEditorState } from '../../editor/use-editor';
import { Fold } from '../../ui/Fold';
import { StressSheet } from '../section/StressSheet';
import { runCharts as WORDS } from '../words';

interface SectionHereProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly member: string;
  /** Metres from the member’s start. */
  readonly at: number;
}

/** Normal and shear stress over the section at the cursor, with its neutral axis; nothing of a section without a shape. */
export function SectionHere({ solution, outcome, member, at }: SectionHereProps) {
  const model = useEditorState((state) => state.settled.model);
  const own = model.members.find(({ id }) => id === member);
  const shape = model.sections.find(({ id }) => id === own?.section)?.shape;
  if (!own || !shape || outlineLoops(shape).length === 0) return null;
  return (
    <Fold title={WORDS.section(member)} remembered="section here">
      <StressSheet
        {...{ solution, outcome, model, shape, at }}
        member={own}
        material={model.materials.find(({ id }) => id === own.material)}
      />
    </Fold>
  );
}
