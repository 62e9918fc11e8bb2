import { expect, test } from '@jest/globals';
import { arranged, windowOf } from './arranged';
import type { ProjectTiles } from './tile';

const tile = (title: string, changedAt: number) => ({ title, changedAt }) as ProjectTiles['models'][number];
const projects = [
  { id: 'a', name: 'Fernery', number: '26-014', models: [tile('Roof truss', 3), tile('Bench', 7)], removed: [] },
  { id: 'b', name: 'Orangery', number: '', models: [tile('Arch', 5)], removed: [] },
] satisfies ProjectTiles[];
const titles = (search: string, sorting: Parameters<typeof arranged>[2] = 'made'): string[] =>
  arranged(projects, search, sorting).flatMap(({ name, models }) => models.map(({ title }) => `${name}: ${title}`));

test('models are found by their title, or by the name or number of their project', () => {
  expect(titles('arc')).toEqual(['Orangery: Arch']);
  expect(titles('26-0')).toEqual(['Fernery: Roof truss', 'Fernery: Bench']);
  expect(titles('greenhouse')).toEqual([]);
  expect(titles('')).toHaveLength(3);
});

test('models are sorted within their projects', () => {
  expect(titles('', 'title')).toEqual(['Fernery: Bench', 'Fernery: Roof truss', 'Orangery: Arch']);
  expect(titles('', 'changed')).toEqual(['Fernery: Bench', 'Fernery: Roof truss', 'Orangery: Arch']);
});

test('a window ends within a project, and counts what follows; a project without models takes a place', () => {
  const many = [projects[0]!, { id: 'c', name: 'Empty', number: '', models: [], removed: [] }, projects[1]!];
  const titlesOf = (count: number): unknown => {
    const { projects: shown, more } = windowOf(many, count);
    return [shown.map(({ name, models }) => [name, models.length]), more];
  };
  expect(titlesOf(1)).toEqual([[['Fernery', 1]], 3]);
  expect(titlesOf(3)).toEqual([[['Fernery', 2], ['Empty', 0]], 1]); // oxfmt-ignore
  expect(titlesOf(9)).toEqual([[['Fernery', 2], ['Empty', 0], ['Orangery', 1]], 0]); // oxfmt-ignore
});
