import { isRange } from '../combinations/outcome';
import { diagramOf, type Diagram } from './diagram';
import type { Extremes } from './extreme';
import { evaluate, stationary } from './polynomial';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { AT_ENDS, partsOf } from './read';
import { Reach, widen } from './reach';
import type { Solution } from './results';

/**
 * Largest and smallest value of a quantity on member m: exact, from the ends of the pieces and the zeros of their derivatives, with
 * both sides of every jump. Of equal values the one nearest the start counts. An envelope takes the extremes of its parts.
 */
export function extremes(solution: Solution, outcome: number, m: number, quantity: LineQuantity): Extremes {
  if (!isRange(solution.outcomes[outcome]!)) return extremesIn(diagramOf(solution, outcome, m), quantity, outcome);
  return enclosing(partsOf(solution, outcome).map((part) => extremesIn(diagramOf(solution, part, m), quantity, part)));
}

/** The largest and the smallest of several extremes; of equal ones the first. */
export const enclosing = (all: readonly Extremes[]): Extremes => ({
  max: all.map(({ max }) => max).reduce((a, b) => (b.value > a.value ? b : a)),
  min: all.map(({ min }) => min).reduce((a, b) => (b.value < a.value ? b : a)),
});

/** Places and values of the candidates on the member at hand; the arrays grow with the largest member seen. */
let places = new Float64Array(64);
let values = new Float64Array(64);

/** The same of one diagram; `from`: the outcome that it belongs to. */
export function extremesIn(diagram: Diagram, quantity: LineQuantity, from: number): Extremes {
  const { coefficients: c, width, ends, endsAt, first, end } = diagram;
  if (!isStored(width, quantity)) return { max: { x: 0, value: 0, from }, min: { x: 0, value: 0, from } };
  const degree = degreeOf(quantity);
  const offset = offsetOf(quantity);
  const most = 2 + (end - first) * (degree + 2);
  if (values.length < most) {
    places = new Float64Array(2 * most);
    values = new Float64Array(2 * most);
  }
  // Variables of this function, since numbers that outlive it are stored anew at each change.
  const x = places;
  const value = values;
  let used = 0;
  // What the ends feel counts too: a load right at an end acts between the end and the first piece.
  const rule = AT_ENDS[quantity];
  if (rule) {
    x[used] = 0;
    value[used++] = rule[1] * ends[endsAt + rule[0]]!;
  }
  for (let k = first; k < end; k++) {
    const start = diagram.from[k]!;
    const length = diagram.to[k]! - start;
    const at = k * width + offset;
    x[used] = start;
    value[used++] = c[at]!;
    const highest = effectiveDegree(c, at, degree);
    if (highest === 0) continue;
    if (highest > 1) {
      const roots = stationary(c, at, highest, length);
      for (let i = 0; i < roots.length; i++) {
        const s = roots[i]!;
        if (!(s > 0 && s < length)) continue;
        x[used] = start + s;
        value[used++] = evaluate(c, at, highest, s);
      }
    }
    x[used] = start + length;
    value[used++] = evaluate(c, at, highest, length);
  }
  if (rule) {
    x[used] = diagram.length;
    value[used++] = rule[3] * ends[endsAt + rule[2]]!;
  }
  let size = 0;
  for (let i = 0; i < used; i++) size = Math.max(size, Math.abs(value[i]!));
  // Rounding must not move the place of a value that several points share.
  const slack = 1e-11 * size;
  let max = 0;
  let min = 0;
  for (let i = 1; i < used; i++) {
    if (value[i]! > value[max]! + slack) max = i;
    if (value[i]! < value[min]! - slack) min = i;
  }
  return { max: { x: x[max]!, value: value[max]!, from }, min: { x: x[min]!, value: value[min]!, from } };
}

/** Between which values a quantity certainly lies in a diagram; good until it is asked again. */
export function reachIn({ coefficients, width, ends, endsAt, first, end, from, to }: Diagram, quantity: LineQuantity): Reach {
  reach.reset();
  const [degree, offset] = [degreeOf(quantity), offsetOf(quantity)];
  if (isStored(width, quantity))
    for (let k = first; k < end; k++) widen(reach, coefficients, k * width + offset, degree, to[k]! - from[k]!);
  else reach.include(0);
  const rule = AT_ENDS[quantity];
  if (rule) {
    reach.include(rule[1] * ends[endsAt + rule[0]]!);
    reach.include(rule[3] * ends[endsAt + rule[2]]!);
  }
  return reach;
}

const reach = new Reach();

function effectiveDegree(c: Float64Array, at: number, degree: number): number {
  let highest = degree;
  while (highest > 0 && c[at + highest] === 0) highest--;
  return highest;
}
