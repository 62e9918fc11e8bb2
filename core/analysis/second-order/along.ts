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

/** Room for numbers: lists, since so many short typed arrays would burden the memory; −0 lets a list hold numbers with fractions from the start. */
export const room = (length: number): number[] => new Array<number>(length).fill(-0);

/** So many powers of t an axial force, a slope and a push have at most. */
export const [OF_FORCE, OF_SLOPE, OF_PUSH] = [3, 5, 7];

/** Writes N by powers of t = x/h; returns how many there are. */
export function writeForce(
  { coefficients: c, pieceWidth }: StructuralResponse,
  { piece, into, h }: Place,
  force: number[],
): number {
  const at = pieceWidth * piece;
  const [rise, bend] = [c[at + 1]!, c[at + 2]!];
  force[0] = c[at]! + into * (rise + into * bend);
  force[1] = (rise + 2 * into * bend) * h;
  force[2] = bend * h * h;
  return force[2] !== 0 ? 3 : force[1] !== 0 ? 2 : 1;
}

/** Writes the slope of a deflection by powers of t, with that by which the member leans before anything acts. */
export function writeSlope(
  response: StructuralResponse,
  deflection: 'v' | 'w',
  { piece, into, h }: Place,
  lean: Lean,
  slope: number[],
): void {
  const c = response.coefficients;
  const at = response.pieceWidth * piece + offsetOf(deflection) + 1;
  const own = lean[deflection];
  // How it leans, from where the piece begins, and how the piece is bent; both from where the stretch begins.
  for (let n = 0; n < OF_SLOPE; n++) slope[n] = n < own.length ? own[n]! : 0;
  shift(slope, response.pieces.from[piece]!);
  for (let n = 0; n < OF_SLOPE; n++) slope[n]! += (n + 1) * c[at + n]!;
  shift(slope, into);
  for (let n = 1, power = h; n < OF_SLOPE; n++, power *= h) slope[n]! *= power;
}

/** A polynomial seen from a place further on (Horner). */
function shift(c: number[], by: number): void {
  if (by === 0) return;
  let last = c.length - 1;
  while (last > 0 && c[last] === 0) last--;
  for (let k = 0; k < last; k++) for (let i = last - 1; i >= k; i--) c[i]! += by * c[i + 1]!;
}

/** Writes N times a slope, by powers of t. */
export function writePush(force: readonly number[], slope: readonly number[], push: number[]): void {
  const [N0, N1, N2] = [force[0]!, force[1]!, force[2]!];
  for (let n = 0; n < OF_PUSH; n++) push[n] = n < OF_SLOPE ? N0 * slope[n]! : 0;
  if (N1 !== 0) for (let n = 0; n < OF_SLOPE; n++) push[n + 1]! += N1 * slope[n]!;
  if (N2 !== 0) for (let n = 0; n < OF_SLOPE; n++) push[n + 2]! += N2 * slope[n]!;
}

/** ∫ p(t) dt over 0…1. */
export function integral(p: readonly number[]): number {
  let sum = 0;
  for (let n = 0; n < p.length; n++) sum += p[n]! / (n + 1);
  return sum;
}
