import { actingCases } from '@rigid-beam/core/combinations/outcome';
import { oneSidedIn } from '@rigid-beam/core/model/loads/one-sided';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';

/** Which cases act with which factor; of an envelope none is drawn. Without a solution the case is found by its place in the model. */
export function actingFactors(model: Model, solution: Solution | undefined, outcome: number): Map<string, number> {
  const acting = solution?.outcomes[outcome];
  if (solution) {
    // What lets go follows by lengths that nobody has put there.
    const own = new Set(oneSidedIn(model).map(({ id }) => id));
    const all = (acting ? actingCases(acting) : []).map(([at, factor]) => [solution.structure.names.cases[at]!, factor] as const);
    return new Map(all.filter(([id]) => !own.has(id)));
  }
  const id = model.cases[Math.max(outcome, 0)]?.id;
  return new Map(id === undefined ? [] : [[id, 1]]);
}
