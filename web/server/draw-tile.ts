import { isRange } from '@rigid-beam/core/combinations/outcome';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showMoment } from '@rigid-beam/core/quantities/show-load';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { TILE } from '../projects/tile';

/** Larger models get their tile without being solved for it. */
const MANY_MEMBERS = 1500;

/** What a tile shows of a model: its drawing, and what governs. */
export interface DrawnTile {
  readonly figure: string;
  readonly markup: string;
}

/** Draws a model and solves it for its figures. It takes as long as that takes: never on the thread that answers requests. */
export function drawTile(model: Model): DrawnTile {
  const results = model.members.length <= MANY_MEMBERS ? solve(model) : undefined;
  const solution = results?.solution;
  const outcome = Math.max(0, solution?.outcomes.findIndex((one, i) => i >= model.cases.length && !isRange(one)) ?? 0);
  const display = { ...defaultDisplay, ...model.display };
  const acts = solution?.outcomes[outcome];
  const figure =
    solution && acts
      ? `${acts.id}: moment ${showMoment(largestOf(governingValues(solution, outcome, 'Mz')), display)}, deflection ${showQuantity(largestOf(governingValues(solution, outcome, 'v')), display.deflection, 3)}`
      : (results?.notices.find(({ severity }) => severity === 'error')?.message ?? 'Nothing to solve yet');
  return { figure, markup: sketchMarkup(model, solution, outcome, TILE) };
}
