import { GENERATED_LINES } from '../../limits';
import type { Category } from '../../model/categories';
import type { Model } from '../../model/model';
import { actionsOf, standingFor, type Action } from '../actions';
import type { RuleSet, Situation } from '../rules/rule-set';
import { countOf, linesOf, product, type Permanent, type Pick as Taken } from './pick';
import { reasonOf } from './reason';

/** What is asked for: which situations of a rule set, all of them where none is named, and how permanent actions are taken. */
export interface Asked {
  readonly rules: RuleSet;
  readonly situations?: readonly string[];
  readonly permanent?: Permanent;
}

/** A combination that the rules ask for, before it has a name. */
export interface Line {
  readonly situation: Situation;
  readonly clause: string;
  readonly factors: { readonly [caseId: string]: number };
  readonly reason: string;
}

/** How many lines one expression makes at most. */
export interface Counted {
  readonly situation: Situation;
  readonly clause: string;
  readonly count: number;
}

export type Generated =
  | { readonly isTooMany: false; readonly lines: readonly Line[]; readonly merged: number; readonly untold: readonly Action[] }
  /** Beyond the limit: what makes how many, the most first. */
  | { readonly isTooMany: true; readonly count: number; readonly by: readonly Counted[] };

/** What of a model is combined. */
type Acting = Pick<Model, 'cases' | 'actions'>;

const asked = ({ rules, situations }: Asked): readonly Situation[] =>
  rules.situations.filter(({ id }) => situations === undefined || situations.includes(id));

/** What a factor on each case comes to, cases in the order of the model; none that is zero. */
function factorsOf(line: readonly Taken[], model: Acting): { readonly [caseId: string]: number } {
  const sums = new Map<string, number>();
  for (const { variant, factor } of line)
    for (const [id, share] of variant.shares) sums.set(id, (sums.get(id) ?? 0) + product(factor, share));
  // A pattern stands where its case would.
  const terms = model.cases.map(({ id }) => standingFor(model, id)?.id ?? id);
  return Object.fromEntries(terms.flatMap((id) => (sums.get(id) ? [[id, sums.get(id)!]] : [])));
}

/** Actions that no term of these situations speaks of: they stand in no line, which is said. */
function untoldOf(situations: readonly Situation[], actions: readonly Action[]): readonly Action[] {
  const told = new Set<Category>(
    situations.flatMap(({ expressions }) => expressions.flatMap(({ terms }) => terms.flatMap(({ of }) => of))),
  );
  return actions.filter(({ category }) => !told.has(category));
}

/** The combinations that a rule set asks for, each once in its limit state, with its reason. The model must be sound. */
export function generated(model: Acting, ask: Asked): Generated {
  const actions = actionsOf(model);
  const situations = asked(ask);
  const permanent = ask.permanent ?? 'as one';
  const given = { rules: ask.rules, actions, permanent };
  const by = situations.flatMap((situation) =>
    situation.expressions.map((expression): Counted => ({
      situation,
      clause: expression.clause,
      count: countOf(given, expression),
    })),
  );
  const count = by.reduce((all, one) => all + one.count, 0);
  if (count > GENERATED_LINES) return { isTooMany: true, count, by: by.toSorted((a, b) => b.count - a.count) };
  const lines = new Map<string, Line>();
  let all = 0;
  for (const situation of situations)
    for (const expression of situation.expressions)
      for (const line of linesOf(given, expression)) {
        const factors = factorsOf(line, model);
        const key = JSON.stringify([situation.limitState, factors]);
        all++;
        if (Object.keys(factors).length === 0 || lines.has(key)) continue;
        lines.set(key, { situation, clause: expression.clause, factors, reason: reasonOf(line, permanent) });
      }
  return { isTooMany: false, lines: [...lines.values()], merged: all - lines.size, untold: untoldOf(situations, actions) };
}
