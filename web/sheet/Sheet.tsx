'use client';

import { useEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useEditor } from '../session/use-editor';
import { FloatingField, TypedStep } from './FloatingField';
import { SheetController } from './controller';
import { SheetItems } from './SheetItems';
import { SelectTool } from './tools/select-tool';
import { TitleBlock } from './TitleBlock';
import { ViewTools } from './ViewTools';

const Frame = styled.section`
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--paper);
`;

const Canvas = styled.canvas`
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  /* Never reached by the keyboard: its items are. */
  outline: none;
`;

const HintLine = styled.p`
  position: absolute;
  left: 0.8rem;
  top: 0.5rem;
  max-width: calc(100% - 1.6rem);
  color: var(--soft);
  pointer-events: none;
`;

interface SheetProps {
  readonly onReady: (controller: SheetController | undefined) => void;
}

/** The interactive drawing: mounts the controller on a canvas and lays fields, title block and items for the keyboard over it. */
export function Sheet({ onReady }: SheetProps) {
  const editor = useEditor();
  const frame = useRef<HTMLElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [controller, setController] = useState<SheetController>();

  useEffect(() => {
    const made = new SheetController(editor, canvas.current!, (sheet) => new SelectTool(sheet));
    setController(made);
    onReady(made);
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = frame.current!;
      made.resize(clientWidth, clientHeight, window.devicePixelRatio || 1);
    });
    observer.observe(frame.current!);
    const theme = new MutationObserver(() => made.recolour());
    theme.observe(document.documentElement, { attributes: true, attributeFilter: ['data-appearance'] });
    const dark = window.matchMedia('(prefers-color-scheme: dark)');
    const recolour = (): void => made.recolour();
    dark.addEventListener('change', recolour);
    return () => {
      observer.disconnect();
      theme.disconnect();
      dark.removeEventListener('change', recolour);
      made.close();
      onReady(undefined);
    };
  }, [editor, onReady]);

  return (
    <Frame ref={frame} aria-label="Sheet">
      <Canvas ref={canvas} tabIndex={-1} role="img" aria-label="The drawing. Its items follow as a list." data-testid="sheet" />
      {controller && <Live controller={controller} canvas={canvas} />}
    </Frame>
  );
}

interface LiveProps {
  readonly controller: SheetController;
  readonly canvas: React.RefObject<HTMLCanvasElement | null>;
}

function Live({ controller, canvas }: LiveProps) {
  const hint = useStore(controller.store, (state) => state.hint);
  const field = useStore(controller.store, (state) => state.field);
  const typed = useStore(controller.store, (state) => state.typed);
  const cursor = useStore(controller.store, (state) => state.cursor);

  useEffect(() => {
    if (canvas.current) canvas.current.style.cursor = cursor;
  }, [canvas, cursor]);
  usePointer(controller, canvas);

  return (
    <>
      <HintLine role="status">{hint}</HintLine>
      <SheetItems controller={controller} />
      <ViewTools controller={controller} />
      <TitleBlock />
      {field && (
        <FloatingField
          key={`${field.left} ${field.top} ${field.label}`}
          field={field}
          onDone={() => controller.openField(undefined)}
        />
      )}
      {typed && <TypedStep field={typed} onDone={() => controller.openTyped(undefined)} />}
    </>
  );
}

/** Feeds the tool in hand; two fingers pinch, the wheel zooms, the middle button pans. */
function usePointer(controller: SheetController, canvas: React.RefObject<HTMLCanvasElement | null>): void {
  useEffect(() => {
    const element = canvas.current!;
    const fingers = new Map<number, { x: number; y: number }>();
    let middle: { x: number; y: number } | undefined;
    const at = (event: PointerEvent | WheelEvent | ReactPointerEvent): { x: number; y: number } => {
      const box = element.getBoundingClientRect();
      return { x: event.clientX - box.left, y: event.clientY - box.top };
    };
    const pointer = (event: PointerEvent) => ({ ...at(event), type: event.pointerType, shift: event.shiftKey });
    const pinch = (event: PointerEvent): void => {
      const [a, b] = [...fingers.values()] as [{ x: number; y: number }, { x: number; y: number }];
      const before = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, size: Math.hypot(a.x - b.x, a.y - b.y) };
      fingers.set(event.pointerId, at(event));
      const [c, d] = [...fingers.values()] as [{ x: number; y: number }, { x: number; y: number }];
      const after = { x: (c.x + d.x) / 2, y: (c.y + d.y) / 2, size: Math.hypot(c.x - d.x, c.y - d.y) };
      controller.pan(after.x - before.x, after.y - before.y);
      if (before.size > 0) controller.zoom(after.size / before.size, after.x, after.y);
    };
    const down = (event: PointerEvent): void => {
      element.setPointerCapture(event.pointerId);
      element.focus({ preventScroll: true });
      if (event.pointerType === 'touch') fingers.set(event.pointerId, at(event));
      if (fingers.size === 2) controller.pointer('cancel', pointer(event));
      else if (event.button === 1) middle = at(event);
      else if (event.button === 0) controller.pointer('down', pointer(event));
    };
    const move = (event: PointerEvent): void => {
      if (fingers.size === 2 && fingers.has(event.pointerId)) pinch(event);
      else if (middle) {
        const to = at(event);
        controller.pan(to.x - middle.x, to.y - middle.y);
        middle = to;
      } else controller.pointer('move', pointer(event));
    };
    const up = (event: PointerEvent): void => {
      const pinching = fingers.size === 2;
      fingers.delete(event.pointerId);
      if (middle) middle = undefined;
      else if (!pinching && event.button === 0) controller.pointer('up', pointer(event));
    };
    const cancel = (event: PointerEvent): void => {
      fingers.delete(event.pointerId);
      controller.pointer('cancel', pointer(event));
    };
    const wheel = (event: WheelEvent): void => {
      event.preventDefault();
      const { x, y } = at(event);
      controller.zoom(Math.exp(-event.deltaY * (event.ctrlKey ? 0.01 : 0.0015)), x, y);
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', cancel);
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', cancel);
      element.removeEventListener('wheel', wheel);
    };
  }, [controller, canvas]);
}
