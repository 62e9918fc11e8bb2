import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isFault } from '../../model/notice';
import { listed } from '../catalogue/listed';
import { shapeCalled } from '../catalogue/search';
import { plasticModuli } from '../plastic-modulus';
import { outlineProperties, type OutlineProperties } from './properties';
import { readSection } from './read-section';

const fileOf = (...parts: object[]) => ({ format: 'rigid-beam/section', version: 1, parts });
function built(...parts: object[]): OutlineProperties {
  const read = readSection(fileOf(...parts));
  if (!('lines' in read)) throw new Error(read.notices[0]!.message);
  return outlineProperties(read.lines);
}
const faultsOf = (value: unknown): string[] => readSection(value).notices.filter(isFault).map(({ message }) => message); // oxfmt-ignore
const polygon = (count: number, at: (angle: number) => [number, number]) => ({
  outline: Array.from({ length: count }, (_, i) => at((2 * Math.PI * i) / count)),
});
const box = (z: number, y: number, b: number, h: number) => ({ outline: [[z, y], [z + b, y], [z + b, y + h], [z, y + h]] }); // oxfmt-ignore
const near = (ours: number | undefined, theory: number, relative: number): void =>
  expect(Math.abs(ours! / theory - 1)).toBeLessThan(relative);

describe('closed forms, to the digits that are claimed', () => {
  const side = 0.12;
  const height = (side * Math.sqrt(3)) / 2;
  test.each<[string, object, number]>([
    ['square: 0.140577 a⁴ (Timoshenko and Goodier, §109)', box(0, 0, 0.1, 0.1), 0.140577e-4],
    ['rectangle 1:4: 0.280813 b³h', box(0, 0, 0.05, 0.2), 0.280813 * 0.05 ** 3 * 0.2],
    ['ellipse: πa³b³/(a² + b²)', polygon(200, (t) => [0.1 * Math.cos(t), 0.05 * Math.sin(t)]), (Math.PI * 0.1 ** 3 * 0.05 ** 3) / (0.1 ** 2 + 0.05 ** 2)],
    ['triangle of equal sides: √3 a⁴/80', { outline: [[0, 0], [side, 0], [side / 2, height]] }, (Math.sqrt(3) * side ** 4) / 80],
  ])('J of a %s', (_, part, J) => {
    const ours = built(part);
    expect(ours.mesh.digits).toBeGreaterThanOrEqual(2);
    // A polygon of 200 corners is no ellipse to more than three digits.
    near(ours.J, J, Math.max(5e-4, 2 * 10 ** -ours.mesh.digits));
  }); // oxfmt-ignore

  test('shear areas: 5/6 of a rectangle, 6/7 of a disc without Poisson’s effect', () => {
    const { A, Ay, Az } = built(box(0, 0, 0.1, 0.3));
    near(Ay, (5 / 6) * A, 1e-3);
    near(Az, (5 / 6) * A, 2e-3);
    const disc = built(polygon(96, (t) => [0.05 * Math.cos(t), 0.05 * Math.sin(t)]));
    near(disc.Ay, (6 / 7) * disc.A, 2e-3);
  });

  test('a thin channel: shear centre at 3b²/(h + 6b) behind its web, warping constant by the same theory', () => {
    // Middle lines: web 0.2 m, flanges 0.1 m, 2 mm thick.
    const [h, b, t] = [0.2, 0.1, 0.002];
    const outline = [[0, 0], [b + t / 2, 0], [b + t / 2, t], [t, t], [t, h], [b + t / 2, h], [b + t / 2, h + t], [0, h + t]];
    const { shearCentre, Iw, centroid } = built({ outline });
    expect(shearCentre!.y).toBeCloseTo(centroid.y, 5);
    near(t / 2 - shearCentre!.z, (3 * b * b) / (h + 6 * b), 0.01);
    near(Iw, ((t * b ** 3 * h * h) / 12) * ((2 * h + 3 * b) / (h + 6 * b)), 0.02);
  }); // oxfmt-ignore
});

