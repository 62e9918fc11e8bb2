import { combinerOf } from '../linear-algebra/combine';
import { blockOf, weightsOf, type Block } from './envelope-block';
import type { BoundCurve } from './envelope-reading';
import { evaluate } from './polynomial';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { partsOf } from './read';
import type { Solution } from './results';

/** Places along a piece at which the bounds of an envelope are drawn. */
const PLACES = 9;

/** Members that are read together, and parts that pass before the reader is asked whether it may go on. */
const BLOCK = 480;
const AT_ONCE = 100;

/**
 * The bounds of one quantity over all parts of an envelope, at places along every member: for drawing, since between two places nothing is
 * known. What stands at a place of a sum is the sum of what stands there in its cases. Yields the part of the work that is done.
 */
export function* readCurve(solution: Solution, outcome: number, quantity: LineQuantity): Generator<number, BoundCurve> {
  const parts = partsOf(solution, outcome);
  const weights = parts.map((part) => weightsOf(solution, part));
  const members = solution.structure.names.members.length;
  const first = [0];
  const [xs, max, min]: [number[], number[], number[]] = [[], [], []];
  for (let from = 0; from < members; from += BLOCK) {
    const to = Math.min(from + BLOCK, members);
    const block = blockOf(solution, from, to);
    const sums = combinerOf(
      block.cases.map((numbers) => samplesOf(block, numbers, quantity)),
      0,
    );
    for (let p = 0; p < parts.length; p++) {
      sums.sum(weights[p]!);
      sums.bound();
      if (p % AT_ONCE === AT_ONCE - 1) yield (from + ((to - from) * p) / parts.length) / members;
    }
    const before = first.at(-1)!;
    for (const piece of block.first.subarray(1)) first.push(before + PLACES * piece);
    for (let i = 0; i < sums.max.length; i++) {
      xs.push(placeOf(block, i));
      max.push(sums.max[i]!);
      min.push(sums.min[i]!);
    }
    yield to / members;
  }
  return {
    first: Int32Array.from(first),
    xs: Float64Array.from(xs),
    max: Float64Array.from(max),
    min: Float64Array.from(min),
  };
}

/** Metres from the member's start to sample i of a block. */
function placeOf({ from, to }: Block, i: number): number {
  const piece = Math.floor(i / PLACES);
  return from[piece]! + ((to[piece]! - from[piece]!) * (i % PLACES)) / (PLACES - 1);
}

function samplesOf({ from, to, width }: Block, numbers: Float64Array, quantity: LineQuantity): Float64Array {
  const all = new Float64Array(from.length * PLACES);
  if (!isStored(width, quantity)) return all;
  for (let k = 0, next = 0; k < from.length; k++)
    for (let i = 0; i < PLACES; i++) {
      const s = ((to[k]! - from[k]!) * i) / (PLACES - 1);
      all[next++] = evaluate(numbers, k * width + offsetOf(quantity), degreeOf(quantity), s);
    }
  return all;
}
