import { axisKeys, type AxisKey } from '../quantities/axis-names';
import { FREEDOMS } from '../stiffness/structure';
import { offsetOf } from './quantities';
import type { Solution, StructuralResponse } from './results';

/** Where a shape moves most: at a node along an axis of the structure; or between nodes that hardly move, in these members, those first that move most. */
export type ShapeMotion =
  | { readonly at: 'node'; readonly node: number; readonly axis: AxisKey }
  | { readonly at: 'members'; readonly members: readonly number[] };

/** Nodes that move less than this part of what moves most hardly move, and members that move less are not named. */
const HARDLY = 0.25;
const NAMED = 0.5;

export function shapeMotion({ structure }: Solution, shape: StructuralResponse): ShapeMotion {
  let [most, node, axis] = [0, 0, 0];
  shape.displacements.forEach((value, f) => {
    if (f % FREEDOMS >= 3 || Math.abs(value) <= most) return;
    [most, node, axis] = [Math.abs(value), Math.floor(f / FREEDOMS), f % FREEDOMS];
  });
  const members = Array.from(structure.lengths, (_, m) => ({ m, moved: withinMember(shape, m) })).sort((a, b) => b.moved - a.moved); // oxfmt-ignore
  const within = members[0]?.moved ?? 0;
  if (most >= HARDLY * within) return { at: 'node', node, axis: axisKeys[axis]! };
  return { at: 'members', members: members.filter(({ moved }) => moved >= NAMED * within).map(({ m }) => m) };
}

/** How far a member moves across its axis, where its pieces begin. */
function withinMember({ pieces, coefficients, pieceWidth }: StructuralResponse, m: number): number {
  let most = 0;
  for (const quantity of ['v', 'w'] as const) {
    const offset = offsetOf(quantity);
    if (offset >= pieceWidth) continue;
    for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) most = Math.max(most, Math.abs(coefficients[pieceWidth * k + offset]!)); // oxfmt-ignore
  }
  return most;
}
