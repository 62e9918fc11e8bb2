import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { columns as WORDS } from './words';

/** A row as a schedule holds it: the entry, and what is told beside it. */
export type Row = Record<string, unknown> & { readonly id: string };

export interface Column {
  readonly key: string;
  readonly title: string;
  readonly unit?: string;
  /** Not for typing. */
  readonly computed?: true;
  /** The words that may stand here. */
  readonly choices?: readonly string[];
  readonly show: (row: Row) => string;
  /** The row with the text taken in, or why it cannot be. */
  readonly take: (row: Row, text: string) => Row | string;
}

/** Numbers as a spreadsheet takes them. */
export const plain = (value: number): string => showNumber(value, 9).replace('−', '-').replaceAll(' ', '').replaceAll(' ', '');

export const textColumn = (key: string, title: string, choices?: readonly string[]): Column => ({
  key,
  title,
  ...(choices && { choices }),
  show: (row) => (typeof row[key] === 'string' ? row[key] : ''),
  take: (row, typed) => {
    const word = typed.trim();
    if (word === '') return WORDS.mustNotBeEmpty(title);
    if (choices && !choices.includes(word)) return WORDS.isNoneOf(word, choices.slice(0, 12).join(', '));
    return { ...row, [key]: word };
  },
});

export const lengthColumn = (key: string, title: string, unit: string): Column => ({
  key,
  title,
  unit,
  show: (row) => plain(inUnit((row[key] as number | undefined) ?? 0, unit)),
  take: (row, typed) => {
    const parsed = parseQuantity(typed, 'length', unit);
    return parsed.ok ? { ...row, [key]: parsed.value } : WORDS.isNoLength(typed, parsed.reason);
  },
});

/** A quantity that need not be given; `computed`: what stands there until it is. */
export const quantityColumn = (
  key: string,
  title: string,
  { dimension, unit }: { readonly dimension: DimensionName; readonly unit: string },
  computed: (row: Row) => number | undefined = (row) => row[key] as number | undefined,
): Column => ({
  key,
  title,
  unit,
  show: (row) => {
    // What is computed has as many digits as one reads; what was typed has its own.
    const given = row[key] as number | undefined;
    const value = given ?? computed(row);
    return value === undefined ? '' : plain(Number(inUnit(value, unit).toPrecision(given === undefined ? 5 : 9)));
  },
  take: (row, typed) => {
    if (typed.trim() === '') {
      const { [key]: _, ...rest } = row;
      return rest as Row;
    }
    const parsed = parseQuantity(typed, dimension, unit);
    return parsed.ok ? { ...row, [key]: parsed.value } : WORDS.isNoQuantity(typed, parsed.reason);
  },
});

/** What follows from the rest of the model. */
export const computedColumn = (key: string, title: string, show: (row: Row) => string, unit?: string): Column => ({
  key,
  title,
  ...(unit !== undefined && { unit }),
  computed: true,
  show,
  take: () => WORDS.follows(title),
});
