'use client';

import { Button as DragHandle, GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import type { LoadCase } from '@rigid-beam/core/model/model';
import { useEditor, useModel } from '../../editor/use-editor';
import { focusFace } from '../../ui/controls';
import { Swatch } from '../../ui/Swatch';
import { caseList as WORDS } from '../words';

const List = styled(GridList<LoadCase>)`
  max-height: 9.5rem;
  overflow-y: auto;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  [data-drop-target] {
    outline: 2px solid var(--focus);
  }
`;

const Line = styled(GridListItem)`
  ${focusFace}
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.35rem;
  padding: 0.15rem 0.4rem;
  cursor: default;
  &[data-hovered] {
    background: var(--hover);
  }
  &[data-selected] {
    background: var(--hover);
    box-shadow: inset 3px 0 0 var(--ink);
  }
  span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  small {
    color: var(--soft);
    font-size: 0.72rem;
  }
`;

const Handle = styled(DragHandle)`
  ${focusFace}
  padding: 0 0.15rem;
  border: 0;
  background: none;
  color: var(--soft);
  cursor: grab;
`;

/** The cases in their order: one is chosen to act, and they are put into another order by dragging, or by the keys of their handles. */
export function CaseList({ acting }: { readonly acting: string | undefined }) {
  const editor = useEditor();
  const { cases, loads } = useModel();
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ 'text/plain': String(key) })),
    onReorder: ({ keys, target }) => {
      const moved = cases.filter(({ id }) => keys.has(id)).map(({ id }) => id);
      const rest = cases.map(({ id }) => id).filter((id) => !keys.has(id));
      const at = rest.indexOf(String(target.key)) + (target.dropPosition === 'after' ? 1 : 0);
      const order = [...rest.slice(0, at), ...moved, ...rest.slice(at)];
      if (order.some((id, i) => id !== cases[i]!.id)) editor.edit({ type: 'order', list: 'cases', keys: order });
    },
  });
  const count = (id: string): number => loads.reduce((sum, load) => sum + (load.case === id ? 1 : 0), 0);
  return (
    <List
      aria-label={WORDS.cases}
      items={cases}
      dependencies={[loads]}
      selectionMode="single"
      selectedKeys={acting === undefined ? [] : [acting]}
      onSelectionChange={(keys) => {
        const id = keys === 'all' ? undefined : [...keys][0];
        if (id !== undefined) editor.go({ acting: String(id) });
      }}
      dragAndDropHooks={dragAndDropHooks}
    >
      {(one) => (
        <Line id={one.id} textValue={one.title ? `${one.id} · ${one.title}` : one.id}>
          <Handle slot="drag" aria-label={WORDS.move(one.id)}>
            ⠿
          </Handle>
          <Swatch aria-hidden $colour={one.colour} />
          <span>
            <b>{one.id}</b> {one.title ?? ''}
          </span>
          <small>{WORDS.holds(count(one.id), one.selfWeight ? 'weighs' : 'weightless')}</small>
        </Line>
      )}
    </List>
  );
}
