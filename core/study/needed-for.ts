import type { Combination, Model } from '../model/model';
import { isNotional } from '../model/loads/notional';

/**
 * The model with what one outcome needs, and no more: its cases with their loads, and what it is put together of. A model is left whole where
 * more hangs together than sums and envelopes of cases: actions, and modes of the structure that are looked at as outcomes.
 */
export function neededFor(model: Model, outcome: string): Model {
  const { actions, analysis } = model;
  if (actions !== undefined || analysis?.naturalModes !== undefined) return model;
  const needed = namesOf(model, outcome);
  const here = ({ id }: { readonly id: string }): boolean => needed.has(id);
  const cases = model.cases.filter(here);
  const combinations = model.combinations.filter(here);
  if (cases.length === model.cases.length && combinations.length === model.combinations.length) return model;
  return { ...model, cases, combinations, loads: model.loads.filter((load) => needed.has(load.case)) };
}

/** An outcome, what it is put together of however deep, and the cases whose loads notional ones of these are shares of. */
function namesOf({ combinations, loads, analysis }: Model, outcome: string): ReadonlySet<string> {
  const sums = new Map(combinations.map((one) => [one.id, one]));
  const shares = new Map<string, string[]>();
  for (const load of loads) if (isNotional(load)) shares.set(load.case, [...(shares.get(load.case) ?? []), load.of]);
  const needed = new Set([outcome, ...(analysis?.buckling?.of ?? [])]);
  // A set is gone through in the order in which it grows.
  for (const id of needed) for (const part of [...partsOf(sums.get(id)), ...(shares.get(id) ?? [])]) needed.add(part);
  return needed;
}

const partsOf = (one: Combination | undefined): readonly string[] =>
  one === undefined ? [] : one.type === 'sum' ? Object.keys(one.factors) : one.of;
