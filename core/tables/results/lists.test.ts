import { describe, expect, test } from '@jest/globals';
import { solve } from '../../analysis/session';
import type { Model } from '../../model/model';
import { defaultDisplay } from '../../quantities/display';
import { diagramOf } from '../../results/diagram';
import { valueIn } from '../../results/read';
import { quantityExtremes } from '../../results/read-quantity';
import { inRow, pin, roller, sketch } from '../../test/build';
import type { Table } from '../column';
import { hasPlaces, resultLists, resultTable, type AskedList, type ResultRow } from './lists';

/** Two equal spans of 4 m under 10 kN/m, the first also lifted by 60 kN, and pulled along by 5 kN, a metre from its start. */
const model: Model = sketch({
  nodes: inRow(0, 4, 8),
  members: [['a', '1', '2'], ['b', '2', '3']],
  supports: [pin('1'), roller('2'), roller('3')],
  extra: {
    cases: [{ id: 'G', title: 'G', category: 'permanent' }, { id: 'Q', title: 'Q', category: 'imposed' }],
    loads: [
      ...['a', 'b'].map((member, i) => ({ id: `${i}`, type: 'line', case: 'G', member, from: { wy: -10e3 }, to: { wy: -10e3 } })),
      { id: '9', type: 'point', case: 'Q', member: 'a', at: 0.25, fx: 5e3, fy: 60e3 },
    ] as Model['loads'],
    combinations: [
      { id: 'U1', title: '', type: 'sum', factors: { G: 1.35 } },
      { id: 'U2', title: '', type: 'sum', factors: { G: 1, Q: 1.5 } },
      { id: 'U', title: '', type: 'envelope', of: ['U1', 'U2'] },
    ] as Model['combinations'],
  },
}); // oxfmt-ignore
const solution = solve(model).solution!;
const at = (id: string): number => solution.outcomes.findIndex((one) => one.id === id);
const ask = (list: (typeof resultLists)[number], outcome: string, of: AskedList['of'] = 'itself'): Table<ResultRow> =>
  resultTable(solution, list, { outcome: at(outcome), of, places: 5 }, defaultDisplay)!;
const cells = ({ columns }: Table<ResultRow>, row: ResultRow): Record<string, unknown> =>
  Object.fromEntries(columns.map((column) => [column.title, column.value(row)]));

describe('schedules of results', () => {
  test('each has rows of nodes or of members, and cells for every row', () => {
    // Of critical loads, natural modes and earthquakes there are none here.
    const besides: readonly string[] = ['bucklingLengths', 'naturalModes', 'masses', 'harmonic', 'baseShear'];
    for (const list of resultLists) {
      if (besides.includes(list)) {
        expect(ask(list, 'U')).toBeUndefined();
        continue;
      }
      const table = ask(list, 'U');
      expect(table.rows.length).toBeGreaterThan(0);
      for (const row of table.rows) {
        expect((row.node === undefined) !== (row.member === undefined)).toBe(true);
        for (const column of table.columns) expect(column.value(row)).toBeDefined();
      }
    }
    expect(resultLists.filter(hasPlaces)).toEqual(['stations']);
    expect(resultTable(solution, 'foundations', { outcome: at('U1'), of: 'itself', places: 5 }, defaultDisplay)).toBeUndefined();
  });

  test('along members: evenly spaced places, of an envelope from the least to the greatest', () => {
    const table = ask('stations', 'U');
    expect(table.rows).toHaveLength(10);
    const middle = cells(table, table.rows[2]!);
    const moments = ['U1', 'U2'].map((id) => valueIn(diagramOf(solution, at(id), 0), 'Mz', 2) / 1e3);
    expect(middle).toMatchObject({
      Member: 'a',
      at: 2,
      M: { min: expect.closeTo(Math.min(...moments), 9), max: expect.closeTo(Math.max(...moments), 9) },
    });
  });

  test('of each outcome that makes an envelope the rows of its own', () => {
    const table = ask('reactions', 'U', 'each of its parts');
    expect(table.rows.map(({ outcome, node }) => `${solution.outcomes[outcome]!.id} ${node}`)).toEqual([
      'U1 1', 'U1 2', 'U1 3', 'U2 1', 'U2 2', 'U2 3',
    ]); // oxfmt-ignore
    // 1.35 · 10 kN/m · 4 m · 1.25 over the middle support: 5/8 of each span.
    expect(cells(table, table.rows[1]!)).toMatchObject({ In: 'U1', Y: expect.closeTo(67.5, 9) });
  });

  test('extremes of members with what acts at the same place in the same outcome, also at a jump', () => {
    const table = ask('memberExtremes', 'U');
    expect(table.rows.filter(({ member }) => member === 'a').map((row) => cells(table, row)['Extreme'])).toEqual([
      'N most', 'N least', 'V most', 'V least', 'M most', 'M least',
    ]); // oxfmt-ignore
    for (const row of table.rows) {
      const { Extreme, Value, at: x, M, V, By } = cells(table, row) as unknown as { Extreme: string; Value: number; at: number; M: number; V: number; By: string }; // oxfmt-ignore
      const [symbol, side] = Extreme.split(' ') as ['V' | 'M', 'most' | 'least'];
      if (symbol !== 'V' && symbol !== 'M') continue;
      const quantity = symbol === 'V' ? 'Vy' : 'Mz';
      const m = row.member === 'a' ? 0 : 1;
      const extreme = quantityExtremes(solution, at('U'), m, quantity)![side === 'most' ? 'max' : 'min'];
      expect([Value, By]).toEqual([expect.closeTo(extreme.value / 1e3, 9), solution.outcomes[extreme.from]!.id]);
      expect(symbol === 'V' ? V : M).toBe(Value);
      // A moment does not jump here: it is that of the outcome at the place.
      expect(M).toBeCloseTo(valueIn(diagramOf(solution, extreme.from, m), 'Mz', x) / 1e3, 5);
    }
    // A metre from the start shear and axial force jump. The least shear is that before it, with the tension before it.
    const rows = table.rows.map((row) => cells(table, row)).filter(({ Member }) => Member === 'a');
    const least = rows.find(({ Extreme }) => Extreme === 'V least')!;
    expect(least).toMatchObject({ at: expect.closeTo(1, 9), N: expect.closeTo(7.5, 9), By: 'U2' });
    // The least moment is there too, read with what acts behind it.
    const hogging = rows.find(({ Extreme }) => Extreme === 'M least')!;
    expect(hogging).toMatchObject({ at: expect.closeTo(1, 9), N: 0 });
  });

  test('forces of which there are none have no rows', () => {
    const none = resultTable(
      solution,
      'memberExtremes',
      { outcome: at('U'), of: 'itself', places: 5, isThere: (quantity) => quantity !== 'N' },
      defaultDisplay,
    )!;
    expect(none.rows).toHaveLength(8);
    expect(none.columns.map(({ key }) => key)).not.toContain('N');
  });
});
