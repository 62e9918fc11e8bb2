import { cosineAndSine, supportAxes } from './local-axes';
import type { Support } from './model';
import type { Point } from './point';

type Turned = Pick<Support, 'angle' | 'axes'>;

/** Rows x, y, z of a support's own axes; undefined where they are the global ones, and where its directions make none. */
export function turnOf({ angle = 0, axes }: Turned): Float64Array | undefined {
  if (axes) return supportAxes(axes.x, axes.y);
  const [c, s] = cosineAndSine(angle);
  return c === 1 ? undefined : Float64Array.of(c, s, 0, -s, c, 0, 0, 0, 1);
}

/** A global vector in the axes of a support. */
export function inOwnAxes(support: Turned | undefined, v: Point): Point {
  const turn = support && turnOf(support);
  if (!turn) return v;
  return [0, 3, 6].map((row) => turn[row]! * v[0] + turn[row + 1]! * v[1] + turn[row + 2]! * v[2]) as unknown as Point;
}

/** A vector in the axes of a support along the global ones. */
export function inGlobalAxes(support: Turned | undefined, v: Point): Point {
  const turn = support && turnOf(support);
  if (!turn) return v;
  return [0, 1, 2].map((k) => turn[k]! * v[0] + turn[3 + k]! * v[1] + turn[6 + k]! * v[2]) as unknown as Point;
}
