import { expect, test } from '@jest/globals';
import { sketch } from '../test/build';
import { ringsOf } from './panels';

test('bays of a floor of 3 by 2 are found, of its frames below too, and no ring around several', () => {
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
  expect(rings).toHaveLength(6);
  expect(rings.every(({ corners, normal }) => corners.length === 4 && normal[1] === 1)).toBe(true);
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
