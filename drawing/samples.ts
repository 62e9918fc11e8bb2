import { evaluate, stationary, type Window } from '@rigid-beam/core/results/polynomial';
import { diagramOf, type Diagram } from '@rigid-beam/core/results/diagram';
import type { BoundCurve } from '@rigid-beam/core/results/envelope-reading';
import type { Stretch } from '@rigid-beam/core/results/envelope';
import {
  degreeOf,
  isStored,
  offsetOf,
  quantityTable,
  type LineQuantity,
  type Quantity,
} from '@rigid-beam/core/results/quantities';
import { BESIDE, partsOf } from '@rigid-beam/core/results/read';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { ofMembers } from '@rigid-beam/core/results/of-member';
import { sourcesFrom, type Derived, type OfMember } from '@rigid-beam/core/results/derived/derived';
import type { Solution } from '@rigid-beam/core/results/results';

/** Points of a diagram along a member: metres from its start, ascending, and the values there. Places repeat where a value jumps. */
export interface Samples {
  readonly xs: readonly number[];
  readonly values: readonly number[];
}

/** A quantity that is read in an outcome. */
interface Read {
  readonly solution: Solution;
  readonly outcome: number;
  readonly quantity: Quantity;
}

/** How closely a curve is followed. */
export interface Fineness {
  /** Steps of a piece at most. */
  readonly steps: number;
  /** By how much a straight line between two points may miss the curve, in its unit. */
  readonly miss: number;
}

/** A part of the largest coefficient under which a curve counts as straight. */
const STRAIGHT = 1e-9;

/** The curve over the stretches of member m: both ends of what is straight, steps of what is not, and the tips of curves at their full size. */
export function samplesOf(
  solution: Solution,
  m: number,
  stretches: readonly Stretch[],
  quantity: LineQuantity,
  fineness: Fineness,
): Samples {
  const samples = { xs: [] as number[], values: [] as number[] };
  const degree = degreeOf(quantity);
  for (const { from, to, outcome } of stretches) {
    const diagram = diagramOf(solution, outcome, m);
    const { coefficients, width } = diagram;
    for (let k = diagram.first; k < diagram.end; k++) {
      const [start, end] = [diagram.from[k]!, diagram.to[k]!];
      const part = { start, end, from: Math.max(from, start), to: Math.min(to, end) };
      if (!(part.to > part.from)) continue;
      if (isStored(width, quantity))
        addPiece(samples, { coefficients, at: k * width + offsetOf(quantity), degree }, part, fineness);
      else addPiece(samples, NOTHING, part, fineness);
    }
  }
  return samples;
}
const NOTHING: Window = { coefficients: new Float64Array(1), at: 0, degree: 0 };

/** The greatest and the least values of what is derived, along a member. */
export interface Ranges {
  readonly max: Samples;
  readonly min: Samples;
}

/** Those of member m at some steps of each piece, at both sides of a jump, and at its `tips`; undefined where its section does not tell them. */
export function rangesOf(
  { solution, outcome, quantity }: Read,
  m: number,
  fineness: Fineness,
  tips: readonly number[],
): Ranges | undefined {
  const parts = partsOf(solution, outcome);
  const derived = quantityTable[quantity].derived!;
  if (parts.length === 1) return rangesIn(diagramOf(solution, parts[0]!, m), derived, ofMembers(solution)[m]!, fineness, tips);
  const reader = memberReader(solution, outcome, m);
  const places = new Set(tips);
  for (const part of parts) for (const x of placesOn(diagramOf(solution, part, m), fineness.steps)) places.add(x);
  const xs = [...places].sort((a, b) => a - b);
  const read = xs.map((x) => reader.at(quantity, x));
  if (!read.every((one) => one !== undefined)) return undefined;
  return { max: { xs, values: read.map(({ max }) => max) }, min: { xs, values: read.map(({ min }) => min) } };
}

