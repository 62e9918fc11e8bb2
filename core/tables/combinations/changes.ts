import type { Difference } from '../../combinations/generate/difference';
import { sumText } from '../../combinations/sum-text';
import type { SumCombination } from '../../model/model';
import type { Table } from '../column';
import { changes as WORDS } from '../words';

export interface Change {
  readonly sum: SumCombination;
  readonly before?: SumCombination;
  readonly isGone?: true;
}

/** What rules would add, change and take away, each with its reason. */
export const changesTable = ({ added, changed, gone }: Difference): Table<Change> => ({
  title: WORDS.title,
  columns: [
    { key: 'name', title: WORDS.name, value: ({ sum }) => sum.id },
    { key: 'sum', title: WORDS.sum, value: ({ sum }) => sumText(sum.factors) },
    {
      key: 'why',
      title: WORDS.why,
      value: ({ sum, before, isGone }) =>
        isGone ? WORDS.gone : `${before ? WORDS.was(sumText(before.factors)) : ''}${sum.made?.reason ?? ''}`,
    },
  ],
  rows: [
    ...changed.map(([before, sum]): Change => ({ sum, before })),
    ...gone.map((sum): Change => ({ sum, isGone: true })),
    ...added.map((sum): Change => ({ sum })),
  ],
});
