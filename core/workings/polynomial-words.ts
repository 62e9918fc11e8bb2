import { showNumber } from '../quantities/show';
import { WORKINGS_DIGITS } from './units';

const POWERS = ['', ' x', ' x²', ' x³'];

/** A polynomial as it is written: `19.29 x − 6 x²`. */
export function polynomialWords(coefficients: readonly number[]): string {
  const terms = coefficients.flatMap((one, power) => (one === 0 ? [] : [{ one, power }]));
  if (terms.length === 0) return '0';
  return terms
    .map(({ one, power }, i) => {
      const size = `${showNumber(Math.abs(one), WORKINGS_DIGITS)}${POWERS[power]}`;
      return i === 0 ? (one < 0 ? `−${size}` : size) : `${one < 0 ? '−' : '+'} ${size}`;
    })
    .join(' ');
}
