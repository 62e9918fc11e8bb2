'use client';

import styled from 'styled-components';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Hint, PanelTitle, PlainButton } from '../ui/controls';
import { MemberCharts } from './MemberCharts';
import { useRun, type Run } from './use-run';
import { chartsDrawer as WORDS } from './words';

const Drawer = styled.section`
  height: 100%;
  overflow-y: auto;
  padding: 0.4rem 0.9rem 0.8rem;
  background: var(--panel);
  border-top: 1.5px solid var(--ink);
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: center;
`;

/** Why of several members the first is read. */
const ONE_ONLY = {
  apart: WORDS.notARun,
  'too many': WORDS.tooMany,
} as const;

function titleOf({ run: { stretches }, begins, ends }: Run): string {
  return stretches.length === 1 ? WORDS.member(stretches[0]!.member) : WORDS.run(stretches.length, begins, ends);
}

/** The diagrams of the selected member, or of a run of members, at a size that can be read, with one cursor through all of them. */
export function ChartsDrawer() {
  const editor = useEditor();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const selection = useEditorState((state) => state.selection);
  const ids = selection.flatMap((subject) => (subject.kind === 'member' ? [subject.id] : []));
  const found = useRun(solution, outcome, ids);
  return (
    <Drawer aria-label={WORDS.diagramsAlongMembers}>
      <Head>
        <PanelTitle>{found ? titleOf(found) : WORDS.diagrams}</PanelTitle>
        <PlainButton aria-label={WORDS.closeTheDiagrams} onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Head>
      {found && found.read !== 'all' && <Hint>{ONE_ONLY[found.read]}</Hint>}
      {solution && found ? (
        <MemberCharts
          key={ids.join()}
          solution={solution}
          outcome={outcome}
          run={found.run}
          begins={found.begins}
          display={display}
          size="large"
        />
      ) : (
        <Hint>{WORDS.selectFirst}</Hint>
      )}
    </Drawer>
  );
}
