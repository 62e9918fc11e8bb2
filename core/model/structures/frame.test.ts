import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { distance, plus, type Point } from '../point';
import { standingOf } from './frame';

const coordinate = fc.integer({ min: -20, max: 20 });
const place = fc.tuple(coordinate, coordinate, coordinate);
/** A turn about each axis, and a mirror or none. */
const motion = fc.record({ turns: fc.tuple(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: -3, max: 3, noNaN: true })), mirrored: fc.boolean(), by: place }); // oxfmt-ignore

function moved(
  [x, y, z]: Point,
  { turns: [a, b], mirrored, by }: { turns: readonly number[]; mirrored: boolean; by: Point },
): Point {
  const [ca, sa, cb, sb] = [Math.cos(a!), Math.sin(a!), Math.cos(b!), Math.sin(b!)];
  const m = mirrored ? -x : x;
  const [px, py] = [ca * m - sa * y, sa * m + ca * y];
  return plus([px, cb * py - sb * z, sb * py + cb * z], by);
}

test('where a structure stands is found again after any rigid motion, in space and of one that is flat, mirrored ones included', () => {
  const flat = fc.array(
    place.map(([x, y]): Point => [x, y, 0]),
    { minLength: 4, maxLength: 9 },
  );
  const solid = fc.array(place, { minLength: 5, maxLength: 9 });
  fc.assert(
    fc.property(fc.oneof(flat, solid), motion, (own, way) => {
      fc.pre(new Set(own.map(String)).size === own.length);
      const now = own.map((one) => moved(one, way));
      const found = standingOf(own, now, [0, 0, 0]);
      expect(found.odd).toBe(0);
      own.forEach((one, i) => expect(distance(found.toModel(one), now[i]!)).toBeLessThan(1e-6));
    }),
    { numRuns: 200 },
  );
});

test('one that was only moved along keeps its very numbers; a node that stands elsewhere is told with how far', () => {
  const own: Point[] = [[0, 0, 0], [4, 0, 0], [4, 3, 0], [0, 3, 0], [2, 5, 0]]; // oxfmt-ignore
  const placed = own.map((one) => plus(one, [0.1, 0.2, 0]));
  const found = standingOf(own, placed, [0.1, 0.2, 0]);
  expect(found.toModel([4, 3, 0])).toEqual([4.1, 3.2, 0]);
  const pushed = placed.map((one, i) => (i === 4 ? plus(one, [0, 0.5, 0]) : one));
  const odd = standingOf(own, pushed, [0.1, 0.2, 0]);
  expect(odd.odd).toBe(1);
  expect(odd.off[4]!.map((part) => Number(part.toFixed(9)))).toEqual([0, 0.5, 0]);
  // What is no more stands nowhere.
  expect(standingOf(own, [...placed.slice(0, 4), undefined], [0.1, 0.2, 0]).odd).toBe(0);
});
