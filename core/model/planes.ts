import type { Model } from './model';
import { axisNames, COINCIDENT, pointOf, type AxisName } from './point';

/** A plane across a global axis in which members lie. */
export interface MemberPlane {
  readonly axis: AxisName;
  /** Metres. */
  readonly at: number;
  readonly members: number;
}

/** Members from which on a plane is a frame, a truss or a floor of its own. */
const FEWEST = 3;

/**
 * The frames, trusses and floors of a space model: planes across a global axis that hold members. Axis by axis, the one whose planes hold
 * the most members in all first; along an axis in ascending order. Cost: linear.
 */
export function planesOf({ nodes, members }: Model): MemberPlane[] {
  const places = new Map(nodes.map((node) => [node.id, pointOf(node)]));
  const counts = axisNames.map(() => new Map<number, number>());
  for (const { start, end } of members) {
    const [a, b] = [places.get(start), places.get(end)];
    if (!a || !b) continue;
    axisNames.forEach((_, k) => {
      if (Math.abs(a[k]! - b[k]!) > COINCIDENT) return;
      const at = Math.round(a[k]! / COINCIDENT) * COINCIDENT;
      counts[k]!.set(at, (counts[k]!.get(at) ?? 0) + 1);
    });
  }
  return axisNames
    .map((axis, k) => {
      const planes = [...counts[k]!]
        .filter(([, count]) => count >= FEWEST)
        .sort(([a], [b]) => a - b)
        .map(([at, count]): MemberPlane => ({ axis, at: Number(at.toFixed(6)), members: count }));
      const mean = planes.reduce((sum, plane) => sum + plane.members, 0) / Math.max(1, planes.length);
      return { planes, mean };
    })
    .sort((a, b) => b.mean - a.mean)
    .flatMap(({ planes }) => planes);
}
