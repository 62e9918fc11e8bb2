import { cross, minus as less, plus as more, type Point } from '../../model/point';
import type { Structure } from '../../stiffness/structure';
import type { Resultant } from '../results';

/** Global components of what stands in the axes of member m. */
export function inGlobal({ axes }: Structure, m: number, [a, b, c]: Point): Point {
  const r = 9 * m;
  const along = (j: number): number => axes[r + j]! * a + axes[r + 3 + j]! * b + axes[r + 6 + j]! * c;
  return [along(0), along(1), along(2)];
}

/** Where member m lies x metres from its start, its rigid arm counted. */
export function pointOf({ coordinates, memberNodes, endOffsets, axes }: Structure, m: number, x: number): Point {
  const node = 3 * memberNodes[2 * m]!;
  const at = (k: number): number => coordinates[node + k]! + endOffsets[6 * m + k]! + x * axes[9 * m + k]!;
  return [at(0), at(1), at(2)];
}

export const nodePoint = ({ coordinates }: Structure, node: number): Point => [
  coordinates[3 * node]!,
  coordinates[3 * node + 1]!,
  coordinates[3 * node + 2]!,
];

export const NOTHING: Resultant = [0, 0, 0, 0, 0, 0];

/** A force and a couple that act at a point, as a resultant about the origin. */
export const atPoint = (at: Point, force: Point, couple: Point): Resultant => [...force, ...more(couple, cross(at, force))];

/** The same about another point than the origin. */
export const about = (at: Point, [fx, fy, fz, mx, my, mz]: Resultant): Resultant => [
  ...([fx, fy, fz] as const),
  ...less([mx, my, mz], cross(at, [fx, fy, fz])),
];

export const plus = (a: Resultant, b: Resultant, factor = 1): Resultant =>
  a.map((value, i) => value + factor * b[i]!) as unknown as Resultant;
