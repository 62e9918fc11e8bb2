'use client';

import { useDeferredValue, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { subjectKey } from '@rigid-beam/drawing/display-list';
import { actingIndex, useEditor, useEditorState } from '../session/use-editor';
import type { SheetController } from './controller';
import { describeItems, type DescribedItem } from './describe-items';
import { openInPlace } from './in-place';

const List = styled.ul`
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
`;

/** Invisible until it has the focus; it never takes the pointer from the drawing. */
const Stop = styled.button`
  position: absolute;
  width: 26px;
  height: 26px;
  margin: -13px 0 0 -13px;
  padding: 0;
  border: 0;
  border-radius: 50%;
  background: transparent;
  color: transparent;
  overflow: hidden;
  font-size: 0;
`;

/** What stands on the drawing as a list: arrow keys go from item to item, Enter types over its value, Delete removes it. */
export function SheetItems({ controller }: { readonly controller: SheetController }) {
  const editor = useEditor();
  const camera = useRestingCamera(controller);
  const { model, results } = useDeferredValue(useEditorState((state) => state.drawn));
  const solution = results?.solution;
  const outcome = useEditorState(actingIndex);
  const items = useMemo(() => describeItems(model, solution, outcome), [model, solution, outcome]);
  const [active, setActive] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const current = Math.min(active, items.length - 1);

  const focus = (index: number): void => {
    const next = Math.min(Math.max(index, 0), items.length - 1);
    setActive(next);
    (list.current?.children[next]?.firstElementChild as HTMLElement | undefined)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent, item: DescribedItem, index: number): void => {
    if (event.altKey && item.subject.kind === 'node' && nudge(controller, item.subject.id, event.key)) event.preventDefault();
    else if (event.key === 'ArrowRight' || event.key === 'ArrowDown') focus(index + 1);
    else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') focus(index - 1);
    else if (event.key === 'Home') focus(0);
    else if (event.key === 'End') focus(items.length - 1);
    else if (event.key === 'Enter' && item.subject.kind === 'load') openInPlace(controller, item.subject);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <List
      ref={list}
      aria-label="Items of the drawing. Arrow keys go from one to the next; Enter changes a load; Alt and an arrow move a node."
    >
      {items.map((item, index) => (
        <li key={subjectKey(item.subject)}>
          <Stop
            type="button"
            tabIndex={index === current ? 0 : -1}
            style={{ left: screenX(camera, item.x), top: screenY(camera, item.y) }}
            aria-label={item.text}
            onFocus={() => {
              setActive(index);
              editor.select([item.subject]);
            }}
            onKeyDown={(event) => onKeyDown(event, item, index)}
          />
        </li>
      ))}
    </List>
  );
}

/** The camera once it has come to rest: the stops need not follow every step of a pan or zoom. */
function useRestingCamera(controller: SheetController): Camera {
  const [camera, setCamera] = useState(controller.camera);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const follow = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => setCamera(controller.camera), 60);
    };
    follow();
    const stop = controller.store.subscribe((state, before) => state.camera !== before.camera && follow());
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [controller]);
  return camera;
}

/** Moves a node by one grid step; false for keys that are no arrows. */
function nudge(controller: SheetController, id: string, key: string): boolean {
  const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  const node = controller.editor.state.model.nodes.find((one) => one.id === id);
  if (!way || !node) return false;
  const step = controller.step();
  controller.editor.edit({ type: 'moveNodes', moves: [{ id, x: node.x + way[0]! * step, y: node.y + way[1]! * step }] });
  return true;
}
