import { combinerOf } from '../linear-algebra/combine';
import { blockOf, weightsOf, type Block } from './envelope-block';
import type { BoundCurve } from './envelope-reading';
import { sources, type OfMember } from './derived/derived';
import { ofMembers } from './of-member';
import { evaluate } from './polynomial';
import { degreeOf, isLine, isStored, offsetOf, quantityTable, type LineQuantity, type Quantity } from './quantities';
import type { CurvePoint } from './curve-points';
import { isReadByPlace, partsOf } from './read';
import { memberReader } from './read-quantity';
import type { Solution } from './results';

/** Places along a piece at which the bounds of an envelope are drawn. */
const PLACES = 9;

/** Members that are read together, and parts that pass before the reader is asked whether it may go on: of what is derived fewer, since each place takes longer. */
const BLOCK = 480;
const AT_ONCE = { stored: 100, derived: 4 };

type Nine = [number, number, number, number, number, number, number, number, number];

/** Bounds at the places of a block. */
interface Bounds {
  readonly max: ArrayLike<number>;
  readonly min: ArrayLike<number>;
}

/**
 * The bounds of one quantity over all parts of an envelope, at places along every member: for drawing, since between two places nothing is
 * known. What stands at a place of a sum is the sum of what stands there in its cases; what is derived follows from the forces there. NaN
 * where a quantity is not known. Yields the part of the work that is done.
 */
export function* readCurve(solution: Solution, outcome: number, quantity: Quantity): Generator<number, BoundCurve> {
  if (isReadByPlace(solution, outcome)) return yield* readMembers(solution, outcome, quantity);
  const weights = partsOf(solution, outcome).map((part) => weightsOf(solution, part));
  const members = solution.structure.names.members.length;
  const first = [0];
  const [xs, max, min]: [number[], number[], number[]] = [[], [], []];
  for (let from = 0; from < members; from += BLOCK) {
    const to = Math.min(from + BLOCK, members);
    const block = blockOf(solution, from, to);
    const reading = isLine(quantity)
      ? storedBounds(block, weights, quantity)
      : derivedBounds(block, weights, quantity, ofMembers(solution).slice(from, to));
    let step = reading.next();
    for (; !step.done; step = reading.next()) yield (from + (to - from) * step.value) / members;
    const bounds = step.value;
    const before = first.at(-1)!;
    for (const piece of block.first.subarray(1)) first.push(before + PLACES * piece);
    for (let i = 0; i < bounds.max.length; i++) {
      xs.push(placeOf(block, i));
      max.push(bounds.max[i]!);
      min.push(bounds.min[i]!);
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

/** The same where trains travel: member by member. */
function* readMembers(solution: Solution, outcome: number, quantity: Quantity): Generator<number, BoundCurve> {
  const members = solution.structure.names.members.length;
  const first = [0];
  const all: CurvePoint[] = [];
  for (let m = 0; m < members; m++) {
    all.push(...(memberReader(solution, outcome, m).curve(quantity) ?? [{ x: 0, max: NaN, min: NaN }]));
    first.push(all.length);
    yield (m + 1) / members;
  }
  return {
    first: Int32Array.from(first),
    xs: Float64Array.from(all, ({ x }) => x),
    max: Float64Array.from(all, ({ max }) => max),
    min: Float64Array.from(all, ({ min }) => min),
  };
}

function* storedBounds(block: Block, weights: readonly ArrayLike<number>[], quantity: LineQuantity): Generator<number, Bounds> {
  const sums = combinerOf(
    block.cases.map((numbers) => samplesOf(block, numbers, quantity)),
    0,
  );
  for (const [p, factors] of weights.entries()) {
    sums.sum(factors);
    sums.bound();
    if (p % AT_ONCE.stored === AT_ONCE.stored - 1) yield p / weights.length;
  }
  return sums;
}

function* derivedBounds(
  block: Block,
  weights: readonly ArrayLike<number>[],
  quantity: Quantity,
  members: readonly OfMember[],
): Generator<number, Bounds> {
  const derived = quantityTable[quantity].derived!;
  const { at, of } = derived;
  const places = block.from.length * PLACES;
  const [max, min] = [new Float64Array(places).fill(-Infinity), new Float64Array(places).fill(Infinity)];
  // All of them side by side: sums share one memory.
  const sums = combinerOf(
    block.cases.map((numbers) => {
      const all = new Float64Array(of.length * places);
      of.forEach((source, k) => all.set(samplesOf(block, numbers, source), k * places));
      return all;
    }),
    0,
  );
  // Where each begins in a sum, −1 where it is not asked for. Written out, since this runs for every place of every part.
  const [N, Vy, Vz, T, My, Mz, u, v, w] = sources.map((one) => (of.includes(one) ? of.indexOf(one) * places : -1)) as Nine;
  const here = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0, u: 0, v: 0, w: 0 };
  for (const [p, factors] of weights.entries()) {
    const sum = sums.sum(factors);
    for (let m = 0; m < members.length; m++)
      for (let i = PLACES * block.first[m]!; i < PLACES * block.first[m + 1]!; i++) {
        here.N = N < 0 ? 0 : sum[N + i]!;
        here.Vy = Vy < 0 ? 0 : sum[Vy + i]!;
        here.Vz = Vz < 0 ? 0 : sum[Vz + i]!;
        here.T = T < 0 ? 0 : sum[T + i]!;
        here.My = My < 0 ? 0 : sum[My + i]!;
        here.Mz = Mz < 0 ? 0 : sum[Mz + i]!;
        here.u = u < 0 ? 0 : sum[u + i]!;
        here.v = v < 0 ? 0 : sum[v + i]!;
        here.w = w < 0 ? 0 : sum[w + i]!;
        const range = at(here, members[m]!);
        max[i] = Math.max(max[i]!, range ? range.max : NaN);
        min[i] = Math.min(min[i]!, range ? range.min : NaN);
      }
    if (p % AT_ONCE.derived === AT_ONCE.derived - 1) yield p / weights.length;
  }
  return { max, min };
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
