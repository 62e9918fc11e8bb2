import { isByPlace, isRange, type Outcome } from '../combinations/outcome';
import type { BoundCurve, EnvelopeReading } from './envelope-reading';
import { quantitiesOf, quantityTable, type Quantity } from './quantities';
import { partsOf } from './read';
import type { Solution } from './results';

/** Members times parts of an envelope from which on it is read ahead, outside the page, and not when somebody looks at it. */
const MANY = 30_000;
/** As many parts of one value take as long as one that is read place by place. */
const BY_PLACE = 4000;

export const readingOf = ({ readings }: Solution, outcome: number): EnvelopeReading | undefined => readings?.get(outcome);

/** As many outcomes of one value take as long to read as one: many more where trains travel in it or the ground moves. */
export const workOf = (solution: Solution, outcome: number): number =>
  partsOf(solution, outcome).reduce((sum, part) => sum + costOf(solution.outcomes[part]!), 0);

const costOf = (outcome: Outcome): number => (isByPlace(outcome) ? BY_PLACE : 1);

/** Whether an outcome is so large that all its members can be looked at only when it was read. */
export function isReadAhead(solution: Solution, outcome: number): boolean {
  const one = solution.outcomes[outcome];
  if (one === undefined || !isRange(one)) return false;
  return workOf(solution, outcome) * solution.structure.names.members.length > MANY;
}

/** Whether all members of an outcome may be looked at now; with a quantity, whether its diagrams may. */
export function isReady(solution: Solution, outcome: number, drawn?: Quantity): boolean {
  if (!isReadAhead(solution, outcome)) return true;
  const reading = readingOf(solution, outcome);
  return reading !== undefined && (drawn === undefined || reading.curves.has(drawn));
}

/** Whether a quantity follows from shear on the outlines of sections, and that was not found yet. */
export const lacksShear = (solution: Solution, quantity: Quantity): boolean =>
  quantityTable[quantity].derived?.takesShear === true && solution.isShearKnown !== true;

/** Whether a quantity is not there yet, and will be: what it follows from is being found, or its envelope is being read. */
export function isAwaited(solution: Solution, outcome: number, quantity: Quantity): boolean {
  if (lacksShear(solution, quantity)) return true;
  return isReadAhead(solution, outcome) && readingOf(solution, outcome)?.extremes.has(quantity) !== true;
}

/** The quantities of a structure that can be read by now. */
export const readableOf = (solution: Solution): Quantity[] =>
  quantitiesOf(solution.structure).filter((quantity) => !lacksShear(solution, quantity));

/** The solution with what is known of the shear on its sections (`fibresOf` with shear points). */
export const withShear = (solution: Solution, fibres: Solution['fibres']): Solution => ({
  ...solution,
  fibres,
  isShearKnown: true,
});

/** What was found of an envelope: the extremes of all quantities, or the bounds of one, or both. */
export interface Found {
  readonly extremes?: EnvelopeReading['extremes'];
  readonly curve?: readonly [Quantity, BoundCurve];
}

/** The solution with what was found of one of its envelopes, beside what was known. */
export function withFound(solution: Solution, outcome: number, { extremes, curve }: Found): Solution {
  const known = readingOf(solution, outcome);
  const reading: EnvelopeReading = {
    extremes: extremes ?? known?.extremes ?? new Map(),
    curves: new Map([...(known?.curves ?? []), ...(curve ? [curve] : [])]),
  };
  return { ...solution, readings: new Map([...(solution.readings ?? []), [outcome, reading]]) };
}
