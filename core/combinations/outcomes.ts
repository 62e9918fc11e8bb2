import { once } from '../once';
import { partCasesOf, travellingIn } from '../model/loads/expand';
import type { Travelling as TravellingTrains } from '../model/loads/travelling';
import type { Combination, Model } from '../model/model';
import type { PartCase } from '../model/patterns/parts';
import { uniqueNames } from '../model/unique-names';
import { inOrderOfReference, type Reference } from '../model/reference-order';
import { titleOfCombination } from './sum-text';
import { countingCases } from './counting-cases';
import type { Outcome, Solved, Superposed, Travelling } from './outcome';
import { together, waysOfActions, type Way } from './ways';

/** The ids that a combination names. */
export const referenceOf = (combination: Combination): Reference => ({
  id: combination.id,
  parts: combination.type === 'sum' ? Object.keys(combination.factors) : combination.of,
});

/**
 * What a linear solution tells: cases first, then the combinations in their order, superposed. A sum of sums is resolved to factors on the cases; an envelope of envelopes
 * to the cases and sums at the bottom (indices into this same list). A sum that holds an action which acts in several ways is the envelope of all of them; those stand
 * behind the combinations, named after it. The model must be sound: references hold, nothing is circular.
 */
export const outcomes = (model: Model): readonly Outcome[] =>
  outcomesOf(model.combinations, model.cases, model.actions, partCasesOf(model), travellingIn(model));

/** Found once of lists that an edit leaves alone. */
const outcomesOf = once(
  (
    list: Model['combinations'],
    cases: Model['cases'],
    actionGroups: Model['actions'],
    parts: readonly PartCase[],
    travelling: TravellingTrains,
  ): readonly Outcome[] => {
    const model = { cases, combinations: list, ...(actionGroups && { actions: actionGroups }) };
    const index = new Map([...cases, ...model.combinations].map(({ id }, i) => [id, i]));
    const combinations = new Map(model.combinations.map((combination) => [combination.id, combination]));
    const solved = cases.length + parts.length + travelling.cases.length;
    /** Ways that no combination has for itself. */
    const behind: Outcome[] = [];
    // A name that is given already stays with whom it belongs to.
    const named = uniqueNames(index.keys());
    const added = (name: string, way: Way): number => index.size + behind.push(outcomeOf(named(name), '', way)) - 1;

    const actions = waysOfActions(model, parts, travelling);
    // Cases first, then actions: an action that stands in several parts of a sum acts in all of them the same way.
    const terms = new Map([...cases, ...(model.actions ?? [])].map(({ id }, i) => [id, i]));
    const weights = new Map<string, Float64Array>();
    const waysOf = (own: Float64Array): readonly Way[] => {
      const start = new Float64Array(solved);
      start.set(own.subarray(0, cases.length));
      let ways: readonly Way[] = [{ factors: start, names: [] }];
      actions.forEach((of, a) => {
        const weight = own[cases.length + a]!;
        if (weight === 0) return;
        ways = ways.flatMap((way) => of.map((one) => together(way, one, weight, of.length > 1 ? one.names : [])));
      });
      return ways;
    };
    const sums = new Map<string, Way>();

    // Each is resolved once, after those that it refers to.
    const resolved = new Map<string, readonly number[]>();
    const placesOf = (part: string): readonly number[] => {
      const known = resolved.get(part) ?? (index.has(part) ? [index.get(part)!] : undefined);
      if (known) return known;
      const found = actions[terms.get(part)! - cases.length]!.map((way) => {
        const [only, ...others] = way.trains ? [] : countingCases(way.factors);
        const isCase = only !== undefined && others.length === 0 && only < cases.length && way.factors[only] === 1;
        return isCase ? only : added(way.names.join(', '), way);
      });
      resolved.set(part, found);
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
        sums.set(id, ways[0]!);
        if (ways.length > 1)
          resolved.set(
            id,
            ways.map((way) => added(`${id}, ${way.names.join(', ')}`, way)),
          );
      } else resolved.set(id, [...new Set(combination.of.flatMap(placesOf))]);
    }

    return [
      ...cases.map(({ id, title }, at): Solved => ({ kind: 'solved', id, title: title ?? '', at })),
      ...model.combinations.map((combination): Outcome => {
        const { id } = combination;
        const title = titleOfCombination(combination);
        const own = resolved.get(id);
        if (own) return { kind: 'envelope', id, title, parts: own };
        return outcomeOf(id, title, sums.get(id)!);
      }),
      ...behind,
    ];
  },
);

const outcomeOf = (id: string, title: string, { factors, trains }: Way): Superposed | Travelling =>
  trains ? { kind: 'travelling', id, title, factors, trains } : { kind: 'superposed', id, title, factors };
