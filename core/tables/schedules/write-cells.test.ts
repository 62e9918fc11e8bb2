import { describe, expect, test } from '@jest/globals';
import { checkModel } from '../../model/check';
import { applyIntent } from '../../model/edits/apply-intent';
import type { Model } from '../../model/model';
import lintel from '../../../examples/lintel.rbm.json';
import { listed } from '../../sections/catalogue/listed';
import { shapeCalled } from '../../sections/catalogue/search';
import { cellText } from '../column';
import { schedules, type ScheduleList } from './lists';
import { readTable, writeCells, type Cell } from './write-cells';

const model = checkModel(lintel).model!;
const catalogue = { listed, shapeCalled };
const columnsOf = (one: Model, list: ScheduleList) => schedules[list].columns(one, catalogue);
const rowsOf = (one: Model, list: ScheduleList) => schedules[list].rows(one);
const written = (cells: readonly Cell[], list: ScheduleList = 'nodes'): Model | string => {
  const result = writeCells(model, list, cells, catalogue);
  if (!result.ok) return result.reason;
  const applied = applyIntent(model, result.intent);
  return applied.ok ? applied.model : applied.faults[0]!.message;
};

describe('schedules', () => {
  test('show what the model holds, in its units', () => {
    const columns = columnsOf({ ...model, display: { length: 'mm' } }, 'nodes');
    const [, second] = rowsOf(model, 'nodes');
    expect(columns.map((column) => cellText(column, second!))).toEqual(['2', '3600', '0', 'rollsX']);
  });

  test('a pasted table changes rows, adds new ones, renames and supports, in one step', () => {
    const table = readTable('1\t0\t0.5\r\nB\t3.7\t0\r\n');
    const cells = table.flatMap((line, r) =>
      line.map((text, c): Cell => ({ row: ['1', '2'][r], column: ['id', 'x', 'y'][c]!, text })),
    );
    const after = written([
      ...cells,
      { row: undefined, added: 0, column: 'x', text: '12' },
      { row: '4', column: 'support', text: 'fixed' },
    ]);
    if (typeof after === 'string') throw new Error(after);
    expect(after.nodes.map(({ id, x, y }) => `${id} ${x} ${y}`)).toEqual(['1 0 0.5', 'B 3.7 0', '3 8.4 0', '4 9.9 0', '5 12 0']);
    expect(after.members[0]!.end).toBe('B');
    expect(after.supports.find(({ node }) => node === '4')).toMatchObject({ rz: 'fixed' });
  });

  test('members: roll and behaviour, and a support taken away', () => {
    const after = written(
      [
        { row: 'a', column: 'roll', text: '90' },
        { row: 'b', column: 'behaviour', text: 'truss' },
      ],
      'members',
    );
    expect(after).toMatchObject({ members: [{ roll: 90 }, { behaviour: 'truss' }, {}] });
    expect(written([{ row: '1', column: 'support', text: 'none' }])).toMatchObject({ supports: { length: 2 } });
  });

  test('sections: a designation gives the shape once the catalogue is here, what is typed beside it wins until it is emptied', () => {
    const typed = (column: string, text: string): Cell => ({ row: 'lintel', column, text });
    expect(writeCells(model, 'sections', [typed('catalogue', 'hea200')])).toMatchObject({
      reason: expect.stringMatching(/Row lintel, Designation: the catalogue is still on its way/),
    });
    expect(written([typed('catalogue', 'HEA 205')], 'sections')).toMatch(/no shape “HEA 205”/);
    const shaped = written([typed('catalogue', 'hea200')], 'sections') as Model;
    expect(shaped.sections[0]).toMatchObject({ id: 'lintel', catalogue: 'HEA 200', shape: { h: 0.19 } });
    const row = rowsOf(shaped, 'sections')[0]!;
    const shown = (key: string): string =>
      cellText(
        columnsOf(shaped, 'sections').find((column) => column.key === key)!,
        row,
      );
    expect([shown('A'), shown('Iz'), shown('shape'), shown('members'), shown('total')]).toEqual([
      expect.stringMatching(/^53\.83/),
      expect.stringMatching(/^3692\./),
      'I-shape',
      '3',
      '9.9',
    ]);
    const area = columnsOf(shaped, 'sections').find(({ key }) => key === 'A')!;
    const over = area.take(row, '60') as typeof row;
    expect(over['A']).toBeCloseTo(0.006, 12);
    expect(area.take(over, ' ')).toEqual(row);
    expect(area.take(row, '5 kN')).toMatch(/“5 kN” is not understood/);
  });

  test('materials: constants in the units of the project; G from Poisson’s ratio until it is typed', () => {
    const steel = rowsOf(model, 'materials')[0]!;
    const [, E, G] = columnsOf(model, 'materials');
    expect([cellText(E!, steel), E!.unit]).toEqual(['210', 'GPa']);
    expect(Number(cellText(G!, { ...steel, nu: 0.3, G: undefined }))).toBeCloseTo(80.769, 3);
    const after = written(
      [
        { row: String(steel.id), column: 'fy', text: '275' },
        { row: undefined, added: 0, column: 'E', text: '11' },
      ],
      'materials',
    ) as Model;
    expect(after.materials[0]!.fy).toBeCloseTo(275e6, 3);
    expect(after.materials.at(-1)!.E).toBeCloseTo(11e9, 3);
  });

  test.each<[Cell, 'nodes' | 'members', RegExp]>([
    [{ row: '1', column: 'x', text: 'far' }, 'nodes', /Row 1, X: “far” is not a length/],
    [{ row: 'a', column: 'section', text: 'oak' }, 'members', /“oak” is not one of/],
    [{ row: 'a', column: 'length', text: '3' }, 'members', /computed/],
    [{ row: '1', column: 'id', text: '2' }, 'nodes', /already a node “2”/],
    [{ row: '1', column: 'colour', text: '2' }, 'nodes', /no column/],
  ])('%j in %s is refused whole', (cell, list, words) => expect(written([cell], list)).toMatch(words));

  test('supports: each freedom a word or a stiffness; what is neither is refused', () => {
    const columns = columnsOf(model, 'supports');
    const shown = (id: string) =>
      columns.map((column) =>
        cellText(
          column,
          rowsOf(model, 'supports').find((row) => row.id === id)!,
        ),
      );
    expect(shown('1')).toEqual(['1', 'pinned', 'held', 'held', 'free', '0']);
    const after = written(
      [
        { row: '2', column: 'uy', text: '30 MN/m3 * 0.5 m2' },
        { row: '2', column: 'ux', text: 'held' },
        { row: '1', column: 'rz', text: 'held' },
        { row: '3', column: 'uy', text: 'free' },
        { row: '3', column: 'ux', text: 'held' },
      ],
      'supports',
    ) as Model;
    expect(after.supports).toMatchObject([{ rz: 'fixed' }, { ux: 'fixed', uy: 15e6 }, { ux: 'fixed' }]);
    expect(after.supports[2]).not.toHaveProperty('uy');
    expect(written([{ row: '2', column: 'uy', text: 'loose' }], 'supports')).toMatch(
      /“loose” is neither held, free nor a stiffness/,
    );
    expect(written([{ row: '2', column: 'uy', text: '-3' }], 'supports')).toMatch(/negative stiffness/);
  });

  test('loads: as they are said, with their totals; a table of them is pasted', () => {
    const columns = columnsOf(model, 'loads');
    expect(columns.map(({ title }) => title)).toEqual(['Load', 'Case', 'On', 'Says', 'Total X', 'Total Y']);
    const table = readTable('Q1\tmember b\t8 to 2 kN/m down\nQ2\t4\t12 kN at 30\nQ1\trun b, c\t3 kN/m');
    const after = written(
      table.flatMap((line, added) =>
        line.map((text, c): Cell => ({ row: undefined, added, column: ['case', 'on', 'say'][c]!, text })),
      ),
      'loads',
    ) as Model;
    const made = after.loads.slice(model.loads.length);
    expect(made).toMatchObject([
      { case: 'Q1', type: 'line', member: 'b', from: { wy: -8000 }, to: { wy: -2000 } },
      { case: 'Q2', type: 'node', node: '4' },
      { case: 'Q1', type: 'chain', members: ['b', 'c'] },
    ]);
    const total = columns.find(({ key }) => key === 'total1')!;
    const rows = rowsOf(after, 'loads').slice(model.loads.length);
    const shown = rows.map((row) =>
      Number(
        cellText(
          columnsOf(after, 'loads').find(({ key }) => key === 'total1')!,
          row,
        ),
      ),
    );
    expect(total.unit).toBe('kN');
    expect(shown).toEqual([-24, 6, expect.closeTo(-3 * 6.3, 6)]);
    expect(written([{ row: model.loads[0]!.id, column: 'say', text: '8 furlongs' }], 'loads')).toMatch(/is not put/);
    expect(written([{ row: undefined, column: 'on', text: 'beam 7' }], 'loads')).toMatch(/“beam 7” is no place/);
    expect(written([{ row: model.loads[0]!.id, column: 'on', text: 'members b, c' }], 'loads')).toMatch(
      /one load: write “run a, b”/,
    );
  });

  test('loads: a train on a deck says its axles and where it stands, and is not made something else by a cell', () => {
    const train = {
      id: 't',
      case: 'Q1',
      type: 'train',
      nodes: ['1', '2', '3'],
      stands: 2,
      axles: [2e4, 4e4],
      spacings: [1.5],
    } as const;
    const loaded = { ...model, loads: [...model.loads, train] };
    const row = rowsOf(loaded, 'loads').at(-1)!;
    const texts = columnsOf(loaded, 'loads')
      .slice(0, 4)
      .map((column) => cellText(column, row));
    expect(texts).toEqual(['t', 'Q1', 'deck 1, 2, 3', 'train 20 kN + 40 kN after 1.5 m, its first axle at 2 m']);
    const say = columnsOf(loaded, 'loads').find(({ key }) => key === 'say')!;
    expect(say.take!(row, '8 kN down')).toMatch(/written and moved on its card/);
  });

  test('members: how they are joined at their ends', () => {
    const after = written(
      [
        { row: 'a', column: 'endJoint', text: 'hinged' },
        { row: 'b', column: 'startJoint', text: 'Hinged' },
      ],
      'members',
    ) as Model;
    expect(after.members.slice(0, 2)).toMatchObject([
      { releases: { end: { mz: 'free' } } },
      { releases: { start: { mz: 'free' } } },
    ]);
    const shown = columnsOf(after, 'members').find(({ key }) => key === 'endJoint')!;
    expect(rowsOf(after, 'members').map((row) => cellText(shown, row))).toEqual(['hinged', 'rigid', 'rigid']);
    expect(written([{ row: 'a', column: 'endJoint', text: 'loose' }], 'members')).toMatch(/neither rigid nor hinged/);
  });

  test('combinations: factors, sums as they are written, new rows; what is written over is typed', () => {
    const made = { rules: 'en1990-6.10', situation: 'persistent', clause: '', reason: 'Q1 leads.' };
    const combinations = model.combinations.map((one) => (one.id === 'C2' ? { ...one, made } : one));
    const result = writeCells({ ...model, combinations }, 'combinations', [
      { row: 'C1', column: 'of Q2', text: '0.9' },
      { row: 'C2', column: 'of Q3', text: '' },
      { row: 'C3', column: 'title', text: '' },
      { row: 'C3', column: 'limitState', text: 'service' },
      { row: undefined, added: 0, column: 'sum', text: 'G + 1.5 Q3' },
    ]); // oxfmt-ignore
    if (!result.ok) throw new Error(result.reason);
    const applied = applyIntent({ ...model, combinations }, result.intent);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    const after = new Map(applied.model.combinations.map((one) => [one.id, one]));
    expect(after.get('C1')).toMatchObject({ factors: { G: 1.35, Q1: 1.5, Q2: 0.9 } });
    expect(after.get('C2')).toEqual({
      id: 'C2',
      title: 'Second span loaded',
      type: 'sum',
      factors: { G: 1.35, Q2: 1.5 },
      limitState: 'strength',
    });
    expect(after.get('C3')).not.toHaveProperty('title');
    expect(after.get('C3')).toMatchObject({ limitState: 'service', factors: { G: 1.35 } });
    expect(after.get('U1')).toEqual({ id: 'U1', type: 'sum', factors: { G: 1, Q3: 1.5 }, limitState: 'strength' });
    const refused = (column: string, text: string) => writeCells(model, 'combinations', [{ row: 'C1', column, text }]);
    expect(refused('of G', 'much')).toMatchObject({ ok: false, reason: expect.stringMatching(/Row C1, G: “much” is no factor/) });
    expect(refused('sum', '1.35 G + 2 X')).toMatchObject({ ok: false, reason: expect.stringMatching(/“X” is no case/) });
    expect(refused('limitState', 'broken')).toMatchObject({
      ok: false,
      reason: expect.stringMatching(/not one of: Strength, Service, Other/),
    });
  });
});
