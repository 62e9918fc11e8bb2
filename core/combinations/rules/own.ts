import { once } from '../../once';
import type { Model } from '../../model/model';
import { isFault } from '../../model/notice';
import { freeName } from '../../model/edits/next-id';
import { publishedRules } from './published';
import { readRules, type Written } from './read-rules';
import type { RuleSet } from './rule-set';

type Kept = Pick<Model, 'ruleSets'>;

/** All sets of rules that a model can follow: those that come with the application, then its own, as far as they can be used. */
export const knownRules = ({ ruleSets = NONE }: Kept): readonly RuleSet[] => allRules(ruleSets);

const NONE: NonNullable<Model['ruleSets']> = [];
const allRules = once((ruleSets: NonNullable<Model['ruleSets']>): readonly RuleSet[] => {
  const known = [...publishedRules];
  for (const own of ruleSets) {
    const { rules } = readRules(own, known);
    if (rules && known.every(({ id }) => id !== rules.id)) known.push(rules);
  }
  return known;
});

/** Why a set of a model's own cannot be used; nothing where it can. */
export function rulesFaults(model: Kept, own: unknown): readonly string[] {
  const others = { ruleSets: model.ruleSets?.filter((one) => one !== own) ?? [] };
  const { notices, rules } = readRules(own, knownRules(others));
  const isTaken = rules && publishedRules.some(({ id }) => id === rules.id);
  return [
    ...notices.filter(isFault).map(({ message }) => message),
    ...(isTaken ? [`“${rules.id}” is the name of a set that comes with the application. Give it another one.`] : []),
  ];
}

/** A set as its file would hold it, in full; `id` and `title` of its own. */
export function writtenRules({ standard, lists, values, apart, situations }: RuleSet, id: string, title: string): Written {
  return {
    format: 'rigid-beam/rules',
    version: 1,
    ...{ id, title, standard },
    ...(lists.size > 0 && { lists: [...lists].map(([name, of]) => ({ name, of })) }),
    ...(Object.keys(values).length > 0 && { values: Object.entries(values).map(([symbol, one]) => ({ symbol, ...one })) }),
    ...(apart.length > 0 && { apart }),
    situations,
  };
}

/** A copy of a set for a model to change, under a free name. */
export function copiedRules(model: Kept, rules: RuleSet): Written {
  const known = knownRules(model);
  const id = freeName('own', [...(model.ruleSets ?? []), ...known].map((one) => one.id)); // oxfmt-ignore
  const title = freeName('Own rules', known.map((one) => one.title)); // oxfmt-ignore
  return writtenRules(rules, id, title);
}
