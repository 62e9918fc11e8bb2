import { expect, test } from '@jest/globals';
import { portal } from './test/desk';

test.each<[string, readonly object[]]>([
  ['put 8 kN/m down on members c, d', [{ type: 'line', member: 'c', to: { wy: -8000 } }, { member: 'd' }]],
  ['put 3 kN/m down on plan on member c', [{ type: 'line', axes: 'projected', member: 'c' }]],
  ['put 5 kN right on node 2', [{ type: 'node', node: '2', fx: 5000 }]],
  ['put 0.8 kN/m2 right across over 5 m on member a', [{ type: 'area', members: ['a'], width: 5 }]],
])('%s', (text, loads) => {
  const desk = portal();
  expect(desk.run(text)).toBeUndefined();
  expect(desk.model.loads).toMatchObject(loads);
});

test('without a place it is put on what is selected, as far as it can act there', () => {
  const desk = portal();
  desk.selection = [
    { kind: 'node', id: '2' },
    { kind: 'member', id: 'c' },
  ];
  expect(desk.run('put 4 kN/m down')).toBeUndefined();
  expect(desk.run('put 4 kN down')).toBeUndefined();
  expect(desk.model.loads.map((load) => [load.type, 'member' in load ? load.member : ''])).toEqual([
    ['line', 'c'],
    ['point', 'c'],
    ['node', ''],
  ]);
});

test.each<[string, RegExp]>([
  ['put 8 kN/m down', /Say where: .*select the members first/],
  ['put 8 kN/m down on member z', /There is no member “z”/],
  ['put eight on member c', /“eight”: /],
  ['put 8 kN/m down on node 2', /acts on members/],
  ['put 2 kN/m2 down', /over 5 m/],
])('%s is refused in words, and nothing changes', (text, words) => {
  const desk = portal();
  desk.selection = [];
  const before = desk.model;
  expect(desk.run(text)).toMatch(words);
  expect(desk.model).toBe(before);
});
