import { showNumber } from '../quantities/show';
import { WORKINGS_DIGITS } from './units';

/** How the numbers of workings are written: as they are, or stiffness and movement with the EI of a member as their common factor, and fractions where they are ones. */
export const workingsWays = ['plain', 'in EI'] as const;
export type WorkingsWay = (typeof workingsWays)[number];

/** Whether the numbers of a page are written, or left to be filled in, or both: first the page to fill in, then the solution. */
export const numbersWays = ['written', 'blank', 'both'] as const;
export type NumbersWay = (typeof numbersWays)[number];

/** Denominators of fractions that one reads as such. */
const MOST = 200;
const ALIKE = 1e-10;

/** A number of the workings; in EI a fraction is written as one where its decimals would not end. */
export function numberWords(value: number, way: WorkingsWay = 'plain'): string {
  const decimal = showNumber(value, WORKINGS_DIGITS);
  if (way === 'plain' || Math.abs(Number(value.toPrecision(WORKINGS_DIGITS)) - value) <= ALIKE * Math.abs(value)) return decimal;
  for (let q = 2; q <= MOST; q++) {
    const p = Math.round(value * q);
    if (p === 0 || Math.abs(value * q - p) > ALIKE * Math.abs(p)) continue;
    return `${p < 0 ? '−' : ''}${Math.abs(p)}/${q}`;
  }
  return decimal;
}
