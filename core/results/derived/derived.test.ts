import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Section } from '../../model/model';
import { clamp, clamp3, E, pin, roller, sketch, solved } from '../../test/build';
import { randomSpace } from '../../test/random-space';
import { quantityExtremes, rangeAt } from '../read-quantity';
import type { Resultant } from '../results';
import { defaultDisplay } from '../../quantities/display';
import { inLetterOrder, quantitiesOf, quantityWords, type Quantity } from '../quantities';

const L = 3;
const [P, Q, H] = [4e3, 3e3, 20e3];

/** A cantilever along X with a section, pulled and bent in both planes at its tip. */
const cantilever = (section: Partial<Section>) =>
  solved(
    sketch({
      nodes: [['1', 0, 0, 0], ['2', L, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1')],
      loads: [{ type: 'node', node: '2', fx: H, fy: -P, fz: Q }], extra: { sections: [{ id: 's', ...section }] },
    }),
  ).solution; // oxfmt-ignore
const largest = (section: Partial<Section>, quantity: Quantity) => quantityExtremes(cantilever(section), 0, 0, quantity);

describe('stress at the extreme fibres', () => {
  const [h, b, d] = [0.3, 0.12, 0.2];
  test('of a rectangle under biaxial bending: N/A ± M_z/W_z ± M_y/W_y, at the clamp', () => {
    const { max, min } = largest({ shape: { type: 'rectangle', h, b } }, 'sigma')!;
    const bending = (6 * P * L) / (b * h ** 2) + (6 * Q * L) / (h * b ** 2);
    expect(max.value / (H / (b * h) + bending)).toBeCloseTo(1, 10);
    expect(min.value / (H / (b * h) - bending)).toBeCloseTo(1, 10);
    expect([max.x, min.x]).toEqual([0, 0]);
  });

  test('of a round bar: N/A + 32·√(M_y² + M_z²)/πd³', () => {
    const { max } = largest({ shape: { type: 'round', d } }, 'sigma')!;
    const area = (Math.PI * d ** 2) / 4;
    expect(max.value / (H / area + (32 * Math.hypot(P, Q) * L) / (Math.PI * d ** 3))).toBeCloseTo(1, 10);
  });

  test('of a round tie that sags under a load of its own: greatest in its middle, where the axial stress does not change', () => {
    const [q, force] = [80, 5e3];
    const { solution } = solved(
      sketch({
        nodes: [['1', 0, 0], ['2', L, 0]], members: [['tie', '1', '2']], supports: [pin('1'), roller('2')],
        loads: [{ type: 'line', member: 'tie', from: { wy: -q }, to: { wy: -q } }, { type: 'node', node: '2', fx: force }],
        extra: { sections: [{ id: 's', shape: { type: 'round', d: 0.02 } }] },
      }),
    ); // oxfmt-ignore
    const axial = force / ((Math.PI * 0.02 ** 2) / 4);
    const bending = (32 * ((q * L ** 2) / 8)) / (Math.PI * 0.02 ** 3);
    const { max, min } = quantityExtremes(solution, 0, 0, 'sigma')!;
    expect(max.value / (axial + bending)).toBeCloseTo(1, 9);
    expect(min.value / (axial - bending)).toBeCloseTo(1, 9);
    expect([max.x, min.x]).toEqual([expect.closeTo(L / 2, 6), expect.closeTo(L / 2, 6)]);
  });

  test('from elastic moduli as they are given; unknown where nothing tells', () => {
    const properties = { A: 0.005, Iz: 1e-5, Iy: 4e-6, J: 1e-6 };
    const { min } = largest({ ...properties, Wz: 1e-4, Wy: 5e-5 }, 'sigma')!;
    expect(min.value / (H / 0.005 - (P * L) / 1e-4 - (Q * L) / 5e-5)).toBeCloseTo(1, 10);
    expect(largest(properties, 'sigma')).toBeUndefined();
    // About other axes than the principal ones the moduli tell nothing.
    expect(largest({ ...properties, Iyz: 1e-6, Wz: 1e-4, Wy: 5e-5 }, 'sigma')).toBeUndefined();
  });

  test('of an angle lie at its corners, by its product of inertia', () => {
    // About its centroid by hand: legs 0.1 × 0.01 and 0.09 × 0.01.
    const t = 0.01;
    const parts = [[0.1 * t, 0.05, t / 2, (t * 0.1 ** 3) / 12, (0.1 * t ** 3) / 12], [0.09 * t, t / 2, 0.055, (0.09 * t ** 3) / 12, (t * 0.09 ** 3) / 12]] as const; // oxfmt-ignore
    const A = parts[0][0] + parts[1][0];
    const [y, z] = [1, 2].map((k) => parts.reduce((sum, part) => sum + part[0] * part[k]!, 0) / A) as [number, number];
    const Iz = parts.reduce((sum, [a, py, , own]) => sum + own + a * (py - y) ** 2, 0);
    const Iy = parts.reduce((sum, [a, , pz, , own]) => sum + own + a * (pz - z) ** 2, 0);
    const Iyz = parts.reduce((sum, [a, py, pz]) => sum + a * (py - y) * (pz - z), 0);
    // Mz = −PL (up is compressed below), My = QL in the senses of the format.
    const [Mz, My] = [-P * L, Q * L];
    const D = Iz * Iy - Iyz ** 2;
    const [v, w] = [(Iy * Mz - Iyz * My) / D, (Iz * My - Iyz * Mz) / D];
    const corners = [[0, 0], [0, 0.1], [t, 0.1], [0.1, 0], [0.1, t]] as const; // oxfmt-ignore
    const stresses = corners.map(([cy, cz]) => H / A - (cy - y) * v - (cz - z) * w);
    const { max, min } = largest({ shape: { type: 'angle', h: 0.1, b: 0.1, t } }, 'sigma')!;
    expect(max.value / Math.max(...stresses)).toBeCloseTo(1, 9);
    expect(min.value / Math.min(...stresses)).toBeCloseTo(1, 9);
  });

  test('in the plane, upright and on its side; a tee feels its toe more than its flange', () => {
    const shape = { type: 'tee', h: 0.2, b: 0.15, tw: 0.01, tf: 0.015 } as const;
    const beam = (roll: number) =>
      solved(
        sketch({
          nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2', { roll }]], supports: [pin('1'), roller('2')],
          loads: [{ type: 'line', member: 'a', from: { wy: -5e3 }, to: { wy: -5e3 } }], extra: { sections: [{ id: 's', shape }] },
        }),
      ).solution; // oxfmt-ignore
    const [upright, upsideDown, lying] = [0, 180, 90].map((roll) => quantityExtremes(beam(roll), 0, 0, 'sigma')!);
    expect(upright!.max.x).toBeCloseTo(2, 9);
    expect(upright!.max.value).toBeGreaterThan(-2 * upright!.min.value);
    expect(upsideDown!.min.value).toBeCloseTo(-upright!.max.value, 3);
    expect(lying!.max.value).toBeCloseTo(-lying!.min.value, 3);
    expect(lying!.max.value).toBeCloseTo((5e3 * 16) / 8 / ((0.015 * 0.15 ** 3 + 0.185 * 0.01 ** 3) / 12 / 0.075), -2);
  });
});

test('the resultant moment of forces in two planes that peak in different places', () => {
  const solution = solved(
    sketch({
      nodes: [['1', 0, 0, 0], ['2', 6, 0, 0]], members: [['a', '1', '2']],
      supports: [clamp3('1'), { node: '2', uy: 'fixed', uz: 'fixed' }],
      loads: [{ type: 'line', member: 'a', from: { wy: -3e3 }, to: { wy: 0, wz: 4e3 } }],
    }),
  ).solution; // oxfmt-ignore
  expect(quantitiesOf(solution.structure)).toContain('M');
  const { max } = quantityExtremes(solution, 0, 0, 'M')!;
  for (let x = 0; x <= 6; x += 0.05) expect(rangeAt(solution, 0, 0, 'M', x)!.max).toBeLessThanOrEqual(max.value * (1 + 1e-12));
});

test('exact extremes of derived quantities are reached, and no place goes beyond them', () => {
  const shapes: Section['shape'][] = [
    { type: 'rectangle', h: 0.3, b: 0.1 },
    { type: 'chs', d: 0.2, t: 0.01 },
    { type: 'rhs', h: 0.2, b: 0.1, t: 0.006, ro: 0.012 },
    { type: 'channel', h: 0.2, b: 0.08, tw: 0.008, tf: 0.012, r: 0.01 },
    { type: 'angle', h: 0.12, b: 0.08, t: 0.01, r: 0.01 },
  ];
  fc.assert(
    fc.property(randomSpace, fc.constantFrom(...shapes), (any, shape) => {
      const { solution } = solved({ ...any, sections: [{ id: 's', shape: shape! }] });
      for (const quantity of ['M', 'sigma', 'uX', 'uY', 'uZ'] as const)
        any.members.forEach((_, m) => {
          const { max, min } = quantityExtremes(solution, 0, m, quantity)!;
          const size = Math.max(Math.abs(max.value), Math.abs(min.value), 1e-9);
          const length = solution.structure.lengths[m]!;
          const places = Array.from({ length: 41 }, (_, i) => rangeAt(solution, 0, m, quantity, (length * i) / 40)!);
          expect(Math.max(...places.map((here) => here.max))).toBeLessThanOrEqual(max.value + 1e-9 * size);
          expect(Math.min(...places.map((here) => here.min))).toBeGreaterThanOrEqual(min.value - 1e-9 * size);
        });
    }),
    { numRuns: 25 },
  );
});

describe('movements along the axes of the structure', () => {
  test('of a cantilever that leans: bending across it and stretching along it, by hand all along', () => {
    const [A, I, l, angle] = [2e-3, 3e-6, 2.5, 0.6];
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const { solution } = solved(
      sketch({
        nodes: [['1', 0, 0], ['2', l * c, l * s]], members: [['a', '1', '2']], supports: [clamp('1')],
        loads: [{ type: 'node', node: '2', fy: -P }], section: { A, Iz: I },
      }),
    ); // oxfmt-ignore
    for (const x of [0, 0.4, 1.3, l]) {
      const across = (-P * c * (3 * l * x ** 2 - x ** 3)) / (6 * E * I);
      const along = (-P * s * x) / (E * A);
      const at = (quantity: Quantity): number => rangeAt(solution, 0, 0, quantity, x)!.max;
      expect(at('uX')).toBeCloseTo(along * c - across * s, 12);
      expect(at('uY')).toBeCloseTo(along * s + across * c, 12);
    }
    const { max, min } = quantityExtremes(solution, 0, 0, 'uY')!;
    expect([max.value, max.x, min.x]).toEqual([0, 0, expect.closeTo(l, 9)]);
  });

  test('are those of the nodes at rigid ends, at the ends of their arms, however members lie', () => {
    fc.assert(
      fc.property(randomSpace, (any) => {
        const { solution } = solved(any);
        const { memberNodes, releases, endOffsets, lengths } = solution.structure;
        const { displacements } = solution.responses[0]!;
        const most = Math.max(1e-12, ...displacements.map(Math.abs));
        any.members.forEach((_, m) => {
          if (Array.from(releases.subarray(12 * m, 12 * m + 12)).some(Number.isFinite)) return;
          for (const end of [0, 1]) {
            const node = 6 * memberNodes[2 * m + end]!;
            const [ax, ay, az] = endOffsets.subarray(6 * m + 3 * end, 6 * m + 3 * end + 3) as unknown as [number, number, number];
            const [ux, uy, uz, rx, ry, rz] = displacements.subarray(node, node + 6) as unknown as Resultant;
            const moved = [ux + ry * az - rz * ay, uy + rz * ax - rx * az, uz + rx * ay - ry * ax];
            (['uX', 'uY', 'uZ'] as const).forEach((quantity, k) => {
              const here = rangeAt(solution, 0, m, quantity, end * lengths[m]!)!;
              expect(Math.abs(here.max - moved[k]!)).toBeLessThanOrEqual(1e-9 * most);
            });
          }
        });
      }),
      { numRuns: 25 },
    );
  });

  test('are named as readers name axes: where Z points up, the third is told by its sense', () => {
    const words = (up: 'Y' | 'Z') =>
      (['uX', 'uY', 'uZ'] as const).map((one) => quantityWords('space', one, { ...defaultDisplay, up }));
    expect(words('Y').map(({ symbol }) => symbol)).toEqual(['uX', 'uY', 'uZ']);
    expect(words('Z').map(({ symbol, name, positive }) => [symbol, name, positive])).toEqual([
      ['uX', 'movement along X', 'along +X'],
      ['uZ', 'movement along Z', 'along +Z'],
      ['u−Y', 'movement along −Y', 'along −Y'],
    ]);
    const all = ['uX', 'uY', 'uZ'] as const;
    expect(inLetterOrder(all, { ...defaultDisplay, up: 'Z' })).toEqual(['uX', 'uZ', 'uY']);
  });
});

test('a plane structure has no resultant moment, and its stresses need no second axis', () => {
  const { solution } = solved(
    sketch({ nodes: [['1', 0, 0], ['2', 2, 0]], members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -1e3 }], section: { Wz: 1e-4 } }),
  ); // oxfmt-ignore
  expect(quantitiesOf(solution.structure)).toEqual(['N', 'Vy', 'Mz', 'u', 'v', 'uX', 'uY', 'sigma', 'sigmaV']);
  expect(quantityExtremes(solution, 0, 0, 'sigma')!.max.value).toBeCloseTo(2e3 / 1e-4, 3);
});
