import { isByPlace } from '../combinations/outcome';
import type { Range } from './curve-points';
import { rangeByPlace } from './place-reader';
import { nodalAt, partsOf } from './read';
import type { Solution } from './results';
import { trainsAt, type TrainsAt } from './travelling/trains-at';

type Key = 'displacements' | 'reactions';

/** The greatest and the least value that several outcomes have, and which of them has it. */
export interface Governed extends Range {
  readonly maxFrom: number;
  readonly minFrom: number;
}

/** Largest and smallest of the values, or ranges, that `read` gives for each part of an envelope, with the governing outcome; of equal ones the first. */
export function enveloped(parts: readonly number[], read: (part: number) => number | Range): Governed {
  let [max, min, maxFrom, minFrom] = [-Infinity, Infinity, parts[0]!, parts[0]!];
  for (const part of parts) {
    const one = read(part);
    const [high, low] = typeof one === 'number' ? [one, one] : [one.max, one.min];
    if (high > max) [max, maxFrom] = [high, part];
    if (low < min) [min, minFrom] = [low, part];
  }
  return { max, min, maxFrom, minFrom };
}

/** A number of the nodes, as `nodalAt`, over some outcomes that are no envelopes. */
export const nodalOver = (solution: Solution, parts: readonly number[], key: Key, f: number): Governed =>
  enveloped(parts, (part) => {
    const one = solution.outcomes[part]!;
    return isByPlace(one) ? rangeByPlace(solution, one, (r) => solution.responses[r]![key][f]!) : nodalAt(solution, part, key, f);
  });

/** A number of the nodes in any outcome: the greatest and the least value, which are one unless it is a range. */
export const nodalRange = (solution: Solution, outcome: number, key: Key, f: number): Governed =>
  nodalOver(solution, partsOf(solution, outcome), key, f);

/** Where the trains of an outcome stand for the greatest and the least of that number; undefined where none travels in it. */
export function nodalTrains(solution: Solution, outcome: number, key: Key, f: number): TrainsAt | undefined {
  const one = solution.outcomes[outcome]!;
  return one.kind === 'travelling' ? trainsAt(solution, one, (r) => solution.responses[r]![key][f]!) : undefined;
}
