import { oneSum } from './one-sum';
import type { OneSum } from './derived';

/** How the axis of a member moves along one of the structure’s axes (0, 1, 2), whichever way the member lies: a sum of u, v and w. */
export const movementAlong = (axis: 0 | 1 | 2): OneSum =>
  oneSum(['u', 'v', 'w'], ({ axes }) => [
    ['u', axes[axis]!],
    ['v', axes[3 + axis]!],
    ['w', axes[6 + axis]!],
  ]);
