import { lineQuantities, degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { evaluate } from './polynomial';
import type { LinearOutcome, Solution } from './results';

/**
 * Which end force shows a quantity before the first load or beyond the last: index among 12 and sign, at start and end. Nothing for
 * u, v and w, which do not jump.
 */
export const AT_ENDS: Partial<Record<LineQuantity, readonly [number, number, number, number]>> = {
  N: [0, -1, 6, 1],
  Vy: [1, 1, 7, -1],
  Vz: [2, 1, 8, -1],
  T: [3, -1, 9, 1],
  My: [4, 1, 10, -1],
  Mz: [5, -1, 11, 1],
};

/** What is not stored is zero. */
const ZEROS = new Float64Array(Math.max(...lineQuantities.map(degreeOf)) + 1);

/** The polynomial of a quantity on piece k, in s = x − from; not to be written to. */
export function pieceOf({ coefficients, pieceWidth }: LinearOutcome, k: number, quantity: LineQuantity): Float64Array {
  const length = degreeOf(quantity) + 1;
  if (!isStored(pieceWidth, quantity)) return ZEROS.subarray(0, length);
  const at = k * pieceWidth + offsetOf(quantity);
  return coefficients.subarray(at, at + length);
}

/** The piece on which x lies; at a cut the one behind it, at the member's end the last. */
export function pieceAt(solution: Solution, m: number, x: number): number {
  const { first, to } = solution.pieces;
  const last = first[m + 1]! - 1;
  const slack = 1e-9 * solution.structure.lengths[m]!;
  let k = first[m]!;
  while (k < last && to[k]! <= x + slack) k++;
  return k;
}

/**
 * A quantity of a linear outcome at x metres from the member's start: just behind a jump, except at the member's end, where it is
 * the value just before it.
 */
export function valueAt(solution: Solution, linear: LinearOutcome, m: number, quantity: LineQuantity, x: number): number {
  const { coefficients, pieceWidth } = linear;
  if (!isStored(pieceWidth, quantity)) return 0;
  const k = pieceAt(solution, m, x);
  return evaluate(coefficients, k * pieceWidth + offsetOf(quantity), degreeOf(quantity), x - solution.pieces.from[k]!);
}

/** All quantities of a member at x. */
export function valuesAt(solution: Solution, linear: LinearOutcome, m: number, x: number): Record<LineQuantity, number> {
  return Object.fromEntries(lineQuantities.map((quantity) => [quantity, valueAt(solution, linear, m, quantity, x)])) as Record<
    LineQuantity,
    number
  >;
}
