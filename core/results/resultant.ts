import { cross, dot, size, type Point } from '../model/point';

/** Part of the loads' own size under which they hold each other in balance. */
const NONE = 1e-9;

/** What loads amount to together: a force on its line of action, and in space what turns about that line (the central axis). */
export interface Resultant {
  readonly force: Point;
  /** Newtons; 0 where the loads are a couple alone. */
  readonly size: number;
  /** The point of the line of action that is nearest to the origin, metres: F × M / F². */
  readonly foot: Point;
  /** Newton metres about the line of action, right-handed along the force; of a couple alone its size. */
  readonly couple: number;
}

/**
 * The resultant of six components about the origin (forces and moments along x, y, z; N and N·m); `scale` is the size of the loads that they
 * are the sum of. Undefined where they balance each other.
 */
export function resultantOf(applied: readonly number[], scale: number): Resultant | undefined {
  const force = applied.slice(0, 3) as unknown as Point;
  const moment = applied.slice(3, 6) as unknown as Point;
  const total = size(force);
  if (!(total > NONE * scale)) {
    const couple = size(moment);
    return couple > NONE * scale ? { force: [0, 0, 0], size: 0, foot: [0, 0, 0], couple } : undefined;
  }
  const foot = cross(force, moment).map((part) => part / total ** 2) as unknown as Point;
  return { force, size: total, foot, couple: dot(force, moment) / total };
}