/** The same of one diagram, whose pieces are read one after the other. */
function rangesIn(
  { coefficients, width, first, end, from, to }: Diagram,
  derived: Derived,
  member: OfMember,
  ...[{ steps, miss }, tips]: [fineness: Fineness, tips: readonly number[]]
): Ranges | undefined {
  const xs: number[] = [];
  const [max, min]: [number[], number[]] = [[], []];
  for (let k = first; k < end; k++) {
    const [start, stop] = [from[k]!, to[k]!];
    const inside = tips.filter((x) => x > start && x < stop).sort((a, b) => a - b);
    const before = xs.length;
    let tip = 0;
    for (let i = 0; i <= steps; i++) {
      const step = i === steps ? stop : start + ((stop - start) * i) / steps;
      for (;;) {
        const x = tip < inside.length && inside[tip]! <= step ? inside[tip++]! : step;
        const here = sourcesFrom(derived, (source) =>
          isStored(width, source) ? evaluate(coefficients, k * width + offsetOf(source), degreeOf(source), x - start) : 0,
        );
        const range = derived.at(here, member);
        if (!range) return undefined;
        xs.push(x);
        max.push(range.max);
        min.push(range.min);
        if (x === step) break;
      }
    }
    const isStraight = [max, min].every((values) =>
      values.every((_, i) => i < before || offChord(xs, values, before, i) <= miss),
    );
    if (isStraight) for (const list of [xs, max, min]) list.splice(before + 1, list.length - before - 2);
  }
  return { max: { xs, values: max }, min: { xs, values: min } };
}

/** How far a value lies from the straight line between the one at `first` and the last one. */
function offChord(xs: readonly number[], values: readonly number[], first: number, i: number): number {
  const last = xs.length - 1;
  const part = (xs[i]! - xs[first]!) / (xs[last]! - xs[first]!);
  return Math.abs(values[i]! - values[first]! - part * (values[last]! - values[first]!));
}

/** Places at so many steps of each piece, ascending, at both sides of a jump. */
function* placesOn({ first, end, from, to, length }: Diagram, steps: number): Generator<number> {
  for (let k = first; k < end; k++) {
    const [start, stop] = [from[k]! + BESIDE * length, to[k]! - BESIDE * length];
    for (let i = 0; i <= steps; i++) yield start + ((stop - start) * i) / steps;
  }
}

/** Steps of a piece in a hint of an envelope. */
const ROUGH_STEPS = 4;

/**
 * The upper and the lower bound of several outcomes on member m at a few places of each piece, for a hint: who governs from where to where, which exact
 * bounds follow, takes ten times as long.
 */
export function roughBounds(
  solution: Solution,
  outcomes: readonly number[],
  m: number,
  quantity: LineQuantity,
): [Samples, Samples] {
  const xs: number[] = [];
  const [max, min]: [number[], number[]] = [[], []];
  const [offset, degree] = [offsetOf(quantity), degreeOf(quantity)];
  for (const outcome of outcomes) {
    const diagram = diagramOf(solution, outcome, m);
    const { coefficients, width, from, to, end } = diagram;
    if (xs.length === 0) {
      for (const x of placesOn(diagram, ROUGH_STEPS)) {
        xs.push(x);
        max.push(-Infinity);
        min.push(Infinity);
      }
    }
    const isThere = isStored(width, quantity);
    // Places and pieces ascend.
    for (let i = 0, k = diagram.first; i < xs.length; i++) {
      while (k < end - 1 && xs[i]! > to[k]!) k++;
      const value = isThere ? evaluate(coefficients, k * width + offset, degree, xs[i]! - from[k]!) : 0;
      max[i] = Math.max(max[i]!, value);
      min[i] = Math.min(min[i]!, value);
    }
  }
  return [
    { xs, values: max },
    { xs, values: min },
  ];
}

/** One side of an envelope that was read ahead, on member m. */
export const boundOf = ({ first, xs, max, min }: BoundCurve, m: number, side: 1 | -1): Samples => {
  const [from, to] = [first[m]!, first[m + 1]!];
  return { xs: [...xs.subarray(from, to)], values: [...(side > 0 ? max : min).subarray(from, to)] };
};

