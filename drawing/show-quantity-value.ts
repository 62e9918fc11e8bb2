import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showQuantity } from '@rigid-beam/core/quantities/show';
import { quantityTable, unitOfQuantity, type Quantity } from '@rigid-beam/core/results/quantities';

/** A value with its unit; an axial force with its letter, T in tension and C in compression. */
export function showValue(quantity: Quantity, value: number, display: DisplayUnits): string {
  const unit = unitOfQuantity(quantity, display);
  // Nothing is neither pulled nor pressed.
  if (quantity !== 'N' || value === 0) return showQuantity(value, unit);
  return `${value >= 0 ? 'T' : 'C'} ${showQuantity(Math.abs(value), unit)}`;
}

/** Decimals that give the largest of some numbers three significant digits: the others then have as many decimals as it. */
const decimalsFor = (largest: number): number =>
  largest > 0 ? Math.min(8, Math.max(0, 2 - Math.floor(Math.log10(largest) + 1e-9))) : 0;

/** Whether the sheet writes a quantity without a sign, since the side on which it stands says it. */
export const isSignless = (quantity: Quantity): boolean =>
  (quantityTable[quantity].side < 0 && quantityTable[quantity].ink === 'moment') ||
  quantityTable[quantity].dimension === 'length';

/** What the sheet writes beside a diagram, as fine as the largest value asks: a moment and a deflection without a sign, since the side says it. */
export function valueOnSheet(quantity: Quantity, value: number, largest: number, display: DisplayUnits): string {
  const unit = unitOfQuantity(quantity, display);
  const text = Math.abs(inUnit(value, unit)).toFixed(decimalsFor(inUnit(largest, unit)));
  if (quantity === 'N') return `${value >= 0 ? 'T' : 'C'} ${text}`;
  return value < 0 && !isSignless(quantity) && Number(text) !== 0 ? `−${text}` : text;
}
