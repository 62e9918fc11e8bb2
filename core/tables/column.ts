import { alongAxis, type CalledAxis } from '../quantities/axis-names';
import type { DimensionName } from '../quantities/dimension';
import { parseQuantity } from '../quantities/parse';
import { inUnit, showNumber } from '../quantities/show';
import { columns as WORDS } from './words';

/** What stands in a cell: a word, a number in the unit of its column, or, of an envelope, from the least to the greatest. */
export type CellValue = string | number | Span | undefined;
export interface Span {
  readonly min: number;
  readonly max: number;
}

/** A column of a table. Whoever shows, sorts, copies or writes a table asks it for values, and knows nothing of what a row is. */
export interface Column<R> {
  readonly key: string;
  readonly title: string;
  readonly unit?: string;
  /** How many times as wide as others it stands; 1 where nothing is said. */
  readonly width?: number;
  readonly value: (row: R) => CellValue;
  /** Significant digits of its numbers where people read them; all that nine can hold where nothing else is said. */
  readonly digits?: (row: R) => number;
}

/** A table: what it is called, its columns, and its rows in their order. */
export interface Table<R> {
  readonly title: string;
  readonly columns: readonly Column<R>[];
  readonly rows: readonly R[];
}

export const isSpan = (value: CellValue): value is Span => typeof value === 'object';

const DIGITS = 9;

/** A number as a spreadsheet takes it. */
const plain = (value: number): string => showNumber(value, DIGITS).replace('−', '-').replaceAll(' ', '').replaceAll(' ', '');

/** The text of a cell, as a spreadsheet takes it too. */
export function cellText<R>({ value, digits }: Column<R>, row: R): string {
  const found = value(row);
  if (found === undefined) return '';
  if (typeof found === 'string') return found;
  const told = (one: number): string => plain(Number(one.toPrecision(digits?.(row) ?? DIGITS)));
  return typeof found === 'number' ? told(found) : `${told(found.min)} … ${told(found.max)}`;
}

/** The text of a cell for people: four significant digits. */
export function cellWords<R>({ value }: Column<R>, row: R): string {
  const found = value(row);
  if (found === undefined) return '';
  if (typeof found === 'string') return found;
  return typeof found === 'number' ? showNumber(found) : `${showNumber(found.min)} … ${showNumber(found.max)}`;
}

/** A row as a schedule holds it: the entry, and what is told beside it. */
export type Row = Record<string, unknown> & { readonly id: string };

/** A number of an entry: where it stands in it, what it is, and the unit of one that is written without. */
export interface Measured {
  readonly at: readonly string[];
  readonly dimension: DimensionName;
  readonly unit: string;
  /** The column counts the other way than the model does. */
  readonly isTurned?: boolean;
}

/** A column of a schedule. */
export interface TypedColumn extends Column<Row> {
  /** Not for typing. */
  readonly computed?: true;
  /** The words that may stand here. */
  readonly choices?: readonly string[];
  /** Of a number of the entry its keys in it, and how it is written: an expression of parameters may stand there. */
  readonly measured?: Measured;
  /** The row with the text taken in, or why it cannot be. */
  readonly take: (row: Row, text: string) => Row | string;
}

export function textColumn(key: string, title: string, choices?: readonly string[]): TypedColumn {
  const known = new Set(choices);
  return {
    key,
    title,
    ...(choices && { choices }),
    value: (row) => (typeof row[key] === 'string' ? row[key] : ''),
    take: (row, typed) => {
      const word = typed.trim();
      if (word === '') return WORDS.mustNotBeEmpty(title);
      if (choices && !known.has(word)) return WORDS.isNoneOf(word, choices.slice(0, 12).join(', '));
      return { ...row, [key]: word };
    },
  };
}

/** A coordinate along an axis of the structure, as the reader calls it. */
export const coordinateColumn = (key: string, axis: CalledAxis, unit: string): TypedColumn => ({
  key,
  title: axis.letter,
  unit,
  measured: { at: [key], dimension: 'length', unit, isTurned: axis.sign < 0 },
  value: (row) => alongAxis(axis, inUnit((row[key] as number | undefined) ?? 0, unit)),
  take: (row, typed) => {
    const parsed = parseQuantity(typed, 'length', unit);
    return parsed.ok ? { ...row, [key]: alongAxis(axis, parsed.value) } : WORDS.isNoLength(typed, parsed.reason);
  },
});

/** An angle in degrees, as it is stored. */
export const angleColumn = (key: string, title: string, take: (row: Row, degrees: number) => Row): TypedColumn => ({
  key,
  title,
  unit: '°',
  value: (row) => (row[key] as number | undefined) ?? 0,
  take: (row, typed) => {
    const parsed = parseQuantity(typed, 'number');
    return parsed.ok ? take(row, parsed.value) : WORDS.isNoAngle(typed, parsed.reason);
  },
});

/** A quantity that need not be given; `computed`: what stands there until it is. */
export const quantityColumn = (
  key: string,
  title: string,
  { dimension, unit }: { readonly dimension: DimensionName; readonly unit: string },
  computed: (row: Row) => number | undefined = (row) => row[key] as number | undefined,
): TypedColumn => ({
  key,
  title,
  unit,
  measured: { at: [key], dimension, unit },
  value: (row) => {
    const value = (row[key] as number | undefined) ?? computed(row);
    return value === undefined ? undefined : inUnit(value, unit);
  },
  // What is computed has as many digits as one reads; what was typed has its own.
  digits: (row) => (row[key] === undefined ? 5 : DIGITS),
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
export const computedColumn = (key: string, title: string, value: (row: Row) => CellValue, unit?: string): TypedColumn => ({
  key,
  title,
  ...(unit !== undefined && { unit }),
  computed: true,
  value,
  digits: () => 6,
  take: () => WORDS.follows(title),
});
