import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { quantityTable, quantityWords } from '@rigid-beam/core/results/quantities';
import { isBars, isDeflection, type SheetQuantity, type View } from './view';

/** By which rule a quantity is drawn. */
export function ruleOf(
  quantity: SheetQuantity,
  { axial, style, face }: Pick<View, 'axial' | 'style' | 'face'>,
  display: DisplayUnits,
): string {
  const { side } = quantityTable[quantity];
  const { positive, rule } = quantityWords('space', quantity, display);
  if (isBars({ quantity, axial })) return 'width is force · T tension, C compression';
  if (style === 'colour' && !isDeflection(quantity)) return 'the stronger the colour, the larger';
  return rule ?? (side < 0 ? `on the ${face} face` : `positive: ${positive}`);
}
