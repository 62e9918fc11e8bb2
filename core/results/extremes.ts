import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { derivative, evaluate, signChanges } from './polynomial';
import { degreeOf, offsetOf, PIECE_WIDTH, type LineQuantity } from './quantities';
import { AT_ENDS } from './read';
import type { LinearOutcome, Solution } from './results';

export interface Extreme {
  /** Metres from the member's start. */
  readonly x: number;
  readonly value: number;
  /** Index of the outcome that governs. */
  readonly from: number;
}

export interface Extremes {
  readonly max: Extreme;
  readonly min: Extreme;
}

/**
 * Largest and smallest value of a quantity on member m: exact, from the ends of the pieces and the zeros of their derivatives, with
 * both sides of every jump. Of equal values the one nearest the start counts. An envelope takes the extremes of its parts.
 */
export function extremes(solution: Solution, outcome: number, m: number, quantity: LineQuantity): Extremes {
  const linear = solution.linear[outcome];
  if (linear) return linearExtremes(solution, linear, outcome, m, quantity);
  const kind = solution.outcomes[outcome]!;
  const parts = kind.kind === 'envelope' ? kind.parts : [];
  const all = parts.map((part) => linearExtremes(solution, solution.linear[part]!, part, m, quantity));
  return {
    max: all.map(({ max }) => max).reduce((a, b) => (b.value > a.value ? b : a)),
    min: all.map(({ min }) => min).reduce((a, b) => (b.value < a.value ? b : a)),
  };
}

/** Candidates of the member at hand: places and values, how many, and the largest size. The arrays grow with the largest member seen. */
let places = new Float64Array(64);
let values = new Float64Array(64);
let used = 0;
let size = 0;

function add(x: number, value: number): void {
  places[used] = x;
  values[used++] = value;
  const absolute = Math.abs(value);
  if (absolute > size) size = absolute;
}

function linearExtremes(solution: Solution, linear: LinearOutcome, from: number, m: number, quantity: LineQuantity): Extremes {
  const { pieces, structure } = solution;
  const degree = degreeOf(quantity);
  const offset = offsetOf(quantity);
  const end = pieces.first[m + 1]!;
  const most = 2 + (end - pieces.first[m]!) * (degree + 2);
  if (values.length < most) {
    places = new Float64Array(2 * most);
    values = new Float64Array(2 * most);
  }
  used = 0;
  size = 0;
  // What the ends feel counts too: a load right at an end acts between the end and the first piece.
  const rule = AT_ENDS[quantity];
  if (rule) add(0, rule[1] * linear.ends[MEMBER_FREEDOMS * m + rule[0]]!);
  const c = linear.coefficients;
  for (let k = pieces.first[m]!; k < end; k++) {
    const start = pieces.from[k]!;
    const length = pieces.to[k]! - start;
    const at = k * PIECE_WIDTH + offset;
    add(start, c[at]!);
    const highest = effectiveDegree(c, at, degree);
    if (highest === 2) {
      const s = -c[at + 1]! / (2 * c[at + 2]!);
      if (s > 0 && s < length) add(start + s, evaluate(c, at, 2, s));
    } else if (highest > 2) {
      const polynomial = c.subarray(at, at + degree + 1);
      for (const s of signChanges(derivative(polynomial), length)) add(start + s, evaluate(c, at, degree, s));
    }
    if (highest > 0) add(start + length, evaluate(c, at, highest, length));
  }
  if (rule) add(structure.lengths[m]!, rule[3] * linear.ends[MEMBER_FREEDOMS * m + rule[2]]!);
  // Rounding must not move the place of a value that several points share.
  const slack = 1e-11 * size;
  let max = 0;
  let min = 0;
  for (let i = 1; i < used; i++) {
    if (values[i]! > values[max]! + slack) max = i;
    if (values[i]! < values[min]! - slack) min = i;
  }
  return { max: { x: places[max]!, value: values[max]!, from }, min: { x: places[min]!, value: values[min]!, from } };
}

function effectiveDegree(c: Float64Array, at: number, degree: number): number {
  let highest = degree;
  while (highest > 0 && c[at + highest] === 0) highest--;
  return highest;
}
