import { pressureOf } from '@rigid-beam/core/model/loads/compound';
import type { Model } from '@rigid-beam/core/model/model';
import { shownDimensions } from '@rigid-beam/drawing/dimension-items';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes, pointOn, type Seen } from '@rigid-beam/drawing/geometry';

/** One thing on the sheet, and the place of the paper where it stands, metres. */
export interface PlacedItem {
  readonly subject: Subject;
  readonly x: number;
  readonly y: number;
}

/** Every node, member, support, dimension and load of the drawing, in the order in which the arrow keys go through them. */
export function placedItems(model: Model, seen: Seen): PlacedItem[] {
  const members = new Map(drawnMembers(model, seen).map((member) => [member.id, member]));
  const nodes = drawnNodes(model, seen);
  const ofMember = (id: string): { x: number; y: number } | undefined => {
    const member = members.get(id);
    if (!member) return undefined;
    const [x, y] = pointOn(member, member.length / 2);
    return { x, y };
  };
  const items: PlacedItem[] = [...nodes.values()].map(({ id, x, y }) => ({ subject: { kind: 'node', id }, x, y }));
  for (const id of members.keys()) items.push({ subject: { kind: 'member', id }, ...ofMember(id)! });
  for (const { node: id } of model.supports) {
    const node = nodes.get(id);
    if (node) items.push({ subject: { kind: 'support', id }, x: node.x, y: node.y });
  }
  for (const { axis, from, to, x, y } of shownDimensions(model, seen))
    items.push({ subject: { kind: 'dimension', axis, from, to }, x, y });
  for (const load of model.loads) {
    const node = 'node' in load ? nodes.get(load.node) : undefined;
    const panel = middleOfNodes((pressureOf(load)?.nodes ?? []).flatMap((id) => nodes.get(id) ?? []));
    const at = node ?? panel ?? ofMember('member' in load ? load.member : 'members' in load ? middleOf(load.members ?? []) : '');
    items.push({ subject: { kind: 'load', id: load.id }, x: at?.x ?? 0, y: at?.y ?? 0 });
  }
  return items;
}

const middleOfNodes = (all: readonly { readonly x: number; readonly y: number }[]): { x: number; y: number } | undefined =>
  all.length === 0
    ? undefined
    : { x: all.reduce((sum, { x }) => sum + x, 0) / all.length, y: all.reduce((sum, { y }) => sum + y, 0) / all.length };

const middleOf = (members: readonly string[]): string => members[Math.floor(members.length / 2)] ?? '';
