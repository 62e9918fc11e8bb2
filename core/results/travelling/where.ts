import type { LineQuantity } from '../quantities';
import type { Solution } from '../results';
import { travelReader } from './reader';
import type { StandingTrain } from './trains-at';

/** Where the trains of an outcome stand for its greatest (side 1) or its least value of a quantity at x of member m; none where none travel in it. */
export function trainsFor(
  solution: Solution,
  outcome: number,
  place: { readonly m: number; readonly quantity: LineQuantity; readonly x: number },
  side: 1 | -1,
): readonly StandingTrain[] {
  const one = solution.outcomes[outcome];
  if (one?.kind !== 'travelling') return [];
  const found = travelReader(solution, outcome, one, place.m).standing(place.quantity, place.x);
  return side > 0 ? found.max : found.min;
}
