import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { boundsOf, fit } from './camera';
import { drawnNodes, NOTHING_HIDDEN } from './geometry';
import { inks } from './inks';
import { ELEVATION, lookFrom, LOOKS, type Look } from './projection';
import { sheetItems } from './sheet-items';
import { svgMarkup } from './svg';
import { plainView, type SheetQuantity, type View } from './view';

export interface PictureAsked {
  /** The case or combination that acts, by its id; without one only the structure is drawn. */
  readonly outcome?: string;
  readonly quantity?: SheetQuantity;
  readonly deflected?: true;
  readonly loads?: true;
  /** Of a model in space, from where it is seen. */
  readonly look?: Look;
  /** Pixels. */
  readonly width?: number;
  readonly height?: number;
}

/** A model, or a quantity of its results, as a whole SVG file in the colours of the day: for scripts and pages of one’s own. */
export function picture(model: Model, solution: Solution | undefined, asked: PictureAsked = {}): string {
  const { outcome: id, quantity = 'none', deflected, loads, look = 'corner', width = 900, height = 500 } = asked;
  const { round, height: over } = LOOKS[look];
  const seen = { projection: model.space === 'plane' ? ELEVATION : lookFrom(round, over), hidden: NOTHING_HIDDEN };
  const outcome = id === undefined ? 0 : (solution?.outcomes.findIndex((one) => one.id === id) ?? -1);
  if (outcome < 0) throw new RangeError(`There is no case or combination “${id}”`);
  const box = boundsOf(drawnNodes(model, seen).values());
  const margin = 0.12 * Math.min(width, height) + 20;
  const camera = box && fit(box, width, height, { left: margin, right: margin, top: margin, bottom: margin });
  const acts = id !== undefined;
  const view: View = {
    ...plainView,
    ...seen,
    outcome,
    quantity: acts ? quantity : 'none',
    values: acts && quantity !== 'none' ? 'that matter' : 'none',
    deflected: acts && deflected === true,
    loads: loads ? 'plain' : 'none',
    ...(camera && { scale: camera.scale }),
  };
  const palette = inks.day;
  const drawn = camera ? svgMarkup(sheetItems(model, acts ? solution : undefined, view), camera, (ink) => palette[ink]) : '';
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif">` +
    `<rect width="${width}" height="${height}" fill="${palette.paper}"/>${drawn}</svg>\n`
  );
}
