import type { Model } from '../../model/model';

/** Whether an id is a case, or a combination that factors of cases and of other such sums make. */
export function isPlainSum({ combinations, cases }: Model, id: string): boolean {
  const found = combinations.find((one) => one.id === id);
  if (!found) return cases.some((one) => one.id === id);
  // Of a sound model no sum holds itself.
  return found.type === 'sum' && Object.keys(found.factors).every((key) => isPlainSum({ combinations, cases } as Model, key));
}
