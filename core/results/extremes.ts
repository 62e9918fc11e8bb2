import { derivative, evaluate, signChanges } from './polynomial';
import { degreeOf, type LineQuantity } from './quantities';
import { endValues, pieceOf } from './read';
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

function linearExtremes(solution: Solution, linear: LinearOutcome, from: number, m: number, quantity: LineQuantity): Extremes {
  const { pieces, structure } = solution;
  const candidates: { x: number; value: number }[] = [];
  const outside = endValues(linear, m, quantity);
  if (outside) candidates.push({ x: 0, value: outside[0] });
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    const start = pieces.from[k]!;
    const length = pieces.to[k]! - start;
    const polynomial = pieceOf(linear, k, quantity);
    for (const s of [0, ...signChanges(derivative(polynomial), length), length]) {
      candidates.push({ x: start + s, value: evaluate(polynomial, 0, degreeOf(quantity), s) });
    }
  }
  if (outside) candidates.push({ x: structure.lengths[m]!, value: outside[1] });
  // Rounding must not move the place of a value that several points share.
  const slack = 1e-11 * candidates.reduce((size, { value }) => Math.max(size, Math.abs(value)), 0);
  const pick = (better: (a: number, b: number) => boolean): Extreme => {
    const best = candidates.reduce((a, b) => (better(b.value, a.value) ? b : a));
    return { ...best, from };
  };
  return { max: pick((a, b) => a > b + slack), min: pick((a, b) => a < b - slack) };
}
