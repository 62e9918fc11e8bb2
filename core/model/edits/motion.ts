import { cosineAndSine } from '../local-axes';
import type { IntentOf } from './intent';
import { dot, minus, plus, size, times, type AxisName, type Point } from '../point';

/** How a part is carried elsewhere: moved by a vector, turned about a line along an axis, or mirrored in a plane. */
export type Motion = IntentOf<'transform'>['motion'];

/** The motion done `times` over (a mirror only once): where a point goes, and where a direction turns. */
export interface Carried {
  readonly point: (at: Point) => Point;
  readonly direction: (along: Point) => Point;
  /** −1 where right-handed becomes left-handed: couples turn round. */
  readonly hand: 1 | -1;
}

export function carriedBy(motion: Motion, count = 1): Carried {
  switch (motion.kind) {
    case 'move':
      return { point: (at) => plus(at, times(motion.by, count)), direction: (along) => along, hand: 1 };
    case 'turn': {
      const direction = turned(motion.axis, motion.degrees * count);
      return { point: (at) => plus(motion.about, direction(minus(at, motion.about))), direction, hand: 1 };
    }
    case 'mirror': {
      const normal = times(motion.normal, 1 / size(motion.normal));
      const direction = (along: Point): Point => minus(along, times(normal, 2 * dot(along, normal)));
      return { point: (at) => plus(motion.at, direction(minus(at, motion.at))), direction, hand: -1 };
    }
  }
}

/** Right-handed about a global axis. */
function turned(axis: AxisName, degrees: number): (along: Point) => Point {
  const [c, s] = cosineAndSine(degrees);
  switch (axis) {
    case 'x':
      return ([x, y, z]) => [x, c * y - s * z, s * y + c * z];
    case 'y':
      return ([x, y, z]) => [c * x + s * z, y, c * z - s * x];
    case 'z':
      return ([x, y, z]) => [c * x - s * y, s * x + c * y, z];
  }
}

/** Why a motion cannot be done in a plane model, or undefined where it can. */
export function leavesPlane(motion: Motion): string | undefined {
  if (motion.kind === 'move' && motion.by[2] !== 0) return 'The motion is out of plane';
  if (motion.kind === 'turn' && motion.axis !== 'z') return 'A plane model can only be turned within its plane';
  if (motion.kind === 'mirror' && motion.normal[2] !== 0) return 'The mirror does not stand upright on the plane of this model';
  return undefined;
}

/** Why a motion means nothing, or undefined. */
export function idleMotion(motion: Motion): string | undefined {
  if (motion.kind === 'move' && size(motion.by) < 1e-9) return 'The way has no length';
  if (motion.kind === 'turn' && motion.degrees % 360 === 0) return 'A turn by whole circles changes nothing';
  if (motion.kind === 'mirror' && size(motion.normal) < 1e-9) return 'The mirror has no direction';
  return undefined;
}
