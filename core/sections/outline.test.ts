import { expect, test } from '@jest/globals';
import type { Shape } from '../shapes/shape';
import { outlineLoops } from './outline';
import type { Loop } from './path';
import { shapeProperties } from './shape-properties';

/** Area and second moments about the centroid, by Green's theorem. */
function measured(loops: readonly Loop[]): { A: number; Iz: number; Iy: number } {
  let [A, sy, sz, Iz, Iy] = [0, 0, 0, 0, 0];
  for (const loop of loops)
    for (let i = 0; i < loop.length; i += 2) {
      const [z0, y0, z1, y1] = [loop[i]!, loop[i + 1]!, loop[(i + 2) % loop.length]!, loop[(i + 3) % loop.length]!];
      const cross = z0 * y1 - z1 * y0;
      A += cross / 2;
      sy += (cross * (y0 + y1)) / 6;
      sz += (cross * (z0 + z1)) / 6;
      Iz += (cross * (y0 * y0 + y0 * y1 + y1 * y1)) / 12;
      Iy += (cross * (z0 * z0 + z0 * z1 + z1 * z1)) / 12;
    }
  return { A, Iz: Iz - (sy * sy) / A, Iy: Iy - (sz * sz) / A };
}

test.each<Shape>([
  { type: 'rectangle', h: 0.3, b: 0.12 },
  { type: 'round', d: 0.04 },
  { type: 'chs', d: 0.1143, t: 0.005 },
  { type: 'rhs', h: 0.15, b: 0.1, t: 0.006, ro: 0.009 },
  { type: 'i', h: 0.2, b: 0.1, tw: 0.0056, tf: 0.0085, r: 0.012 },
  { type: 'i', h: 0.3, b: 0.2, bTop: 0.12, tw: 0.008, tf: 0.014, tfTop: 0.01 },
  { type: 'channel', h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115, r: 0.0115 },
  { type: 'angle', h: 0.15, b: 0.09, t: 0.01, r: 0.012 },
  { type: 'tee', h: 0.1, b: 0.1, tw: 0.006, tf: 0.009, r: 0.012 },
])('the outline of %o encloses what its properties say', (shape) => {
  const found = measured(outlineLoops(shape));
  const { A, Iz, Iy } = shapeProperties(shape);
  // As well as straight pieces follow a circle.
  expect(found.A / A!).toBeCloseTo(1, 2);
  expect(found.Iz / Iz!).toBeCloseTo(1, 2);
  expect(found.Iy / Iy!).toBeCloseTo(1, 2);
});

test('what cannot be built, or has no shape, has no outline', () => {
  expect(outlineLoops({ type: 'general' })).toEqual([]);
  expect(outlineLoops({ type: 'chs', d: 0.1, t: 0.06 })).toEqual([]);
});
