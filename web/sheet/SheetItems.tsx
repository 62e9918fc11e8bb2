'use client';

import {
  memo,
  startTransition,
  useEffect,
  useMemo,
  useRef,
  useState,
  type CSSProperties,
  type FocusEvent,
  type KeyboardEvent,
  type SyntheticEvent,
} from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import type { Model } from '@rigid-beam/core/model/model';
import { plus, pointOf, times, type Point } from '@rigid-beam/core/model/point';
import type { Seen } from '@rigid-beam/drawing/geometry';
import { ELEVATION } from '@rigid-beam/drawing/projection';
import type { Camera } from '@rigid-beam/drawing/camera';
import { subjectKey, type Subject } from '@rigid-beam/drawing/display-list';
import { actingIndex } from '../editor/editor-state';
import { useEditor, useEditorState, useDrawnInTime } from '../editor/use-editor';
import type { SheetController } from './controller';
import { wordsOf } from './describe-items';
import { openInPlace } from './in-place';
import { placedItems } from './placed-items';
import { sheetItems as WORDS } from './words';

const List = styled.ul`
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
`;

/** Each of them is looked at by the browser in every frame. */
const MOST_ITEMS = 240;

/** The places of the stops follow the camera without being drawn anew: the list carries it, each stop its own place of the paper. */
const cameraStyle = ({ x, y, scale }: Camera): CSSProperties =>
  ({ '--camera-x': x, '--camera-y': y, '--camera-scale': scale }) as CSSProperties;

/** Invisible until it has the focus; it never takes the pointer from the drawing. */
const Stop = styled.button`
  position: absolute;
  left: calc(50% + (var(--x) - var(--camera-x)) * var(--camera-scale) * 1px);
  top: calc(50% + (var(--camera-y) - var(--y)) * var(--camera-scale) * 1px);
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
  const { model, results } = useDrawnInTime();
  const solution = results?.solution;
  const outcome = useEditorState(actingIndex);
  const { camera, seen } = useResting(controller, model);
  const isBehind = useStore(controller.store, (state) => state.camera !== camera);
  const items = useMemo(() => placedItems(model, seen), [model, seen]);
  const words = useMemo(() => wordsOf(model, solution, outcome), [model, solution, outcome]);
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
  /** The place in the list of the stop that an event happened on. */
  const indexOf = ({ target }: SyntheticEvent): number => {
    const entry = (target as Element).closest('li');
    return entry ? first + [...list.current!.children].indexOf(entry) : -1;
  };
  const onFocus = (event: FocusEvent): void => {
    const index = indexOf(event);
    const item = items[index];
    if (!item) return;
    setActive(index);
    editor.select(item.subject.kind === 'dimension' ? [] : [item.subject]);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const index = indexOf(event);
    const item = items[index];
    if (!item) return;
    const { subject } = item;
    if (event.altKey && subject.kind === 'node' && nudge(controller, subject.id, event.key)) event.preventDefault();
    else if (event.key === 'ArrowRight' || event.key === 'ArrowDown') focus(index + 1);
    else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') focus(index - 1);
    else if (event.key === 'Home') focus(0);
    else if (event.key === 'End') focus(items.length - 1);
    // A tool in hand is used on what one stands on; without one its value is typed over.
    else if (event.key !== 'Enter') return;
    else if (!controller.key(event.nativeEvent)) openInPlace(controller, subject);
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <List
      ref={list}
      style={cameraStyle(camera)}
      aria-busy={isBehind}
      aria-label={WORDS.items}
      onFocus={onFocus}
      onKeyDown={onKeyDown}
    >
      {items.slice(first, first + MOST_ITEMS).map(({ subject, x, y }, i) => (
        <Entry
          key={subjectKey(subject)}
          subject={subject}
          words={words}
          x={x}
          y={y}
          place={first + i + 1}
          count={items.length}
          tabIndex={first + i === current ? 0 : -1}
        />
      ))}
    </List>
  );
}

interface EntryProps {
  readonly subject: Subject;
  readonly words: (subject: Subject) => string;
  readonly x: number;
  readonly y: number;
  readonly place: number;
  readonly count: number;
  readonly tabIndex: 0 | -1;
}

/** Each for itself, so that of hundreds only those are drawn anew that have changed, and React may pause between two. */
const Entry = memo(function Entry({ subject, words, x, y, place, count, tabIndex }: EntryProps) {
  return (
    <li aria-setsize={count} aria-posinset={place}>
      <Stop type="button" tabIndex={tabIndex} style={{ '--x': x, '--y': y } as CSSProperties} aria-label={words(subject)} />
    </li>
  );
}, sameEntry);

/** Subjects are made anew with every list; the key of an entry says that they are the same. */
function sameEntry(before: EntryProps, after: EntryProps): boolean {
  return (['words', 'x', 'y', 'place', 'count', 'tabIndex'] as const).every((key) => before[key] === after[key]);
}

/** The camera and the look once they have rested for a moment: the stops need not follow every step of a pan, a zoom or a turn. */
function useResting(controller: SheetController, model: Model): { camera: Camera; seen: Seen } {
  const hidden = useEditorState((state) => state.hidden);
  const [resting, setResting] = useState(() => controller.store.getState());
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let last = 0;
    const settle = (): void => {
      const left = last + RESTING_TIME - performance.now();
      // A page that is busy calls timers late, and all at once: what counts is when it last moved.
      if (left > 1) timer = setTimeout(settle, left);
      else startTransition(() => setResting(controller.store.getState()));
    };
    const stop = controller.store.subscribe((state, before) => {
      if (state.camera === before.camera && state.projection === before.projection) return;
      clearTimeout(timer);
      last = performance.now();
      timer = setTimeout(settle, RESTING_TIME);
    });
    startTransition(() => setResting(controller.store.getState()));
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [controller]);
  const { camera, projection } = resting;
  const shown = model.space === 'plane' ? ELEVATION : projection;
  const seen = useMemo(() => ({ projection: shown, hidden }), [shown, hidden]);
  return { camera, seen };
}

/** Milliseconds without a step after which the stops follow. */
const RESTING_TIME = 120;

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
