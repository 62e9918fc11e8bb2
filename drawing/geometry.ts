import type { Model } from '@rigid-beam/core/model/model';
import { planeDirection } from '@rigid-beam/core/model/local-axes';

/** A member on the drawing, between its offset ends. */
export interface DrawnMember {
  readonly id: string;
  readonly index: number;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  /** True length in metres, also of a member that leaves the plane of the drawing. */
  readonly length: number;
  /** What a metre along local x is on the drawing: a unit vector, shorter where the member leaves the plane. */
  readonly ex: readonly [number, number];
  /** The normal on the drawing: local y of a member in the plane. */
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
    const seen = Math.hypot(x2 - x1, y2 - y1);
    // A member that runs straight away from the viewer is a point of the drawing.
    if (seen < 1e-9) return [];
    const length = Math.hypot(seen, (end.z ?? 0) + (to[2] ?? 0) - (start.z ?? 0) - (from[2] ?? 0));
    const [c, s, sense] = planeDirection(x2 - x1, y2 - y1);
    const part = seen / length;
    return [{ id: member.id, index, x1, y1, x2, y2, length, ex: [c * part, s * part], ey: [-sense * s, sense * c] }];
  });
}

export const pointOn = (member: DrawnMember, x: number): [number, number] => [
  member.x1 + member.ex[0] * x,
  member.y1 + member.ex[1] * x,
];
