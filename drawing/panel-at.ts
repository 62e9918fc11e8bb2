import type { Model } from '@rigid-beam/core/model/model';
import { ringsOf, type Ring } from '@rigid-beam/core/model/panels';
import { dot, minus, type Point } from '@rigid-beam/core/model/point';
import { seenPoint, type Projection } from './projection';

/** The panel between members that lies at a place of the drawing; of several the one nearest to the viewer. Those seen edge-on are none. */
export function panelAt(model: Model, projection: Projection, x: number, y: number): Ring | undefined {
  let [best, nearest] = [undefined as Ring | undefined, -Infinity];
  for (const ring of ringsOf(model)) {
    const facing = dot(ring.normal, projection.toward);
    if (Math.abs(facing) < 0.05) continue;
    if (
      !isWithin(
        ring.points.map((point) => seenPoint(projection, point)),
        x,
        y,
      )
    )
      continue;
    // The depth of its plane there.
    const [first] = ring.points;
    const { right, up } = projection;
    const flat = minus([0, 1, 2].map((k) => x * right[k]! + y * up[k]!) as unknown as Point, first!);
    const deep = -dot(flat, ring.normal) / facing;
    if (deep > nearest + 1e-9) [best, nearest] = [ring, deep];
  }
  return best;
}

function isWithin(corners: readonly (readonly [number, number])[], x: number, y: number): boolean {
  let inside = false;
  corners.forEach(([x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length]!;
    if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) inside = !inside;
  });
  return inside;
}
