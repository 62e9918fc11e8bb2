'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useEditor, useEditorState, useModel } from '../session/use-editor';
import { ToggleButton } from '../ui/controls';
import { stageOf, stages, type Standing } from './stages';

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
      selectedKeys={[stageOf(stage).id]}
      onSelectionChange={(keys) => editor.go({ stage: String([...keys][0]) })}
    >
      {stages.map(({ id, words, standing }) => {
        const { count, mark } = standing(model, results);
        return (
          <StageButton key={id} id={id} aria-label={`${words}: ${count}, ${MARKS[mark].words}`}>
            {words}
            <small>
              {MARKS[mark].sign} {count}
            </small>
          </StageButton>
        );
      })}
    </Rail>
  );
}

const MARKS: Record<Standing['mark'], { readonly sign: string; readonly words: string }> = {
  empty: { sign: '○', words: 'nothing yet' },
  order: { sign: '●', words: 'in order' },
  attention: { sign: '▲', words: 'needs attention' },
};
