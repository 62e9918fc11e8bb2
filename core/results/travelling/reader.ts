import type { Travelling } from '../../combinations/outcome';
import { diagramOfResponse, diagramOfSum, type Diagram } from '../diagram';
import { piecewiseReader, valueAtEnd, valueOnPiece, type Measure, type PlaceReader } from '../piecewise-range';
import { addShifted } from '../polynomial';
import { degreeOf, isLine, lineQuantities, type LineQuantity, type Quantity } from '../quantities';
import { pieceAt, pieceOf, valueIn } from '../read';
import type { Solution } from '../results';
import { UNIT_PLACES } from '../../model/loads/travelling';
import type { Travel } from './travel';
import type { OwnMember } from './travel-line';
import { trainsAt, withTrains, type TrainsAt } from './trains-at';

/** One member under a sum and trains that travel. */
export interface TravelReader extends PlaceReader {
  /** Where the trains stand for the values at x. */
  readonly standing: (quantity: LineQuantity, x: number) => TrainsAt;
}

/** Steps of a curve between two places at which something changes: on the way of a train it bends more often. */
const STEPS = { onPath: 24, beside: 8 } as const;
/** Forces between axles, and ends of members without loads, do not turn between those. */
const CONSTANT = new Set<LineQuantity>(['N', 'Vy', 'Vz', 'T']);

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
  const reader = piecewiseReader({
    ...{ solution, outcome, m, pieces: fixed },
    rangeOn: (measure, k, x) => withTrains(valueOnPiece(fixed, measure, k, x), trainsOf(measure, x)),
    atEnd: (measure, side) => withTrains(valueAtEnd(fixed, measure, side), trainsOf(measure, side === 'start' ? 0 : length)),
    steps: (quantity, measures, k) => {
      const drawn = stepsOf(quantity, measures, k);
      return { drawn, sought: isStraight(measures, k) ? 1 : drawn };
    },
  });
  return { ...reader, standing: (quantity, x) => trainsOf([[quantity, 1]], x) };
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
