import { countingCases } from '../combinations/counting-cases';
import { once } from '../once';
import { COINCIDENT } from './breakpoints';
import type { Sum } from './derived/derived';
import { blockOf, weightsOf } from './envelope-block';
import { addShifted, evaluate, isNowherePositive, signChanges, writeBernstein } from './polynomial';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import type { Solution, StructuralResponse } from './results';

/** A part of a member on which one outcome governs: metres from the member's start, and the outcome's index. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly outcome: number;
}

/**
 * Which of the `parts` (indices of cases and sums) gives the largest (`side` = 1) or smallest (−1) value of a quantity, or of a sum of some, along member m, cut
 * exactly where the polynomials cross. A stretch never reaches over a place where one of them has a cut.
 */
export function governing(
  solution: Solution,
  parts: readonly number[],
  m: number,
  quantity: LineQuantity | Sum,
  side: 1 | -1,
): Stretch[] {
  const { solved, sums } = inTheRunning(parts, solution);
  const { from, to, width, cases } = piecesOf(solved, solution, m);
  const slack = COINCIDENT * solution.structure.lengths[m]!;
  const terms = (typeof quantity === 'string' ? [[quantity, 1] as const] : quantity).filter(([one]) => isStored(width, one));
  const isHeld = terms.length > 0;
  const isPlain = terms.length === 1 && terms[0]![1] === 1;
  const degree = Math.max(0, ...terms.map(([one]) => degreeOf(one)));
  const size = degree + 1;
  const bounds = new Float64Array(size * cases.length);
  const stretches: Stretch[] = [];
  for (let piece = 0; piece < from.length; piece++) {
    const length = to[piece]! - from[piece]!;
    const at = isPlain ? width * piece + offsetOf(terms[0]![0]) : 0;
    const own = isPlain ? cases : cases.map((coefficients) => summed(coefficients, width * piece, terms, size));
    if (isHeld) own.forEach((coefficients, c) => writeBernstein({ coefficients, at, degree }, length, bounds, size * c));
    // What certainly lies under another all along is out of the running; the polynomials of the others are made.
    const left = isHeld ? notUnder(sums, bounds, size, side) : [0];
    const polynomials = left.map((part) => {
      const polynomial = new Float64Array(size);
      if (isHeld)
        for (let i = sums.first[part]!; i < sums.first[part + 1]!; i++) {
          const [coefficients, factor] = [own[sums.solved[i]!]!, side * sums.factors[i]!];
          for (let k = 0; k < size; k++) polynomial[k]! += factor * coefficients[at + k]!;
        }
      return polynomial;
    });
    for (const { by, ...one } of largestOf(polynomials, length, slack))
      stretches.push({ from: from[piece]! + one.from, to: from[piece]! + one.to, outcome: parts[left[by]!]! });
  }
  return stretches;
}

/** The polynomial of a sum of quantities on the piece whose numbers begin at a place. */
function summed(coefficients: Float64Array, at: number, terms: Sum, size: number): Float64Array {
  const sum = new Float64Array(size);
  for (const [quantity, factor] of terms)
    for (let k = degreeOf(quantity); k >= 0; k--) sum[k]! += factor * coefficients[at + offsetOf(quantity) + k]!;
  return sum;
}

/**
 * Of some sums of polynomials those that do not certainly lie under the one with the greatest mean, which is among them; in their order, and
 * of equal ones the first. `bounds`: by what is summed its Bernstein coefficients, `size` each.
 */
function notUnder({ count, first, solved, factors }: Sums, bounds: Float64Array, size: number, side: 1 | -1): number[] {
  const all = new Float64Array(size * count);
  let [best, most] = [0, -Infinity];
  for (let part = 0; part < count; part++) {
    const to = size * part;
    for (let i = first[part]!; i < first[part + 1]!; i++) {
      const from = size * solved[i]!;
      const factor = side * factors[i]!;
      for (let k = 0; k < size; k++) all[to + k]! += factor * bounds[from + k]!;
    }
    let mean = 0;
    for (let k = 0; k < size; k++) mean += all[to + k]!;
    if (mean > most) [best, most] = [part, mean];
  }
  const left: number[] = [];
  for (let i = 0; i < count; i++) {
    let isUnder = i !== best;
    for (let k = 0; k < size && isUnder; k++) isUnder = all[size * i + k]! <= all[size * best + k]!;
    if (!isUnder) left.push(i);
  }
  return left;
}

