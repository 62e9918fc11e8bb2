import type { Category, Combination, LimitState, Model } from '../model/model';
import { inOrderOfReference, type Reference } from '../model/reference-order';

/** What can act on the sheet: a load case, a weighted sum of cases, or an envelope of such. */
export type Outcome =
  | { readonly kind: 'case'; readonly id: string; readonly title: string; readonly category: Category }
  | {
      readonly kind: 'sum';
      readonly id: string;
      readonly title: string;
      readonly limitState: LimitState;
      readonly factors: Float64Array;
    }
  | {
      readonly kind: 'envelope';
      readonly id: string;
      readonly title: string;
      readonly limitState: LimitState;
      readonly parts: readonly number[];
    };

/** The ids that a combination names. */
export const referenceOf = (combination: Combination): Reference => ({
  id: combination.id,
  parts: combination.type === 'sum' ? Object.keys(combination.factors) : combination.of,
});

/**
 * Cases first, then the combinations in their order. A sum of sums is resolved to factors on the cases; an envelope of envelopes
 * to the cases and sums at the bottom (indices into this same list). The model must be sound: references hold, nothing is circular.
 */
export function outcomes(model: Model): Outcome[] {
  const index = new Map([...model.cases, ...model.combinations].map(({ id }, i) => [id, i]));
  const combinations = new Map(model.combinations.map((combination) => [combination.id, combination]));
  const caseIndex = new Map(model.cases.map(({ id }, i) => [id, i]));
  // Each is resolved once, after those that it refers to.
  const factors = new Map<string, Float64Array>();
  const parts = new Map<string, ReadonlySet<number>>();
  for (const id of inOrderOfReference(model.combinations.map(referenceOf))) {
    const combination = combinations.get(id)!;
    if (combination.type === 'sum') {
      const own = new Float64Array(model.cases.length);
      for (const [part, weight] of Object.entries(combination.factors)) {
        const c = caseIndex.get(part);
        if (c === undefined) factors.get(part)!.forEach((factor, k) => (own[k]! += weight * factor));
        else own[c]! += weight;
      }
      factors.set(id, own);
    } else {
      const own = new Set<number>();
      for (const part of combination.of) {
        const bottom = parts.get(part);
        if (bottom) for (const one of bottom) own.add(one);
        else own.add(index.get(part)!);
      }
      parts.set(id, own);
    }
  }

  return [
    ...model.cases.map(({ id, title, category }): Outcome => ({ kind: 'case', id, title: title ?? '', category })),
    ...model.combinations.map((combination): Outcome => {
      const { id, title = '', limitState = 'other' } = combination;
      if (combination.type === 'sum') return { kind: 'sum', id, title, limitState, factors: factors.get(id)! };
      return { kind: 'envelope', id, title, limitState, parts: [...parts.get(id)!] };
    }),
  ];
}
