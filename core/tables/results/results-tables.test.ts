import { expect, test } from '@jest/globals';
import { defaultDisplay } from '../../quantities/display';
import { extremesOverMembers } from '../../results/extremes-over-members';
import { clamp, pin, roller, sketch, solved } from '../../test/build';
import type { Model } from '../../model/model';
import { cellText, cellWords, type Table } from '../column';
import { endForcesTable } from './end-forces';
import { extremesTable } from './extremes';
import { foundationTable } from './foundation';
import { balanceTable, displacementsTable, reactionsTable } from './nodal';

const units = { ...defaultDisplay, force: 'kN', moment: 'kN·m', deflection: 'mm', length: 'm' } as const;
/** Every cell of a table, under the names and units of its columns. */
const texts = <R>({ columns, rows }: Table<R>): string[][] => [
  columns.map(({ title, unit }) => (unit ? `${title} (${unit})` : title)),
  ...rows.map((row) => columns.map((column) => cellText(column, row))),
];

/** A beam of 4 m under 3 kN/m. */
const beam: Model = sketch({
  nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1'), roller('2')],
  loads: [{ type: 'line', member: 'a', from: { wy: -3e3 }, to: { wy: -3e3 } }],
}); // oxfmt-ignore

test('reactions and balance by hand, in the units of the project, without noise', () => {
  const { solution } = solved(beam);
  expect(texts(reactionsTable(solution, 0, units))).toEqual([
    ['Node', 'X (kN)', 'Y (kN)', 'M (kN·m)'],
    ['1', '0', '6', '0'],
    ['2', '0', '6', '0'],
  ]);
  expect(texts(balanceTable(solution.responses[0]!, solution.structure.active, units)).slice(1)).toEqual([
    ['Loads', '0', '-12', '-24'],
    ['Reactions', '0', '12', '24'],
  ]);
});

test('end forces with the signs of the diagrams, and how the nodes move', () => {
  const model = sketch({
    nodes: [['1', 0, 0], ['2', 2, 0]], members: [['a', '1', '2']], supports: [clamp('1')],
    loads: [{ type: 'node', node: '2', fx: 5e3, fy: -1e3 }], section: { A: 0.01, Iz: 1e-5 },
  }); // oxfmt-ignore
  const { solution } = solved(model);
  expect(texts(endForcesTable(solution, 0, units))).toEqual([
    ['Member', 'End', 'N (kN)', 'V (kN)', 'M (kN·m)'],
    ['a', 'start', '5', '1', '-2'],
    ['a', 'end', '5', '1', '0'],
  ]);
  const [head, , tip] = texts(displacementsTable(solution, 0, units));
  expect(head).toEqual(['Node', 'uX (mm)', 'uY (mm)', 'turn (mrad)']);
  const E = model.materials[0]!.E!;
  expect(Number(tip![2])).toBeCloseTo((-1e3 * 8 * 1e3) / (3 * E * 1e-5), 6);
  expect(Number(tip![3])).toBeCloseTo((-1e3 * 4 * 1e3) / (2 * E * 1e-5), 6);
});

test('extremes with their places; of an envelope ranges, and what governs', () => {
  const model: Model = {
    ...beam,
    combinations: [
      { id: 'U1', type: 'sum', limitState: 'strength', factors: { Q: 1.5 } },
      { id: 'U2', type: 'sum', limitState: 'strength', factors: { Q: -0.5 } },
      { id: 'U', type: 'envelope', limitState: 'strength', of: ['U1', 'U2'] },
    ],
  } as Model;
  const { solution } = solved(model);
  const governing = (quantity: 'Mz' | 'N') => extremesOverMembers(solution, 3, quantity);
  const table = extremesTable(solution, 3, units, (quantity) => (quantity === 'Mz' ? governing(quantity) : undefined));
  expect(texts(table).slice(1)).toEqual([
    ['bending moment', 'Largest', '9', 'kN·m', 'a', '2', 'U1'],
    ['bending moment', 'Smallest', '-3', 'kN·m', 'a', '2', 'U2'],
  ]);
  const { columns, rows } = reactionsTable(solution, 3, units);
  expect([cellText(columns[2]!, rows[0]!), cellWords(columns[2]!, rows[0]!)]).toEqual(['-3 … 9', '−3 … 9']);
});

test('reactions for foundations: each extreme with all that acts at the same time, and the combination in which that is', () => {
  const column = sketch({
    nodes: [['1', 0, 0], ['2', 0, 4]], members: [['c', '1', '2']], supports: [clamp('1')],
    extra: {
      cases: [{ id: 'G', category: 'permanent' }, { id: 'W', category: 'wind' }],
      loads: [{ id: 'g', case: 'G', type: 'node', node: '2', fy: -10e3 }, { id: 'w', case: 'W', type: 'node', node: '2', fx: 2e3 }],
      combinations: [
        { id: 'U1', type: 'sum', factors: { G: 1.35 } },
        { id: 'U2', type: 'sum', factors: { G: 1, W: 1.5 } },
        { id: 'E', type: 'envelope', of: ['U1', 'U2'] },
      ],
    },
  }); // oxfmt-ignore
  const { solution } = solved(column);
  expect(texts(foundationTable(solution, 4, units)!)).toEqual([
    ['Node', 'Extreme', 'X (kN)', 'Y (kN)', 'M (kN·m)', 'By'],
    ['1', 'X most', '0', '13.5', '0', 'U1'],
    ['1', 'X least', '-3', '10', '12', 'U2'],
    ['1', 'Y most', '0', '13.5', '0', 'U1'],
    ['1', 'Y least', '-3', '10', '12', 'U2'],
    ['1', 'M most', '-3', '10', '12', 'U2'],
    ['1', 'M least', '0', '13.5', '0', 'U1'],
  ]);
  expect(foundationTable(solution, 3, units)).toBeUndefined();
});