test('a standard shape as a part has the properties of the catalogue', () => {
  const shape = shapeCalled('UPN 200')!.shape;
  const ours = built({ catalogue: 'upn200' });
  const theirs = { ...listed(shapeCalled('UPN 200')!), ...plasticModuli(shape) };
  for (const key of ['A', 'Iz', 'Iy', 'Wplz', 'Wply'] as const) near(ours[key], theirs[key]!, 1e-11);
  for (const key of ['J', 'Ay', 'Az'] as const) near(ours[key], theirs[key]!, 1e-4);
  expect([ours.centroid.y, ours.centroid.z]).toEqual([expect.closeTo(0, 12), expect.closeTo(0, 12)]);
});

test('parts add up about their common centroid; apart, each twists by itself', () => {
  const one = built({ catalogue: 'UPE 200' });
  const distance = 0.05;
  const two = built({ catalogue: 'UPE 200', at: [distance, 0] }, { catalogue: 'UPE 200', at: ['-50 mm', 0], mirrored: true });
  near(two.A, 2 * one.A, 1e-12);
  near(two.Iz, 2 * one.Iz, 1e-12);
  near(two.Iy, 2 * (one.Iy + one.A * distance ** 2), 1e-9);
  near(two.J, 2 * one.J, 2e-3);
  expect(two.shearCentre).toBeUndefined();
});

test('parts that touch are welded there: two plates make one, and a box of four carries torsion round', () => {
  const whole = built(box(0, 0, 0.1, 0.02));
  const halves = built(box(0, 0, 0.05, 0.02), box(0.05, 0, 0.05, 0.02));
  near(halves.J, whole.J, 2e-3);
  near(halves.Iw, whole.Iw!, 2e-2);
  const [b, h, t] = [0.1, 0.2, 0.005];
  const four = built(box(0, 0, b, t), box(0, h - t, b, t), box(0, t, t, h - 2 * t), box(b - t, t, t, h - 2 * t));
  const bredt = (4 * ((b - t) * (h - t)) ** 2 * t) / (2 * (b + h - 2 * t));
  near(four.J, bredt, 0.02);
});

test('turned and mirrored: principal moments stay, the axes turn', () => {
  const straight = built({ catalogue: 'L 100x65x8' });
  const turned = built({ catalogue: 'L 100x65x8', angle: '30 deg', at: [0.3, -0.2] });
  near(turned.principal.I1, straight.principal.I1, 1e-9);
  expect(turned.principal.angle - straight.principal.angle).toBeCloseTo(30, 6);
  const mirrored = built({ catalogue: 'L 100x65x8', mirrored: true });
  expect(mirrored.Iyz).toBeCloseTo(-straight.Iyz, 12);
});

test('corners may be rounded: a square as round as it can be is a disc', () => {
  const r = 0.05;
  const ours = built({ outline: [[0, 0, r], [2 * r, 0, r], [2 * r, 2 * r, r], [0, 2 * r, r]] }); // oxfmt-ignore
  near(ours.Iz, (Math.PI * r ** 4) / 4, 1e-12);
  near(ours.J, (Math.PI * r ** 4) / 2, 1e-2);
  near(built({ shape: { type: 'chs', d: 0.1, t: 0.005 } }).Iz, (Math.PI * (0.1 ** 4 - 0.09 ** 4)) / 64, 1e-12);
});

test('a rounded corner that is turned reaches exactly as far as its arc', () => {
  const [h, r] = [0.1, 0.02];
  const square = { outline: [[0, 0, r], [h, 0, r], [h, h, r], [0, h, r]] }; // oxfmt-ignore
  const { Iz, Wz } = built({ ...square, angle: '45 deg' });
  near(Iz / Wz, (h / 2 - r) * Math.SQRT2 + r, 1e-12);
});

