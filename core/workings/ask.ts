import { once } from '../once';
import { prepare, type Prepared } from '../analysis/prepare';
import { actingCases, isRange } from '../combinations/outcome';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Solution, StructuralResponse } from '../results/results';
import { responseOf } from '../results/sums';
import type { Acting } from './acting';
import { holdingIn, type Holding } from './letting-go';
import { words as WORDS } from './words';
import { partOf } from './part';
import { worked, type Worked } from './worked';

/** Members whose workings are written; in larger models of those that are chosen. */
export const MOST_WORKED = 100;

const preparedOf = once((model: Model) => prepare(model).prepared);

/** The workings of a case or a sum of a solved model, in the first order; of a large one those of chosen members. Or why there are none. */
export function workingsIn(model: Model, solution: Solution, id: string, chosen: readonly string[] = []): Worked | string {
  const isLarge = model.members.length > MOST_WORKED;
  if (isLarge && chosen.length === 0) return WORDS.large(model.members.length, MOST_WORKED);
  const outcomes = solution.firstOrder ?? solution.outcomes;
  const of = outcomes.findIndex((one) => one.id === id);
  const one = outcomes[of];
  if (!one) return WORDS.noCase(id, outcomes.filter((other) => !isRange(other)).map((other) => other.id).join(', ')); // oxfmt-ignore
  const response = responseOf({ ...solution, outcomes }, of);
  if (one.kind === 'shape' || !response) return WORDS.noOne(id);
  const whole = preparedOf(model);
  const { prepared, acting, letGo }: Partial<Holding> & Pick<Holding, 'prepared' | 'acting'> =
    oneSidedIn(model).length > 0 ? holdingIn(model, whole, actingCases(one)) : { prepared: whole, acting: actingCases(one) };
  const found = workedIn({ prepared, acting, response }, isLarge ? chosen : undefined);
  if (typeof found === 'string' || !letGo) return found;
  const { nodes, members } = whole.structure.names;
  const gone = {
    members: letGo.slack.map((m) => members[m]!),
    supports: letGo.lifted.map(({ node }) => nodes[node]!),
    joints: letGo.open.map(({ member, end }) => WORDS.joint(members[member]!, end)),
  };
  return { ...found, gone };
}

interface Asked {
  readonly prepared: Prepared;
  readonly acting: Acting;
  readonly response: StructuralResponse;
}

/** Of the whole structure, or of chosen members. */
function workedIn({ prepared, acting, response }: Asked, chosen: readonly string[] | undefined): Worked | string {
  if (chosen) {
    const { structure, loose } = prepared;
    const ids = new Set(chosen);
    const some = structure.names.members.flatMap((name, m) => (ids.has(name) ? [m] : []));
    const part = partOf(structure, loose, { acting, response, chosen: some });
    if (part.structure.names.members.length > MOST_WORKED)
      return WORDS.largePart(part.structure.names.members.length, MOST_WORKED);
    return worked({ structure: part.structure, loose: part.loose, part }, part.acting, part.response) ?? WORDS.differs;
  }
  return worked(prepared, acting, response) ?? WORDS.differs;
}
