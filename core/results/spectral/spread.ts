import { countingCases } from '../../combinations/counting-cases';
import type { Spectral } from '../../combinations/outcome';
import type { Range } from '../curve-points';

/** How far modes reach together: `read` gives a number of a mode, by its place among those of the outcome. */
export function reachOf({ spreads, modes }: Pick<Spectral, 'spreads' | 'modes'>, read: (mode: number) => number): number {
  const values = modes.map((_, i) => read(i));
  let reach = 0;
  for (const { factor, roots } of spreads) {
    let squares = 0;
    for (const root of roots) {
      let sum = 0;
      for (let i = 0; i < values.length; i++) sum += root[i]! * values[i]!;
      squares += sum * sum;
    }
    reach += factor * Math.sqrt(squares);
  }
  return reach;
}

/** A value, and how far it may lie on either side. */
export const around = (value: number, reach: number): Range => ({ max: value + reach, min: value - reach });

/** A number of the responses in a spectral outcome; `read` gives it by the place of the response. */
export function spectralRange(outcome: Spectral, read: (response: number) => number): Range {
  const { factors, modes } = outcome;
  let fixed = 0;
  for (const c of countingCases(factors)) fixed += factors[c]! * read(c);
  return around(
    fixed,
    reachOf(outcome, (i) => read(modes[i]!)),
  );
}
