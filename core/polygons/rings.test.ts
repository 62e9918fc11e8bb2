import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { liesWithin, overlap, placeIn, ringTrouble, sidesThatMeet, type Place, type Ring } from './rings';
import { evenly } from '../test/evenly';

const box = (x: number, y: number, w: number, h: number): Ring => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]]; // oxfmt-ignore
const SLACK = 1e-9;

describe('a ring that is no plain area', () => {
  test.each<[string, Ring, ReturnType<typeof ringTrouble>]>([
    ['a corner named again', [...box(0, 0, 2, 1), [0, 0]], { kind: 'together', corners: [4, 0] }],
    ['a corner passed twice', [[0, 0], [1, 1], [2, 2], [2, 0], [1, 1], [0, 2]], { kind: 'together', corners: [1, 4] }],
    ['a spike', [[0, 0], [4, 0], [4, 2], [4, 3], [4, 2 - 1e-12], [0, 2]], { kind: 'spike', corner: 3 }],
    ['an hourglass', [[0, 0], [2, 2], [2, 0], [0, 2]], { kind: 'meeting', sides: [0, 2] }],
    ['a corner on another side', [[0, 0], [4, 0], [4, 2], [2, 0], [0, 2]], { kind: 'meeting', sides: [0, 2] }],
    ['a star', [0, 2, 4, 1, 3].map((i): Place => [Math.cos((2 * Math.PI * i) / 5), Math.sin((2 * Math.PI * i) / 5)]), { kind: 'meeting', sides: [0, 2] }],
    ['a plain one', [[0, 0], [4, 0], [4, 3], [2, 1], [0, 3]], undefined],
  ])('%s', (_, ring, trouble) => expect(ringTrouble(ring, SLACK)).toEqual(trouble)); // oxfmt-ignore
});

test('two boxes on a grid: meeting, within, overlapping and apart, as their numbers say', () => {
  const small = fc.record({ x: fc.integer({ min: 0, max: 5 }), y: fc.integer({ min: 0, max: 5 }), w: fc.integer({ min: 1, max: 4 }), h: fc.integer({ min: 1, max: 4 }) }); // oxfmt-ignore
  fc.assert(
    fc.property(small, small, evenly(0, 6), (a, b, angle) => {
      const turned = ({ x, y, w, h }: typeof a): Ring =>
        box(x, y, w, h).map(([p, q]): Place => [p * Math.cos(angle) - q * Math.sin(angle), p * Math.sin(angle) + q * Math.cos(angle)]);
      const [A, B] = [turned(a), turned(b)];
      const shared = (p: number, l: number, q: number, m: number): number => Math.min(p + l, q + m) - Math.max(p, q);
      const [across, up] = [shared(a.x, a.w, b.x, b.w), shared(a.y, a.h, b.y, b.h)];
      expect(overlap(A, B, SLACK)).toBe(across > 0 && up > 0);
      const within = a.x >= b.x && a.y >= b.y && a.x + a.w <= b.x + b.w && a.y + a.h <= b.y + b.h;
      expect(liesWithin(A, B, SLACK)).toBe(within);
      const isDeep = a.x > b.x && a.y > b.y && a.x + a.w < b.x + b.w && a.y + a.h < b.y + b.h;
      const isAround = b.x > a.x && b.y > a.y && b.x + b.w < a.x + a.w && b.y + b.h < a.y + a.h;
      expect(sidesThatMeet(A, B, SLACK) !== undefined).toBe(across >= 0 && up >= 0 && !isDeep && !isAround);
      expect(placeIn(B, A[0]!, SLACK)).toBe(
        a.x < b.x || a.y < b.y || a.x > b.x + b.w || a.y > b.y + b.h ? -1 : a.x > b.x && a.y > b.y && a.x < b.x + b.w && a.y < b.y + b.h ? 1 : 0,
      );
    }),
    { numRuns: 400 },
  ); // oxfmt-ignore
});
