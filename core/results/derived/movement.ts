import { derivative, signChanges, sumOf, timesOf } from '../polynomial';
import { Reach, widen } from '../reach';
import type { Derived } from './derived';

/** How the axis of a member moves along one of the structure’s axes (0, 1, 2), whichever way the member lies: a sum of u, v and w. */
export const movementAlong = (axis: 0 | 1 | 2): Derived => ({
  of: ['u', 'v', 'w'],
  takesShear: false,
  spreads: false,
  isMagnitude: false,
  at: ({ u, v, w }, { axes }) => {
    const value = axes[axis]! * u + axes[3 + axis]! * v + axes[6 + axis]! * w;
    return { max: value, min: value };
  },
  sums: ({ axes }) => [
    [
      ['u', axes[axis]!],
      ['v', axes[3 + axis]!],
      ['w', axes[6 + axis]!],
    ],
  ],
  most: ({ u, v, w }, { axes }) => Math.abs(axes[axis]!) * u + Math.abs(axes[3 + axis]!) * v + Math.abs(axes[6 + axis]!) * w,
  widen: (reach, { coefficients: c, u, v, w, length }, { axes }) => {
    const [x, y, z] = [axes[axis]!, axes[3 + axis]!, axes[6 + axis]!];
    for (let k = 0; k < 6; k++) moved[k] = (k < 4 ? x * c[u + k]! : 0) + y * c[v + k]! + (w < 0 ? 0 : z * c[w + k]!);
    widen(within, moved, 0, 5, length);
    reach.include(within.high);
    reach.include(within.low);
    within.reset();
  },
  turns: ({ u, v, w, length }, { axes }) =>
    signChanges(derivative(sumOf([timesOf(u, axes[axis]!), timesOf(v, axes[3 + axis]!), timesOf(w, axes[6 + axis]!)])), length),
});

const within = new Reach();
const moved = new Float64Array(6);
