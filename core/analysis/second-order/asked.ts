import type { Outcome } from '../../combinations/outcome';
import type { Model } from '../../model/model';

/** The outcomes that a model wants in second order, by their places; all that are solved or summed where it does not say. */
export function askedOutcomes(model: Model, all: readonly Outcome[]): ReadonlySet<number> {
  const of = model.analysis?.secondOrder?.of ?? 'everything';
  const single = (i: number): boolean =>
    all[i]!.kind === 'superposed' || all[i]!.kind === 'solved' || all[i]!.kind === 'travelling';
  if (of === 'everything') return new Set(all.flatMap((_, i) => (single(i) ? [i] : [])));
  const [cases, named] = [model.cases.length, model.cases.length + model.combinations.length];
  const asked = new Set<number>();
  model.combinations.forEach(({ type, limitState = 'other' }, c) => {
    if (of !== 'combinations' && of !== limitState) return;
    const outcome = all[cases + c]!;
    // A sum that holds what acts in several ways is the envelope of these, which stand behind all that have a name.
    if (single(cases + c)) asked.add(cases + c);
    else if (type === 'sum' && outcome.kind === 'envelope')
      for (const part of outcome.parts) if (part >= named && single(part)) asked.add(part);
  });
  return asked;
}
