import type { Combination, Model } from '../model/model';
import { inOrderOfReference, type Reference } from '../model/reference-order';
import { nameOfVariant, variantsById } from './actions';
import { titleOfCombination } from './sum-text';
import { countingCases } from './counting-cases';
import { readOutcome, type Outcome, type Solved, type Superposed } from './outcome';

/** The ids that a combination names. */
export const referenceOf = (combination: Combination): Reference => ({
  id: combination.id,
  parts: combination.type === 'sum' ? Object.keys(combination.factors) : combination.of,
});

/** One way in which a sum comes about; its names tell which way its actions act. */
interface Way {
  readonly factors: Float64Array;
  readonly names: readonly string[];
}

/**
 * What a linear solution tells: cases first, then the combinations in their order, superposed. A sum of sums is resolved to factors on the cases; an envelope of envelopes
 * to the cases and sums at the bottom (indices into this same list). A sum that holds an action which acts in several ways is the envelope of all of them; those stand
 * behind the combinations, named after it. The model must be sound: references hold, nothing is circular.
 */
export function outcomes(model: Model): Outcome[] {
  const { cases } = model;
  const index = new Map([...cases, ...model.combinations].map(({ id }, i) => [id, i]));
  const combinations = new Map(model.combinations.map((combination) => [combination.id, combination]));
  const caseIndex = new Map(cases.map(({ id }, i) => [id, i]));
  const variants = model.actions && variantsById(model);
  /** Ways that no combination has for itself. */
  const behind: Superposed[] = [];
  const named = new Set(index.keys());
  const added = (name: string, factors: Float64Array): number => {
    // A name that is given already stays with whom it belongs to.
    let id = name;
    while (named.has(id)) id += '′';
    named.add(id);
    return index.size + behind.push({ kind: 'superposed', id, title: '', factors }) - 1;
  };

  const actions = (model.actions ?? []).map(({ id }) =>
    variants!.get(id)!.map((variant): Way => {
      const factors = new Float64Array(cases.length);
      for (const [one, share] of variant.shares) factors[caseIndex.get(one)!]! += share;
      return { factors, names: [nameOfVariant(variant)] };
    }),
  );
  // Cases first, then actions: an action that stands in several parts of a sum acts in all of them the same way.
  const terms = new Map([...cases, ...(model.actions ?? [])].map(({ id }, i) => [id, i]));
  const weights = new Map<string, Float64Array>();
  const waysOf = (own: Float64Array): readonly Way[] => {
    let ways: readonly Way[] = [{ factors: own.subarray(0, cases.length), names: [] }];
    actions.forEach((of, a) => {
      const weight = own[cases.length + a]!;
      if (weight === 0) return;
      ways = ways.flatMap(({ factors, names }) =>
        of.map((one) => ({
          factors: factors.map((factor, k) => factor + weight * one.factors[k]!),
          names: of.length > 1 ? [...names, ...one.names] : names,
        })),
      );
    });
    return ways;
  };
  const sums = new Map<string, Float64Array>();

  // Each is resolved once, after those that it refers to.
  const parts = new Map<string, readonly number[]>();
  const placesOf = (part: string): readonly number[] => {
    const known = parts.get(part) ?? (index.has(part) ? [index.get(part)!] : undefined);
    if (known) return known;
    const found = actions[terms.get(part)! - cases.length]!.map(({ factors, names: [name] }) => {
      const [only, ...others] = countingCases(factors);
      return others.length === 0 && factors[only!] === 1 ? only! : added(name!, factors);
    });
    parts.set(part, found);
    return found;
  };
  for (const id of inOrderOfReference(model.combinations.map(referenceOf))) {
    const combination = combinations.get(id)!;
    if (combination.type === 'sum') {
      const own = new Float64Array(terms.size);
      for (const [part, weight] of Object.entries(combination.factors)) {
        const t = terms.get(part);
        if (t === undefined) weights.get(part)!.forEach((factor, k) => (own[k]! += weight * factor));
        else own[t]! += weight;
      }
      weights.set(id, own);
      const ways = waysOf(own);
      sums.set(id, ways[0]!.factors);
      if (ways.length > 1) parts.set(id, ways.map(({ factors, names }) => added(`${id}, ${names.join(', ')}`, factors))); // oxfmt-ignore
    } else parts.set(id, [...new Set(combination.of.flatMap(placesOf))]);
  }

  return [
    ...cases.map(({ id, title }, at): Solved => ({ kind: 'solved', id, title: title ?? '', at })),
    ...model.combinations.map((combination): Outcome => {
      const { id } = combination;
      const title = titleOfCombination(combination);
      const own = parts.get(id);
      if (own) return { kind: 'envelope', id, title, parts: own };
      return { kind: 'superposed', id, title, factors: sums.get(id)! };
    }),
    ...behind,
  ];
}

/** The same where nothing may be superposed: every sum has a solution of its own, after those of the cases. */
export function solvedApart(all: readonly Outcome[]): Outcome[] {
  let next = all.filter(({ kind }) => kind === 'solved').length;
  return all.map((outcome) =>
    readOutcome<Outcome>(outcome, {
      solved: (one) => one,
      superposed: ({ id, title, factors }) => ({ kind: 'solved', id, title, at: next++, factors }),
      envelope: (one) => one,
      shape: (one) => one,
    }),
  );
}
