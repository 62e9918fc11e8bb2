'use client';

import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import type { Model } from '@rigid-beam/core/model/model';
import { plus, pointOf, times, type Point } from '@rigid-beam/core/model/point';
import type { Seen } from '@rigid-beam/drawing/geometry';
import { ELEVATION } from '@rigid-beam/drawing/projection';
import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { subjectKey } from '@rigid-beam/drawing/display-list';
import { actingIndex, useEditor, useEditorState, useDrawnInTime } from '../session/use-editor';
import type { SheetController } from './controller';
import { describeItems, type DescribedItem } from './describe-items';
import { openInPlace } from './in-place';

const List = styled.ul`
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
`;

const MOST_ITEMS = 1200;

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
  const { model, results } = useDrawnInTime();
  const solution = results?.solution;
  const outcome = useEditorState(actingIndex);
  const seen = useRestingSeen(controller, model);
  const items = useMemo(() => describeItems(model, seen, solution, outcome), [model, seen, solution, outcome]);
  const [active, setActive] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const current = Math.min(active, items.length - 1);
  // Of a very large model only those around the one in hand are there.
  const first = items.length <= MOST_ITEMS ? 0 : Math.min(Math.max(0, current - MOST_ITEMS / 2), items.length - MOST_ITEMS);

  const focus = (index: number): void => {
    const next = Math.min(Math.max(index, 0), items.length - 1);
    setActive(next);
    (list.current?.children[next - first]?.firstElementChild as HTMLElement | undefined)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent, item: DescribedItem, index: number): void => {
    if (event.altKey && item.subject.kind === 'node' && nudge(controller, item.subject.id, event.key)) event.preventDefault();
    else if (event.key === 'ArrowRight' || event.key === 'ArrowDown') focus(index + 1);
    else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') focus(index - 1);
    else if (event.key === 'Home') focus(0);
    else if (event.key === 'End') focus(items.length - 1);
    else if (event.key === 'Enter' && (item.subject.kind === 'load' || item.subject.kind === 'dimension'))
      openInPlace(controller, item.subject);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <List
      ref={list}
      aria-label="Items of the drawing. Arrow keys go from one to the next; Enter changes a load or a dimension; Alt and an arrow move a node."
    >
      {items.slice(first, first + MOST_ITEMS).map((item, i) => {
        const index = first + i;
        return (
          <li key={subjectKey(item.subject)} aria-setsize={items.length} aria-posinset={index + 1}>
            <Stop
              type="button"
              tabIndex={index === current ? 0 : -1}
              style={{ left: screenX(camera, item.x), top: screenY(camera, item.y) }}
              aria-label={item.words()}
              onFocus={() => {
                setActive(index);
                editor.select(item.subject.kind === 'dimension' ? [] : [item.subject]);
              }}
              onKeyDown={(event) => onKeyDown(event, item, index)}
            />
          </li>
        );
      })}
    </List>
  );
}

/** The camera once it has come to rest: the stops need not follow every step of a pan or zoom. */
function useRestingCamera(controller: SheetController): Camera {
  const [camera, setCamera] = useState(controller.view.camera);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const follow = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => setCamera(controller.view.camera), 60);
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

/** The look once it has come to rest. */
function useRestingSeen(controller: SheetController, model: Model): Seen {
  const projection = useStore(controller.store, (state) => state.projection);
  const hidden = useEditorState((state) => state.hidden);
  const [resting, setResting] = useState(projection);
  useEffect(() => {
    const timer = setTimeout(() => setResting(projection), 100);
    return () => clearTimeout(timer);
  }, [projection]);
  const shown = model.space === 'plane' ? ELEVATION : resting;
  return useMemo(() => ({ projection: shown, hidden }), [shown, hidden]);
}

/** Moves a node by one grid step across or up the drawing; false for keys that are no arrows. */
function nudge(controller: SheetController, id: string, key: string): boolean {
  const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  const node = controller.editor.state.model.nodes.find((one) => one.id === id);
  if (!way || !node) return false;
  const step = controller.view.step();
  const { axis } = controller.view.workPlane();
  const { right, up } = controller.view.seen().projection;
  // Across and up the drawing as nearly as the axes of the plane in use go.
  const along = (direction: Point): Point => {
    const sizes = direction.map((part, k) => (k === ['x', 'y', 'z'].indexOf(axis) ? 0 : Math.abs(part)));
    const k = sizes.indexOf(Math.max(...sizes));
    return direction.map((part, i) => (i === k ? Math.sign(part) * step : 0)) as unknown as Point;
  };
  const by = plus(times(along(right), way[0]!), times(along(up), way[1]!));
  const [x, y, z] = plus(pointOf(node), by);
  controller.editor.edit({ type: 'moveNodes', moves: [{ id, x, y, ...(z !== 0 && { z }) }] });
  return true;
}