test('any star is filled by its mesh: J lies under that of the disc of the same area, and turning it changes nothing', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.3, max: 1, noNaN: true }), { minLength: 5, maxLength: 14 }), (radii) => {
      const star = polygon(radii.length, (t) => {
        const r = 0.1 * radii[Math.round((t / (2 * Math.PI)) * radii.length)]!;
        return [r * Math.cos(t), r * Math.sin(t)];
      });
      const one = built(star);
      // Of all sections of an area the disc is stiffest in torsion (Pólya).
      expect(one.J).toBeGreaterThan(0);
      expect(one.J).toBeLessThan((one.A * one.A) / (2 * Math.PI) + 0.02 * one.J);
      expect(one.Ay).toBeLessThan(one.A);
      const other = built({ ...star, angle: '77 deg', at: [0.2, 0.1] });
      near(other.J, one.J, 0.02);
      near(other.principal.I1, one.principal.I1, 1e-9);
    }),
    { numRuns: 12 },
  );
});

test('plates with a hair between them, and one as thin as foil, are filled too', () => {
  const apart = built(box(0, 0, 0.1, 0.01), box(0, 0.01 + 1e-5, 0.1, 0.01));
  near(apart.J, 2 * built(box(0, 0, 0.1, 0.01)).J, 5e-3);
  const foil = built(box(0, 0, 2, 0.001));
  near(foil.J, (2 * 0.001 ** 3) / 3, 0.01);
});

test('a hole takes its part away', () => {
  const ours = built({ ...box(0, 0, 0.1, 0.2), holes: [box(0.02, 0.03, 0.06, 0.14).outline] });
  expect(ours.Iz).toBeCloseTo((0.1 * 0.2 ** 3 - 0.06 * 0.14 ** 3) / 12, 12);
});

test('wherever an outline was drawn, its properties are the same', () => {
  const corners = [[0, 0], [0.2, 0, 0.01], [0.2, 0.02], [0.02, 0.02, 0.01], [0.02, 0.15], [0, 0.15]] as const; // oxfmt-ignore
  const near = built({ outline: corners });
  const far = built({ outline: corners.map(([z, y, r = 0]) => [z + 900, y - 700, r]) });
  for (const key of ['A', 'Iz', 'Iy', 'Iyz', 'J', 'Ay', 'Az', 'Iw', 'Wplz'] as const)
    expect(Math.abs(far[key]! / near[key]! - 1)).toBeLessThan(key === 'Iw' ? 1e-5 : 1e-8);
  expect(far.shearCentre!.z - 900).toBeCloseTo(near.shearCentre!.z, 9);
});

test('round tubes from arcs have the digits of J that they claim', () => {
  const ring = (r: number): number[][] => [[-r, -r, r], [r, -r, r], [r, r, r], [-r, r, r]]; // oxfmt-ignore
  for (const [d, t] of [[0.1, 0.005], [0.3, 0.01], [0.05, 0.02]] as const) {
    const ours = built({ outline: ring(d / 2), holes: [ring(d / 2 - t)] });
    const theory = (Math.PI / 32) * (d ** 4 - (d - 2 * t) ** 4);
    expect(Math.abs(ours.J / theory - 1)).toBeLessThan(10 ** -ours.mesh.digits);
    expect(ours.mesh.digits).toBeGreaterThanOrEqual(2);
  } // oxfmt-ignore
});

