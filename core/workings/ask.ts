import { prepare } from '../analysis/prepare';
import { actingCases, isRange } from '../combinations/outcome';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Solution } from '../results/results';
import { responseOf } from '../results/sums';
import { words as WORDS } from './words';
import { followingIn, worked, type Worked } from './worked';

/** Members whose workings are written. */
export const MOST_WORKED = 100;

/** The workings of a case or a sum of a solved model, in the first order; or why there are none. */
export function workingsIn(model: Model, solution: Solution, id: string): Worked | string {
  if (model.members.length > MOST_WORKED) return WORDS.large(model.members.length, MOST_WORKED);
  if (oneSidedIn(model).length > 0) return WORDS.oneWay;
  const outcomes = solution.firstOrder ?? solution.outcomes;
  const of = outcomes.findIndex((one) => one.id === id);
  const one = outcomes[of];
  if (!one) return WORDS.noCase(id, outcomes.filter((other) => !isRange(other)).map((other) => other.id).join(', ')); // oxfmt-ignore
  const response = responseOf({ ...solution, outcomes }, of);
  if (one.kind === 'shape' || !response) return WORDS.noOne(id);
  const { prepared } = prepare(model);
  const acting = actingCases(one);
  const following = followingIn(prepared.structure, prepared.loose, acting);
  if (following === 'sliding') return WORDS.sliding;
  if (following === 'sprung') return WORDS.followsSprung;
  return worked(prepared, acting, response) ?? WORDS.unheld;
}
