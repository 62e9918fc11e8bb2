import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Model } from '@rigid-beam/core/model/model';
import lintel from '../../examples/lintel.rbm.json';
import { columnsOf, rowsOf } from './columns';
import { readTable, writeCells, type Cell } from './write-cells';

const model = checkModel(lintel).model!;
const written = (cells: readonly Cell[], list: 'nodes' | 'members' = 'nodes'): Model | string => {
  const result = writeCells(model, list, cells);
  if (!result.ok) return result.reason;
  const applied = applyIntent(model, result.intent);
  return applied.ok ? applied.model : applied.faults[0]!.message;
};

describe('schedules', () => {
  test('show what the model holds, in its units', () => {
    const columns = columnsOf({ ...model, display: { length: 'mm' } }, 'nodes');
    const [, second] = rowsOf(model, 'nodes');
    expect(columns.map((column) => column.show(second!))).toEqual(['2', '3600', '0', 'rollsX']);
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

  test.each<[Cell, 'nodes' | 'members', RegExp]>([
    [{ row: '1', column: 'x', text: 'far' }, 'nodes', /Row 1, X: “far” is no length/],
    [{ row: 'a', column: 'section', text: 'oak' }, 'members', /“oak” is none of/],
    [{ row: 'a', column: 'length', text: '3' }, 'members', /computed/],
    [{ row: '1', column: 'id', text: '2' }, 'nodes', /already a node “2”/],
    [{ row: '1', column: 'colour', text: '2' }, 'nodes', /no column/],
  ])('%j in %s is refused whole', (cell, list, words) => expect(written([cell], list)).toMatch(words));
});
