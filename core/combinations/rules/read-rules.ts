import { categories, type Category } from '../../model/categories';
import { ruleFields } from '../../model/rule-fields';
import { Findings } from '../../model/findings';
import { isFault, type Notice } from '../../model/notice';
import { readFields } from '../../model/read-fields';
import type { Apart, ReductionValue, RuleSet, Situation, Term } from './rule-set';

/** As the file holds it. */
export interface Written extends Omit<RuleSet, 'lists' | 'values' | 'apart' | 'situations'> {
  readonly format: 'rigid-beam/rules';
  readonly version: number;
  readonly like?: string;
  readonly lists?: readonly { readonly name: string; readonly of?: readonly string[] }[];
  readonly values?: readonly (ReductionValue & { readonly symbol: string })[];
  readonly apart?: readonly Apart[];
  readonly situations?: readonly Situation[];
}

export interface ReadRules {
  /** Present only when there is no fault. */
  readonly rules?: RuleSet;
  readonly notices: readonly Notice[];
}

/**
 * Reads a set of rules; every fault of it is found in one pass. One that is like another takes from it what it does not say itself:
 * reduction values by their symbol and category, situations by their id. No term is left without a value that it names.
 */
export function readRules(value: unknown, known: readonly RuleSet[] = []): ReadRules {
  const findings = new Findings(value);
  const written = readFields(value, ruleFields, '', findings) as Written | undefined;
  if (!written || findings.notices.some(isFault)) return { notices: findings.notices };
  const fault = (path: string, found: unknown, what: string, remedy: string): void =>
    void findings.fault({ code: 'bad-rules', path, value: found, what, expected: remedy, remedy });
  if (written.version !== 1)
    fault('version', written.version, `Version ${written.version} of the rules is not known`, 'Write "version": 1');
  const like = known.find((one) => one.id === written.like);
  if (written.like !== undefined && !like)
    fault(
      'like',
      written.like,
      `There is no set of rules “${written.like}”`,
      `Name one of ${known.map((one) => one.id).join(', ')}`,
    );

  const lists = new Map([...(like?.lists ?? []), ...(written.lists ?? []).map(({ name, of = [] }) => [name, of] as const)]);
  const isCategory = (name: string): name is Category => (categories as readonly string[]).includes(name);
  const resolved = (of: readonly string[] | undefined, path: string): readonly Category[] => {
    const all = (of ?? []).flatMap((name) => lists.get(name) ?? [name]);
    const strange = all.find((name) => !isCategory(name));
    if (strange !== undefined)
      fault(path, strange, `“${strange}” is neither a category nor a list of them`, `Name some of ${categories.join(', ')}`);
    else if (all.length === 0) fault(path, of, 'A category is missing here', `Name some of ${categories.join(', ')}`);
    return all.filter(isCategory);
  };

  const values: Record<string, ReductionValue> = Object.assign(Object.create(null), like?.values);
  written.values?.forEach(({ symbol, clause, of }, i) => {
    for (const [category, size] of Object.entries(of)) {
      if (!isCategory(category))
        fault(`values[${i}].of`, category, `“${category}” is not a category`, `Name some of ${categories.join(', ')}`);
      if (size < 0 || size > 1)
        fault(
          `values[${i}].of.${category}`,
          size,
          `${symbol} of ${category} must lie between 0 and 1`,
          'Give a number from 0 to 1',
        );
    }
    values[symbol] = { clause, of: { ...like?.values[symbol]?.of, ...of } };
  });

  const situations = new Map(like?.situations.map((one) => [one.id, one]));
  written.situations?.forEach((situation, s) => {
    const expressions = situation.expressions.map(({ clause, terms }, e) => ({
      clause,
      terms: terms.map((one, t): Term => {
        const path = `situations[${s}].expressions[${e}].terms[${t}]`;
        const of = resolved(one.of, `${path}.of`);
        if (one.favourable !== undefined && one.acts !== 'always')
          fault(
            `${path}.favourable`,
            one.favourable,
            'Only what acts always has a factor for when it helps',
            'Leave it out: what helps and may be away is away',
          );
        if (one.acts === 'accompanying' && !terms.slice(0, t).some(({ acts }) => acts === 'leading'))
          fault(`${path}.acts`, one.acts, 'Nothing leads before what accompanies', 'Put a term that is “leading” before it');
        return { ...one, of };
      }),
    }));
    if (written.situations!.findIndex(({ id: other }) => other === situation.id) < s)
      fault(
        `situations[${s}].id`,
        situation.id,
        `There is already a situation “${situation.id}”`,
        'Rename or remove one of the two',
      );
    situations.set(situation.id, { ...situation, expressions });
  });
  // Those of the set that this is like as well: a value that nobody gives must not count as 1.
  for (const { id: situation, expressions } of situations.values())
    for (const { value: symbol, of } of expressions.flatMap(({ terms }) => terms))
      for (const category of symbol === undefined ? [] : of)
        if (values[symbol!]?.of[category] === undefined)
          fault('values', symbol, `There is no ${symbol} of ${category}, which “${situation}” takes`, 'Add it to “values”');
  const apart = written.apart?.map((pair, i) => ({
    ...pair,
    one: resolved(pair.one, `apart[${i}].one`),
    others: resolved(pair.others, `apart[${i}].others`),
  }));
  if (situations.size === 0)
    fault('situations', written.situations, 'There is no situation to combine anything for', 'Add at least one to “situations”');
  if (findings.notices.some(isFault)) return { notices: findings.notices };
  const { title, standard } = written;
  const rules: RuleSet = {
    id: written.id,
    title,
    standard,
    lists,
    values,
    apart: apart ?? like?.apart ?? [],
    situations: [...situations.values()],
  };
  return { rules, notices: findings.notices };
}
