import type { Combining } from '../../model/model';
import type { Action, Variant } from '../actions';
import type { Apart, Expression, RuleSet, Term } from '../rules/rule-set';

/** How permanent actions are taken. */
export type Permanent = NonNullable<Combining['permanent']>;

/** How an action comes into a line, with the factor that it has there. */
export interface Pick {
  readonly action: Action;
  readonly variant: Variant;
  readonly role: 'acts' | 'leads' | 'accompanies' | 'unfavourable' | 'favourable';
  readonly factor: number;
  /** The reduction value in it. */
  readonly value?: { readonly symbol: string; readonly size: number };
}

interface Situation {
  readonly rules: RuleSet;
  readonly actions: readonly Action[];
  readonly permanent: Permanent;
}

/** A product of decimal factors, without what binary arithmetic adds to it. */
export const product = (...factors: readonly number[]): number => Number(factors.reduce((a, b) => a * b, 1).toPrecision(12));

type Choices = readonly (readonly Pick[])[];

/** One of each, in every way. */
const everyWay = (choices: readonly Choices[]): Choices =>
  choices.reduce<Choices>((before, next) => before.flatMap((one) => next.map((other) => [...one, ...other])), [[]]);

const among = ({ actions }: Situation, { of }: Term): readonly Action[] =>
  actions.filter(({ category }) => of.includes(category));

/** An action in each of its variants; none where its factor is zero. */
function picks({ rules }: Situation, term: Term, action: Action, role: Pick['role']): Choices {
  const isHelpful = role === 'favourable';
  // Rules that were read give every value that their terms name.
  const size = term.value === undefined || isHelpful ? undefined : rules.values[term.value]!.of[action.category]!;
  const factor = isHelpful ? term.favourable! : product(term.factor, size ?? 1);
  if (factor === 0) return [];
  const value = size === undefined ? undefined : { symbol: term.value!, size };
  return action.variants.map((variant) => [{ action, variant, role, factor, ...(value && { value }) }]);
}

/** An action in each of its variants, or not. */
const orNot = (choices: Choices): Choices => [...choices, []];

/** All ways in which what is always there acts. */
function always(situation: Situation, term: Term): Choices {
  const actions = among(situation, term);
  const by = (action: Action, role: Pick['role']): Choices => {
    const choices = picks(situation, term, action, role);
    return choices.length > 0 ? choices : [[]];
  };
  if (term.favourable === undefined) return everyWay(actions.map((action) => by(action, 'acts')));
  const roles = ['unfavourable', 'favourable'] as const;
  if (situation.permanent === 'each by itself')
    return everyWay(actions.map((action) => roles.flatMap((role) => by(action, role))));
  return actions.length === 0 ? [[]] : roles.flatMap((role) => everyWay(actions.map((action) => by(action, role))));
}

/** All ways in which a term can be met, after those before it. */
function ways(situation: Situation, term: Term, before: readonly Pick[]): Choices {
  const actions = among(situation, term);
  const acting = (one: Action): Choices => picks(situation, term, one, 'acts');
  switch (term.acts) {
    case 'always':
      return always(situation, term);
    case 'leading':
      return orNot(actions.flatMap((action) => picks(situation, term, action, 'leads')));
    case 'accompanying': {
      const leading = before.find(({ role }) => role === 'leads');
      if (!leading) return [[]];
      const others = actions.filter((action) => action !== leading.action);
      return everyWay(others.map((action) => orNot(picks(situation, term, action, 'accompanies'))));
    }
    case 'each':
      return everyWay(actions.map((action) => orNot(acting(action))));
    case 'either': {
      const some = term.of.flatMap((category) =>
        everyWay(actions.filter((one) => one.category === category).map((action) => orNot(acting(action)))),
      );
      return orNot(some.filter(({ length }) => length > 0));
    }
    case 'exactly one':
      return actions.flatMap(acting);
  }
}

const isApart = (line: readonly Pick[], { one, others }: Apart): boolean =>
  line.some(({ action }) => one.includes(action.category)) && line.some(({ action }) => others.includes(action.category));

/** Every line that an expression allows, in order: what leads by the order of the cases, the fullest lines first. */
export function linesOf(situation: Situation, { terms }: Expression): Choices {
  const lines = terms.reduce<Choices>(
    (before, term) => before.flatMap((line) => ways(situation, term, line).map((more) => [...line, ...more])),
    [[]],
  );
  return lines.filter((line) => line.length > 0 && !situation.rules.apart.some((apart) => isApart(line, apart)));
}

/** How many lines an expression makes at most, before those that are the same are merged: told without making them. */
export function countOf(situation: Situation, { terms }: Expression): number {
  const many = (term: Term, action: Action): number => picks(situation, term, action, 'acts').length;
  const times = (term: Term, without?: Action): number =>
    among(situation, term)
      .filter((action) => action !== without)
      .reduce((all, action) => all * (1 + many(term, action)), 1);
  const ofTerm = (term: Term, leading: Action | undefined): number => {
    const actions = among(situation, term);
    switch (term.acts) {
      case 'always': {
        const variants = actions.reduce((all, { variants: { length } }) => all * length, 1);
        if (term.favourable === undefined || actions.length === 0) return variants;
        return variants * (situation.permanent === 'as one' ? 2 : 2 ** actions.length);
      }
      case 'leading':
        return leading ? many(term, leading) : 1;
      case 'accompanying':
        return leading ? times(term, leading) : 1;
      case 'each':
        return times(term);
      case 'either':
        return term.of.reduce((all, category) => all + times({ ...term, of: [category] }) - 1, 1);
      case 'exactly one':
        return actions.reduce((all, action) => all + many(term, action), 0);
    }
  };
  const leads = terms.filter(({ acts }) => acts === 'leading').flatMap((term) => among(situation, term));
  return [undefined, ...leads].reduce((all, leading) => all + terms.reduce((one, term) => one * ofTerm(term, leading), 1), 0);
}
