import type { PanelKind } from '@rigid-beam/core/model/panels';
import { panelAt } from '@rigid-beam/drawing/panel-at';
import { drawnMembers, drawnNodes } from '@rigid-beam/drawing/geometry';
import type { SheetController } from '../controller';
import type { ToolPointer } from './tool';

/** What a tool acts on: a node, a member at a ratio of its length, or a panel between members. */
export type Target =
  | { readonly kind: 'node'; readonly id: string }
  | { readonly kind: 'member'; readonly id: string; readonly at: number }
  | { readonly kind: 'panel'; readonly id: string; readonly corners: readonly string[] };

/** The nearest thing within reach of the pointer; of both kinds a node goes first. */
export function findTarget(
  sheet: SheetController,
  event: ToolPointer,
  on: 'node' | 'member' | 'either' | 'panel',
  panels: PanelKind = 'any',
): Target | undefined {
  const { model } = sheet.editor.state;
  const { x, y } = sheet.view.world(event.x, event.y);
  if (on === 'panel') {
    const ring = panelAt(model, sheet.view.seen().projection, x, y, panels);
    return ring && { kind: 'panel', id: ring.corners.join(', '), corners: ring.corners };
  }
  const reach = (event.type === 'touch' ? 24 : 14) / sheet.view.camera.scale;
  if (on !== 'member') {
    const nodes = [...drawnNodes(model, sheet.view.seen()).values()];
    // Where members are meant as well, a node has to be pointed at.
    const near = on === 'node' ? reach : reach * 0.6;
    const node = closest(
      nodes.map(({ id, x: nx, y: ny }) => ({ id, at: 0, distance: Math.hypot(nx - x, ny - y) })),
      near,
    );
    if (node) return { kind: 'node', id: node.id };
    if (on === 'node') return undefined;
  }
  const members = drawnMembers(model, sheet.view.seen()).map((member) => {
    const along = ((x - member.x1) * member.ex[0] + (y - member.y1) * member.ex[1]) / (member.ex[0] ** 2 + member.ex[1] ** 2);
    const clamped = Math.min(Math.max(along, 0), member.length);
    const distance = Math.hypot(x - member.x1 - clamped * member.ex[0], y - member.y1 - clamped * member.ex[1]);
    return { id: member.id, at: clamped / member.length, distance };
  });
  const member = closest(members, reach);
  return member && { kind: 'member', id: member.id, at: member.at };
}

interface Near {
  readonly id: string;
  readonly at: number;
  readonly distance: number;
}

function closest(things: readonly Near[], reach: number): Near | undefined {
  const best = things.reduce<Near | undefined>((a, b) => (a && a.distance <= b.distance ? a : b), undefined);
  return best && best.distance <= reach ? best : undefined;
}
