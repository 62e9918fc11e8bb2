import { dot, minus, plus, times, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { cosineAndSine } from '@rigid-beam/core/model/local-axes';

/** A parallel look at space: which global directions run right and up on the drawing, and towards the viewer. Orthonormal. */
export interface Projection {
  readonly right: Point;
  readonly up: Point;
  readonly toward: Point;
}

/** Straight at the X–Y plane: the drawing of a plane model. */
export const ELEVATION: Projection = { right: [1, 0, 0], up: [0, 1, 0], toward: [0, 0, 1] };

/**
 * Seen from `round` degrees about Y (0 looks along −Z, 90 along −X) and `height` degrees above the horizon (90 looks straight down).
 * right × up = toward.
 */
export function lookFrom(round: number, height: number): Projection {
  const [c, s] = cosineAndSine(round);
  const [cu, su] = cosineAndSine(height);
  return { right: [c, 0, -s], up: [-s * su, cu, -c * su], toward: [s * cu, su, c * cu] };
}

/** Looks along an axis, and one from a corner in which depth is legible. Degrees for `lookFrom`. */
export const LOOKS = {
  front: { round: 0, height: 0 },
  side: { round: 90, height: 0 },
  plan: { round: 0, height: 90 },
  corner: { round: -32, height: 22 },
} as const;
export type Look = keyof typeof LOOKS;

export const seenPoint = ({ right, up }: Projection, at: Point): [number, number] => [dot(right, at), dot(up, at)];
/** Greater is nearer to the viewer, metres. */
export const depthOf = ({ toward }: Projection, at: Point): number => dot(toward, at);

const STRAIGHT = 1 - 1e-9;

/** The global axis that runs along a direction of the drawing, with its sense; undefined in an oblique look. */
export function axisAlong(direction: Point): { readonly axis: AxisName; readonly sense: 1 | -1 } | undefined {
  const k = direction.findIndex((part) => Math.abs(part) > STRAIGHT);
  return k < 0 ? undefined : { axis: (['x', 'y', 'z'] as const)[k]!, sense: direction[k]! > 0 ? 1 : -1 };
}

/** A plane in any direction: a point of it, its normal, and two directions in it, square to each other, the first one level. */
export interface Tilted {
  readonly through: Point;
  readonly normal: Point;
  readonly across: Point;
  readonly up: Point;
  /** How it is called: `1, 2, 3`. */
  readonly name: string;
}

/** A plane on which one draws in space: across a global axis at a place, or `tilted` in any direction (`axis`: what it is nearest to). */
export interface WorkPlane {
  readonly axis: AxisName;
  readonly at: number;
  readonly tilted?: Tilted;
}

const INDEX = { x: 0, y: 1, z: 2 } as const;

/**
 * The point of a work plane that is seen at (x, y) of the drawing. In a plane that is seen edge-on there is none: undefined.
 */
export function onWorkPlane(
  { right, up, toward }: Projection,
  { axis, at, tilted }: WorkPlane,
  x: number,
  y: number,
): Point | undefined {
  if (tilted) {
    const facing = dot(toward, tilted.normal);
    if (Math.abs(facing) < 0.05) return undefined;
    const near = plus(times(right, x), times(up, y));
    return plus(near, times(toward, dot(minus(tilted.through, near), tilted.normal) / facing));
  }
  const k = INDEX[axis];
  if (Math.abs(toward[k]) < 0.05) return undefined;
  const known = x * right[k] + y * up[k];
  const d = (at - known) / toward[k];
  const point = [0, 1, 2].map((i) => x * right[i]! + y * up[i]! + d * toward[i]!);
  point[k] = at;
  return point as unknown as Point;
}

/** The axis across which a look sees a plane most squarely. */
export function squareAxis({ toward }: Projection): AxisName {
  const sizes = toward.map(Math.abs);
  return (['x', 'y', 'z'] as const)[sizes.indexOf(Math.max(...sizes))]!;
}
