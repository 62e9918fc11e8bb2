import { expect, test } from '@jest/globals';
import { sketch } from '../test/build';
import { meantRings, ringsOf } from './panels';

test('bays of a floor of 3 by 2 are found, the walls that the ground closes, and no ring around several; the ground is none', () => {
  const nodes: [string, number, number, number][] = [];
  const members: [string, string, string][] = [];
  for (let i = 0; i <= 3; i++)
    for (let k = 0; k <= 2; k++) {
      nodes.push([`t${i}${k}`, 5 * i, 3, 4 * k], [`b${i}${k}`, 5 * i, 0, 4 * k]);
      members.push([`c${i}${k}`, `b${i}${k}`, `t${i}${k}`]);
      if (i > 0) members.push([`x${i}${k}`, `t${i - 1}${k}`, `t${i}${k}`]);
      if (k > 0) members.push([`z${i}${k}`, `t${i}${k - 1}`, `t${i}${k}`]);
    }
  const rings = ringsOf(sketch({ nodes, members, supports: [] }));
  const floors = rings.filter(({ normal }) => normal[1] === 1);
  expect(floors).toHaveLength(6);
  expect(floors.every(({ corners }) => corners.length === 4 && corners.every((id) => id.startsWith('t')))).toBe(true);
  // Three frames of 3 bays one way, four of 2 the other.
  expect(rings).toHaveLength(6 + 9 + 8);
  expect(rings.some(({ corners }) => ['t00', 't10', 't11', 't01'].every((id) => corners.includes(id)))).toBe(true);
});

test('nodes along a side are no corners; a bay in a wall and under a slope is found', () => {
  const rings = ringsOf(
    sketch({
      nodes: [['1', 0, 0, 0], ['2', 6, 2, 0], ['3', 6, 2, 5], ['4', 0, 0, 5], ['m', 3, 1, 0], ['5', 0, 4, 0], ['6', 0, 4, 5]],
      members: [['a', '1', 'm'], ['b', 'm', '2'], ['c', '2', '3'], ['d', '3', '4'], ['e', '4', '1'], ['f', '1', '5'], ['g', '5', '6'], ['h', '6', '4']],
      supports: [],
    }),
  ); // oxfmt-ignore
  expect(rings.map(({ corners }) => corners.toSorted().join(' ')).sort()).toEqual(['1 2 3 4', '1 4 5 6']);
});

/** A bay of a wall, 6 m wide and 4 m high, on the ground or with a bottom rail, with braces or without. */
const wall = (more: readonly [string, string, string][]) =>
  sketch({
    nodes: [['1', 0, 0, 0], ['2', 0, 4, 0], ['3', 6, 4, 0], ['4', 6, 0, 0], ['5', 3, 6, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4'], ...more],
    supports: [],
  }); // oxfmt-ignore

test.each<[string, readonly [string, string, string][]]>([
  ['on the ground', []],
  ['with a bottom rail', [['d', '4', '1']]],
  ['with one brace', [['e', '1', '3']]],
  [
    'with crossed braces and a rail',
    [
      ['d', '4', '1'],
      ['e', '1', '3'],
      ['f', '2', '4'],
    ],
  ],
  [
    'under a gable, whose rafters bound a panel of their own',
    [
      ['g', '2', '5'],
      ['h', '5', '3'],
    ],
  ],
])('a wall %s is one panel', (what, more) => {
  const rings = ringsOf(wall(more));
  const found = rings.map(({ corners }) => corners.toSorted().join(' ')).sort();
  expect(found).toEqual(what.includes('gable') ? ['1 2 3 4', '2 3 5'] : ['1 2 3 4']);
});

test('floors are meant by what acts down, walls by what blows; where there is only one kind it is meant', () => {
  const rings = ringsOf(wall([]));
  expect(meantRings(rings, 'floors')).toEqual(rings);
  const upright = { ...rings[0]!, normal: [0, 1, 0] as const };
  expect(meantRings([...rings, upright], 'floors')).toEqual([upright]);
  expect(meantRings([...rings, upright], 'walls')).toEqual(rings);
});
