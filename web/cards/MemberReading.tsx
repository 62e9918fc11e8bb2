'use client';

import { useMemo } from 'react';
import type { Member } from '@rigid-beam/core/model/model';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { memberLines } from '@rigid-beam/core/tables/results/headlines/headlines';
import { useDisplay, useEditorState } from '../editor/use-editor';
import { Hint, PanelSubtitle } from '../ui/controls';
import { ResultLines } from './ResultLines';
import { WhereFrom } from './WhereFrom';
import { memberReading as WORDS } from './words';

interface MemberReadingProps {
  readonly members: readonly Member[];
  readonly solution: Solution;
  readonly outcome: number;
}

/** What governs in some members, in plain words. */
export function MemberReading({ members, solution, outcome }: MemberReadingProps) {
  const display = useDisplay();
  const model = useEditorState((state) => state.settled.model);
  const ids = members.map(({ id }) => id).join('\n');
  const lines = useMemo(() => {
    const places = new Map(solution.structure.names.members.map((id, m) => [id, m]));
    const indices = ids.split('\n').flatMap((id) => places.get(id) ?? []);
    if (indices.length === 0 || !model.members[indices[0]!] || !isReady(solution, outcome)) return undefined;
    return memberLines({ model, solution, outcome, display, members: indices });
  }, [model, solution, outcome, display, ids]);
  return (
    <>
      <PanelSubtitle>{WORDS.in(solution.outcomes[outcome]!.id)}</PanelSubtitle>
      {!lines || lines.length === 0 ? (
        <Hint>{lines ? WORDS.nothing : WORDS.reading}</Hint>
      ) : (
        <>
          <ResultLines label={WORDS.label(members.length)} lines={lines} structure={solution.structure} selects="nothing" />
          {members.length === 1 && <WhereFrom solution={solution} outcome={outcome} />}
        </>
      )}
    </>
  );
}
