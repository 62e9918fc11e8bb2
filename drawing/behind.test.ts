import { expect, test } from '@jest/globals';
import { inDepth } from './behind';
import { worldPath, type Item } from './display-list';

const line = (id: string): Item => worldPath([0, 0, 1, 0], { stroke: 'moment', subject: { kind: 'member', id } });
const area = (id: string): Item =>
  worldPath([0, 0, 1, 0, 1, 1], { closed: true, fill: 'moment', subject: { kind: 'member', id } });
const name = (item: Item): string =>
  `${item.subject && 'id' in item.subject ? item.subject.id : ''} ${item.kind === 'path' && item.fill ? 'area' : 'line'}`;

test('from the back to the front, areas below lines; behind only outlines, far behind nothing, and what is selected always', () => {
  const selected = { ...area('far'), fill: 'selection' } as Item;
  const drawn = inDepth([
    { near: 0.9, items: () => [line('front'), area('front')] },
    { near: 0.5, items: () => [line('middle'), area('middle')] },
    { near: 0.1, items: () => [line('far'), area('far')] },
    { near: 0.6, items: () => [line('nearer')] },
    { near: 0.05, isSelected: true, items: () => [selected] },
  ]);
  expect(drawn.map(name)).toEqual(['far area', 'middle line', 'nearer line', 'front area', 'front line']);
  const [, middle, nearer, , front] = drawn.map((item) => (item.kind === 'path' ? (item.opacity ?? 1) : 0));
  expect(middle).toBeLessThan(nearer!);
  expect(nearer).toBeLessThan(front!);
});
