import type { Model } from '@rigid-beam/core/model/model';
import { planeDirection } from '@rigid-beam/core/stiffness/local-axes';

/** A member on the drawing, between its offset ends. */
export interface DrawnMember {
  readonly id: string;
  readonly index: number;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly length: number;
  /** Unit vectors of local x and y. */
  readonly ex: readonly [number, number];
  readonly ey: readonly [number, number];
}

/** The members that can be drawn: both nodes exist and lie apart. */
export function drawnMembers(model: Model): DrawnMember[] {
  const nodes = new Map(model.nodes.map((node) => [node.id, node]));
  return model.members.flatMap((member, index): DrawnMember[] => {
    const [start, end] = [nodes.get(member.start), nodes.get(member.end)];
    if (!start || !end) return [];
    const [from, to] = [member.offset?.start ?? [0, 0], member.offset?.end ?? [0, 0]];
    const [x1, y1, x2, y2] = [start.x + from[0]!, start.y + from[1]!, end.x + to[0]!, end.y + to[1]!];
    const length = Math.hypot(x2 - x1, y2 - y1);
    if (length < 1e-9) return [];
    const [c, s, sense] = planeDirection(x2 - x1, y2 - y1);
    return [{ id: member.id, index, x1, y1, x2, y2, length, ex: [c, s], ey: [-sense * s, sense * c] }];
  });
}

export const pointOn = (member: DrawnMember, x: number): [number, number] => [
  member.x1 + member.ex[0] * x,
  member.y1 + member.ex[1] * x,
];
