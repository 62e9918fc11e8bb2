'use client';

import { memo } from 'react';
import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useEditor, useEditorState } from '../editor/use-editor';
import { ToggleButton } from '../ui/controls';
import { stageOf, stages, type Standing } from './stages';
import { stageTabs as WORDS } from './words';

const Tabs = styled(ToggleButtonGroup)`
  display: flex;
  align-self: stretch;
  min-width: 0;
  overflow-x: auto;
  scrollbar-width: none;
`;

const Tab = styled(ToggleButton)`
  flex: none;
  gap: 0.2rem;
  min-height: 2.1rem;
  padding: 0 0.45rem;
  @media (max-width: 72rem) {
    padding: 0 0.28rem;
  }
  border: 0;
  border-radius: 0;
  &[data-selected] {
    font-weight: 600;
  }
  sup {
    min-width: 0.8rem;
    font-size: 0.68rem;
    opacity: 0.85;
  }
  &[data-mark='attention'] sup {
    color: var(--attention);
    font-weight: 700;
  }
  &[data-mark='attention'][data-selected] sup {
    color: inherit;
  }
`;

/** As wide as it is when it is chosen, so that the others keep their places. */
const Words = styled.span`
  display: inline-grid;
  &::after {
    content: attr(data-words);
    height: 0;
    font-weight: 600;
    visibility: hidden;
  }
`;

/** The stages of work, in their order, with what each holds and how it stands; none locks another. */
export const StageTabs = memo(function StageTabs() {
  const editor = useEditor();
  const stage = useEditorState((state) => state.stage);
  const results = useEditorState((state) => state.settled.results);
  const model = useEditorState((state) => state.model);
  return (
    <Tabs
      selectionMode="single"
      disallowEmptySelection
      aria-label={WORDS.stages}
      selectedKeys={[stageOf(stage).id]}
      onSelectionChange={(keys) => editor.go({ stage: String([...keys][0]) })}
    >
      {stages.map(({ id, words, standing }) => {
        const { count, figure, mark } = standing(model, results);
        return (
          <Tab key={id} id={id} data-mark={mark} aria-label={`${words}: ${count}, ${MARKS[mark].words}`}>
            <Words data-words={words}>{words}</Words>
            <sup aria-hidden>{mark === 'attention' ? '▲' : mark === 'empty' ? '○' : figure}</sup>
          </Tab>
        );
      })}
    </Tabs>
  );
});

const MARKS: Record<Standing['mark'], { readonly words: string }> = {
  empty: { words: WORDS.nothingYet },
  order: { words: WORDS.inOrder },
  attention: { words: WORDS.needsAttention },
};
