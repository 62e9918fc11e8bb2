import { expect, test } from '@jest/globals';
import { arranged } from './arranged';
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
