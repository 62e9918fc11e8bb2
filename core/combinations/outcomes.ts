import type { Category, LimitState, Model } from '../model/model';

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

/**
 * Cases first, then the combinations in their order. A sum of sums is resolved to factors on the cases; an envelope of envelopes
 * to the cases and sums at the bottom (indices into this same list). The model must be sound: references hold, nothing is circular.
 */
export function outcomes(model: Model): Outcome[] {
  const index = new Map([...model.cases, ...model.combinations].map(({ id }, i) => [id, i]));
  const combinations = new Map(model.combinations.map((combination) => [combination.id, combination]));
  const caseIndex = new Map(model.cases.map(({ id }, i) => [id, i]));
  const known = new Map<string, Float64Array>();

  const factorsOf = (id: string): Float64Array => {
    const done = known.get(id);
    if (done) return done;
    const factors = new Float64Array(model.cases.length);
    const combination = combinations.get(id);
    if (!combination) factors[caseIndex.get(id)!] = 1;
    else if (combination.type === 'sum') {
      for (const [part, weight] of Object.entries(combination.factors)) {
        factorsOf(part).forEach((factor, c) => (factors[c]! += weight * factor));
      }
    }
    known.set(id, factors);
    return factors;
  };
  const bottomOf = (id: string): number[] => {
    const combination = combinations.get(id);
    return combination?.type === 'envelope' ? combination.of.flatMap(bottomOf) : [index.get(id)!];
  };

  return [
    ...model.cases.map(({ id, title, category }): Outcome => ({ kind: 'case', id, title: title ?? '', category })),
    ...model.combinations.map((combination): Outcome => {
      const { id, title = '', limitState = 'other' } = combination;
      if (combination.type === 'sum') return { kind: 'sum', id, title, limitState, factors: factorsOf(id) };
      return { kind: 'envelope', id, title, limitState, parts: [...new Set(bottomOf(id))] };
    }),
  ];
}