describe('what is no section is told with its place', () => {
  const bowtie = { outline: [[0, 0], [0.1, 0.1], [0.1, 0], [0, 0.2]] }; // oxfmt-ignore
  test.each<[string, unknown, RegExp]>([
    ['another file', { format: 'rigid-beam/model', version: 1 }, /not a section file \(“rigid-beam.model”/],
    ['no parts', fileOf(), /1 to 50 parts was expected \(“0 parts”\)/],
    ['no list of parts', { format: 'rigid-beam/section', version: 1 }, /nothing that the section is made of/],
    ['a part without a shape', fileOf({ at: [0, 0] }), /no shape \(part 1\)/],
    ['two corners', fileOf({ outline: [[0, 0], [1, 1]] }), /closed line of corners was expected \(part 1, outline: “2 corners”\)/], // oxfmt-ignore
    ['a corner twice', fileOf({ outline: [[0, 0], [0, 0], [1, 0], [1, 1]] }), /lies on the next \(part 1, outline 1\)/], // oxfmt-ignore
    ['no length', fileOf({ outline: [[0, '5 kN'], [1, 0], [1, 1]] }), /part 1, outline 1, number 2: “5 kN”/], // oxfmt-ignore
    ['a line that crosses itself', fileOf(bowtie), /the outline crosses or touches itself between its corners 1 and 3/],
    [
      'a hole outside',
      fileOf({ ...box(0, 0, 0.1, 0.1), holes: [box(0.05, 0.05, 0.1, 0.1).outline] }),
      /hole 1 of the outline reaches out/,
    ],
    [
      'a hole flush with an edge',
      fileOf({ ...box(0, 0, 0.1, 0.1), holes: [box(0, 0.02, 0.05, 0.05).outline] }),
      /hole 1 of the outline reaches its edge/,
    ],
    [
      'a hole that touches a corner',
      fileOf({
        ...box(0, 0, 0.1, 0.1),
        holes: [
          [
            [0, 0],
            [0.05, 0.02],
            [0.02, 0.05],
          ],
        ],
      }),
      /hole 1 of the outline reaches its edge/,
    ],
    [
      'two holes that share an edge',
      fileOf({ ...box(0, 0, 0.1, 0.1), holes: [box(0.02, 0.02, 0.02, 0.02).outline, box(0.04, 0.02, 0.02, 0.02).outline] }),
      /holes 1 and 2 of the outline touch/,
    ],
    [
      'a hole in a hole',
      fileOf({ ...box(0, 0, 0.1, 0.1), holes: [box(0.02, 0.02, 0.06, 0.06).outline, box(0.04, 0.04, 0.02, 0.02).outline] }),
      /holes 1 and 2 of the outline lie in each other/,
    ],
    [
      'a spike of no width',
      fileOf({
        outline: [
          [0, 0],
          [0.1, 0],
          [0.1, 0.05],
          [0.3, 0.05],
          [0.1, 0.05],
          [0.1, 0.1],
          [0, 0.1],
        ],
      }),
      /turns back on itself at its corner 4|corners 3 and 5 in one place/,
    ],
    [
      'an outline that folds back',
      fileOf({
        outline: [
          [0, 0],
          [0.1, 0],
          [0.05, 0],
          [0.05, 0.1],
          [0, 0.1],
        ],
      }),
      /turns back on itself at its corner 2/,
    ],
    ['a thread', fileOf(box(0, 0, 10, 1e-5)), /too thin for its length/],
    ['nothing that is built', fileOf(box(0, 0, 1e-60, 1e-60)), /from 0.001 mm to 1 km can be built/],
    ['parts over each other', fileOf(box(0, 0, 0.1, 0.1), box(0.05, 0.05, 0.02, 0.02)), /parts 1 and 2 overlap/],
    ['the same part twice', fileOf({ catalogue: 'IPE 200' }, { catalogue: 'IPE 200' }), /parts 1 and 2 overlap/],
    [
      'more corners than can be looked through',
      fileOf(
        polygon(1500, (t) => [Math.cos(t), Math.sin(t)]),
        polygon(1500, (t) => [5 + Math.cos(t), Math.sin(t)]),
      ),
      /too many corners .*3000 corners/,
    ],
    ['an unknown designation', fileOf({ catalogue: 'IPE 205' }), /no shape “IPE 205”; it has IPE 80, .* \(part 1, catalogue/],
  ])('%s', (_, value, words) => expect(faultsOf(value).join('\n')).toMatch(words));
});