/** A piece from `start` to `end`, of which the part from `from` to `to` is drawn. */
interface Drawn {
  readonly start: number;
  readonly end: number;
  readonly from: number;
  readonly to: number;
}

function addPiece(
  { xs, values }: { readonly xs: number[]; readonly values: number[] },
  { coefficients, at, degree }: Window,
  { start, end, from, to }: Drawn,
  { steps, miss }: Fineness,
): void {
  const bulge = bulgeOf(coefficients, at, degree, end - start) * ((to - from) / (end - start)) ** 2;
  const size = Math.max(Math.abs(coefficients[at]!), degree > 0 ? Math.abs(coefficients[at + 1]!) * (to - from) : 0);
  const isStraight = bulge <= miss || bulge <= STRAIGHT * size;
  const count = isStraight ? 1 : Math.min(steps, Math.ceil(Math.sqrt(bulge / miss)));
  const tips = isStraight ? NO_TIPS : stationary(coefficients, at, degree, end - start);
  let tip = 0;
  for (let i = 0; i <= count; i++) {
    const x = from + ((to - from) * i) / count;
    // The tip of a curve is one of its points, so that the ordinate of an extreme is drawn at its full size.
    for (; tip < tips.length && !(start + tips[tip]! >= x); tip++) {
      const s = tips[tip]!;
      if (!(s > 0 && s < end - start && start + s > from)) continue;
      xs.push(start + s);
      values.push(evaluate(coefficients, at, degree, s));
    }
    xs.push(x);
    values.push(evaluate(coefficients, at, degree, x - start));
  }
}
const NO_TIPS = new Float64Array(0);

/**
 * How far a polynomial (up to the fifth degree) can leave a straight line over a length: an eighth of the square of the length times the greatest second
 * derivative, which stays between its Bernstein coefficients (Farouki and Rajan, On the numerical condition of polynomials in Bernstein form, Computer Aided
 * Geometric Design 4, 1987).
 */
export function bulgeOf(c: Float64Array, at: number, degree: number, length: number): number {
  if (degree < 2) return 0;
  const square = length * length;
  const a = 2 * c[at + 2]!;
  const b = degree < 3 ? 0 : 2 * c[at + 3]! * length;
  const d = degree < 4 ? 0 : 4 * c[at + 4]! * square;
  const e = degree < 5 ? 0 : 20 * c[at + 5]! * square * length;
  const ends = Math.max(Math.abs(a), Math.abs(a + 3 * (b + d) + e));
  return (square * Math.max(ends, Math.abs(a + b), Math.abs(a + 2 * b + d))) / 8;
}

/** Cuts a curve where its sign changes, so that each part has one colour; the cut lies on the axis. Parts that are nothing are left out. */
export function signRuns(samples: Samples): readonly Samples[] {
  const { xs, values } = samples;
  let [least, greatest] = [0, 0];
  for (const value of values) {
    if (value < least) least = value;
    else if (value > greatest) greatest = value;
  }
  const size = Math.max(-least, greatest);
  if (size === 0) return [];
  if (least === 0 || greatest === 0) return [samples];
  const runs: Samples[] = [];
  let x: number[] = [];
  let v: number[] = [];
  let largest = 0;
  const finish = (): void => {
    if (largest > 1e-9 * size) runs.push({ xs: x, values: v });
    largest = 0;
  };
  for (let i = 0; i < xs.length; i++) {
    const [at, value] = [xs[i]!, values[i]!];
    const before = i === 0 ? 0 : values[i - 1]!;
    if (before * value < 0) {
      const zero = xs[i - 1]! + ((at - xs[i - 1]!) * before) / (before - value);
      x.push(zero);
      v.push(0);
      finish();
      x = [zero];
      v = [0];
    }
    x.push(at);
    v.push(value);
    largest = Math.max(largest, Math.abs(value));
  }
  finish();
  return runs;
}
