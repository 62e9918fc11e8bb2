import { expect, test } from '@jest/globals';
import { sketch } from '../test/build';
import type { Model } from './model';
import { chosenOn, narrowings, planesOfChosen } from './narrowed';
import { placeOfMember, placeOfNode } from './place-names';

/** Two bays of two storeys: nodes `i.j` at bay i, level j. */
const frame: Model = sketch({
  nodes: [0, 1, 2].flatMap((i) => [0, 1, 2].map((j): [string, number, number] => [`${i}.${j}`, 5 * i, 3 * j])),
  members: [
    ...[0, 1, 2].flatMap((i) => [0, 1].map((j): [string, string, string] => [`c${i}${j}`, `${i}.${j}`, `${i}.${j + 1}`])),
    ...[0, 1].flatMap((i) => [1, 2].map((j): [string, string, string] => [`b${i}${j}`, `${i}.${j}`, `${i + 1}.${j}`])),
    ['d', '0.0', '1.1'],
  ],
  supports: [],
});
const all = { nodes: frame.nodes.map(({ id }) => id), members: frame.members.map(({ id }) => id) };

test('of everything the members, the nodes, and what stands, lies or leans can be chosen; of one member all like it', () => {
  expect(narrowings(frame, all).map(({ id, chosen }) => [id, chosen.members.length, chosen.nodes.length])).toEqual([
    ['members', 11, 0],
    ['nodes', 0, 9],
    ['vertical', 6, 0],
    ['horizontal', 4, 0],
    ['inclined', 1, 0],
  ]);
  expect(narrowings(frame, { nodes: [], members: ['b01'] })).toMatchObject([{ id: 'like', chosen: { members: all.members } }]);
  expect(narrowings(frame, { nodes: ['0.0'], members: [] })).toEqual([]);
});

test('a choice is narrowed to a level or a plane that it has something on', () => {
  const planes = planesOfChosen(frame, all);
  expect(planes.map(({ axis, at }) => `${axis} ${at}`)).toEqual(['x 0', 'x 5', 'x 10', 'y 0', 'y 3', 'y 6']);
  expect(chosenOn(frame, all, planes[4]!)).toEqual({ nodes: ['0.1', '1.1', '2.1'], members: ['b01', 'b11'] });
  expect(chosenOn(frame, { nodes: [], members: ['c00', 'b02'] }, planes[0]!)).toEqual({ nodes: [], members: ['c00'] });
});

test('a place is said by floor and grid, by the grid’s own names where it has some', () => {
  const node = (id: string) => frame.nodes.find((one) => one.id === id)!;
  const member = (id: string) => frame.members.find((one) => one.id === id)!;
  expect(placeOfNode(frame, node('1.2'))).toBe('floor 2, grid B');
  expect(placeOfNode(frame, node('0.0'))).toBe('ground, grid A');
  expect(placeOfMember(frame, member('b12'))).toBe('floor 2, grid B–C');
  expect(placeOfMember(frame, member('c01'))).toBe('floor 1 to 2, grid A');
  const named: Model = { ...frame, grid: { x: { from: 0, steps: [5, 5], names: ['N', 'O', 'P'] } } };
  expect(placeOfNode(named, node('1.2'))).toBe('floor 2, grid O');
  // Two lines are no grid, and a place between two has no name.
  const moved: Model = {
    ...frame,
    nodes: frame.nodes.map((one) => (one.id === '1.2' ? { ...one, x: 5.4 } : one)),
    grid: named.grid!,
  };
  expect(
    placeOfNode(
      moved,
      moved.nodes.find(({ id }) => id === '1.2')!,
    ),
  ).toBe('floor 2');
});
