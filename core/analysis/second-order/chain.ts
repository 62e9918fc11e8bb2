import { solveSymmetric } from '../../linear-algebra/small-dense';
import { room } from './along';
import type { Bending } from './bending-planes';
import { moveStretch, solveStretch, type Stretch, type Yielding } from './stretch';

/** A bending of a member as stretches in a row, joined without hinges; written over as they are. */
export interface Chain {
  readonly bending: Bending;
  readonly stretches: Stretch[];
  /** What holds it at both ends, as `Stretch.forces`, its joints eliminated. */
  forces: readonly number[];
  /** Negative pivots of the joints: so many modes buckle with both ends held. */
  negative: number;
  /** By inner joint: its movements (2P) of those of the start, of the next joint, and by themselves (2P × (4P + 1) by rows). */
  readonly joints: Float64Array[];
}

export const chainIn = (bending: Bending): Chain => ({ bending, stretches: [], forces: [], negative: 0, joints: [] });

/** Room for the pivot of a joint, in one plane or in two. */
const [inOne, inTwo] = [new Float64Array(4), new Float64Array(16)];

/**
 * Solves its stretches and eliminates their joints from the start on: block elimination, stable however taut the member is, where products of transfer matrices are
 * not. False where shear alone would let it buckle.
 */
export function solveChain(section: Yielding, chain: Chain): boolean {
  const { stretches, joints } = chain;
  for (let s = 0; s < stretches.length; s++) if (!solveStretch(section, stretches[s]!)) return false;
  const n = 2 * section.planes;
  const width = 2 * n + 1;
  chain.negative = 0;
  chain.forces = stretches[0]!.forces;
  for (let s = 1; s < stretches.length; s++) {
    const [forces, next] = [chain.forces, stretches[s]!.forces];
    // Of the joint: pivot·u = −(its parts of the start, of the next joint, and by themselves).
    const pivot = n === 2 ? inOne : inTwo;
    const moves = (joints[s - 1] ??= new Float64Array(n * width));
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) {
        pivot[n * i + j] = forces[width * (n + i) + n + j]! + next[width * i + j]!;
        moves[width * i + j] = -forces[width * (n + i) + j]!;
        moves[width * i + n + j] = -next[width * i + n + j]!;
      }
      moves[width * i + 2 * n] = -forces[width * (n + i) + 2 * n]! - next[width * i + 2 * n]!;
    }
    chain.negative += solveSymmetric(pivot, n, moves, width);
    const both = room(2 * n * width);
    for (let i = 0; i < n; i++) {
      const [top, bottom] = [width * i, width * (n + i)];
      for (let j = 0; j < n; j++) {
        both[top + j] = forces[top + j]!;
        both[bottom + n + j] = next[bottom + n + j]!;
      }
      both[top + 2 * n] = forces[top + 2 * n]!;
      both[bottom + 2 * n] = next[bottom + 2 * n]!;
      for (let l = 0; l < n; l++) {
        const [ofStart, ofNext] = [forces[top + n + l]!, next[bottom + l]!];
        for (let j = 0; j < width; j++) {
          both[top + j]! += ofStart * moves[width * l + j]!;
          both[bottom + j]! += ofNext * moves[width * l + j]!;
        }
      }
    }
    chain.forces = both;
  }
  return true;
}

/** Moves its stretches as they are when its ends move so (4P: y and θ by plane, start, then end). */
export function moveChain(section: Yielding, { stretches, joints }: Chain, moves: readonly number[]): void {
  const n = 2 * section.planes;
  const width = 2 * n + 1;
  const own = room(2 * n);
  for (let i = 0; i < n; i++) own[n + i] = moves[n + i]!;
  for (let s = stretches.length - 1; s >= 0; s--) {
    const joint = joints[s - 1];
    for (let i = 0; i < n; i++) {
      if (!joint) {
        own[i] = moves[i]!;
        continue;
      }
      let sum = joint[width * i + 2 * n]!;
      for (let j = 0; j < n; j++) sum += joint[width * i + j]! * moves[j]! + joint[width * i + n + j]! * own[n + j]!;
      own[i] = sum;
    }
    moveStretch(section, stretches[s]!, own);
    for (let i = 0; i < n; i++) own[n + i] = own[i]!;
  }
}
