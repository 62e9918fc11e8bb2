import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { boundsOf, fit } from './camera';
import { sheetItems } from './sheet-items';
import { svgMarkup, type Palette } from './svg';
import type { View } from './view';
import { SKETCHED, weightAt } from './weight';

/** Inks as variables of the page's theme. */
export const themePalette: Palette = (ink) => `var(--draw-${ink})`;

/** A small drawing of a model with one case acting: loads and deflected line, no texts. The inner markup of an SVG. */
export function sketchMarkup(
  model: Model,
  solution: Solution | undefined,
  outcome: number,
  width: number,
  height: number,
  palette: Palette = themePalette,
): string {
  const box = boundsOf(model.nodes);
  if (!box) return '';
  const margin = Math.min(width, height) * 0.22;
  const camera = fit(box, width, height, { left: margin, right: margin, top: margin, bottom: margin });
  const isEnvelope = solution?.outcomes[outcome]?.kind === 'envelope';
  const view: View = {
    outcome,
    quantity: isEnvelope ? 'Mz' : 'none',
    diagramFactor: 1.8,
    values: false,
    deflected: true,
    reactions: false,
    loads: true,
    dimensions: false,
    names: false,
    selection: [],
    scale: camera.scale,
    weight: Math.min(Math.max(0.38, width / 400), weightAt(model, 4 * camera.scale, 0.12), SKETCHED - 0.01),
  };
  return svgMarkup(
    sheetItems(model, solution, view).filter((item) => item.kind === 'path'),
    camera,
    palette,
  );
}
