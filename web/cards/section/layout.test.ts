import { describe, expect, test } from '@jest/globals';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { shapeTypes } from '@rigid-beam/core/shapes/registry';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { dimensionsOf, kindOf } from '@rigid-beam/core/shapes/dimensions';
import { layoutOf } from './layout';

/** Of each drawn type one that can be built. */
const examples: readonly Shape[] = [
  { type: 'i', h: 0.3, b: 0.15, tw: 0.007, tf: 0.011, r: 0.015, bTop: 0.12, tfTop: 0.01 },
  { type: 'channel', h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115, r: 0.0115 },
  { type: 'angle', h: 0.12, b: 0.08, t: 0.01, r: 0.011, rt: 0.005 },
  { type: 'tee', h: 0.15, b: 0.15, tw: 0.007, tf: 0.011, r: 0.015 },
  { type: 'rhs', h: 0.1, b: 0.06, t: 0.005, ro: 0.0075 },
  { type: 'chs', d: 0.1, t: 0.005 },
  { type: 'rectangle', h: 0.2, b: 0.1 },
  { type: 'round', d: 0.05 },
];

test('every type of shape that has a picture is tried', () => {
  const drawn = shapeTypes.filter((type) => type !== 'built' && type !== 'general');
  expect(examples.map(({ type }) => type)).toEqual(drawn);
});

describe.each(examples.map((shape) => [shape.type, shape] as const))('%s', (_, shape) => {
  const kind = kindOf(shape)!;
  const places = kind.places(dimensionsOf(shape));

  test('each of its dimensions stands in the picture, once', () => {
    const named = [...kind.needs, ...kind.may] as readonly string[];
    expect(places.map(({ key }) => key as string).sort()).toEqual([...named].sort());
  });

  test('what a line leads to lies on the shape or at its edge', () => {
    const { box } = layoutOf(outlineLoops(shape), { width: 300, height: 200, left: 40, right: 60, top: 20, bottom: 30 });
    const [left, right, low, high] = box;
    for (const { at } of places) {
      if (!at) continue;
      expect(at[0]).toBeGreaterThanOrEqual(left - 1e-9);
      expect(at[0]).toBeLessThanOrEqual(right + 1e-9);
      expect(at[1]).toBeGreaterThanOrEqual(low - 1e-9);
      expect(at[1]).toBeLessThanOrEqual(high + 1e-9);
    }
  });

  test('it fills the room inside the margins one way, and lies in its middle', () => {
    const room = { width: 300, height: 200, left: 40, right: 60, top: 20, bottom: 30 };
    const { x, y, box } = layoutOf(outlineLoops(shape), room);
    const [left, right, low, high] = box;
    const [width, height] = [x(right) - x(left), y(low) - y(high)];
    expect(Math.max(width / 200, height / 150)).toBeCloseTo(1, 9);
    expect([(x(left) + x(right)) / 2, (y(low) + y(high)) / 2]).toEqual([expect.closeTo(140, 9), expect.closeTo(95, 9)]);
  });
});
