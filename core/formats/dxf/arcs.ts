import type { Point } from '../../model/point';

/** Angle of a part of an arc, unless another is said. */
export const PART_OF_ARC = (10 * Math.PI) / 180;

/** Places along an arc from an angle on, through an angle that may be negative, in equal parts of at most `part` (all radians); both ends are among them. */
export function dividedArc(centre: Point, radius: number, from: number, through: number, part: number): Point[] {
  const count = Math.max(1, Math.ceil(Math.abs(through) / part - 1e-9)) || 1;
  return Array.from({ length: count + 1 }, (_, i): Point => {
    const angle = from + (through * i) / count;
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle), centre[2]];
  });
}

/** Places along the arc between two corners whose bulge is the tangent of a quarter of its angle, positive to the left as one goes; both ends are among them. */
export function dividedBulge(a: Point, b: Point, bulge: number, part: number): Point[] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const through = 4 * Math.atan(bulge);
  // The centre stands off the middle of the chord by half of it times the cotangent of half the angle.
  const off = (1 - bulge * bulge) / (4 * bulge);
  const centre: Point = [(a[0] + b[0]) / 2 - dy * off, (a[1] + b[1]) / 2 + dx * off, a[2]];
  const radius = Math.hypot(a[0] - centre[0], a[1] - centre[1]);
  const places = dividedArc(centre, radius, Math.atan2(a[1] - centre[1], a[0] - centre[0]), through, part);
  return [a, ...places.slice(1, -1), b];
}
