'use client';

import styled from 'styled-components';
import { actingIndex } from '../session/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../session/use-editor';
import { Hint, PanelTitle, PlainButton } from '../ui/controls';
import { MemberCharts } from './MemberCharts';

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

/** The diagrams of the selected member at a size that can be read, with one cursor through all of them. */
export function ChartsDrawer() {
  const editor = useEditor();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const chosen = useEditorState(({ selection }) => selection.find(({ kind }) => kind === 'member'));
  const id = chosen?.kind === 'member' ? chosen.id : undefined;
  const member = id === undefined ? -1 : (solution?.structure.names.members.indexOf(id) ?? -1);
  return (
    <Drawer aria-label="Diagrams of the member">
      <Head>
        <PanelTitle>{id === undefined ? 'Diagrams' : `Member ${id}`}</PanelTitle>
        <PlainButton aria-label="Close the diagrams" onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Head>
      {solution?.outcomes[outcome] && member >= 0 ? (
        <MemberCharts key={id} solution={solution} outcome={outcome} member={member} display={display} size="large" />
      ) : (
        <Hint>Select a member to read its diagrams.</Hint>
      )}
    </Drawer>
  );
}
