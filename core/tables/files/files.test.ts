import { describe, expect, jest, test } from '@jest/globals';
import Papa from 'papaparse';
import { unzipSync, strFromU8 } from 'fflate';
import type { CellValue, Table } from '../column';
import { csvParts } from './csv';
import { jsonParts } from './json';
import { MOST_ROWS, xlsxFile } from './xlsx';

interface Row {
  readonly member: string;
  readonly value: CellValue;
}
const table = (rows: readonly Row[], title = 'Extremes'): Table<Row> => ({
  title,
  columns: [
    { key: 'member', title: 'Member', value: ({ member }) => member },
    { key: 'Mz', title: 'M', unit: 'kN·m', value: ({ value }) => value },
  ],
  rows,
});
const odd = [0.1 + 0.2, -1 / 3, 1e-17, 123456.789012345, -0, 2 ** 0.5];

describe('a table as CSV', () => {
  const read = (text: string, delimiter = ',') =>
    Papa.parse<string[]>(text, { delimiter, newline: '\r\n', skipEmptyLines: true }).data;

  test('is read back with all digits, units in the head, whatever stands in a name', () => {
    const names = ['a, "b"', 'two\nlines', '=1+1', '@x', '-c', '-3', 'ü;ß', ''];
    const rows = names.map((member, i) => ({ member, value: odd[i % odd.length] }));
    const text = [...csvParts(table(rows), 'point')].join('');
    expect(text.split('\r\n')[0]).toBe('Member,M (kN·m)');
    const [, ...lines] = read(text);
    expect(lines.map(([, value]) => Number(value))).toEqual(rows.map(({ value }) => (value as number) + 0));
    // What a spreadsheet would run is none.
    expect(lines.map(([name]) => name)).toEqual(['a, "b"', 'two\nlines', "'=1+1", "'@x", "'-c", '-3', 'ü;ß', '']);
  });

  test('with a comma as the decimal mark cells are divided by semicolons', () => {
    const rows = odd.map((value, i) => ({ member: `${i}`, value }));
    const [, ...lines] = read([...csvParts(table(rows), 'comma')].join(''), ';');
    expect(lines.map(([, value]) => Number(value!.replace(',', '.')))).toEqual(odd.map((value) => value + 0));
  });

  test('what goes from the least to the greatest is two columns; long tables come in parts', () => {
    const rows = Array.from({ length: 2500 }, (_, i) => ({ member: `${i}`, value: { min: -i, max: i / 3 } }));
    const parts = [...csvParts(table(rows), 'point')];
    expect(parts).toHaveLength(4);
    const lines = read(parts.join(''));
    expect(lines[0]).toEqual(['Member', 'M min (kN·m)', 'M max (kN·m)']);
    expect(lines[2000]!.map(Number)).toEqual([1999, -1999, 1999 / 3]);
  });
});

describe('tables as XLSX', () => {
  const partOf = (bytes: Uint8Array, name: RegExp): string => {
    const all = unzipSync(bytes);
    return strFromU8(all[Object.keys(all).find((one) => name.test(one))!]!);
  };
  const rows = odd.map((value, i) => ({ member: `m${i} <&>`, value }));

  test('numbers are numbers with all digits, one sheet a table, heads that stay, and the same bytes each time', async () => {
    const tables = [
      table(rows),
      table([{ member: 'x', value: undefined }], 'Extremes'),
      table([], 'a/b:c'),
    ] as unknown as readonly Table<never>[];
    const bytes = await xlsxFile(tables);
    const sheet = partOf(bytes, /sheets\/sheet1\.xml$/);
    const values = [...sheet.matchAll(/<c r="B(\d+)"[^>]*><v>([^<]*)<\/v>/g)].filter(([, row]) => row !== '1').map(([, , value]) => Number(value)); // oxfmt-ignore
    expect(values).toEqual(odd.map((value) => value + 0));
    expect(sheet).toMatch(/<pane [^>]*ySplit="1"[^>]*state="frozen"/);
    const names = [...partOf(bytes, /workbook\.xml$/).matchAll(/<sheet [^>]*name="([^"]*)"/g)].map(([, name]) => name);
    expect(names).toEqual(['Extremes', 'Extremes 2', 'a b c']);
    const strings = partOf(bytes, /sharedStrings\.xml$/);
    expect(strings).toContain('m0 &lt;&amp;&gt;');
    expect(strings).toContain('M (kN·m)');
    jest.useFakeTimers({ now: 2e12, doNotFake: ['setTimeout', 'setImmediate', 'queueMicrotask', 'nextTick'] });
    expect(Buffer.from(await xlsxFile(tables)).equals(Buffer.from(bytes))).toBe(true);
    jest.useRealTimers();
  });

  test('more rows than a sheet takes are refused with words', async () => {
    const long = { ...table([]), rows: { length: MOST_ROWS + 1 } } as unknown as Table<never>;
    await expect(xlsxFile([long])).rejects.toThrow(/“Extremes” has 200001 rows/);
  });
});

test('as JSON a table has its units beside its names, numbers with all digits, and ranges as pairs', () => {
  const table: Table<{ readonly a: string; readonly b?: CellValue }> = {
    title: 'Some',
    columns: [
      { key: 'a', title: 'A', value: ({ a }) => a },
      { key: 'b', title: 'B', unit: 'kN', value: ({ b }) => b },
    ],
    rows: [{ a: '“x”', b: 1 / 3 }, { a: 'y', b: { min: -2, max: 0.1 } }, { a: 'z' }],
  };
  expect(JSON.parse([...jsonParts(table)].join(''))).toEqual({
    ...{ format: 'rigid-beam/table', version: 1, title: 'Some' },
    columns: [
      { key: 'a', title: 'A' },
      { key: 'b', title: 'B', unit: 'kN' },
    ],
    rows: [
      ['“x”', 1 / 3],
      ['y', [-2, 0.1]],
      ['z', null],
    ],
  });
  expect(JSON.parse([...jsonParts({ ...table, rows: [] })].join(''))).toMatchObject({ rows: [] });
});
