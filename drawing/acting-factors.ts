import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';

/** Which cases act with which factor; of an envelope none is drawn. Without a solution the case is found by its place in the model. */
export function actingFactors(model: Model, solution: Solution | undefined, outcome: number): Map<string, number> {
  const acting = solution?.outcomes[outcome];
  if (acting?.kind === 'sum') return new Map(model.cases.map(({ id }, c) => [id, acting.factors[c] ?? 0]));
  const id = acting?.kind === 'case' ? acting.id : solution ? undefined : model.cases[Math.max(outcome, 0)]?.id;
  return new Map(id === undefined ? [] : [[id, 1]]);
}
