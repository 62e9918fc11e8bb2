import { categoryOf, type Category } from '../model/categories';
import type { Model } from '../model/model';
import { publishedRules } from './rules/published';

/** Which part of a case is taken to be there when something shakes: all that is permanent, ψ₂ of what varies (EN 1990, table A1.1; EN 1998-1, 3.2.4 with φ = 1). */
export function massShare(category: Category): number {
  if (categoryOf(category).isPermanent) return 1;
  return publishedRules.find(({ id }) => id === 'en1990-6.10')?.values['ψ₂']?.of[category] ?? 0;
}

/** By case the part of its loads that counts as mass, where some of it does. */
export const massShares = ({ cases }: Model): Readonly<Record<string, number>> =>
  Object.fromEntries(
    cases.flatMap(({ id, category }) => {
      const share = massShare(category);
      return share > 0 ? [[id, share]] : [];
    }),
  );
