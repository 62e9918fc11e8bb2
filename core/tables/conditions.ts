import { parseIn } from '../quantities/parse';
import { cellText, isSpan, type Column } from './column';
import { conditions as WORDS } from './words';

/** Whether a row is one of those that are wanted. */
export type Condition<R> = (row: R) => boolean;

/** What conditions are read to, or why they cannot be. */
export type ReadConditions<R> =
  | { readonly ok: true; readonly holds: Condition<R> }
  | { readonly ok: false; readonly reason: string };

/** A name, perhaps between bars for its size, a comparison, and an amount. */
const COMPARED = /^(\|?)\s*(.+?)\s*\1\s*(<=|>=|≤|≥|<|>|=)\s*(.+)$/u;

const EQUAL = 5e-4;
const SIGNS: Readonly<Record<string, (value: number, limit: number) => boolean>> = {
  '>': (value, limit) => value > limit,
  '≥': (value, limit) => value >= limit,
  '<': (value, limit) => value < limit,
  '≤': (value, limit) => value <= limit,
  // As it is read in the cell: four digits.
  '=': (value, limit) => Math.abs(value - limit) <= EQUAL * Math.abs(limit),
};
const TYPED: Readonly<Record<string, string>> = { '>=': '≥', '<=': '≤' };

/**
 * Reads what is wanted of a table, parts with commas between them that all have to hold: “|M| > 10 kN·m” or “V < -3” of the column that is
 * called so, in its unit where none is written, and anything else as a text that stands somewhere in the row. Of a cell from the least to
 * the greatest either may fulfil it.
 */
export function readConditions<R>(text: string, columns: readonly Column<R>[]): ReadConditions<R> {
  const all: Condition<R>[] = [];
  for (const part of text.split(',').map((one) => one.trim())) {
    if (part === '') continue;
    const compared = COMPARED.exec(part);
    if (!compared) {
      all.push(contains(part, columns));
      continue;
    }
    const [, bar, name, sign, amount] = compared as unknown as [string, string, string, string, string];
    const wanted = name.trim().toLowerCase();
    const column = columns.find(({ key, title }) => title.toLowerCase() === wanted || key.toLowerCase() === wanted);
    if (!column) return { ok: false, reason: WORDS.noColumn(name, columns.map(({ title }) => title).join(', ')) };
    const limit = parseIn(amount, column.unit ?? '');
    if (!limit.ok) {
      // “By = U1” and the like compare words.
      if (sign !== '=') return { ok: false, reason: WORDS.noAmount(part, limit.reason) };
      all.push((row) => cellText(column, row).toLowerCase() === amount.trim().toLowerCase());
      continue;
    }
    const holds = SIGNS[TYPED[sign] ?? sign]!;
    const sized = (value: number): number => (bar === '|' ? Math.abs(value) : value);
    all.push((row) => {
      const value = column.value(row);
      if (typeof value === 'number') return holds(sized(value), limit.value);
      if (isSpan(value)) return holds(sized(value.max), limit.value) || holds(sized(value.min), limit.value);
      return value !== undefined && sign === '=' && value.toLowerCase() === amount.trim().toLowerCase();
    });
  }
  return { ok: true, holds: (row) => all.every((one) => one(row)) };
}

/** Of texts, not of numbers: “12” would stand in half of them. A name is meant as a whole where it is one. */
function contains<R>(part: string, columns: readonly Column<R>[]): Condition<R> {
  const wanted = part.toLowerCase();
  return (row) =>
    columns.some((column) => {
      const value = column.value(row);
      return typeof value === 'string' && value.toLowerCase().includes(wanted);
    });
}
