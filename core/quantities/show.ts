import { unitFactor } from './parse';

const MINUS = '−';
const factors = new Map<string, number>();

function factorOf(unit: string): number {
  let factor = factors.get(unit);
  if (factor === undefined) {
    factor = unit === '' ? 1 : unitFactor(unit);
    factors.set(unit, factor);
  }
  return factor;
}

/** The SI value expressed in `unit`. */
export const inUnit = (value: number, unit: string): number => value / factorOf(unit);

/** The SI value of a number in `unit`. */
export const fromUnit = (value: number, unit: string): number => value * factorOf(unit);

/**
 * A number for reading: `digits` significant digits, no trailing zeros, a true minus sign; values under 1e-9 of nothing are 0.
 * Very large and very small numbers take a power of ten.
 */
export function showNumber(value: number, digits = 4): string {
  if (!Number.isFinite(value)) return '–';
  if (Math.abs(value) < 1e-12) return '0';
  const size = Math.abs(value);
  const text =
    size >= 1e7 || size < 1e-4
      ? value
          .toExponential(digits - 1)
          .replace(/\.?0+e/, 'e')
          .replace('e+', 'e')
      : String(Number(size >= 10 ** (digits - 1) ? value.toFixed(size >= 10 ** digits ? 0 : 1) : value.toPrecision(digits)));
  return text.replace(/^-/, MINUS);
}

/** An SI value in `unit` with the unit behind it. */
export function showQuantity(value: number, unit: string, digits = 4): string {
  const shown = showNumber(inUnit(value, unit), digits);
  return unit === '' ? shown : `${shown} ${unit}`;
}

/** Digits to which two sums agree that differ by this share of their size; without end where they are the same, none where it is no number. */
export const digitsOfShare = (share: number): number =>
  Number.isNaN(share) ? 0 : share > 0 ? Math.max(0, Math.min(15, Math.floor(-Math.log10(share)))) : Infinity;
