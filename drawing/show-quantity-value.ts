import { unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showQuantity } from '@rigid-beam/core/quantities/show';
import { quiet, sizesOf } from '@rigid-beam/core/results/noise';
import type { Solution } from '@rigid-beam/core/results/results';
import { quantityTable, type Quantity } from '@rigid-beam/core/results/quantities';

/** The unit in which a project shows a quantity along a member. */
export const unitOfQuantity = (quantity: Quantity, display: DisplayUnits): string =>
  quantityTable[quantity].dimension === 'length' ? display.deflection : unitOf(quantityTable[quantity].dimension, display);

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

/** A value along a member without its noise: nothing beside the forces of the outcome is 0. */
export function quietValue(solution: Solution, outcome: number, quantity: Quantity, value: number): number {
  const { dimension } = quantityTable[quantity];
  if (dimension !== 'force' && dimension !== 'moment') return value;
  const sizes = sizesOf(solution, outcome);
  return quiet(value, dimension === 'force' ? sizes.force : sizes.couple);
}
