'use client';

import { useMemo, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Load, ModelNode } from '@rigid-beam/core/model/model';
import { planeOfNodes } from '../sheet/plane-of-nodes';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { useEditor, useEditorState, useModel } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { removalOf, removalWords } from '../sheet/removal';
import { Hint, Button, PanelTitle, PlainButton, Row } from '../ui/controls';
import { LoadCard } from './LoadCard';
import { MemberCard } from './MemberCard';
import { NodeCard } from './NodeCard';
import { SelectionStrip } from './SelectionStrip';
import { card as WORDS, loadCard as LOADS } from './words';

const Panel = styled.aside`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
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

/** Whether something is selected that has a card. */
export const useHasCard = (): boolean =>
  useEditorState(({ selection, side }) => side === 'card' && selection.some(({ kind }) => CARDS.has(kind)));
const CARDS: ReadonlySet<Subject['kind']> = new Set(['node', 'support', 'member', 'load']);

/** Three nodes span a plane that one can draw on. */
function PlaneThrough({ nodes, sheet }: { readonly nodes: readonly ModelNode[]; readonly sheet: SheetController }) {
  const model = useModel();
  const plane = planeOfNodes(
    model,
    nodes.map(({ id }) => id),
  );
  if (typeof plane === 'string') return <Hint>{plane}.</Hint>;
  return <Button onPress={() => sheet.view.usePlane(plane)}>{WORDS.planeThrough(nodes.map(({ id }) => id).join(', '))}</Button>;
}

const isOneKind = (loads: readonly Load[]): boolean => new Set(loads.map(({ type }) => type)).size === 1;

interface CardProps {
  readonly back: string;
  readonly sheet: SheetController | undefined;
  readonly children?: ReactNode;
}

/** What is selected, with its properties to change in place, and the way back to the bench. `children`: what can be done with it. */
export function Card({ back, sheet, children }: CardProps) {
  const editor = useEditor();
  const model = useModel();
  const selection = useEditorState((state) => state.selection);
  const stage = useEditorState((state) => state.stage);
  const also = useRemovalWords(selection);
  const nodes = model.nodes.filter(({ id }) =>
    selection.some((one) => (one.kind === 'node' || one.kind === 'support') && one.id === id),
  );
  const members = model.members.filter(({ id }) => selection.some((one) => one.kind === 'member' && one.id === id));
  const chosen = new Set(selection.flatMap((one) => (one.kind === 'load' ? [one.id] : [])));
  const loads = chosen.size > 0 ? model.loads.filter(({ id }) => chosen.has(id)) : [];
  const [load] = loads;
  if (nodes.length + members.length === 0 && !load) return null;

  const names = [...members.map(({ id }) => WORDS.member(id)), ...nodes.map(({ id }) => WORDS.node(id))];
  const title =
    load && names.length === 0
      ? WORDS.load(loads.length)
      : names.length === 1
        ? names[0]!.replace(/^./, (c) => c.toUpperCase())
        : WORDS.selected(names.length);
  const remove = (): void => {
    const intent = removalOf(model, selection);
    if (intent) editor.edit(intent);
  };
  return (
    <Panel aria-label={title}>
      <PlainButton aria-label={WORDS.backTo(back)} onPress={() => editor.show({ side: 'bench' })}>
        ‹ {back}
      </PlainButton>
      <Head>
        <PanelTitle>{title}</PanelTitle>
        <span>
          <Button onPress={remove} aria-label={also ? WORDS.removeAndWithIt(also) : WORDS.remove}>
            {WORDS.remove}
          </Button>
        </span>
      </Head>
      {names.length > 0 && <SelectionStrip />}
      {also && stage !== 'results' && <Hint>{WORDS.removingTakesAlong(also)}</Hint>}
      {members.length > 0 && <MemberCard key={members.map(({ id }) => id).join()} members={members} sheet={sheet} />}
      {members.length === 0 && nodes.length > 0 && <NodeCard key={nodes.map(({ id }) => id).join()} nodes={nodes} />}
      {load && names.length === 0 && !isOneKind(loads) && <Hint>{LOADS.unlike(loads.length)}</Hint>}
      {load && names.length === 0 && isOneKind(loads) && (
        <LoadCard key={loads.map(({ id }) => id).join()} loads={loads} sheet={sheet} />
      )}
      {sheet && members.length === 0 && nodes.length === 3 && model.space === 'space' && (
        <PlaneThrough nodes={nodes} sheet={sheet} />
      )}
      {names.length > 0 && children}
    </Panel>
  );
}
