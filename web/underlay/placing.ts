import type { Underlay } from '@rigid-beam/core/model/model';
import { cosineAndSine } from '@rigid-beam/core/model/local-axes';
import { dot, plus, rounded, times, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { lookFrom, LOOKS, type Projection, type WorkPlane } from '@rigid-beam/drawing/projection';

type Placement = Pick<Underlay, 'x' | 'y' | 'metresPerPixel' | 'angle'>;

const straight = ({ round, height }: { readonly round: number; readonly height: number }): Projection => lookFrom(round, height);

/** How one looks straight at a plane across each axis: what is right and up on the picture. */
const FACING: Record<AxisName, Projection> = {
  x: straight(LOOKS.side),
  y: straight(LOOKS.plan),
  z: straight(LOOKS.front),
};

/** The plane in which an underlay lies. */
export const planeOf = ({ across = 'z', at = 0 }: Underlay): WorkPlane => ({ axis: across, at });

/** A point of space as the picture has it: metres right of the origin and above it. */
function onPicture({ across = 'z' }: Underlay, at: Point): [number, number] {
  const { right, up } = FACING[across];
  return [dot(right, at), dot(up, at)];
}

/** Metres between two points as the picture has them; 0 where they are one on it, which no calibration can follow from. */
export function apart(underlay: Underlay, ends: readonly [Point, Point]): number {
  const [from, to] = ends.map((end) => onPicture(underlay, end)) as [[number, number], [number, number]];
  const far = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return far < 1e-6 ? 0 : far;
}

/** The underlay grown or shrunk so that the way between two of its points has this length; the first point stays where it is. */
export function calibrated(underlay: Underlay, ends: readonly [Point, Point], length: number): Placement {
  const from = onPicture(underlay, ends[0]);
  const factor = length / apart(underlay, ends);
  return {
    x: rounded(from[0] + factor * (underlay.x - from[0])),
    y: rounded(from[1] + factor * (underlay.y - from[1])),
    metresPerPixel: underlay.metresPerPixel * factor,
    angle: underlay.angle ?? 0,
  };
}

/** The underlay turned about the first point until the second lies level with it, or upright above it, whichever is nearer. */
export function levelled(underlay: Underlay, ends: readonly [Point, Point]): Placement {
  const [from, to] = ends.map((end) => onPicture(underlay, end)) as [[number, number], [number, number]];
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

/** The underlay moved along its plane as far as from one point to another. */
export function moved(underlay: Underlay, ends: readonly [Point, Point]): Pick<Underlay, 'x' | 'y'> {
  const [from, to] = ends.map((end) => onPicture(underlay, end)) as [[number, number], [number, number]];
  return { x: rounded(underlay.x + to[0] - from[0]), y: rounded(underlay.y + to[1] - from[1]) };
}

/** Where a pixel of the underlay (from its upper left corner) lies in space. */
export function pointOfPixel(underlay: Underlay, px: number, py: number): Point {
  const { x, y, metresPerPixel, angle = 0, height, across = 'z', at = 0 } = underlay;
  const { right, up, toward } = FACING[across];
  const [c, s] = cosineAndSine(angle);
  const [a, b] = [px * metresPerPixel, (height - py) * metresPerPixel];
  return plus(plus(times(right, x + c * a - s * b), times(up, y + s * a + c * b)), times(toward, at));
}

/** Which pixel of the underlay lies at a point of its plane: from its upper left corner, with parts of pixels. */
export function pixelOfPoint(underlay: Underlay, at: Point): [number, number] {
  const { x, y, metresPerPixel, angle = 0, height } = underlay;
  const [a, b] = onPicture(underlay, at);
  const [c, s] = cosineAndSine(angle);
  const [dx, dy] = [a - x, b - y];
  return [(c * dx + s * dy) / metresPerPixel, height - (c * dy - s * dx) / metresPerPixel];
}
