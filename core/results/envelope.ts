import { countingCases } from '../combinations/counting-cases';
import { once } from '../once';
import { COINCIDENT } from './breakpoints';
import type { Sum } from './derived/derived';
import { blockOf, weightsOf, type Block } from './envelope-block';
import { largestOf } from './largest';
import { writeBernstein } from './polynomial';
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
  const block = piecesOf(solved, solution, m);
  const slack = COINCIDENT * solution.structure.lengths[m]!;
  const { size, pieces } = polynomialsOf(block, quantity, sums);
  const stretches: Stretch[] = [];
  for (const [piece, { length, own, at, bernstein }] of pieces.entries()) {
    const from = block.from[piece]!;
    const powers = (part: number): Float64Array => {
      const polynomial = new Float64Array(size);
      for (let i = sums.first[part]!; i < sums.first[part + 1]!; i++) {
        const coefficients = own[sums.solved[i]!]!;
        const factor = side * sums.factors[i]!;
        for (let k = 0; k < size; k++) polynomial[k]! += factor * coefficients[at + k]!;
      }
      return polynomial;
    };
    for (const one of largestOf({ bernstein, side, count: sums.count, size, length, powers }, slack))
      stretches.push({ from: from + one.from, to: from + one.to, outcome: parts[one.by]! });
  }
  return stretches;
}

/** A quantity on a piece: what was solved, whose polynomials begin `at` a place of its numbers, and the Bernstein coefficients of all sums of it. */
interface PieceOfSums {
  readonly length: number;
  readonly own: readonly Float64Array[];
  readonly at: number;
  readonly bernstein: Float64Array;
}

/** A quantity on the pieces of a member, `size` coefficients each; of what is not held all are zero. Both sides are mostly asked for, one after the other. */
const polynomialsOf = once(
  ({ from, to, width, cases }: Block, quantity: LineQuantity | Sum, sums: Sums): { size: number; pieces: PieceOfSums[] } => {
    const all = typeof quantity === 'string' ? [[quantity, 1] as const] : quantity;
    const terms = all.filter(([one]) => isStored(width, one));
    const isPlain = terms.length === 1 && terms[0]![1] === 1;
    const degree = Math.max(0, ...terms.map(([one]) => degreeOf(one)));
    const size = degree + 1;
    const bounds = new Float64Array(size * cases.length);
    const pieces = Array.from(from, (start, piece): PieceOfSums => {
      const length = to[piece]! - start;
      const at = isPlain ? width * piece + offsetOf(terms[0]![0]) : 0;
      const own = isPlain ? cases : cases.map((coefficients) => summed(coefficients, width * piece, terms, size));
      own.forEach((coefficients, c) => writeBernstein({ coefficients, at, degree }, length, bounds, size * c));
      return { length, own, at, bernstein: added(sums, bounds, size) };
    });
    return { size, pieces };
  },
);

/** The polynomial of a sum of quantities on the piece whose numbers begin at a place. */
function summed(coefficients: Float64Array, at: number, terms: Sum, size: number): Float64Array {
  const sum = new Float64Array(size);
  for (const [quantity, factor] of terms)
    for (let k = degreeOf(quantity); k >= 0; k--) sum[k]! += factor * coefficients[at + offsetOf(quantity) + k]!;
  return sum;
}

/** The sums of polynomials given by their Bernstein coefficients `own`, `size` each. */
function added({ count, first, solved, factors }: Sums, own: Float64Array, size: number): Float64Array {
  const all = new Float64Array(size * count);
  for (let part = 0; part < count; part++) {
    const to = size * part;
    for (let i = first[part]!; i < first[part + 1]!; i++) {
      const from = size * solved[i]!;
      const factor = factors[i]!;
      for (let k = 0; k < size; k++) all[to + k]! += factor * own[from + k]!;
    }
  }
  return all;
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
