import { solveSymmetric } from '../../linear-algebra/small-dense';
import { movedStretch, room, type SolvedStretch, type Stretch, type Yielding } from './stretch';

/** Stretches in a row, joined without hinges: what holds them at both ends, as `SolvedStretch.forces`, their joints eliminated. */
export interface Chain {
  readonly section: Yielding;
  readonly stretches: readonly SolvedStretch[];
  readonly forces: readonly number[];
  /** Negative pivots of the joints: so many modes buckle with both ends held. */
  readonly negative: number;
  /** By inner joint: its movements (2P) of those of the start, of the next joint, and by themselves (2P × (4P + 1) by rows). */
  readonly joints: readonly Float64Array[];
}

/** Eliminates the joints from the start on: block elimination, stable however taut the member is, where products of transfer matrices are not. */
export function chainOf(section: Yielding, stretches: readonly SolvedStretch[]): Chain {
  const n = 2 * section.planes;
  const width = 2 * n + 1;
  let forces = stretches[0]!.forces;
  let negative = 0;
  const joints: Float64Array[] = [];
  for (const { forces: next } of stretches.slice(1)) {
    // Of the joint: pivot·u = −(its parts of the start, of the next joint, and by themselves).
    const pivot = new Float64Array(n * n);
    const moves = new Float64Array(n * width);
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) {
        pivot[n * i + j] = forces[width * (n + i) + n + j]! + next[width * i + j]!;
        moves[width * i + j] = -forces[width * (n + i) + j]!;
        moves[width * i + n + j] = -next[width * i + n + j]!;
      }
      moves[width * i + 2 * n] = -forces[width * (n + i) + 2 * n]! - next[width * i + 2 * n]!;
    }
    negative += solveSymmetric(pivot, n, moves, width);
    joints.push(moves);
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
    forces = both;
  }
  return { section, stretches, forces, negative, joints };
}

/** By stretch what `movedStretch` tells of it, when the ends of the chain move so (4P: y and θ by plane, start, then end); `stretchOf`: the stretches as they were solved. */
export function movedChain(
  { section, stretches, joints }: Chain,
  ends: readonly number[],
  stretchOf: (i: number) => Stretch,
): number[][][] {
  const n = 2 * section.planes;
  const width = 2 * n + 1;
  const moved: number[][][] = [];
  let next: readonly number[] = ends.slice(n);
  for (let s = stretches.length - 1; s >= 0; s--) {
    const own = room(2 * n);
    const joint = joints[s - 1];
    for (let i = 0; i < n; i++) {
      own[n + i] = next[i]!;
      if (!joint) {
        own[i] = ends[i]!;
        continue;
      }
      let sum = joint[width * i + 2 * n]!;
      for (let j = 0; j < n; j++) sum += joint[width * i + j]! * ends[j]! + joint[width * i + n + j]! * next[j]!;
      own[i] = sum;
    }
    moved[s] = movedStretch(section, stretchOf(s), stretches[s]!, own);
    next = own.slice(0, n);
  }
  return moved;
}
