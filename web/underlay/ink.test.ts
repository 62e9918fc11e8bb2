import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inkNear } from './ink';
import { inkLevels, inkOf, type InkMap } from './ink-map';

type Line = readonly [number, number, number, number];

/** A picture of strokes `width` pixels wide, black on white or the other way round. */
function drawn(lines: readonly Line[], width = 3, paper = 250, ink = 20, size = 1): readonly InkMap[] {
  const [w, h] = [160 * size, 120 * size];
  const rgba = new Uint8Array(4 * w * h).fill(paper);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++)
      for (const [x1, y1, x2, y2] of lines) {
        const [dx, dy] = [x2 - x1, y2 - y1];
        const t = Math.min(1, Math.max(0, ((x + 0.5 - x1) * dx + (y + 0.5 - y1) * dy) / (dx * dx + dy * dy)));
        if (Math.hypot(x + 0.5 - x1 - t * dx, y + 0.5 - y1 - t * dy) <= width / 2)
          rgba.fill(ink, 4 * (y * w + x), 4 * (y * w + x) + 4);
      }
  return inkLevels(inkOf(rgba, w, h));
}

const far = (found: { x: number; y: number } | undefined, x: number, y: number): number =>
  found ? Math.hypot(found.x - x, found.y - y) : Infinity;

describe('lines of a picture', () => {
  const corner: readonly Line[] = [
    [40, 30, 140, 30],
    [40, 30, 40, 110],
  ];

  test.each([
    ['thin', 1],
    ['usual', 3],
    ['heavy', 6],
  ])('the corner of two %s strokes is found from any side, to a pixel', (_, width) => {
    const map = drawn(corner, width);
    fc.assert(
      fc.property(fc.integer({ min: -7, max: 7 }), fc.integer({ min: -7, max: 7 }), (dx, dy) => {
        const found = inkNear(map, 40 + dx, 30 + dy, 11);
        expect(found?.kind).toBe('corner');
        expect(far(found, 40, 30)).toBeLessThan(1.5);
      }),
      { numRuns: 30 },
    );
  });

  test.each([
    [10, 70],
    [40, 90],
    [35, 110],
  ])('strokes that cross at %d and %d degrees meet where they cross', (a, b) => {
    const stroke = (degrees: number): Line => {
      const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
      return [80 - 50 * c, 60 - 50 * s, 80 + 50 * c, 60 + 50 * s];
    };
    const found = inkNear(drawn([stroke(a), stroke(b)]), 84, 56, 9);
    expect(found?.kind).toBe('corner');
    expect(far(found, 80, 60)).toBeLessThan(2);
  });

  test.each([
    [15, 3],
    [8, 3],
    [5, 5],
    [15, 2],
  ])('the ridge of a roof of %d degrees, in strokes of %d pixels, is a corner', (degrees, width) => {
    const drop = 140 * Math.tan((degrees * Math.PI) / 180);
    const roof: readonly Line[] = [[10, 30 + drop, 150, 30], [150, 30, 290, 30 + drop]]; // oxfmt-ignore
    const map = drawn(roof, width, 250, 20, 2);
    for (const [dx, dy] of [[0, 0], [6, 3], [-7, 2], [4, -5], [-9, 4]] as const) {
      const found = inkNear(map, 150 + dx, 30 + dy, 11);
      expect([dx, dy, found?.kind]).toEqual([dx, dy, 'corner']);
      expect(far(found, 150, 30)).toBeLessThan(degrees < 10 ? 4 : 2);
    } // oxfmt-ignore
  });

  test('along a stroke the middle of it is meant, and no corner is made up', () => {
    const map = drawn([[20, 20, 140, 100]], 5);
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 70 }), fc.integer({ min: -6, max: 6 }), (t, off) => {
        const [nx, ny] = [-0.5547, 0.83205];
        const [x, y] = [20 + 1.2 * t, 20 + 0.8 * t];
        const found = inkNear(map, x + off * nx, y + off * ny, 9)!;
        expect(found.kind).toBe('line');
        // Square to the stroke it lies in its middle.
        expect(Math.abs((found.x - x) * nx + (found.y - y) * ny)).toBeLessThan(1.2);
      }),
      { numRuns: 30 },
    );
  });

  test('from far away, where a step of the pointer is many pixels, the place is as exact', () => {
    const map = drawn(
      corner.map((line) => line.map((part) => 4 * part) as unknown as Line),
      5,
      250,
      20,
      4,
    );
    const found = inkNear(map, 160 + 31, 120 - 26, 60);
    expect(found?.kind).toBe('corner');
    expect(far(found, 160, 120)).toBeLessThan(1.5);
    const line = inkNear(map, 400, 120 + 33, 60)!;
    expect([line.kind, Math.abs(line.y - 120) < 1]).toEqual(['line', true]);
  });

  test.each([3, 7, 13])('where a flat slope meets a post and a tie, %d pixels wide, the three are told apart', (width) => {
    const eaves: readonly Line[] = [
      [120, 200, 120, 420],
      [120, 200, 600, 200],
      [120, 200, 600, 40],
    ];
    const found = inkNear(drawn(eaves, width, 250, 20, 4), 135, 215, 50);
    expect(found?.kind).toBe('corner');
    expect(far(found, 120, 200)).toBeLessThan(2.5);
  });

  test('paper alone means nothing, nor does a line too far away; light lines on dark paper count', () => {
    const map = drawn(corner);
    expect(inkNear(map, 100, 80, 10)).toBeUndefined();
    expect(inkNear(map, 42, 31, 2000)).toBeUndefined();
    expect(far(inkNear(drawn(corner, 3, 30, 240), 43, 33, 9), 40, 30)).toBeLessThan(1.5);
    expect(inkNear(inkLevels(inkOf(new Uint8Array(400).fill(255), 10, 10)), 5, 5, 4)).toBeUndefined();
  });
});
