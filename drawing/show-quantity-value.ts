import { unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { quantityTable, type Quantity } from '@rigid-beam/core/results/quantities';

/** The unit in which a project shows a quantity along a member. */
export const unitOfQuantity = (quantity: Quantity, display: DisplayUnits): string =>
  quantityTable[quantity].dimension === 'length' ? display.deflection : unitOf(quantityTable[quantity].dimension, display);

/** A value with its unit; an axial force with its letter, T in tension and C in compression. */
export function showValue(quantity: Quantity, value: number, display: DisplayUnits): string {
  const unit = unitOfQuantity(quantity, display);
  if (quantity !== 'N') return showQuantity(value, unit);
  return `${value >= 0 ? 'T' : 'C'} ${showQuantity(Math.abs(value), unit)}`;
}
