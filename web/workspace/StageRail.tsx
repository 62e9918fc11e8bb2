'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { Model } from '@rigid-beam/core/model/model';
import type { EditorState } from '../session/editor';
import { useEditor, useEditorState, useModel } from '../session/use-editor';
import { stages, type Stage } from '../session/view-state';
import { ToggleButton } from '../ui/controls';

const Rail = styled(ToggleButtonGroup)`
  grid-area: rail;
  display: flex;
  flex-direction: column;
  width: 6.4rem;
  padding: 0.5rem 0.35rem;
  gap: 0.2rem;
  background: var(--desk);
  border-right: 1px solid var(--rule-strong);
  @media (max-width: 56rem) {
    flex-direction: row;
    width: auto;
    overflow-x: auto;
    border-right: 0;
    border-bottom: 1px solid var(--rule-strong);
  }
`;

const StageButton = styled(ToggleButton)`
  flex-direction: column;
  align-items: flex-start;
  gap: 0;
  padding: 0.3rem 0.45rem;
  border-color: transparent;
  small {
    font-size: 0.7rem;
    opacity: 0.85;
  }
`;

const WORDS: Record<Stage, string> = {
  geometry: 'Geometry',
  sections: 'Sections',
  supports: 'Supports',
  loads: 'Loads',
  combinations: 'Combinations',
  results: 'Results',
};

/** The stages of work with what each holds and how it stands; none locks another. */
export function StageRail() {
  const editor = useEditor();
  const stage = useEditorState((state) => state.stage);
  const results = useEditorState((state) => state.settled.results);
  const model = useModel();
  return (
    <Rail
      orientation="vertical"
      selectionMode="single"
      disallowEmptySelection
      aria-label="Stages"
      selectedKeys={[stage]}
      onSelectionChange={(keys) => editor.go({ stage: [...keys][0] as Stage })}
    >
      {stages.map((id) => {
        const { count, mark } = standing(id, model, results);
        return (
          <StageButton key={id} id={id} aria-label={`${WORDS[id]}: ${count}, ${MARKS[mark].words}`}>
            {WORDS[id]}
            <small>
              {MARKS[mark].sign} {count}
            </small>
          </StageButton>
        );
      })}
    </Rail>
  );
}

type Mark = 'empty' | 'order' | 'attention';

const MARKS: Record<Mark, { readonly sign: string; readonly words: string }> = {
  empty: { sign: '○', words: 'nothing yet' },
  order: { sign: '●', words: 'in order' },
  attention: { sign: '▲', words: 'needs attention' },
};

function standing(stage: Stage, model: Model, results: EditorState['settled']['results']): { count: string; mark: Mark } {
  const faulty = (...codes: string[]): boolean =>
    results?.notices.some(({ code, severity }) => severity === 'error' && codes.includes(code)) ?? false;
  const counted = (n: number, one: string, many: string, attention: boolean): { count: string; mark: Mark } => ({
    count: `${n} ${n === 1 ? one : many}`,
    mark: attention ? 'attention' : n === 0 ? 'empty' : 'order',
  });
  switch (stage) {
    case 'geometry':
      return counted(model.members.length, 'member', 'members', faulty('zero-length'));
    case 'sections':
      return counted(model.sections.length, 'section', 'sections', faulty('bad-shape', 'missing-property'));
    case 'supports':
      return counted(model.supports.length, 'support', 'supports', faulty('no-support', 'mechanism'));
    case 'loads':
      return counted(model.loads.length, 'load', 'loads', false);
    case 'combinations':
      return counted(model.combinations.length, 'entry', 'entries', false);
    case 'results':
      return results?.status === 'solved'
        ? { count: 'solved', mark: 'order' }
        : { count: 'none', mark: results ? 'attention' : 'empty' };
  }
}
