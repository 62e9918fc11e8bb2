'use client';

import { useEffect } from 'react';
import type { SheetController } from './controller';
import type { ToolPointer } from './tools/tool';

interface Place {
  readonly x: number;
  readonly y: number;
}

/** Milliseconds for which a finger or pen rests before the other choices are shown. */
const LONG = 550;
const SLACK = 6;

/**
 * Feeds the tool in hand. Two fingers pinch, and turn the look of a space model; the wheel zooms; the middle button, or the space bar with any, pans; the right button turns a
 * space model when it is dragged and shows the other choices when it is not, as a long press does.
 */
export function usePointer(controller: SheetController, canvas: React.RefObject<HTMLCanvasElement | null>): void {
  useEffect(() => {
    const element = canvas.current!;
    const fingers = new Map<number, Place>();
    let carried: { readonly how: 'pan' | 'turn'; readonly from: Place; last: Place; moved: boolean } | undefined;
    let long: ReturnType<typeof setTimeout> | undefined;
    let spaceBar = false;
    const at = (event: PointerEvent | WheelEvent): Place => {
      const box = element.getBoundingClientRect();
      return { x: event.clientX - box.left, y: event.clientY - box.top };
    };
    const pointer = (event: PointerEvent): ToolPointer => ({
      ...at(event),
      type: event.pointerType,
      shift: event.shiftKey,
      alt: event.altKey,
    });
    const menu = (event: ToolPointer): void => controller.store.getState().tool.menu?.(event);
    const pinch = (event: PointerEvent): void => {
      const [a, b] = [...fingers.values()] as [Place, Place];
      const before = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, size: Math.hypot(a.x - b.x, a.y - b.y) };
      fingers.set(event.pointerId, at(event));
      const [c, d] = [...fingers.values()] as [Place, Place];
      const after = { x: (c.x + d.x) / 2, y: (c.y + d.y) / 2, size: Math.hypot(c.x - d.x, c.y - d.y) };
      // In space two fingers that go the same way turn the look; one moves the paper.
      const [dx, dy] = [after.x - before.x, after.y - before.y];
      if (controller.editor.state.model.space === 'plane') controller.view.pan(dx, dy);
      else controller.view.turn(dx, dy);
      if (before.size > 0) controller.view.zoom(after.size / before.size, after.x, after.y);
    };
    const down = (event: PointerEvent): void => {
      element.setPointerCapture(event.pointerId);
      element.focus({ preventScroll: true });
      const place = at(event);
      if (event.pointerType === 'touch') fingers.set(event.pointerId, place);
      if (fingers.size === 2) {
        clearTimeout(long);
        controller.pointer('cancel', pointer(event), element);
      } else if (event.button === 1 || (spaceBar && event.button === 0))
        carried = { how: 'pan', from: place, last: place, moved: false };
      else if (event.button === 2) carried = { how: 'turn', from: place, last: place, moved: false };
      else if (event.button === 0) {
        controller.pointer('down', pointer(event), element);
        const pressed = pointer(event);
        clearTimeout(long);
        if (event.pointerType !== 'mouse')
          long = setTimeout(() => {
            menu(pressed);
            fingers.clear();
          }, LONG);
        carried = undefined;
        start = place;
      }
    };
    let start: Place = { x: 0, y: 0 };
    const move = (event: PointerEvent): void => {
      const place = at(event);
      if (Math.hypot(place.x - start.x, place.y - start.y) > SLACK) clearTimeout(long);
      if (fingers.size === 2 && fingers.has(event.pointerId)) pinch(event);
      else if (carried) {
        carried.moved ||= Math.hypot(place.x - carried.from.x, place.y - carried.from.y) > SLACK;
        const [dx, dy] = [place.x - carried.last.x, place.y - carried.last.y];
        if (carried.how === 'pan' || controller.editor.state.model.space === 'plane') controller.view.pan(dx, dy);
        else if (carried.moved) controller.view.turn(dx, dy);
        carried.last = place;
      } else controller.pointer('move', pointer(event), element);
    };
    const up = (event: PointerEvent): void => {
      clearTimeout(long);
      const pinching = fingers.size === 2;
      fingers.delete(event.pointerId);
      if (carried) {
        if (carried.how === 'turn' && !carried.moved) menu(pointer(event));
        carried = undefined;
      } else if (!pinching && event.button === 0) controller.pointer('up', pointer(event), element);
    };
    const cancel = (event: PointerEvent): void => {
      clearTimeout(long);
      fingers.delete(event.pointerId);
      carried = undefined;
      controller.pointer('cancel', pointer(event), element);
    };
    const away = (event: PointerEvent): void => {
      if (event.pointerType === 'mouse') controller.pointerAway();
    };
    const wheel = (event: WheelEvent): void => {
      event.preventDefault();
      const { x, y } = at(event);
      controller.view.zoom(Math.exp(-event.deltaY * (event.ctrlKey ? 0.01 : 0.0015)), x, y);
    };
    const noMenu = (event: Event): void => event.preventDefault();
    const key = (event: KeyboardEvent): void => {
      if (event.code === 'Space' && (event.target === document.body || event.target === element)) {
        spaceBar = event.type === 'keydown';
        event.preventDefault();
      }
    };
    element.addEventListener('pointerdown', down);
    element.addEventListener('pointermove', move);
    element.addEventListener('pointerup', up);
    element.addEventListener('pointercancel', cancel);
    element.addEventListener('pointerleave', away);
    element.addEventListener('wheel', wheel, { passive: false });
    element.addEventListener('contextmenu', noMenu);
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    return () => {
      clearTimeout(long);
      element.removeEventListener('pointerdown', down);
      element.removeEventListener('pointermove', move);
      element.removeEventListener('pointerup', up);
      element.removeEventListener('pointercancel', cancel);
      element.removeEventListener('pointerleave', away);
      element.removeEventListener('wheel', wheel);
      element.removeEventListener('contextmenu', noMenu);
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
    };
  }, [controller, canvas]);
}
