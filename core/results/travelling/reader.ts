import type { Travelling } from '../../combinations/outcome';
import type { CurvePoint, Range } from '../curve-points';
import { diagramOfResponse, diagramOfSum, type Diagram } from '../diagram';
import type { Extremes } from '../extreme';
import { addShifted, evaluate } from '../polynomial';
import { degreeOf, isLine, isStored, lineQuantities, quantityTable, type LineQuantity, type Quantity } from '../quantities';
import { pieceAt, pieceOf, valueIn } from '../read';
import type { Solution } from '../results';
import { UNIT_PLACES } from '../../model/loads/travelling';
import { mostOver } from './most-over';
import type { Travel } from './travel';
import type { OwnMember } from './travel-line';
import { trainsAt, withTrains, type TrainsAt } from './trains-at';

/** One member under a sum and trains that travel. */
export interface TravelReader {
  /** Undefined of what is derived from several forces and is no sum of them, since trains do not make these greatest together. */
  readonly at: (quantity: Quantity, x: number) => Range | undefined;
  /** Where the trains stand for the values at x. */
  readonly standing: (quantity: LineQuantity, x: number) => TrainsAt;
  readonly curve: (quantity: Quantity) => readonly CurvePoint[] | undefined;
  readonly extremes: (quantity: Quantity) => Extremes | undefined;
}

/** Steps of a curve between two places at which something changes: on the way of a train it bends more often. */
const STEPS = { onPath: 24, beside: 8 } as const;
/** Forces between axles, and ends of members without loads, do not turn between those. */
const CONSTANT = new Set<LineQuantity>(['N', 'Vy', 'Vz', 'T']);

/** A sum of stored quantities, by their factors. */
type Measure = readonly (readonly [LineQuantity, number])[];

