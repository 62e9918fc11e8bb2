import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import { displayOf, drawnUnit } from '@rigid-beam/core/quantities/display';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { quantityTable, unitOfQuantity, type Quantity } from '@rigid-beam/core/results/quantities';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { colouredOf } from './coloured-items';
import { isLineDrawn, type Deflected, type DrawnQuantity } from './diagram-items';
import { deflectionScale, diagramScale, governingValues, largestOf } from './diagram-scale';
import { extentOf } from './geometry';
import { isDeflection, type View } from './view';

/** Metres of drawing per unit of the quantity, and what one metre stands for; the title block shows it. */
export function scaleOfDiagram(
  model: Model,
  solution: Solution,
  view: View,
): { readonly metresPerUnit: number; readonly perMetre: number } {
  const { quantity, outcome } = view;
  if (quantity === 'none') return { metresPerUnit: 0, perMetre: 0 };
  const chosen = view.scales[quantity];
  if (chosen !== undefined) return { metresPerUnit: chosen, perMetre: 1 / chosen };
  const largest = largestTogether(solution, view, quantity);
  if (isDeflection(quantity)) {
    // Bounds that stand beside a deflected line have its scale.
    const factor =
      isLineDrawn({ solution, outcome, quantity }) || view.together.length > 0
        ? (view.heldDeflection ?? deflectionsTogether(model, solution, view))
        : deflectionScale(largest, extentTogether(model, view), view.diagramFactor);
    return { metresPerUnit: factor, perMetre: factor > 0 ? 1 / factor : 0 };
  }
  const display = displayOf(model);
  const unit = unitFactor(unitOfQuantity(quantity, display));
  return diagramScale(largest, extentTogether(model, view), unit, view.diagramFactor, unitFactor(drawnUnit(display)));
}

/** The larger of what is drawn here and beside it: both are drawn to one scale. */
const extentTogether = (model: Model, { together }: View): number =>
  Math.max(extentOf(model), ...together.map(({ extent = 0 }) => extent));

/** The largest value of a quantity, or of one of its dimension that is drawn beside it: both are drawn to one scale. */
export function largestTogether(solution: Solution, { outcome, together }: View, quantity: Quantity): number {
  const { dimension } = quantityTable[quantity];
  const beside = together.flatMap(({ outcome: other, quantity: drawn, solution: own = solution }) =>
    drawn !== 'none' && quantityTable[drawn].dimension === dimension ? [governingValues(own, other, drawn)] : [],
  );
  return Math.max(largestOf(governingValues(solution, outcome, quantity)), ...beside.map(largestOf));
}

/** The scale in which the largest movement of what is drawn, here or beside it, takes its share of the drawing. */
function deflectionsTogether(model: Model, solution: Solution, view: View): number {
  const ways = model.space === 'space' ? (['u', 'v', 'w'] as const) : (['u', 'v'] as const);
  const all = [{ outcome: view.outcome, solution }, ...view.together];
  const sizes = all.flatMap(({ outcome, solution: own = solution }) =>
    ways.map((way) => largestOf(governingValues(own, outcome, way))),
  );
  return deflectionScale(Math.max(...sizes), extentTogether(model, view), view.diagramFactor);
}

/** How many times larger than life deflections are drawn. */
export function scaleOfDeflection(model: Model, solution: Solution, view: View): number {
  const acts = solution.outcomes[view.outcome];
  if (!acts || isRange(acts)) return 0;
  const chosen = view.scales.v ?? view.scales.w ?? view.heldDeflection;
  if (chosen !== undefined) return chosen;
  return deflectionsTogether(model, solution, view);
}

/** The chosen quantity to its scale; undefined where it has not been found, and where there is none of it. Of members in its colour nothing stands off them. */
export function drawnQuantityOf(model: Model, solution: Solution, view: View): DrawnQuantity | undefined {
  const { quantity, outcome, face } = view;
  if (quantity === 'none' || !isReady(solution, outcome, quantity)) return undefined;
  const { metresPerUnit } = scaleOfDiagram(model, solution, view);
  if (metresPerUnit === 0) return undefined;
  return { solution, outcome, quantity, metresPerUnit: colouredOf(solution, view) ? 0 : metresPerUnit, face };
}

/** Whose deflections are drawn besides, and how large; undefined where there are none, and of envelopes. */
export function deflectionOf(model: Model, solution: Solution | undefined, view: View): Deflected | undefined {
  const acts = solution?.outcomes[view.outcome];
  if (!solution || !acts || isRange(acts)) return undefined;
  const factor = scaleOfDeflection(model, solution, view);
  return factor === 0 ? undefined : { solution, outcome: view.outcome, factor };
}