/** The same with what one outcome governs on both sides of a cut as one. */
export function joined(stretches: readonly Stretch[]): Stretch[] {
  const found: Stretch[] = [];
  for (const one of stretches) {
    const last = found.at(-1);
    if (last?.outcome === one.outcome) found[found.length - 1] = { ...last, to: one.to };
    else found.push(one);
  }
  return found;
}

/** Sums of what was solved: sum `i` has the places `first[i]` to `first[i + 1]` of the two lists. Flat, since every piece goes through all of it. */
interface Sums {
  readonly count: number;
  readonly first: Int32Array;
  readonly solved: Int32Array;
  readonly factors: Float64Array;
}

/** Of all that was solved what counts in any of the parts, and each part as a sum of it. */
interface InTheRunning {
  readonly solved: readonly StructuralResponse[];
  readonly sums: Sums;
}

/** What counts, over pieces that it shares on member m: both sides are mostly asked for, one after the other. */
const piecesOf = once((solved: readonly StructuralResponse[], solution: Solution, m: number) =>
  blockOf(solution, m, m + 1, solved),
);

const inTheRunning = once((parts: readonly number[], solution: Solution): InTheRunning => {
  const weights = parts.map((part) => Float64Array.from(weightsOf(solution, part)));
  const counting = [...new Set(weights.flatMap((factors) => countingCases(factors)))].sort((a, b) => a - b);
  const places = new Map(counting.map((c, i) => [c, i]));
  const terms = weights.map((factors) => countingCases(factors).map((c) => ({ solved: places.get(c)!, factor: factors[c]! })));
  const first = Int32Array.from([0, ...terms.map(({ length }) => length)]);
  for (let i = 1; i < first.length; i++) first[i]! += first[i - 1]!;
  return {
    // What is made of nothing is as long as a case, and zero.
    solved: (counting.length > 0 ? counting : [0]).map((c) => solution.responses[c]!),
    sums: {
      count: parts.length,
      first,
      solved: Int32Array.from(terms.flat(), ({ solved }) => solved),
      factors: Float64Array.from(terms.flat(), ({ factor }) => factor),
    },
  };
});

/** A part of a piece on which one polynomial is the largest. */
interface Governed {
  readonly from: number;
  readonly to: number;
  readonly by: number;
}

/**
 * Which of some polynomials is the largest on [0, length]. The one that is so in the middle is asked first: most of the others lie under it
 * all along, and are out of the running with hardly any work. Of equal ones the first governs.
 */
function largestOf(all: readonly Float64Array[], length: number, slack: number): Governed[] {
  const degree = all[0]!.length - 1;
  let champion = 0;
  let most = evaluate(all[0]!, 0, degree, length / 2);
  for (let i = 1; i < all.length; i++) {
    const value = evaluate(all[i]!, 0, degree, length / 2);
    if (value > most) [champion, most] = [i, value];
  }
  const gain = new Float64Array(degree + 1);
  const seen = new Float64Array(degree + 1);
  /** By how much one is larger than another, seen from s; good until it is asked for again. */
  const over = (one: number, other: number, s: number): Float64Array => {
    for (let k = 0; k <= degree; k++) gain[k] = all[one]![k]! - all[other]![k]!;
    if (s === 0) return gain;
    addShifted({ coefficients: gain, at: 0, degree }, s, 1, seen.fill(0), 0);
    return seen;
  };
  let current: Governed[] = [{ from: 0, to: length, by: champion }];
  for (let i = 0; i < all.length; i++) {
    if (i === champion || isNowherePositive(over(i, champion, 0), length)) continue;
    const next = current.flatMap((stretch) => {
      const long = stretch.to - stretch.from;
      const difference = over(i, stretch.by, stretch.from);
      if (isNowherePositive(difference, long)) return [stretch];
      const cuts = signChanges(difference, long).filter((x) => x > slack && x < long - slack);
      return [...cuts, long].map((to, k): Governed => {
        const from = cuts[k - 1] ?? 0;
        const gains = evaluate(difference, 0, degree, (from + to) / 2) > 0;
        return { from: stretch.from + from, to: to === long ? stretch.to : stretch.from + to, by: gains ? i : stretch.by };
      });
    });
    current = joinedBy(next);
  }
  return current;
}

function joinedBy(stretches: readonly Governed[]): Governed[] {
  const result: Governed[] = [];
  for (const stretch of stretches) {
    const last = result[result.length - 1];
    if (last && last.by === stretch.by) result[result.length - 1] = { ...last, to: stretch.to };
    else result.push(stretch);
  }
  return result;
}
