import { drawnUnit, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { quantityTable, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { isDeflection, type SheetQuantity } from '@rigid-beam/drawing/view';
import { lengthWords } from '@rigid-beam/drawing/scale-words';
import { readScale as WORDS } from './words';

export type ReadScale =
  | { readonly ok: true; readonly scale: number; readonly words: string }
  | { readonly ok: false; readonly words: string };

/**
 * A scale as it is typed: “1 cm = 5 kN·m”, or “20” for what a unit of length stands for; of deflections how many times larger than life.
 * Gives metres of the drawing for one SI unit.
 */
export function readScale(text: string, quantity: SheetQuantity, display: DisplayUnits): ReadScale {
  if (isDeflection(quantity)) {
    const times = parseQuantity(text.replace(/^\s*[×x]\s*/u, ''), 'number');
    if (!times.ok) return { ok: false, words: WORDS.noTimes(times.reason) };
    return times.value > 0
      ? { ok: true, scale: times.value, words: WORDS.times(times.value) }
      : { ok: false, words: WORDS.positive };
  }
  const [left, right] = text.includes('=') ? (text.split('=', 2) as [string, string]) : [`1 ${drawnUnit(display)}`, text];
  const length = parseQuantity(left, 'length', drawnUnit(display));
  if (!length.ok) return { ok: false, words: WORDS.noLength(length.reason) };
  const unit = unitOfQuantity(quantity, display);
  const value = parseQuantity(right, quantityTable[quantity].dimension, unit);
  if (!value.ok) return { ok: false, words: WORDS.noValue(value.reason) };
  if (!(value.value > 0) || !(length.value > 0)) return { ok: false, words: WORDS.positive };
  return { ok: true, scale: length.value / value.value, words: lengthWords(value.value / length.value, quantity, display) };
}
