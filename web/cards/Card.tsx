'use client';

import { useMemo } from 'react';
import styled from 'styled-components';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { useEditor, useEditorState, useModel } from '../session/use-editor';
import { CARD_WIDTH, TITLE_BLOCK } from '../sheet/framing';
import { removalOf, removalWords } from '../sheet/removal';
import { Hint, Button, PanelTitle, PlainButton, Row } from '../ui/controls';
import { LoadCard } from './LoadCard';
import { MemberCard } from './MemberCard';
import { NodeCard } from './NodeCard';

const Panel = styled.aside`
  position: absolute;
  z-index: 3;
  top: 0;
  right: 0;
  max-height: calc(100% - ${TITLE_BLOCK.height}px);
  width: ${CARD_WIDTH}px;
  padding: 0.6rem 0.8rem;
  overflow-y: auto;
  background: var(--panel);
  border-left: 1px solid var(--rule-strong);
  border-bottom: 1px solid var(--rule-strong);
`;

const Head = styled(Row)`
  justify-content: space-between;
  margin-bottom: 0.4rem;
`;

/** What goes along when the selection is removed; of the model as it is stored, not while something is dragged. */
function useRemovalWords(selection: readonly Subject[]): string {
  const model = useEditorState((state) => state.model);
  return useMemo(() => (selection.length <= 200 ? removalWords(model, selection) : ''), [model, selection]);
}

/** What is selected, with its properties to change in place. Nothing is there without a selection. */
export function Card() {
  const editor = useEditor();
  const model = useModel();
  const selection = useEditorState((state) => state.selection);
  const also = useRemovalWords(selection);
  const nodes = model.nodes.filter(({ id }) =>
    selection.some((one) => (one.kind === 'node' || one.kind === 'support') && one.id === id),
  );
  const members = model.members.filter(({ id }) => selection.some((one) => one.kind === 'member' && one.id === id));
  const chosen = selection.find((one) => one.kind === 'load');
  const load = chosen?.kind === 'load' ? model.loads.find(({ id }) => id === chosen.id) : undefined;
  if (nodes.length + members.length === 0 && !load) return null;

  const names = [...members.map(({ id }) => `member ${id}`), ...nodes.map(({ id }) => `node ${id}`)];
  const title =
    load && names.length === 0
      ? 'Load'
      : names.length === 1
        ? names[0]!.replace(/^./, (c) => c.toUpperCase())
        : `${names.length} selected`;
  const remove = (): void => {
    const intent = removalOf(model, selection);
    if (intent) editor.edit(intent);
  };
  return (
    <Panel aria-label={title}>
      <Head>
        <PanelTitle>{title}</PanelTitle>
        <span>
          <Button onPress={remove} aria-label={also ? `Remove, and with it ${also}` : 'Remove'}>
            Remove
          </Button>
          <PlainButton aria-label="Close the card" onPress={() => editor.select([])}>
            ✕
          </PlainButton>
        </span>
      </Head>
      {also && <Hint>Removing takes along {also}.</Hint>}
      {members.length > 0 && <MemberCard key={members.map(({ id }) => id).join()} members={members} />}
      {members.length === 0 && nodes.length > 0 && <NodeCard key={nodes.map(({ id }) => id).join()} nodes={nodes} />}
      {load && names.length === 0 && <LoadCard key={load.id} load={load} />}
    </Panel>
  );
}
