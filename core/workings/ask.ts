import { once } from '../once';
import { prepare } from '../analysis/prepare';
import { actingCases, isRange } from '../combinations/outcome';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Solution } from '../results/results';
import { responseOf } from '../results/sums';
import { words as WORDS } from './words';
import { partOf } from './part';
import { followingIn, worked, type Worked } from './worked';

/** Members whose workings are written; in larger models of those that are chosen. */
export const MOST_WORKED = 100;

const preparedOf = once((model: Model) => prepare(model).prepared);

/** The workings of a case or a sum of a solved model, in the first order; of a large one those of chosen members. Or why there are none. */
export function workingsIn(model: Model, solution: Solution, id: string, chosen: readonly string[] = []): Worked | string {
  const isLarge = model.members.length > MOST_WORKED;
  if (isLarge && chosen.length === 0) return WORDS.large(model.members.length, MOST_WORKED);
  if (isLarge && model.analysis?.axialDeformation === false) return WORDS.partOfKept;
  if (oneSidedIn(model).length > 0) return WORDS.oneWay;
  const outcomes = solution.firstOrder ?? solution.outcomes;
  const of = outcomes.findIndex((one) => one.id === id);
  const one = outcomes[of];
  if (!one) return WORDS.noCase(id, outcomes.filter((other) => !isRange(other)).map((other) => other.id).join(', ')); // oxfmt-ignore
  const response = responseOf({ ...solution, outcomes }, of);
  if (one.kind === 'shape' || !response) return WORDS.noOne(id);
  const prepared = preparedOf(model);
  const acting = actingCases(one);
  if (isLarge) {
    const { structure, loose } = prepared;
    const ids = new Set(chosen);
    const some = structure.names.members.flatMap((name, m) => (ids.has(name) ? [m] : []));
    const part = partOf(structure, loose, { acting, response, chosen: some });
    if (part.structure.names.members.length > MOST_WORKED)
      return WORDS.largePart(part.structure.names.members.length, MOST_WORKED);
    return worked({ structure: part.structure, loose: part.loose, part }, part.acting, part.response) ?? WORDS.unheld;
  }
  const following = followingIn(prepared.structure, prepared.loose, acting);
  if (following === 'sprung end') return WORDS.sprungEnd;
  if (following === 'sprung') return WORDS.followsSprung;
  return worked(prepared, acting, response) ?? WORDS.unheld;
}
