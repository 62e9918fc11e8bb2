import type { Model } from '@rigid-beam/core/model/model';
import { readNow } from '@rigid-beam/core/results/read-now';
import type { Solution } from '@rigid-beam/core/results/results';
import type { View } from '../view';
import type { SheetAsked } from './asked';
import type { WidthOf } from './painter';
import { paperSheet, type PaperSheet } from './sheet';

/**
 * Some views of a model, a sheet each, numbered as they come; where no scale is asked for all to the largest one at which each of them fits.
 * Why one of them is no sheet, in words.
 */
export function sheetsOf(
  model: Model,
  solution: Solution | undefined,
  views: readonly View[],
  asked: Omit<SheetAsked, 'place'>,
  widthOf: WidthOf,
): readonly PaperSheet[] | string {
  const read =
    solution &&
    views.reduce((known, { outcome, quantity }) => (quantity === 'none' ? known : readNow(known, outcome, quantity)), solution);
  const allTo = (ratio: number | undefined): readonly PaperSheet[] | string => {
    const sheets: PaperSheet[] = [];
    for (const [i, view] of views.entries()) {
      const place = { number: i + 1, count: views.length };
      const sheet = paperSheet(model, read, view, { ...asked, place, ...(ratio !== undefined && { ratio }) }, widthOf);
      if (typeof sheet === 'string') return sheet;
      sheets.push(sheet);
    }
    return sheets;
  };
  const sheets = allTo(asked.ratio);
  if (typeof sheets === 'string') return sheets;
  const ratio = Math.max(...sheets.map(({ figure }) => figure.ratio));
  return sheets.every(({ figure }) => figure.ratio === ratio) ? sheets : allTo(ratio);
}
