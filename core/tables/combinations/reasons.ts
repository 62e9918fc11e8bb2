import { sumText, titleOfCombination } from '../../combinations/sum-text';
import { limitStateTable } from '../../model/categories';
import type { Combination, Model } from '../../model/model';
import type { Table } from '../column';
import { reasons as WORDS } from '../words';

/** All combinations: for which limit state, what they add or enclose, and why they are there. */
export function reasonsTable({ combinations }: Pick<Model, 'combinations'>): Table<Combination> {
  const text = (one: Combination): string => (one.type === 'sum' ? sumText(one.factors) : one.of.join(', '));
  const state = (one: Combination): string =>
    one.type === 'envelope' ? WORDS.envelope : limitStateTable[one.limitState ?? 'other'].title;
  return {
    title: WORDS.combinations,
    columns: [
      { key: 'id', title: WORDS.name, value: ({ id }) => id },
      { key: 'state', title: WORDS.limitState, value: state },
      { key: 'sum', title: WORDS.sumOrEnvelope, value: text },
      { key: 'why', title: WORDS.why, value: (one) => whyOf(one, text(one)) },
    ],
    rows: combinations,
  };
}

/** Its title where that says more than the sum, and why rules made it. */
function whyOf(one: Combination, text: string): string {
  const title = titleOfCombination(one);
  return [title === text ? '' : title, one.made?.reason ?? ''].filter((words) => words !== '').join(' · ');
}
