import { isRange } from '../combinations/outcome';
import type { Fibres } from '../sections/fibres';
import { forcesFrom, pieceFrom, type Derived, type Forces } from './derived/derived';
import { curvePoints, type CurvePoint, type Range } from './curve-points';
import { diagramOf, type Diagram } from './diagram';
import type { Extremes } from './extreme';
import { enclosing, extremesIn } from './extremes';
import { isLine, quantityTable, type Quantity } from './quantities';
import { extremesRead } from './envelope-reading';
import { AT_ENDS, partsOf, pieceOf, valueIn } from './read';
import { readingOf } from './readings';
import type { Solution } from './results';

/** All quantities of one member in one outcome: of an envelope the diagrams of its parts are found once, and asked as often as one likes. */
export interface MemberReader {
  /** At x metres from the start; undefined where the quantity is not known. */
  readonly at: (quantity: Quantity, x: number) => Range | undefined;
  /** The curve along the whole member, as `curvePoints`. */
  readonly curve: (quantity: Quantity) => readonly CurvePoint[] | undefined;
  /** Exact, as `extremes`; undefined where the quantity is not known. */
  readonly extremes: (quantity: Quantity) => Extremes | undefined;
}

export function memberReader(solution: Solution, outcome: number, m: number): MemberReader {
  const fibres = solution.fibres[m];
  const parts = partsOf(solution, outcome).map((part) => ({ part, diagram: diagramOf(solution, part, m) }));
  return {
    at: (quantity, x) => {
      let [max, min] = [-Infinity, Infinity];
      for (const { diagram } of parts) {
        const one = rangeIn(diagram, fibres, quantity, x);
        if (!one) return undefined;
        max = Math.max(max, one.max);
        min = Math.min(min, one.min);
      }
      return { max, min };
    },
    curve: (quantity) =>
      curvePoints(
        parts.map(({ diagram }) => diagram),
        fibres,
        quantity,
      ),
    extremes: (quantity) => {
      const all = parts.map(({ part, diagram }) => extremesOf(diagram, fibres, quantity, part));
      return all.every((one) => one !== undefined) ? enclosing(all) : undefined;
    },
  };
}

function rangeIn(diagram: Diagram, fibres: Fibres | undefined, quantity: Quantity, x: number): Range | undefined {
  if (isLine(quantity)) {
    const value = valueIn(diagram, quantity, x);
    return { max: value, min: value };
  }
  const derived = quantityTable[quantity].derived!;
  return derived.at(
    forcesFrom(derived, (force) => valueIn(diagram, force, x)),
    fibres,
  );
}

/** Any quantity of member m at x metres from its start; undefined where it is not known there. */
export const rangeAt = (solution: Solution, outcome: number, m: number, quantity: Quantity, x: number): Range | undefined =>
  memberReader(solution, outcome, m).at(quantity, x);

/** The exact extremes of any quantity on member m, as `extremes`; undefined where it is not known. An envelope that was read ahead is looked up. */
export function quantityExtremes(solution: Solution, outcome: number, m: number, quantity: Quantity): Extremes | undefined {
  const reading = readingOf(solution, outcome);
  if (reading) return extremesRead(reading, quantity, m);
  if (isRange(solution.outcomes[outcome]!)) return memberReader(solution, outcome, m).extremes(quantity);
  return extremesOf(diagramOf(solution, outcome, m), solution.fibres[m], quantity, outcome);
}

const extremesOf = (diagram: Diagram, fibres: Fibres | undefined, quantity: Quantity, from: number): Extremes | undefined =>
  isLine(quantity)
    ? extremesIn(diagram, quantity, from)
    : derivedExtremes(quantityTable[quantity].derived!, fibres, diagram, from);

/** The same of a derived quantity in one diagram; `from`: the outcome that it belongs to. */
export function derivedExtremes(
  derived: Derived,
  fibres: Fibres | undefined,
  diagram: Diagram,
  from: number,
): Extremes | undefined {
  let [max, min]: (Extremes['max'] | undefined)[] = [];
  const meet = (x: number, forces: Forces): void => {
    const range = derived.at(forces, fibres);
    if (!range) return;
    // Rounding must not move the place of a value that several points share.
    const slack = 1e-11 * Math.max(Math.abs(range.max), Math.abs(range.min));
    if (!max || range.max > max.value + slack) max = { x, value: range.max, from };
    if (!min || range.min < min.value - slack) min = { x, value: range.min, from };
  };
  meet(0, endForces(derived, diagram, 'start'));
  for (let k = diagram.first; k < diagram.end; k++) {
    const start = diagram.from[k]!;
    const length = diagram.to[k]! - start;
    const piece = pieceFrom(derived, length, (force) => pieceOf(diagram, k, force));
    for (const s of [0, ...derived.turns(piece, fibres).sort((a, b) => a - b), length])
      meet(
        start + s,
        forcesFrom(derived, (force) => value(piece[force], s)),
      );
  }
  meet(diagram.length, endForces(derived, diagram, 'end'));
  return max && min && { max, min };
}

const value = (c: Float64Array, s: number): number => c.reduceRight((sum, coefficient) => sum * s + coefficient, 0);

/** What the ends feel counts too: a load right at an end acts between the end and the first piece. */
const endForces = (derived: Derived, { ends, endsAt }: Diagram, side: 'start' | 'end'): Forces =>
  forcesFrom(derived, (force) => {
    const rule = AT_ENDS[force]!;
    return side === 'start' ? rule[1] * ends[endsAt + rule[0]]! : rule[3] * ends[endsAt + rule[2]]!;
  });
