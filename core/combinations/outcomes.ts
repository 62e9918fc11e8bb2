import type { Combination, Model } from '../model/model';
import { inOrderOfReference, type Reference } from '../model/reference-order';
import { readOutcome, type Envelope, type Outcome, type Solved, type Superposed } from './outcome';

/** The ids that a combination names. */
export const referenceOf = (combination: Combination): Reference => ({
  id: combination.id,
  parts: combination.type === 'sum' ? Object.keys(combination.factors) : combination.of,
});

/**
 * What a linear solution tells: cases first, then the combinations in their order, superposed. A sum of sums is resolved to factors on the cases; an envelope of envelopes
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
    ...model.cases.map(({ id, title }, at): Solved => ({ kind: 'solved', id, title: title ?? '', at })),
    ...model.combinations.map((combination): Superposed | Envelope => {
      const { id, title = '' } = combination;
      if (combination.type === 'sum') return { kind: 'superposed', id, title, factors: factors.get(id)! };
      return { kind: 'envelope', id, title, parts: [...parts.get(id)!] };
    }),
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
