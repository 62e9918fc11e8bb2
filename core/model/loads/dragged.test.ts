import { expect, test } from '@jest/globals';
import { mirroredOnMember } from './mirrored';
import { movedAlong, resizedEnd, turnedForce } from './dragged';
import type { LineLoad, PointLoad } from './primitive';

const line: LineLoad = { id: '1', case: 'Q', type: 'line', member: 'a', from: { at: 0.25, wy: -4e3 }, to: { wy: -8e3 } };
const point: PointLoad = { id: '2', case: 'Q', type: 'point', member: 'a', at: 0.25, fx: 3e3, fy: -4e3 };

test('an end is drawn along the member, not past the other, and a whole member needs no places', () => {
  expect(movedAlong(line, 'from', 3, 8)).toMatchObject({ measure: 'length', from: { at: 3, wy: -4e3 }, to: { wy: -8e3 } });
  expect(movedAlong(line, 'to', 1, 8).to.at).toBeCloseTo(2.008, 9);
  expect(movedAlong(line, 'from', -2, 8)).toMatchObject({ from: { wy: -4e3 } });
  expect(movedAlong(line, 'from', -2, 8).from).not.toHaveProperty('at');
  expect(movedAlong(point, 'at', 6, 8).at).toBe(0.75);
  expect(movedAlong({ ...point, measure: 'length', at: 2 }, 'at', 9, 8).at).toBe(8);
});

test('an ordinate is drawn out to a round size; what is even stays so', () => {
  expect(resizedEnd(line, 'from', 1.3)).toMatchObject({ from: { wy: -5200 }, to: { wy: -8e3 } });
  expect(resizedEnd({ ...line, from: { wy: -8e3 } }, 'to', 0.517)).toMatchObject({ from: { wy: -4100 }, to: { wy: -4100 } });
  expect(resizedEnd(line, 'to', -1).to.wy).toBeCloseTo(0, 12);
});

test('a force is turned about its point and keeps its size', () => {
  expect(turnedForce(point, -90)).toEqual({ id: '2', case: 'Q', type: 'point', member: 'a', at: 0.25, fy: -5e3 });
  expect(turnedForce(point, 30)).toMatchObject({ fx: expect.closeTo(5e3 * Math.cos(Math.PI / 6), 9), fy: expect.closeTo(2500, 9) }); // oxfmt-ignore
});

test('on its member a load is mirrored in place', () => {
  expect(mirroredOnMember(line, 8)).toMatchObject({ from: { wy: -8e3 }, to: { at: 0.75, wy: -4e3 } });
  expect(mirroredOnMember({ ...point, measure: 'length', at: 2 }, 8).at).toBe(6);
});
