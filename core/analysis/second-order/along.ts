import { offsetOf } from '../../results/quantities';
import type { StructuralResponse } from '../../results/results';

/** By which slope a member leans before anything acts, by powers of x (up to the fourth): along y and z, x metres from its start. */
export interface Lean {
  readonly v: readonly number[];
  readonly w: readonly number[];
}
export const UPRIGHT: Lean = { v: [], w: [] };

/** A stretch of a piece: which piece it is, how many metres into it the stretch begins, and how long it is. */
export interface Place {
  readonly piece: number;
  readonly into: number;
  readonly h: number;
}

/** N by powers of t = x/h; as many as there are. */
export function forceOn({ coefficients: c, pieceWidth }: StructuralResponse, { piece, into, h }: Place): Float64Array {
  const at = pieceWidth * piece;
  const force = Float64Array.of(
    c[at]! + into * (c[at + 1]! + into * c[at + 2]!),
    (c[at + 1]! + 2 * into * c[at + 2]!) * h,
    c[at + 2]! * h * h,
  );
  return force[2] !== 0 ? force : force[1] !== 0 ? force.subarray(0, 2) : force.subarray(0, 1);
}

const BINOMIALS = [[1], [1, 1], [1, 2, 1], [1, 3, 3, 1], [1, 4, 6, 4, 1]];

/** The slope of a deflection by powers of t, with that by which the member leans before anything acts. */
export function slopeOn(
  response: StructuralResponse,
  deflection: 'v' | 'w',
  { piece, into, h }: Place,
  lean: Lean,
): Float64Array {
  const c = response.coefficients;
  const at = response.pieceWidth * piece + offsetOf(deflection);
  const slope = new Float64Array(5);
  const own = lean[deflection];
  const x = response.pieces.from[piece]! + into;
  let power = 1;
  for (let n = 0; n < 5; n++) {
    let leans = 0;
    for (let j = own.length - 1; j >= n; j--) leans = leans * x + own[j]! * BINOMIALS[j]![n]!;
    let sum = 0;
    // The (n + 1)-th derivative there, over n!.
    for (let j = 5; j > n; j--) sum = sum * into + c[at + j]! * j * BINOMIALS[j - 1]![n]!;
    slope[n] = (sum + leans) * power;
    power *= h;
  }
  return slope;
}

/** ∫ p(t) dt over 0…1. */
export const integral = (p: Float64Array): number => p.reduce((sum, one, n) => sum + one / (n + 1), 0);
