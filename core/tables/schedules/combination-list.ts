import { byHand } from '../../combinations/generate/difference';
import { readSum, sumText } from '../../combinations/sum-text';
import { limitStates, limitStateTable } from '../../model/categories';
import type { Model, SumCombination } from '../../model/model';
import { parseQuantity } from '../../quantities/parse';
import { computedColumn, textColumn, type Row, type TypedColumn } from '../column';
import { combinations as WORDS, schedules } from '../words';
import type { ScheduleKind } from './list';

/** A sum as a row. */
type SumRow = Row & SumCombination;
const sumOf = (row: Row): SumRow => row as SumRow;

/** A column of the factors on a case, or on a sum that sums take up. An empty cell takes no part. */
const factorColumn = (id: string): TypedColumn => ({
  key: `of ${id}`,
  title: id,
  width: 0.6,
  measured: { at: ['factors', id], dimension: 'number', unit: '' },
  value: (row) => sumOf(row).factors[id],
  take: (row, text) => {
    const { [id]: _, ...others } = sumOf(row).factors;
    if (text.trim() === '') return { ...row, factors: others };
    const parsed = parseQuantity(text, 'number');
    return parsed.ok ? { ...row, factors: { ...sumOf(row).factors, [id]: parsed.value } } : WORDS.isNoFactor(text, parsed.reason);
  },
});

const titles = limitStates.map((state) => limitStateTable[state].title);

/** The sums of a model as a matrix: a row each, a column for each case, and the sum as it is written. */
export const combinationList: ScheduleKind = {
  words: schedules.combinations,
  names: { stem: 'U' },
  columns: ({ cases, actions = [], combinations }) => {
    const taken = new Set(combinations.flatMap((one) => (one.type === 'sum' ? Object.keys(one.factors) : [])));
    const sums = combinations.filter(({ id }) => taken.has(id));
    const known = [...cases, ...actions, ...combinations].map(({ id }) => id);
    return [
      textColumn('id', WORDS.name),
      {
        ...textColumn('title', WORDS.title),
        take: ({ title: _, ...row }, text) => ({ ...row, ...(text.trim() !== '' && { title: text.trim() }) }) as Row,
      },
      {
        ...textColumn('limitState', WORDS.limitState, titles),
        value: (row) => limitStateTable[sumOf(row).limitState ?? 'other'].title,
        take: (row, text) => {
          const at = titles.findIndex((title) => title.toLowerCase() === text.trim().toLowerCase());
          const none = textColumn('limitState', WORDS.limitState, titles).take(row, text);
          return at >= 0 ? { ...row, limitState: limitStates[at] } : none;
        },
      },
      ...[...cases, ...actions, ...sums].map(({ id }) => factorColumn(id)),
      {
        key: 'sum',
        title: WORDS.sum,
        width: 2.5,
        value: (row) => sumText(sumOf(row).factors),
        take: (row, text) => {
          const read = readSum(text, known.filter((id) => id !== row.id)); // oxfmt-ignore
          return read.ok ? { ...row, factors: read.factors } : WORDS.isNoSum(text, read.reason);
        },
      },
      { ...computedColumn('why', WORDS.why, (row) => sumOf(row).made?.reason ?? WORDS.typed), width: 4 },
    ];
  },
  rows: ({ combinations }) => combinations.flatMap((one) => (one.type === 'sum' ? [{ ...one } as SumRow] : [])),
  newRow: ({ combinations }, id) => {
    const last = combinations.findLast((one) => one.type === 'sum');
    return { id, type: 'sum', factors: {}, limitState: last?.limitState ?? 'strength' };
  },
  put: (_: Model, row, old) => {
    const entry = byHand(old && sumOf(old), sumOf(row));
    return [{ type: 'put', list: 'combinations', entry: { ...entry }, ...(old && { key: old.id }) }];
  },
};
