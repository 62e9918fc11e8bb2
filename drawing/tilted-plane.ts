import { axisNames, cross, dot, minus, plus, size, times, type Point } from '@rigid-beam/core/model/point';
import type { Tilted, WorkPlane } from './projection';

/** Sine under which three points lie in one line. */
const FLAT = 1e-6;

/** The work plane through three points; across a global axis where it is one. Undefined where they lie in one line. */
export function planeThrough([a, b, c]: readonly [Point, Point, Point], name: string): WorkPlane | undefined {
  const [ab, ac] = [minus(b, a), minus(c, a)];
  const square = cross(ab, ac);
  const area = size(square);
  if (area <= FLAT * size(ab) * size(ac)) return undefined;
  const unit = times(square, 1 / area);
  const k = unit.map(Math.abs).indexOf(Math.max(...unit.map(Math.abs))) as 0 | 1 | 2;
  const axis = axisNames[k]!;
  if (Math.abs(unit[k]) > 1 - 1e-12) return { axis, at: a[k] };
  const normal = unit[k] < 0 ? times(unit, -1) : unit;
  const level = cross([0, 1, 0], normal);
  const across = times(level, 1 / size(level));
  return { axis, at: a[k], tilted: { through: a, normal, across, up: cross(normal, across), name } };
}

/** Where a point of the plane lies in it: along its two directions, metres from its own point. */
export const inTilted = ({ through, across, up }: Tilted, point: Point): readonly [number, number] => {
  const from = minus(point, through);
  return [dot(from, across), dot(from, up)];
};

export const ofTilted = ({ through, across, up }: Tilted, a: number, b: number): Point =>
  plus(through, plus(times(across, a), times(up, b)));

/** Whether a point lies on a work plane, to a micrometre. */
export function isOnPlane({ axis, at, tilted }: WorkPlane, point: Point): boolean {
  if (tilted) return Math.abs(dot(minus(point, tilted.through), tilted.normal)) < 1e-6;
  return Math.abs(point[axisNames.indexOf(axis) as 0 | 1 | 2] - at) < 1e-6;
}

/** The same plane through another point. */
export function movedThrough(plane: WorkPlane, point: Point): WorkPlane {
  const at = point[axisNames.indexOf(plane.axis) as 0 | 1 | 2];
  return plane.tilted ? { ...plane, at, tilted: { ...plane.tilted, through: point } } : { ...plane, at };
}
