import type { Quantity } from './quantities';
import { readCurve } from './read-curve';
import { readExtremes } from './read-extremes';
import { isReadAhead, isReady, readingOf, withFound } from './readings';
import type { Solution } from './results';

/** The solution with all that drawing a quantity of an outcome asks for: an envelope that is read ahead is read here and now, which takes its time. */
export function readNow(solution: Solution, outcome: number, quantity: Quantity): Solution {
  if (!isReadAhead(solution, outcome) || isReady(solution, outcome, quantity)) return solution;
  const extremes = readingOf(solution, outcome)?.extremes ?? ended(readExtremes(solution, outcome));
  return withFound(solution, outcome, { extremes, curve: [quantity, ended(readCurve(solution, outcome, quantity))] });
}

/** What a reading finds when nobody interrupts it. */
export function ended<T>(reading: Generator<number, T>): T {
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value;
}
