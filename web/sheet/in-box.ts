import { screenX, screenY } from '@rigid-beam/drawing/camera';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes } from '@rigid-beam/drawing/geometry';
import type { SheetController } from './controller';

interface Place {
  readonly x: number;
  readonly y: number;
}

/** Nodes inside a box on the sheet, and members that it touches, or that lie wholly inside it. */
export function inBox(sheet: SheetController, a: Place, b: Place, how: 'touching' | 'inside'): Subject[] {
  const { model } = sheet.editor.state;
  const { camera } = sheet.view;
  const [left, right, top, bottom] = [Math.min(a.x, b.x), Math.max(a.x, b.x), Math.min(a.y, b.y), Math.max(a.y, b.y)];
  const inside = (x: number, y: number): boolean => x >= left && x <= right && y >= top && y <= bottom;
  const nodes = [...drawnNodes(model, sheet.view.seen()).values()].filter(({ x, y }) =>
    inside(screenX(camera, x), screenY(camera, y)),
  );
  const members = drawnMembers(model, sheet.view.seen()).filter(({ x1, y1, x2, y2 }) => {
    const [ax, ay, bx, by] = [screenX(camera, x1), screenY(camera, y1), screenX(camera, x2), screenY(camera, y2)];
    if (inside(ax, ay) && inside(bx, by)) return true;
    return how === 'touching' && crossesBox([ax, ay, bx, by], { left, right, top, bottom });
  });
  return [
    ...nodes.map(({ id }): Subject => ({ kind: 'node', id })),
    ...members.map(({ id }): Subject => ({ kind: 'member', id })),
  ];
}

/** From where to where, pixels. */
type Line = readonly [number, number, number, number];
interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Whether a line has a part inside a box: it is clipped by each edge in turn (Liang and Barsky). */
export function crossesBox([ax, ay, bx, by]: Line, { left, right, top, bottom }: Box): boolean {
  let [from, to] = [0, 1];
  const edges = [
    [ax - bx, ax - left],
    [bx - ax, right - ax],
    [ay - by, ay - top],
    [by - ay, bottom - ay],
  ] as const;
  for (const [towards, room] of edges) {
    if (towards === 0 && room < 0) return false;
    if (towards < 0) from = Math.max(from, room / towards);
    if (towards > 0) to = Math.min(to, room / towards);
  }
  return from <= to;
}
