import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { A, E, EI, sketch, pin, roller } from '../test/build';
import { compile } from './compile';
import { condense, condenseLoads, recoverEnds } from './condensation';
import { equivalentLoads } from './equivalent-loads';
import { planeDirection } from './local-axes';
import { memberStiffness, shearParameter } from './member-stiffness';
import { bendingShapes } from './shape-functions';
import { congruence, memberTransformation } from './transformation';

const times = (k: Float64Array, x: Float64Array): number[] =>
  Array.from({ length: 6 }, (_, i) => x.reduce((sum, value, j) => sum + k[i * 6 + j]! * value, 0));
const L = 4;

describe('local axes', () => {
  test.each([
    [
      [3, 4],
      [0.6, 0.8, 1],
    ],
    [
      [-3, 4],
      [-0.6, 0.8, -1],
    ],
    [
      [3, -4],
      [0.6, -0.8, 1],
    ],
    [
      [0, 5],
      [0, 1, 1],
    ],
    [
      [0, -5],
      [0, -1, -1],
    ],
    [
      [1e-9, -5],
      [expect.closeTo(0, 8), -1, -1],
    ],
    [
      [-5, 0],
      [-1, 0, -1],
    ],
  ] as const)('%j', ([dx, dy], expected) => {
    const [c, s, sense] = planeDirection(dx, dy);
    expect([c, s, sense]).toEqual([...expected]);
    // y points up, or along −X on a vertical member.
    const [yx, yy] = [-sense * s, sense * c];
    expect(Math.abs(dx) > 1e-6 ? yy : -yx).toBeGreaterThan(0);
  });
});

describe('the stiffness of a member', () => {
  test('is symmetric, and a rigid movement costs no energy, with and without shear', () => {
    for (const GA of [Infinity, 1e7]) {
      const k = memberStiffness(E * A, EI, GA, L);
      for (let i = 0; i < 6; i++) for (let j = 0; j < 6; j++) expect(k[i * 6 + j]).toBe(k[j * 6 + i]);
      for (const rigid of [
        [1, 0, 0, 1, 0, 0],
        [0, 1, 0, 0, 1, 0],
        [0, 0, 1, 0, L, 1],
      ]) {
        times(k, Float64Array.from(rigid)).forEach((force) => expect(Math.abs(force)).toBeLessThan(1e-9 * E * A));
      }
    }
  });

  test('shapes take the value of each end freedom at their own end, and solve the equation without load', () => {
    for (const phi of [0, 0.7]) {
      const [start, end] = [bendingShapes(0, L, phi), bendingShapes(1, L, phi)];
      [start.v[0], start.rotation[1], end.v[2], end.rotation[3]].forEach((value) => expect(value).toBeCloseTo(1, 12));
      [start.v[1], start.v[2], start.v[3], end.v[0], end.v[1], end.v[3], start.rotation[0], end.rotation[2]].forEach((value) =>
        expect(value).toBeCloseTo(0, 12),
      );
      // The shear angle v′ − θ is constant along the member.
      const angle = (xi: number, i: number): number => {
        const [a, b] = [bendingShapes(xi - 1e-5, L, phi), bendingShapes(xi + 1e-5, L, phi)];
        return (b.v[i]! - a.v[i]!) / (2e-5 * L) - bendingShapes(xi, L, phi).rotation[i]!;
      };
      for (let i = 0; i < 4; i++) expect(angle(0.2, i)).toBeCloseTo(angle(0.8, i), 6);
    }
  });

  test('a short deep member is softer by its shear', () => {
    const GA = 2e6;
    expect(shearParameter(EI, Infinity, L)).toBe(0);
    const [bending, both] = [memberStiffness(1, EI, Infinity, L)[7]!, memberStiffness(1, EI, GA, L)[7]!];
    expect(1 / both).toBeCloseTo(1 / bending + L / GA, 12);
  });
});

describe('releases', () => {
  const local = memberStiffness(E * A, EI, Infinity, L);
  const fixed = [Infinity, Infinity, Infinity, Infinity, Infinity, Infinity];

  test('a hinge makes 3EI/L³ of 12EI/L³, both hinges exactly nothing', () => {
    const one = condense(local, Float64Array.from(fixed.with(2, 0)));
    expect(one.stiffness[7]).toBeCloseTo((3 * EI) / L ** 3, 6);
    expect(one.stiffness.subarray(12, 18).every((value) => value === 0)).toBe(true);
    const both = condense(local, Float64Array.from(fixed.with(2, 0).with(5, 0)));
    for (const i of [1, 2, 4, 5]) expect(both.stiffness.subarray(6 * i, 6 * i + 6).every((value) => value === 0)).toBe(true);
    expect(both.loose).toBe(-1);
  });

  test('what is left free to move by itself is told', () => {
    expect(condense(local, Float64Array.from(fixed.with(0, 0).with(3, 0))).loose).toBe(3);
    expect(condense(local, Float64Array.from(fixed.with(2, 0).with(5, 0).with(4, 0))).loose).toBeGreaterThanOrEqual(0);
    expect(condense(local, Float64Array.from(fixed.with(0, 50).with(3, 0))).loose).toBe(-1);
  });

  test('agrees with the full system of node, spring and member end for any releases', () => {
    const release = fc.constantFrom(Infinity, Infinity, 0, 1e3, 5e5, 1e9);
    const vector = fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 6, maxLength: 6 });
    fc.assert(
      fc.property(fc.array(release, { minLength: 6, maxLength: 6 }), vector, vector, (springs, nodes, loads) => {
        const condensed = condense(local, Float64Array.from(springs));
        if (condensed.loose >= 0) return;
        const n = Float64Array.from(nodes, (value) => value * 1e-3);
        const p = Float64Array.from(loads, (value) => value * 1e3);
        const d = n.slice();
        recoverEnds(condensed, d, p);
        const reduced = p.slice();
        condenseLoads(condensed, reduced);
        // Forces at the member's own ends, from its own stiffness, are those that the nodes feel.
        const own = times(local, d).map((force, i) => force - p[i]!);
        const felt = times(condensed.stiffness, n).map((force, i) => force - reduced[i]!);
        const size = Math.max(1, ...own.map(Math.abs)) + 1e6;
        own.forEach((force, i) => expect(Math.abs(force - felt[i]!)).toBeLessThan(1e-6 * size));
        springs.forEach((spring, i) => {
          if (spring === Infinity) expect(d[i]).toBe(n[i]);
          else expect(Math.abs(spring * (n[i]! - d[i]!) - own[i]!)).toBeLessThan(1e-5 * size);
        });
      }),
      { numRuns: 300 },
    );
  });
});

