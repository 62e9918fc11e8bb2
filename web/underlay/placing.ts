import type { Underlay } from '@rigid-beam/core/model/model';
import { cosineAndSine } from '@rigid-beam/core/model/local-axes';
import { rounded, type Point } from '@rigid-beam/core/model/point';

type Placement = Pick<Underlay, 'x' | 'y' | 'metresPerPixel' | 'angle'>;

/** The underlay grown or shrunk so that the way between two of its points has this length; the first point stays where it is. */
export function calibrated(underlay: Underlay, [from, to]: readonly [Point, Point], length: number): Placement {
  const factor = length / Math.hypot(to[0] - from[0], to[1] - from[1]);
  return {
    x: rounded(from[0] + factor * (underlay.x - from[0])),
    y: rounded(from[1] + factor * (underlay.y - from[1])),
    metresPerPixel: underlay.metresPerPixel * factor,
    angle: underlay.angle ?? 0,
  };
}

/** The underlay turned about the first point until the second lies level with it, or upright above it, whichever is nearer. */
export function levelled(underlay: Underlay, [from, to]: readonly [Point, Point]): Placement {
  const seen = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const turn = Math.round(seen / 90) * 90 - seen;
  const [c, s] = cosineAndSine(turn);
  const [dx, dy] = [underlay.x - from[0], underlay.y - from[1]];
  return {
    x: rounded(from[0] + c * dx - s * dy),
    y: rounded(from[1] + s * dx + c * dy),
    metresPerPixel: underlay.metresPerPixel,
    angle: Number(((underlay.angle ?? 0) + turn).toFixed(6)),
  };
}

/** Where a pixel of the underlay (from its upper left corner) lies in the plane Z = 0. */
export function pointOfPixel({ x, y, metresPerPixel, angle = 0, height }: Underlay, px: number, py: number): Point {
  const [c, s] = cosineAndSine(angle);
  const [a, b] = [px * metresPerPixel, (height - py) * metresPerPixel];
  return [x + c * a - s * b, y + s * a + c * b, 0];
}
