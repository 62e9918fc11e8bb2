import { describe, expect, test } from '@jest/globals';
import * as fc from 'fast-check';
import { evenly } from '../test/evenly';
import { arranged, arrangedNow } from './arranged';
import type { CellValue, Table } from './column';
import { readConditions } from './conditions';

interface Row {
  readonly name: string;
  readonly value: CellValue;
}
const table = (rows: readonly Row[]): Table<Row> => ({
  title: '',
  columns: [
    { key: 'name', title: 'Member', value: ({ name }) => name },
    { key: 'Mz', title: 'M', unit: 'kN·m', value: ({ value }) => value },
  ],
  rows,
});
const rows: readonly Row[] = [
  { name: 'b10', value: -12 },
  { name: 'b9', value: 3 },
  { name: 'roof', value: { min: -20, max: 4 } },
  { name: 'b2', value: undefined },
  { name: 'c', value: 3 },
];
const shown = (text: string): string[] | string => {
  const all = table(rows);
  const read = readConditions(text, all.columns);
  return read.ok ? [...arrangedNow(all, { holds: read.holds })].map((i) => rows[i]!.name) : read.reason;
};

describe('rows that are wanted', () => {
  test('by the size or the sign of a number, of an envelope by either of both', () => {
    expect(shown('M > 2')).toEqual(['b9', 'roof', 'c']);
    expect(shown('|M| ≥ 12')).toEqual(['b10', 'roof']);
    expect(shown('mz < -15')).toEqual(['roof']);
    expect(shown('M = 3')).toEqual(['b9', 'c']);
    expect(shown('M > -20000 N·m, M <= 3')).toEqual(['b10', 'b9', 'roof', 'c']);
  });

  test('by a text that stands in them, and by several things at once', () => {
    expect(shown('b')).toEqual(['b10', 'b9', 'b2']);
    expect(shown('b, |M| > 5')).toEqual(['b10']);
    expect(shown('Member = B9')).toEqual(['b9']);
    expect(shown(' , ')).toHaveLength(rows.length);
  });

  test('what is not understood is said', () => {
    expect(shown('Q > 3')).toBe('There is no column “Q”. Columns are: Member, M.');
    expect(shown('M > heavy')).toMatch(/^“M > heavy” is not understood: /);
    expect(shown('M > 3 kN')).toBe('“M > 3 kN” is not understood: its unit is not one for kN·m.');
  });
});

describe('their order', () => {
  const by = (key: string, way: 1 | -1): string[] =>
    [...arrangedNow(table(rows), { sorted: { key, way } })].map((i) => rows[i]!.name);

  test('numbers as numbers, of an envelope by the larger one, nothing last, equal ones as they stood', () => {
    expect(by('Mz', 1)).toEqual(['roof', 'b10', 'b9', 'c', 'b2']);
    expect(by('Mz', -1)).toEqual(['b9', 'c', 'b10', 'roof', 'b2']);
  });

  test('words as people order them', () => {
    expect(by('name', 1)).toEqual(['b2', 'b9', 'b10', 'c', 'roof']);
  });

  test('in pieces it comes to the same as any other sort, whatever the numbers', () => {
    fc.assert(
      fc.property(fc.array(evenly(-5, 5), { maxLength: 1300 }), (values) => {
        const all = table(values.map((value, i) => ({ name: `${i}`, value: Math.round(value) })));
        const reading = arranged(all, { sorted: { key: 'Mz', way: 1 } });
        let pieces = 0;
        let step = reading.next();
        for (; !step.done; step = reading.next()) pieces++;
        expect(pieces).toBe(2 * Math.floor(values.length / 500));
        const expected = values.map((_, i) => i).sort((a, b) => Math.round(values[a]!) - Math.round(values[b]!) || a - b);
        expect([...step.value]).toEqual(expected);
      }),
      { numRuns: 30 },
    );
  });
});
