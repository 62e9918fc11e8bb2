import { Button, useDragAndDrop, type DragAndDropHooks } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { focusFace } from './controls';

/** A list whose things are put into another order. */
export const orderedList = css`
  overflow-y: auto;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  [data-drop-target] {
    outline: 2px solid var(--focus);
  }
`;

/** One of its lines. */
export const orderedLine = css`
  ${focusFace}
  display: grid;
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

/** A small mark in a line that can be pressed: what a line is drawn by, or how it goes. */
export const LineMark = styled(Button)`
  ${focusFace}
  padding: 0 0.15rem;
  border: 0;
  background: none;
  color: var(--soft);
  &[slot='drag'] {
    cursor: grab;
  }
`;

/** Keys in another order: some are moved before or after another. */
export function reordered(
  keys: readonly string[],
  moved: ReadonlySet<unknown>,
  beside: string,
  where: 'before' | 'after',
): readonly string[] {
  const rest = keys.filter((key) => !moved.has(key));
  const at = rest.indexOf(beside) + (where === 'after' ? 1 : 0);
  return [...rest.slice(0, at), ...keys.filter((key) => moved.has(key)), ...rest.slice(at)];
}

/** What lets the lines of a list be dragged into another order, or put there by the keys of their marks. */
export function useOrder(keys: readonly string[], onOrder: (keys: readonly string[]) => void): DragAndDropHooks {
  return useDragAndDrop({
    getItems: (dragged) => [...dragged].map((key) => ({ 'text/plain': String(key) })),
    onReorder: ({ keys: moved, target }) => {
      const order = reordered(keys, moved, String(target.key), target.dropPosition === 'after' ? 'after' : 'before');
      if (order.some((key, i) => key !== keys[i])) onOrder(order);
    },
  }).dragAndDropHooks as DragAndDropHooks;
}
