import type { ByPlace } from '../combinations/outcome';
import type { Range } from './curve-points';
import type { PlaceReader } from './piecewise-range';
import type { Solution } from './results';
import { spectralReader } from './spectral/reader';
import { spectralRange } from './spectral/spread';
import { travelReader } from './travelling/reader';
import { travellingRange } from './travelling/trains-at';

/** One member of an outcome that is read place by place; `outcome`: where it stands among them. */
export const placeReader = (solution: Solution, outcome: number, of: ByPlace, m: number): PlaceReader =>
  of.kind === 'travelling' ? travelReader(solution, outcome, of, m) : spectralReader(solution, outcome, of, m);

/** A number of the responses in such an outcome; `read` gives it by the place of the response. */
export const rangeByPlace = (solution: Solution, of: ByPlace, read: (response: number) => number): Range =>
  of.kind === 'travelling' ? travellingRange(solution, of, read) : spectralRange(of, read);
