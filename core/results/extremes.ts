import { derivative, evaluate, signChanges } from './polynomial';
import { degreeOf, offsetOf, PIECE_WIDTH, type LineQuantity } from './quantities';
import { endValues } from './read';
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

/** Candidates of the member at hand: places and values. They grow with the largest member seen. */
let places = new Float64Array(64);
let values = new Float64Array(64);

function linearExtremes(solution: Solution, linear: LinearOutcome, from: number, m: number, quantity: LineQuantity): Extremes {
  const { pieces, structure } = solution;
  const degree = degreeOf(quantity);
  const count = pieces.first[m + 1]! - pieces.first[m]!;
  if (values.length < 2 + count * (degree + 2)) {
    places = new Float64Array(2 * (2 + count * (degree + 2)));
    values = new Float64Array(places.length);
  }
  let [used, size] = [0, 0];
  const add = (x: number, value: number): void => {
    places[used] = x;
    values[used++] = value;
    if (Math.abs(value) > size) size = Math.abs(value);
  };
  const outside = endValues(linear, m, quantity);
  if (outside) add(0, outside[0]);
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    const start = pieces.from[k]!;
    const length = pieces.to[k]! - start;
    const c = linear.coefficients;
    const at = k * PIECE_WIDTH + offsetOf(quantity);
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
  if (outside) add(structure.lengths[m]!, outside[1]);
  // Rounding must not move the place of a value that several points share.
  const slack = 1e-11 * size;
  let [max, min] = [0, 0];
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
