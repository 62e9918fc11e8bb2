import { expect, test } from '@jest/globals';
import { whoseChoices, whoseOf } from './whose';

const members = [
  { id: 'a', start: '1', end: '2' },
  { id: 'b', start: '2', end: '3' },
] as unknown as Parameters<typeof whoseOf>[0]['members'];
const model = {
  members,
  groups: [
    { id: 'columns', members: ['a'] },
    { id: 'feet', nodes: ['3'] },
  ],
};
const rows = [{ node: '1' }, { node: '2' }, { node: '3' }, { member: 'a' }, { member: 'b' }].map((row) => ({
  ...row,
  outcome: 0,
}));
const shown = (whose: string, selection: Parameters<typeof whoseOf>[1] = []): string =>
  rows
    .filter((row) => whoseOf(model, selection, whose)?.(row) ?? true)
    .map((row) => Object.values(row)[0])
    .join();

test('rows of everything, of a group, and of what is selected: of members also their nodes', () => {
  expect(whoseChoices(model).map(({ id }) => id)).toEqual(['all', 'selected', 'group columns', 'group feet']);
  expect(shown('all')).toBe('1,2,3,a,b');
  expect(shown('group columns')).toBe('1,2,a');
  expect(shown('group feet')).toBe('3');
  expect(shown('selected', [{ kind: 'member', id: 'b' }, { kind: 'support', id: '1' }])).toBe('1,2,3,b');
  expect(shown('selected')).toBe('');
}); // oxfmt-ignore
