import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Support } from '../model/model';
import { ball, clamp3, EA, EI, EIY, GJ, pin, roller, sketch, solved, type Sketch } from '../test/build';
import { bending } from './bending';
import { compile } from './compile';
import { condense, condenseLoads, recoverEnds, type Condensed } from './condensation';
import { memberLoads } from './equivalent-loads';
import { memberMatrices, nodalEntry } from './member-matrices';
import { memberStiffness } from './member-stiffness';
import { MEMBER_FREEDOMS } from './structure';
import { toOwnAxes } from './transformation';

const N = MEMBER_FREEDOMS;
const times = (k: Float64Array, x: ArrayLike<number>): number[] =>
  Array.from({ length: N }, (_, i) => Array.from(x).reduce((sum, value, j) => sum + k[i * N + j]! * value, 0));
const L = 4;

/** 12 × 12 stiffness; `GA` for both planes. */
function stiffness(EIyz = 0, GA = Infinity): Float64Array {
  const k = new Float64Array(N * N);
  memberStiffness({ EA, GJ, L }, bending({ EIz: EI, EIy: EIY, EIyz, GAy: GA, GAz: GA }, L), 0, k);
  return k;
}

describe('the stiffness of a member', () => {
  test('is symmetric, and a rigid movement costs no energy, with and without shear and Iyz', () => {
    for (const [EIyz, GA] of [
      [0, Infinity],
      [0, 1e7],
      [4e5, Infinity],
      [4e5, 1e7],
    ] as const) {
      // oxfmt-ignore
      const k = stiffness(EIyz, GA);
      for (let i = 0; i < N; i++) for (let j = 0; j < N; j++) expect(Math.abs(k[i * N + j]! - k[j * N + i]!)).toBeLessThan(1e-9);
      for (const [t, r] of [
        [0, 0],
        [1, 0],
        [2, 0],
        [0, 3],
        [0, 4],
        [0, 5],
      ] as const) {
        // oxfmt-ignore
        const move = new Float64Array(N);
        if (r === 0) move[t] = move[t + 6] = 1;
        else move[r] = move[r + 6] = 1;
        if (r === 5) move[7] = L;
        if (r === 4) move[8] = -L;
        times(k, move).forEach((force) => expect(Math.abs(force)).toBeLessThan(1e-9 * EA));
      }
    }
  });

  test('with Iyz is that of the principal axes, turned', () => {
    const angle = 0.3;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    // Strong and weak axis turned by the angle about x.
    const [Iz, Iy, Iyz] = [EI * c * c + EIY * s * s, EI * s * s + EIY * c * c, (EI - EIY) * s * c];
    const turned = new Float64Array(N * N);
    const bends = bending({ EIz: Iz, EIy: Iy, EIyz: Iyz, GAy: Infinity, GAz: Infinity }, L);
    memberStiffness({ EA, GJ, L }, bends, 0, turned);
    const move = Float64Array.from({ length: N }, (_, i) => Math.sin(i + 1) * 1e-3);
    const toPrincipal = (v: ArrayLike<number>): number[] =>
      Array.from(v, (value, i) => {
        const k = i % 3;
        return k === 0 ? value : k === 1 ? c * value + s * v[i + 1]! : c * value - s * v[i - 1]!;
      });
    const expected = times(stiffness(), toPrincipal(move));
    toPrincipal(times(turned, move)).forEach((force, i) => expect(force).toBeCloseTo(expected[i]!, 6));
  });
});

