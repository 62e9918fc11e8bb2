import type { SpectrumSettings } from './spectrum-settings';

type Table = NonNullable<SpectrumSettings['table']>;

const NUMBER = /^[+]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i;

/** Reads a spectrum as it stands in a spreadsheet or a list: a line for each period, which is followed by its acceleration. What cannot be read is said with its line. */
export function readSpectrumTable(text: string): { readonly table: Table } | { readonly fault: string } {
  const table: { readonly period: number; readonly acceleration: number }[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const parts = line
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean);
    const where = `Line ${i + 1}, “${line.trim().slice(0, 30)}”`;
    if (parts.length !== 2 || !parts.every((part) => NUMBER.test(part)))
      return { fault: `${where}, is no period and acceleration. Write both in seconds and m/s², a space between: 0.4 2.5` };
    const [period, acceleration] = parts.map(Number) as [number, number];
    if (table.length > 0 && !(period > table.at(-1)!.period))
      return { fault: `${where}, does not follow: periods become longer and longer` };
    if (!(acceleration > 0)) return { fault: `${where}, has no acceleration: give more than 0` };
    table.push({ period, acceleration });
  }
  return table.length < 2 ? { fault: 'A spectrum has two lines at least: a period and its acceleration each' } : { table };
}

/** As it is typed. */
export const spectrumTableText = (table: Table): string =>
  table.map(({ period, acceleration }) => `${period} ${acceleration}`).join('\n');
