import { isSpan, type Column, type Table } from './column';
import type { Condition } from './conditions';

/** A column by which rows are ordered, upwards or downwards. */
export interface Sorted {
  readonly key: string;
  readonly way: 1 | -1;
}

/** Which rows of a table are wanted, and in which order; as they stand where nothing is said. */
export interface Wanted<R> {
  readonly holds?: Condition<R>;
  readonly sorted?: Sorted | undefined;
}

/** Rows that are read before the reader is asked whether it may go on. */
const AT_ONCE = 500;

const inOrder = new Intl.Collator('en', { numeric: true }).compare;

/**
 * The rows of a table that are wanted, as indices in their order. Numbers are ordered as numbers, what goes from the least to the greatest by
 * the larger of both, words as people order them (member 10 behind member 9); where nothing stands comes last, and equal ones stay as they
 * stand. Yields the part of the work that is done: each row that is asked for may have to be computed.
 */
export function* arranged<R>({ columns, rows }: Table<R>, { holds, sorted }: Wanted<R>): Generator<number, Uint32Array> {
  const kept: number[] = [];
  for (let i = 0; i < rows.length; i++) {
    if (!holds || holds(rows[i]!)) kept.push(i);
    if (i % AT_ONCE === AT_ONCE - 1) yield (0.5 * i) / rows.length;
  }
  const column = sorted && columns.find(({ key }) => key === sorted.key);
  if (!sorted || !column) return Uint32Array.from(kept);
  const numbers = new Float64Array(kept.length).fill(NaN);
  const words: (string | undefined)[] = [];
  for (const [k, i] of kept.entries()) {
    const value = keyOf(column, rows[i]!);
    if (typeof value === 'number') numbers[k] = value;
    else words[k] = value;
    if (k % AT_ONCE === AT_ONCE - 1) yield 0.5 + (0.4 * k) / kept.length;
  }
  const order = kept.map((_, k) => k);
  order.sort((a, b) => {
    const [x, y] = [numbers[a]!, numbers[b]!];
    if (!Number.isNaN(x) && !Number.isNaN(y)) return sorted.way * (x - y) || a - b;
    const [v, w] = [words[a], words[b]];
    if (v !== undefined && w !== undefined) return sorted.way * inOrder(v, w) || a - b;
    return rankOf(x, v) - rankOf(y, w) || a - b;
  });
  return Uint32Array.from(order, (k) => kept[k]!);
}

/** Numbers first, then words, then nothing. */
const rankOf = (number: number, word: string | undefined): number => (!Number.isNaN(number) ? 0 : word !== undefined ? 1 : 2);

function keyOf<R>({ value }: Column<R>, row: R): number | string | undefined {
  const found = value(row);
  if (!isSpan(found)) return found;
  return Math.abs(found.max) >= Math.abs(found.min) ? found.max : found.min;
}

/** All at once, for what is not too long. */
export function arrangedNow<R>(table: Table<R>, wanted: Wanted<R>): Uint32Array {
  const reading = arranged(table, wanted);
  for (let step = reading.next(); ; step = reading.next()) if (step.done) return step.value;
}
