import { expect, test } from '@jest/globals';
import { schedules } from '@rigid-beam/core/tables/schedules/lists';
import { sketch } from '@rigid-beam/core/test/build';
import { copied, filledDown, pasted, rangeBetween } from './range';

const model = sketch({
  nodes: [['1', 0, 0], ['2', 3, 1.5], ['3', 6, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [], loads: [],
}); // oxfmt-ignore
const shownOf = (list: 'nodes' | 'members') => ({ rows: schedules[list].rows(model), columns: schedules[list].columns(model) });
const nodes = shownOf('nodes');
const marked = rangeBetween({ row: 2, column: 2 }, { row: 1, column: 1 });

test('what is marked is copied row by row, whichever way it was marked', () => {
  expect(marked).toEqual({ top: 1, bottom: 2, left: 1, right: 2 });
  expect(copied(nodes, marked)).toBe('3\t1.5\n6\t0');
});

test('one pasted cell fills all that is marked; a table is laid from its first cell on, below the last row as new ones', () => {
  expect(pasted(nodes, marked, [['7']])).toHaveLength(4);
  const cells = pasted(nodes, rangeBetween({ row: 2, column: 1 }, { row: 2, column: 1 }), [['8', '9'], ['10', '11']]); // oxfmt-ignore
  expect(cells).toEqual([
    { row: '3', column: 'x', text: '8' },
    { row: '3', column: 'y', text: '9' },
    { row: undefined, added: 0, column: 'x', text: '10' },
    { row: undefined, added: 0, column: 'y', text: '11' },
  ]);
});

test('what is computed is passed over by a pasted table', () => {
  const members = shownOf('members');
  const last = members.columns.length - 1;
  expect(members.columns[last]!.computed).toBe(true);
  const range = rangeBetween({ row: 0, column: last - 1 }, { row: 0, column: last - 1 });
  expect(pasted(members, range, [['hinged', '99']])).toEqual([{ row: 'a', column: 'endJoint', text: 'hinged' }]);
});

test('the first marked row fills the others; one row alone, and the empty one, fill nothing', () => {
  expect(filledDown(nodes, marked).map(({ row, column, text }) => [row, column, text])).toEqual([['3', 'x', '3'], ['3', 'y', '1.5']]); // oxfmt-ignore
  expect(filledDown(nodes, marked, ({ key }) => `span/${key}`).map(({ text }) => text)).toEqual(['span/x', 'span/y']);
  expect(filledDown(nodes, { ...marked, bottom: 1 })).toEqual([]);
  expect(filledDown(nodes, { top: 3, bottom: 4, left: 1, right: 1 })).toEqual([]);
});