/** `outcome`: its place, by which extremes name it. */
export function travelReader(solution: Solution, outcome: number, of: Travelling, m: number): TravelReader {
  const fixed = diagramOfSum(solution, of.factors, m);
  const { length } = fixed;
  const diagrams = new Map<number, Diagram>();
  const diagram = (response: number): Diagram => {
    const known = diagrams.get(response) ?? diagramOfResponse(solution, solution.responses[response]!, m);
    diagrams.set(response, known);
    return known;
  };
  const travels = of.trains.map(({ train }) => solution.travels![train]!);
  const isOnPath = travels.some(({ path }) => path.spans.some((span) => span.kind === 'member' && span.member === m));
  const behinds = new Map<LineQuantity, Map<Travel, Float64Array | undefined>>(lineQuantities.map((one) => [one, new Map()]));
  const behindOf = (travel: Travel, quantity: LineQuantity): Float64Array | undefined => {
    const known = behinds.get(quantity)!;
    if (!known.has(travel)) known.set(travel, behind(travel, m, quantity, diagram));
    return known.get(travel);
  };
  const ownOf = (travel: Travel, measure: Measure, x: number): OwnMember | undefined => {
    const sum = new Float64Array(4);
    for (const [quantity, factor] of measure) {
      const own = behindOf(travel, quantity);
      if (!own) return undefined;
      own.forEach((c, k) => (sum[k]! += factor * c));
    }
    return { member: m, x, length, behind: sum };
  };
  const trainsOf = (measure: Measure, x: number): TrainsAt =>
    trainsAt(
      solution,
      of,
      (response) => measure.reduce((sum, [quantity, factor]) => sum + factor * valueIn(diagram(response), quantity, x), 0),
      (travel) => (isOnPath ? ownOf(travel, measure, x) : undefined),
    );
  const rangeOf = (measure: Measure, k: number, x: number): Range => {
    let value = 0;
    for (const [quantity, factor] of measure) {
      const c = pieceOf(fixed, k, quantity);
      value += factor * evaluate(c, 0, c.length - 1, x - fixed.from[k]!);
    }
    return withTrains(value, trainsOf(measure, x));
  };
  const found = new Map<Quantity, readonly Measure[] | undefined>();
  const measuresOf = (quantity: Quantity): readonly Measure[] | undefined => {
    if (!found.has(quantity))
      found.set(quantity, isLine(quantity) ? [[[quantity, 1]]] : quantityTable[quantity].derived!.sums?.(solution.fibres[m]));
    return found.get(quantity);
  };
  /** At x of piece k: at its ends too, where others may follow. */
  const onPiece = (measures: readonly Measure[], k: number, x: number): Range => {
    let [max, min] = [-Infinity, Infinity];
    for (const measure of measures) {
      const one = rangeOf(measure, k, x);
      max = Math.max(max, one.max);
      min = Math.min(min, one.min);
    }
    return { max, min };
  };
  /** What is straight between its ends under every position of the trains is nowhere greater than there. */
  const isStraight = (measures: readonly Measure[], k: number): boolean =>
    !isOnPath &&
    measures.every((measure) =>
      measure.every(
        ([quantity]) =>
          quantity !== 'v' &&
          quantity !== 'w' &&
          pieceOf(fixed, k, quantity).every((c, i) => i < (CONSTANT.has(quantity) ? 1 : 2) || c === 0),
      ),
    );
  const isConstant = (quantity: Quantity): boolean => isLine(quantity) && CONSTANT.has(quantity);
  const stepsOf = (quantity: Quantity, measures: readonly Measure[], k: number): number =>
    isOnPath ? STEPS.onPath : isConstant(quantity) && isStraight(measures, k) ? 1 : STEPS.beside;
  return {
    at: (quantity, x) => {
      const measures = measuresOf(quantity);
      return measures && onPiece(measures, pieceAt(fixed, x), x);
    },
    standing: (quantity, x) => trainsOf([[quantity, 1]], x),
    curve: (quantity) => {
      const measures = measuresOf(quantity);
      if (!measures) return undefined;
      const points: CurvePoint[] = [];
      for (let k = fixed.first; k < fixed.end; k++) {
        const [from, to] = [fixed.from[k]!, fixed.to[k]!];
        const steps = stepsOf(quantity, measures, k);
        for (let i = 0; i <= steps; i++) {
          const x = i === steps ? to : from + ((to - from) * i) / steps;
          points.push({ x, ...onPiece(measures, k, x) });
        }
      }
      return points;
    },
    extremes: (quantity) => {
      const measures = measuresOf(quantity);
      if (!measures) return undefined;
      const zero = { x: 0, value: 0, from: outcome };
      if (isLine(quantity) && !isStored(fixed.width, quantity)) return { max: zero, min: zero };
      let [max, min] = [{ ...zero, value: -Infinity }, { ...zero, value: Infinity }]; // oxfmt-ignore
      for (let k = fixed.first; k < fixed.end; k++) {
        const steps = isStraight(measures, k) ? 1 : stepsOf(quantity, measures, k);
        const most = mostOver((x) => onPiece(measures, k, x), { from: fixed.from[k]!, to: fixed.to[k]!, steps });
        const slack = 1e-11 * Math.max(Math.abs(most.max.value), Math.abs(most.min.value));
        if (most.max.value > max.value + slack || max.value === -Infinity) max = { ...most.max, from: outcome };
        if (most.min.value < min.value - slack || min.value === Infinity) min = { ...most.min, from: outcome };
      }
      return { max, min };
    },
  };
}

/** What a force on member m does behind itself beside what it does before: told by the two pieces that meet under one of them. Undefined beside the path. */
function behind(
  { path, units }: Travel,
  m: number,
  quantity: LineQuantity,
  diagram: (response: number) => Diagram,
): Float64Array | undefined {
  const i = path.spans.findIndex((span) => span.kind === 'member' && span.member === m);
  if (i < 0) return undefined;
  // One in the middle, which has enough of the member on both sides.
  const place = 1;
  const one = diagram(units[i]![place]!);
  const a = UNIT_PLACES[place] * one.length;
  const after = pieceAt(one, a);
  const before = pieceOf(one, after - 1, quantity);
  const found = pieceOf(one, after, quantity).slice();
  addShifted({ coefficients: before, at: 0, degree: degreeOf(quantity) }, a - one.from[after - 1]!, -1, found, 0);
  // Nothing but a force acts: no quantity is more than a cubic.
  return found.subarray(0, 4);
}
