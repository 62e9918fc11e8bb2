import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import type { View } from '../view';
import type { SheetAsked } from './asked';
import type { WidthOf } from './painter';
import { figureIn, type Figure } from './figure';
import { framed, sizeOf, type Area, type Size } from './sizes';
import { titleHeight, type TitleField } from './title-block';
import { titleRows, TITLE_ROWS } from './title-rows';

/** A drawing on a sheet of paper, with its frame and title block. */
export interface PaperSheet {
  readonly size: Size;
  readonly frame: Area;
  /** Its upper left corner is that of what the frame encloses. */
  readonly figure: Figure;
  readonly rows: readonly (readonly TitleField[])[];
}

/**
 * A view of a model on a sheet: true to scale, all of it inside the frame, above the title block. `widthOf`: of the letters that it will be
 * written in. Why there is no such sheet, in words.
 */
export function paperSheet(
  model: Model,
  solution: Solution | undefined,
  view: View,
  asked: SheetAsked,
  widthOf: WidthOf,
): PaperSheet | string {
  const size = sizeOf(asked.paper, asked.way);
  const frame = framed(size);
  const field = { width: frame.width, height: frame.height - titleHeight(TITLE_ROWS) };
  const figure = figureIn(
    model,
    solution,
    view,
    { size: field, height: 'whole', inks: asked.inks, ...(asked.ratio !== undefined && { ratio: asked.ratio }) },
    widthOf,
  );
  if (typeof figure === 'string') return figure;
  return { size, frame, figure, rows: titleRows(model, solution, figure.view, asked, figure.ratio) };
}