describe('loads on a member as loads on its ends', () => {
  const frame = (load: Parameters<typeof sketch>[0]['loads'], end: [number, number] = [L, 0]) =>
    compile(
      sketch({
        nodes: [
          ['1', 0, 0],
          ['2', ...end],
        ],
        members: [['a', '1', '2']],
        supports: [pin('1'), roller('2')],
        ...(load && { loads: load }),
      }),
    );

  test('a trapezium keeps its sum and its moment', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: -9, max: 9 }),
        fc.integer({ min: -9, max: 9 }),
        (a, length, from, to) => {
          const b = Math.min(10, a + length);
          const p = equivalentLoads(
            frame([{ type: 'line', member: 'a', from: { at: a / 10, wy: from }, to: { at: b / 10, wy: to } }]),
            0,
            0,
          );
          const [x0, x1] = [(a / 10) * L, (b / 10) * L];
          const sum = ((from + to) / 2) * (x1 - x0);
          const moment = ((x1 - x0) / 6) * (from * (2 * x0 + x1) + to * (x0 + 2 * x1));
          expect(p[1]! + p[4]!).toBeCloseTo(sum, 9);
          expect(p[2]! + p[5]! + p[4]! * L).toBeCloseTo(moment, 9);
        },
      ),
    );
  });

  test.each<[string, [number, number], 'global' | 'local' | 'projected', object, [number, number]]>([
    ['global down on a slope', [3, 4], 'global', { wy: -10 }, [-8, -6]],
    ['snow on plan', [3, 4], 'projected', { wy: -10 }, [-4.8, -3.6]],
    ['wind on the height', [3, 4], 'projected', { wx: 10 }, [4.8, -6.4]],
    ['across the member', [3, 4], 'local', { wy: -10 }, [0, -10]],
    ['across a member drawn from right to left', [-3, 4], 'local', { wy: -10 }, [0, -10]],
    ['global down on a member drawn from right to left', [-3, 4], 'global', { wy: -10 }, [-8, -6]],
    ['wind on a post', [0, 5], 'global', { wx: 10 }, [0, -10]],
    ['wind on a post drawn downwards', [0, -5], 'global', { wx: 10 }, [0, -10]],
  ])('%s', (_, end, axes, size, [x, y]) => {
    const { values } = frame([{ type: 'line', member: 'a', axes, from: size, to: size } as never], end).lineLoads;
    expect(values[2]).toBeCloseTo(x, 12);
    expect(values[4]).toBeCloseTo(y, 12);
  });

  test('a global couple turns with local z', () => {
    const couple = (end: [number, number], axes: 'global' | 'local'): number =>
      frame([{ type: 'point', member: 'a', at: 0.5, axes, mz: 7 }], end).pointLoads.values[3]!;
    expect([couple([4, 0], 'global'), couple([-4, 0], 'global'), couple([-4, 0], 'local')]).toEqual([7, -7, 7]);
  });
});

describe('transformation', () => {
  test('keeps energy: a rigid movement of both nodes costs nothing, with arms and a turned support', () => {
    const model = sketch({
      nodes: [
        ['1', 1, 2],
        ['2', 5, 4],
      ],
      members: [['a', '1', '2', { offset: { start: [0.3, -0.2, 0], end: [0.1, 0.5, 0] } }]],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed', angle: 30 }, roller('2')],
    });
    const s = compile(model);
    const B = memberTransformation(s, 0);
    const k = congruence(B, memberStiffness(E * A, EI, Infinity, s.lengths[0]!));
    const turned = (x: number, y: number): [number, number] => [
      Math.cos(Math.PI / 6) * x + Math.sin(Math.PI / 6) * y,
      Math.cos(Math.PI / 6) * y - Math.sin(Math.PI / 6) * x,
    ];
    const w = 0.01;
    const rigid = Float64Array.of(...turned(0.2 - w * 2, -0.1 + w * 1), w, 0.2 - w * 4, -0.1 + w * 5, w);
    times(k, rigid).forEach((force) => expect(Math.abs(force)).toBeLessThan(1e-6));
  });

  test('quarter turns are exact', () => {
    const s = compile(
      sketch({
        nodes: [
          ['1', 0, 0],
          ['2', 4, 0],
        ],
        members: [['a', '1', '2']],
        supports: [
          { node: '1', uy: 'fixed', angle: 90 },
          { node: '2', uy: 'fixed', angle: -180 },
        ],
      }),
    );
    expect([...s.turns]).toEqual([0, 1, -1, 0]);
  });
});
