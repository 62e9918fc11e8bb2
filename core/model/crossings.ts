import { COINCIDENT, cross, dot, minus, plus, size, times, type Point } from './point';

/** Where two straight members meet: parts of each one's length. */
export interface Crossing {
  readonly s: number;
  readonly t: number;
}

/**
 * The one point that the lines a and b have in common, if both contain it within `slack` metres. Parallel lines have none. The nearest
 * points of two lines: minimise |a0 + s·u − b0 − t·v|.
 */
export function crossingOf(a: readonly [Point, Point], b: readonly [Point, Point], slack = COINCIDENT): Crossing | undefined {
  const [u, v] = [minus(a[1], a[0]), minus(b[1], b[0])];
  const [uu, vv, uv] = [dot(u, u), dot(v, v), dot(u, v)];
  if (size(cross(u, v)) <= 1e-9 * Math.sqrt(uu * vv)) return undefined;
  const w = minus(b[0], a[0]);
  const determinant = uu * vv - uv * uv;
  const s = (dot(w, u) * vv - dot(w, v) * uv) / determinant;
  const t = (dot(w, u) * uv - dot(w, v) * uu) / determinant;
  const [slackA, slackB] = [slack / Math.sqrt(uu), slack / Math.sqrt(vv)];
  if (s < -slackA || s > 1 + slackA || t < -slackB || t > 1 + slackB) return undefined;
  const apart = size(minus(plus(a[0], times(u, s)), plus(b[0], times(v, t))));
  return apart <= slack ? { s, t } : undefined;
}

/** Where a point lies along a line, as a part of it, if it lies on it within `slack`. */
export function placeAlong(at: Point, [from, to]: readonly [Point, Point], slack = COINCIDENT): number | undefined {
  const u = minus(to, from);
  const w = minus(at, from);
  const length = size(u);
  const t = dot(w, u) / (length * length);
  if (t * length < -slack || (1 - t) * length < -slack) return undefined;
  return size(minus(w, times(u, t))) <= slack ? t : undefined;
}