describe('released ends', () => {
  const fixed = new Float64Array(N).fill(Infinity);
  const released = (changes: Record<number, number>): { k: Float64Array; condensed: Condensed } => {
    const k = stiffness();
    const releases = fixed.slice();
    for (const [i, spring] of Object.entries(changes)) releases[Number(i)] = spring;
    return { k, condensed: condense(k, releases, 0)! };
  };

  test('a hinge makes 3EI/L³ of 12EI/L³, both hinges exactly nothing', () => {
    const one = released({ 5: 0 });
    expect(one.k[N + 1]).toBeCloseTo((3 * EI) / L ** 3, 6);
    expect(one.k.subarray(5 * N, 6 * N).every((value) => value === 0)).toBe(true);
    const both = released({ 5: 0, 11: 0 });
    for (const i of [1, 5, 7, 11]) expect(both.k.subarray(N * i, N * (i + 1)).every((value) => value === 0)).toBe(true);
    expect(both.condensed.loose).toEqual([]);
    expect(condense(stiffness(), fixed, 0)).toBeUndefined();
  });

  test('what is left free to move by itself is told', () => {
    expect(released({ 0: 0, 6: 0 }).condensed.loose).toEqual([6]);
    expect(released({ 3: 0, 9: 0 }).condensed.loose).toEqual([9]);
    expect(released({ 5: 0, 11: 0, 7: 0 }).condensed.loose).toHaveLength(1);
    expect(released({ 0: 50, 6: 0 }).condensed.loose).toEqual([]);
  });

  test('agrees with the full system of node, spring and member end for any releases', () => {
    const release = fc.constantFrom(Infinity, Infinity, Infinity, 0, 1e3, 5e5, 1e9);
    const vector = fc.array(fc.integer({ min: -9, max: 9 }), { minLength: N, maxLength: N });
    const full = stiffness();
    fc.assert(
      fc.property(fc.array(release, { minLength: N, maxLength: N }), vector, vector, (springs, nodes, loads) => {
        const k = stiffness();
        const condensed = condense(k, Float64Array.from(springs), 0);
        if (!condensed || condensed.loose.length > 0) return;
        const n = Float64Array.from(nodes, (value) => value * 1e-3);
        const p = Float64Array.from(loads, (value) => value * 1e3);
        const d = n.slice();
        recoverEnds(condensed, d, p);
        const reduced = p.slice();
        condenseLoads(condensed, reduced);
        // Forces at the member's own ends, from its own stiffness, are those that the nodes feel.
        const own = times(full, d).map((force, i) => force - p[i]!);
        const felt = times(k, n).map((force, i) => force - reduced[i]!);
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
          const loaded = frame([{ type: 'line', member: 'a', from: { at: a / 10, wy: from }, to: { at: b / 10, wy: to } }]);
          const p = memberLoads(loaded, memberMatrices(loaded).bends)[0]!.values;
          const [x0, x1] = [(a / 10) * L, (b / 10) * L];
          const sum = ((from + to) / 2) * (x1 - x0);
          const moment = ((x1 - x0) / 6) * (from * (2 * x0 + x1) + to * (x0 + 2 * x1));
          expect(p[1]! + p[7]!).toBeCloseTo(sum, 9);
          expect(p[5]! + p[11]! + p[7]! * L).toBeCloseTo(moment, 9);
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
      frame([{ type: 'point', member: 'a', at: 0.5, axes, mz: 7 }], end).pointLoads.values[6]!;
    expect([couple([4, 0], 'global'), couple([-4, 0], 'global'), couple([-4, 0], 'local')]).toEqual([7, -7, 7]);
  });
});

describe('transformation', () => {
  test('keeps energy: a rigid movement of both nodes costs nothing, with arms and turned supports in space', () => {
    const model = sketch({
      nodes: [
        ['1', 1, 2, 0.5],
        ['2', 5, 4, -1],
      ],
      members: [['a', '1', '2', { roll: 25, offset: { start: [0.3, -0.2, 0.1], end: [0.1, 0.5, -0.4] } }]],
      supports: [{ ...clamp3('1'), axes: { x: [1, 1, 0], y: [0, 1, 1] } }, ball('2')],
    });
    const s = compile(model);
    const matrices = memberMatrices(s);
    const nodal = Float64Array.from({ length: N * N }, (_, e) => nodalEntry(s, matrices, 0, Math.floor(e / N), e % N));
    const displacements = new Float64Array(N);
    const [t, w] = [
      [0.2, -0.1, 0.3],
      [0.01, -0.02, 0.03],
    ] as const;
    model.nodes.forEach(({ x, y, z = 0 }, i) => {
      displacements.set([t[0] + w[1] * z - w[2] * y, t[1] + w[2] * x - w[0] * z, t[2] + w[0] * y - w[1] * x, ...w], 6 * i);
    });
    toOwnAxes(s, displacements);
    times(nodal, displacements).forEach((force) => expect(Math.abs(force)).toBeLessThan(1e-6));
  });

  test('the short way without arms gives what the long way gives', () => {
    const nodes: Sketch['nodes'] = [
      ['1', 1, 2, 0.5],
      ['2', 5, 4, -1],
    ];
    const members: Sketch['members'] = [['a', '1', '2', { roll: 25, releases: { end: { my: 0, uy: 1e4 } } }]];
    const matrix = (support: Partial<Support>): Float64Array =>
      memberMatrices(compile(sketch({ nodes, members, supports: [{ ...clamp3('1'), ...support }, ball('2')] }))).nodal;
    const long = matrix({ axes: { x: [1, 0, 0], y: [0, 1, 0] } });
    matrix({}).forEach((value, i) => expect(Math.abs(value - long[i]!)).toBeLessThan(1e-6));
  });

  test('quarter turns are exact, and no turn is none', () => {
    const s = compile(
      sketch({
        nodes: [
          ['1', 0, 0],
          ['2', 4, 0],
        ],
        members: [['a', '1', '2']],
        supports: [
          { node: '1', uy: 'fixed', angle: 90 },
          { node: '2', uy: 'fixed', angle: 360 },
        ],
      }),
    );
    expect([...s.supportRotations.keys()]).toEqual([0]);
    expect([...s.supportRotations.get(0)!].map((x) => x + 0)).toEqual([0, 1, 0, -1, 0, 0, 0, 0, 1]);
  });
});

describe('movements of the ends as the member bends', () => {
  test('equivalent loads do the work of the load on the exact shapes: both planes, with Iyz and shear', () => {
    // The answer by a finer path: the member cut into two at the load, which then acts on a node.
    const at = 0.3;
    const section = { Iyz: 3e-6, Ay: 0.002, Az: 0.003 };
    const extra = { analysis: { shearDeformation: true } };
    const force = { fy: -7e3, fz: 4e3, my: 2e3, mz: -3e3, fx: 1e3, mx: 5e2 };
    const whole = solved(
      sketch({
        nodes: [['1', 0, 0, 0], ['2', 4, 0, 0]],
        members: [['a', '1', '2']],
        supports: [clamp3('1'), clamp3('2')],
        loads: [{ type: 'point', member: 'a', at, ...force }],
        section,
        extra,
      }),
    ); // oxfmt-ignore
    const cut = solved(
      sketch({
        nodes: [['1', 0, 0, 0], ['m', 4 * at, 0, 0], ['2', 4, 0, 0]],
        members: [['a', '1', 'm'], ['b', 'm', '2']],
        supports: [clamp3('1'), clamp3('2')],
        loads: [{ type: 'node', node: 'm', ...force }],
        section,
        extra,
      }),
    ); // oxfmt-ignore
    whole.reactions('1').forEach((value, k) => expect(value).toBeCloseTo(cut.reactions('1')[k]!, 5));
    (['u', 'v', 'w'] as const).forEach((quantity, k) =>
      expect(whole.at('a', quantity, 4 * at)).toBeCloseTo(cut.displacements('m')[k]!, 12),
    );
  });
});
