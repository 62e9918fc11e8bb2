import { expect, test } from '@jest/globals';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { commandsFor } from './all';
import { matching } from './command';
import { portal } from './test/desk';

const commands = commandsFor(defaultDisplay);

test.each<[string, readonly object[]]>([
  ['apply 8 kN/m down on members c, d', [{ type: 'line', member: 'c', to: { wy: -8000 } }, { member: 'd' }]],
  ['apply 3 kN/m down on plan on member c', [{ type: 'line', axes: 'projected', member: 'c' }]],
  ['apply 2 kN/m down on run c, d', [{ type: 'chain', members: ['c', 'd'] }]],
  ['apply 5 kN right on node 2', [{ type: 'node', node: '2', fx: 5000 }]],
  ['apply 0.8 kN/m2 right across over 5 m on member a', [{ type: 'area', members: ['a'], width: 5 }]],
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
  expect(desk.run('apply 4 kN/m down')).toBeUndefined();
  expect(desk.run('apply 4 kN down')).toBeUndefined();
  expect(desk.model.loads.map((load) => [load.type, 'member' in load ? load.member : ''])).toEqual([
    ['line', 'c'],
    ['point', 'c'],
    ['node', ''],
  ]);
});

test.each<[string, RegExp]>([
  ['apply 8 kN/m down', /Say where: .*select the members first/],
  ['apply 8 kN/m down on member z', /“member z”: there is no member “z”/],
  ['apply eight on member c', /“eight”: /],
  ['apply 8 kN/m down on node 2', /acts on members/],
  ['apply 2 kN/m2 down', /over 5 m/],
])('%s is refused in words, and nothing changes', (text, words) => {
  const desk = portal();
  desk.selection = [];
  const before = desk.model;
  expect(desk.run(text)).toMatch(words);
  expect(desk.model).toBe(before);
});

test('no other command is hidden by its name', () => {
  for (const { name } of commands) expect(matching(commands, name)[0]!.name).toBe(name);
  for (const typed of ['put an underlay', 'load along'])
    expect(matching(commands, typed)[0]!.name.toLowerCase()).toMatch(new RegExp(`^${typed}`));
});
