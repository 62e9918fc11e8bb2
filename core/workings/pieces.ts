import { isImposed } from './fixed-ends';
import { forceAt, tracedIn, type Traced } from './forces-at';
import type { WorkedMember } from './worked-member';

/** A stretch of a member on which each force is one polynomial of x, metres from the member’s start: its coefficients from the constant on. */
export interface WorkedPiece {
  readonly from: number;
  readonly to: number;
  readonly forces: Readonly<Partial<Record<Traced, readonly number[]>>>;
}

/** Loads are linear at most: moments are cubic. */
const DEGREE = 3;
/** Parts of a stretch at which it is read: within it, so that no jump at its ends is met. */
const PLACES = [0.1, 0.36, 0.64, 0.9];

/** The pieces of a member’s diagrams, between the ends of its loads, from its end forces and its loads. */
export function piecesOf(one: WorkedMember): readonly WorkedPiece[] {
  const breaks = [0, one.L, ...one.loads.filter(({ formula }) => !isImposed(formula)).flatMap(({ a, b }) => [a, b])];
  const places = [...breaks].sort((a, b) => a - b).filter((x, i, all) => i === 0 || x - all[i - 1]! > 1e-9 * one.L);
  return places.slice(1).map((to, i): WorkedPiece => {
    const from = places[i]!;
    const xs = PLACES.map((part) => from + part * (to - from));
    const forces = Object.fromEntries(tracedIn(one.own).map((force) => [force, through(xs, xs.map((x) => forceAt(one, force, x)))])); // oxfmt-ignore
    return { from, to, forces };
  });
}

/** The polynomial through some points, by divided differences; what is noise beside the values is nothing. */
function through(xs: readonly number[], values: readonly number[]): readonly number[] {
  const divided = [...values];
  for (let order = 1; order <= DEGREE; order++)
    for (let i = DEGREE; i >= order; i--) divided[i] = (divided[i]! - divided[i - 1]!) / (xs[i]! - xs[i - order]!);
  let coefficients: number[] = [];
  for (let i = DEGREE; i >= 0; i--) {
    const shifted = [0, ...coefficients];
    coefficients = shifted.map((one, k) => one - xs[i]! * (coefficients[k] ?? 0));
    coefficients[0] = coefficients[0]! + divided[i]!;
  }
  const size = Math.max(...values.map(Math.abs));
  const reach = Math.max(...xs.map(Math.abs));
  return coefficients.map((one, power) => (Math.abs(one) * reach ** power <= 1e-9 * size ? 0 : one));
}
