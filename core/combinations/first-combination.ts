import { categoryOf } from '../model/categories';
import { freeName } from '../model/edits/next-id';
import type { Combination, Model } from '../model/model';

const taken = ({ cases, combinations }: Model): string[] => [...cases, ...combinations].map(({ id }) => id);

/** A sum of all cases for strength, each with the factor of its kind; which of them act together, and how, is for the engineer to say. */
export const firstSum = (model: Model): Combination => ({
  id: freeName('U', taken(model)),
  type: 'sum',
  factors: Object.fromEntries(model.cases.map(({ id, category }) => [id, categoryOf(category).factor])),
  limitState: 'strength',
});

/** An envelope of all sums; without any, of all cases. */
export function firstEnvelope(model: Model): Combination {
  const sums = model.combinations.filter(({ type }) => type === 'sum');
  return { id: freeName('E', taken(model)), type: 'envelope', of: (sums.length > 0 ? sums : model.cases).map(({ id }) => id) };
}
