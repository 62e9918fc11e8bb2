import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { SectionPart, Shape } from '../../shapes/shape';
import { extentOfShape } from '../outline';
import { sectionProperties } from '../section-properties';
import { paired } from './paired';

const angle: Shape = { type: 'angle', h: 0.12, b: 0.08, t: 0.01, r: 0.011, rt: 0.0055 };
const built = (parts: readonly SectionPart[]): Shape => ({ type: 'built', parts });
const of = (shape: Shape) => sectionProperties({ id: 's', shape });

test('two angles with a gap between them: twice the area, and the weak axis by Steiner', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 200 }), (millimetres) => {
      const gap = millimetres / 1000;
      const one = of(angle);
      const two = of(built(paired([{ shape: angle }], gap)));
      // The heel's back stands half a gap beside the middle: from there to the centroid of one angle.
      const [left] = extentOfShape(angle)!.z;
      const away = gap / 2 - left;
      expect(two.A).toBeCloseTo(2 * one.A!, 12);
      expect(two.Iz! / (2 * one.Iz!)).toBeCloseTo(1, 9);
      expect(two.Iy! / (2 * (one.Iy! + one.A! * away ** 2))).toBeCloseTo(1, 9);
      expect(Math.abs(two.Iyz ?? 0)).toBeLessThan(1e-12 * two.Iz!);
    }),
    { numRuns: 15 },
  );
});

test('what is mirrored already is mirrored back, and an angle turns the other way', () => {
  const [, , third, fourth] = paired([{ shape: angle, at: [0.1, 0.02], angle: 30 }, { shape: angle, mirrored: true }], 0.01); // oxfmt-ignore
  expect(third).toMatchObject({ angle: -30, mirrored: true });
  expect(fourth).not.toHaveProperty('mirrored');
});

test('the gap’s middle is the middle of the pair, whatever is paired', () => {
  const parts: readonly SectionPart[] = [{ shape: angle, at: [0.3, 0] }, { outline: [[0.1, 0], [0.2, 0], [0.2, 0.05]] }]; // oxfmt-ignore
  const { z } = extentOfShape(built(paired(parts, 0.02)))!;
  expect(z[0]).toBeCloseTo(-z[1], 9);
});
