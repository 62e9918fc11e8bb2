import { solve } from '../analysis/session';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { workingsIn } from './ask';
import type { Worked } from './worked';

/** The workings of a case or a sum of a sound model, which is solved first; why there are none; or the notices of its analysis. */
export function workingsOf(
  model: Model,
  id: string,
  chosen: readonly string[] = [],
): Worked | { readonly notices: readonly Notice[] } | string {
  // Of the first order alone, whatever else the model asks for.
  const { secondOrder: _, buckling: __, naturalModes: ___, ...analysis } = model.analysis ?? {};
  const { solution, notices } = solve({ ...model, analysis });
  return solution ? workingsIn({ ...model, analysis }, solution, id, chosen) : { notices };
}
