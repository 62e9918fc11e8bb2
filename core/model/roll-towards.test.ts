import { expect, test } from '@jest/globals';
import { memberAxes } from './local-axes';
import type { Member } from './model';
import { placesOf } from './places';
import { middleOf, quarterTurned, rollTowards } from './roll-towards';

const nodes = [
  { id: '1', x: 0, y: 0, z: 0 },
  { id: '2', x: 0, y: 3, z: 0 },
  { id: '3', x: 4, y: 3, z: 1 },
];
const places = placesOf({ nodes });
const member = (start: string, end: string): Member => ({ id: 'a', start, end, section: 's', material: 'm' });

test.each<[string, string, [number, number, number]]>([
  ['1', '2', [5, 1, 0]],
  ['1', '2', [-5, 1, 2]],
  ['2', '3', [2, 9, -4]],
  ['3', '2', [0, 0, 7]],
])('local z of member %s–%s looks towards %j', (start, end, target) => {
  const [a, b] = [places.get(start)!, places.get(end)!];
  const roll = rollTowards(member(start, end), places, target)!;
  const axes = memberAxes(b[0] - a[0], b[1] - a[1], b[2] - a[2], roll);
  const away = target.map((value, k) => value - a[k]!);
  const along = (row: number): number => away.reduce((sum, value, k) => sum + value * axes[3 * row + k]!, 0);
  expect(along(1)).toBeCloseTo(0, 9);
  expect(along(2)).toBeGreaterThan(0);
});

test('quarter turns are whole numbers; a place on the axis says nothing', () => {
  expect(rollTowards(member('1', '2'), places, [0, 1, 5])).toBe(0);
  expect(rollTowards(member('1', '2'), places, [5, 1, 0])).toBe(90);
  expect(rollTowards(member('1', '2'), places, [0, 8, 0])).toBeUndefined();
});

test('quarter turns go round, and the middle lies between the outermost nodes', () => {
  expect([undefined, 0, 90, 180, -90, 30].map(quarterTurned)).toEqual([90, 90, -180, -90, 0, 120]);
  expect(middleOf(places)).toEqual([2, 1.5, 0.5]);
});
