import type { Model } from '@rigid-beam/core/model/model';
import { meantRings, ringsOf, type PanelKind, type Ring } from '@rigid-beam/core/model/panels';
import { dot, minus, type Point } from '@rigid-beam/core/model/point';
import { seenPoint, type Projection } from './projection';

/** The panel between members that lies at a place of the drawing; of several the one nearest to the viewer. Those seen edge-on are none. */
export function panelAt(model: Model, projection: Projection, x: number, y: number, kind: PanelKind = 'any'): Ring | undefined {
  const there = ringsOf(model).flatMap((ring) => {
    const depth = depthAt(ring, projection, x, y);
    return depth === undefined ? [] : [{ ring, depth }];
  });
  const meant = new Set(meantRings(there.map(({ ring }) => ring), kind)); // oxfmt-ignore
  return there.reduce<(typeof there)[number] | undefined>(
    (best, one) => (meant.has(one.ring) && (!best || one.depth > best.depth + 1e-9) ? one : best),
    undefined,
  )?.ring;
}

/** How near a ring is to the viewer at a place of the drawing; undefined where it does not lie there, or is seen edge-on. */
function depthAt(ring: Ring, projection: Projection, x: number, y: number): number | undefined {
  const facing = dot(ring.normal, projection.toward);
  if (Math.abs(facing) < 0.05) return undefined;
  const corners = ring.points.map((point) => seenPoint(projection, point));
  if (!isWithin(corners, x, y)) return undefined;
  const [first] = ring.points;
  const { right, up } = projection;
  const flat = minus([0, 1, 2].map((k) => x * right[k]! + y * up[k]!) as unknown as Point, first!);
  return -dot(flat, ring.normal) / facing;
}

function isWithin(corners: readonly (readonly [number, number])[], x: number, y: number): boolean {
  let inside = false;
  corners.forEach(([x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length]!;
    if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) inside = !inside;
  });
  return inside;
}
