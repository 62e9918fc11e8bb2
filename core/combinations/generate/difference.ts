import { limitStates, limitStateTable, type LimitState } from '../../model/categories';
import { freeName } from '../../model/edits/next-id';
import type { Intent } from '../../model/edits/intent';
import type { Combination, Combining, EnvelopeCombination, Model, SumCombination } from '../../model/model';
import type { RuleSet } from '../rules/rule-set';
import type { Line } from './generate';

/** What rules ask for beside what a model has of them. Nothing that was typed is in it. */
export interface Difference {
  readonly added: readonly SumCombination[];
  /** Before and after, where factors or the reason for them have become others; the name stays. */
  readonly changed: readonly (readonly [SumCombination, SumCombination])[];
  readonly gone: readonly SumCombination[];
  readonly kept: readonly SumCombination[];
  /** What was typed and says the same as a line, which is not made a second time. */
  readonly typed: readonly SumCombination[];
}

type Made = SumCombination & Required<Pick<SumCombination, 'made'>>;
const isMade = (one: Combination): one is Made => one.type === 'sum' && one.made !== undefined;

/** The situation under which the envelopes of all that is for one limit state are kept. */
const ALL = 'all';

const factorsKey = (of: string, factors: SumCombination['factors']): string =>
  JSON.stringify([of, Object.entries(factors).toSorted(([a], [b]) => (a < b ? -1 : 1))]);
/** Lines that say the same but for their numbers: what leads, what accompanies, and whether what is permanent helps. */
const wordsKey = (situation: string, reason: string): string => JSON.stringify([situation, reason.replaceAll(/[\d.]+/g, '#')]);

/** Each line as a combination of its own name, or of the name that it has already. */
export function differenceOf(
  model: Pick<Model, 'cases' | 'actions' | 'combinations'>,
  rules: string,
  lines: readonly Line[],
): Difference {
  const made = model.combinations.filter(isMade);
  // Where a case has gone several may have become the same: the first of them stays.
  const same = new Map(made.toReversed().map((one) => [factorsKey(one.made.situation, one.factors), one]));
  const typedBefore = new Map(
    model.combinations.flatMap((one) =>
      one.type === 'sum' && !one.made ? [[factorsKey(one.limitState ?? 'other', one.factors), one] as const] : [],
    ),
  );
  const entryOf = ({ situation, clause, factors, reason }: Line, id: string): SumCombination => ({
    id,
    type: 'sum',
    factors,
    limitState: situation.limitState,
    made: { rules, situation: situation.id, clause, reason },
  });
  const typed: SumCombination[] = [];
  const left = new Set<Made>(made);
  const kept: SumCombination[] = [];
  const changed: [SumCombination, SumCombination][] = [];
  const added: SumCombination[] = [];
  const others: Line[] = [];
  const changedTo = (before: Made, line: Line): number =>
    changed.push([before, { ...entryOf(line, before.id), ...(before.title !== undefined && { title: before.title }) }]);
  for (const line of lines) {
    const one = same.get(factorsKey(line.situation.id, line.factors));
    const already = typedBefore.get(factorsKey(line.situation.limitState, line.factors));
    if (already) typed.push(already);
    else if (!one || !left.delete(one)) others.push(line);
    // Other rules, or another title of a case: the factors stay, and the reason does not.
    else if (one.made.rules === rules && one.made.clause === line.clause && one.made.reason === line.reason) kept.push(one);
    else changedTo(one, line);
  }
  const alike = new Map([...left].map((one) => [wordsKey(one.made.situation, one.made.reason), one]));
  const taken = new Set([...model.cases, ...(model.actions ?? []), ...model.combinations].map(({ id }) => id));
  const numbers = new Map<string, number>();
  const nameOf = (letter: string): string => {
    let n = numbers.get(letter) ?? 1;
    while (taken.has(`${letter}${n}`)) n++;
    numbers.set(letter, n + 1);
    return `${letter}${n}`;
  };
  for (const line of others) {
    const before = alike.get(wordsKey(line.situation.id, line.reason));
    if (before && left.delete(before)) changedTo(before, line);
    else added.push(entryOf(line, nameOf(line.situation.letter)));
  }
  return { added, changed, gone: [...left], kept, typed };
}

/** Whether there is anything to take. */
export const isDifferent = ({ added, changed, gone }: Difference): boolean => added.length + changed.length + gone.length > 0;

/** The edit that takes a difference, with one envelope of all sums of each limit state that has made ones; one step. */
export function taking(
  model: Pick<Model, 'cases' | 'actions' | 'combinations'>,
  { title }: RuleSet,
  combining: Combining,
  difference: Difference,
): Intent {
  const { added, changed, gone } = difference;
  const put = (entry: Combination, key?: string): Intent => ({
    type: 'put',
    list: 'combinations',
    entry: { ...entry },
    ...(key !== undefined && { key }),
  });
  const goneIds = new Set(gone.map(({ id }) => id));
  const after = new Map(changed);
  const sums = [
    ...model.combinations.filter(({ id }) => !goneIds.has(id)).map((one) => after.get(one as SumCombination) ?? one),
    ...added,
  ];
  const envelopes = limitStates.flatMap((limitState) => envelopeOf(model, sums, combining.rules, limitState));
  const stays = new Set(envelopes.map(({ id }) => id));
  const ownEnvelopes = model.combinations.filter(({ type, made }) => type === 'envelope' && made?.situation === ALL);
  const removed = [...goneIds, ...ownEnvelopes.filter(({ id }) => !stays.has(id)).map(({ id }) => id)];
  return {
    type: 'batch',
    label: `Combine by ${title}`,
    intents: [
      { type: 'set', settings: { combining } },
      ...changed.map(([before, entry]) => put(entry, before.id)),
      ...added.map((entry) => put(entry)),
      // Before those go that it held: it is never empty.
      ...envelopes.map((one) => put(one, ownEnvelopes.some(({ id }) => id === one.id) ? one.id : undefined)),
      ...(removed.length > 0 ? [{ type: 'remove', list: 'combinations', keys: removed } as const] : []),
    ],
  };
}

/** The envelope of all sums that are for a limit state, where rules have made some of them. */
function envelopeOf(
  { cases, actions = [], combinations }: Pick<Model, 'cases' | 'actions' | 'combinations'>,
  sums: readonly Combination[],
  rules: string,
  limitState: LimitState,
): EnvelopeCombination[] {
  const of = sums.filter((one) => one.type === 'sum' && one.limitState === limitState);
  if (!of.some(isMade)) return [];
  const { title } = limitStateTable[limitState];
  const before = combinations.find(
    (one) => one.type === 'envelope' && one.made?.situation === ALL && one.limitState === limitState,
  );
  const id =
    before?.id ??
    freeName(
      title,
      [...cases, ...actions, ...combinations].map((one) => one.id),
    );
  const made = { rules, situation: ALL, clause: '', reason: `All combinations for ${title.toLowerCase()}.` };
  return [{ id, type: 'envelope', of: of.map((one) => one.id), limitState, made }];
}

/** What a combination says, whatever it is called. */
const saying = (one: Combination): string =>
  one.type === 'sum' ? factorsKey(one.limitState ?? '', one.factors) : JSON.stringify([one.limitState, one.of]);

/**
 * A combination as it is put by hand: what rules have made is typed from then on, and they leave it alone. Its name and its title are the
 * user's own anyway.
 */
export function byHand<C extends Combination>(before: Combination | undefined, after: C): C {
  const { made: _, ...typed } = after;
  return before !== undefined && saying(before) === saying(after) ? after : (typed as C);
}
