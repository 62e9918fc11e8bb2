import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { boundsOf, fit } from './camera';
import { drawnNodes, NOTHING_HIDDEN } from './geometry';
import { ELEVATION, lookFrom, LOOKS } from './projection';
import { quickItems } from './quick-items';
import { sheetItems } from './sheet-items';
import { svgMarkup, type Palette } from './svg';
import { plainView, type View } from './view';
import { SKETCHED, weightAt } from './level-of-detail';

/** Inks as variables of the page's theme. */
export const themePalette: Palette = (ink) => `var(--draw-${ink})`;

const CORNER = lookFrom(LOOKS.corner.round, LOOKS.corner.height);

/** Members from which on nothing but the structure can be told in a sketch, however it is drawn. */
const CROWDED = 1500;

/** Lines of a crowded sketch end on a raster of so many pixels, and are drawn once each: it does not grow with the model. */
const LEAST = 2;

/** Pixels, and how many of them at the top words stand over. */
export interface SketchSize {
  readonly width: number;
  readonly height: number;
  readonly head?: number;
}

/** A small drawing of a model with one case acting: loads and deflected line, no texts. The inner markup of an SVG. */
export function sketchMarkup(
  model: Model,
  solution: Solution | undefined,
  outcome: number,
  { width, height, head = 0 }: SketchSize,
  palette: Palette = themePalette,
): string {
  const projection = model.space === 'plane' ? ELEVATION : CORNER;
  const seen = { projection, hidden: NOTHING_HIDDEN };
  const box = boundsOf(drawnNodes(model, seen).values());
  if (!box) return '';
  const margin = Math.min(width, height) * 0.22;
  const camera = fit(box, width, height, { left: margin, right: margin, top: Math.max(margin, head), bottom: margin });
  if (model.members.length > CROWDED) return svgMarkup(quickItems(model, seen, LEAST / camera.scale), camera, palette);
  const acts = solution?.outcomes[outcome];
  const view: View = {
    ...plainView,
    ...seen,
    outcome,
    quantity: acts && isRange(acts) ? 'Mz' : 'none',
    diagramFactor: 1.8,
    deflected: true,
    loads: 'plain',
    scale: camera.scale,
    weight: Math.min(Math.max(0.38, width / 400), weightAt(model, seen, 4 * camera.scale, 0.12), SKETCHED - 0.01),
  };
  return svgMarkup(
    sheetItems(model, solution, view).filter((item) => item.kind === 'path'),
    camera,
    palette,
  );
}
