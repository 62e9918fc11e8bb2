import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { giveBackKernels, takeKernels } from '../linear-algebra/kernel-pool';
import { checkModel } from '../model/check';
import { freedoms, type Model } from '../model/model';
import type { Results } from '../results/results';
import { solve } from '../analysis/session';
import { factorise } from '../analysis/factorise';
import { prepare } from '../analysis/prepare';
import { compile } from '../stiffness/compile';
import { freedomOf } from '../stiffness/assemble';
import { memberMatrices, nodalEntry } from '../stiffness/member-matrices';
import { toOwnAxes } from '../stiffness/transformation';
import type { Structure } from '../stiffness/structure';
import { ball, clamp3, pin, sketch, type Sketch } from '../test/build';
import { looseModel, randomLoose } from '../test/random-loose';
import type { Mechanism } from './mechanism';
import { symmetricEigen } from './symmetric-eigen';

/** K over all freedoms that are not fixed, dense, its largest diagonal entry 1. */
function denseStiffness(s: Structure): { free: number[]; K: Float64Array } {
  const matrices = memberMatrices(s);
  const free = s.names.nodes.flatMap((_, i) => s.active.map((k) => 6 * i + k)).filter((f) => s.restraints[f] !== Infinity);
  const place = new Map(free.map((f, i) => [f, i]));
  const n = free.length;
  const K = new Float64Array(n * n);
  s.names.members.forEach((_, m) => {
    for (let i = 0; i < 12; i++)
      for (let j = 0; j < 12; j++) {
        const [a, b] = [place.get(freedomOf(s, m, i)), place.get(freedomOf(s, m, j))];
        if (a !== undefined && b !== undefined) K[a * n + b]! += nodalEntry(s, matrices, m, i, j);
      }
  });
  free.forEach((f, i) => (K[i * n + i]! += s.restraints[f]!));
  const scale = free.reduce((max, _, i) => Math.max(max, K[i * n + i]!), 0);
  return { free, K: K.map((x) => x / (scale || 1)) };
}

/** 6n, in the axes of the nodes. */
function vectorOf(s: Structure, mechanism: Mechanism): Float64Array {
  const v = new Float64Array(6 * s.names.nodes.length);
  for (const { node, freedom, amount } of mechanism.freedoms)
    v[6 * s.names.nodes.indexOf(node) + freedoms.indexOf(freedom)] = amount;
  toOwnAxes(s, v);
  return v;
}

/** Pivots smaller than this part of their diagonal belong to something between free and held. */
const HARDLY_HELD = 1e-7;

const largest = (v: ArrayLike<number>): number => Math.max(0, ...Array.from(v, Math.abs));
const sizeOf = (v: Float64Array): number => Math.hypot(...v);

/** Smallest eigenvalue of the products of the vectors, each of size 1: zero where one follows from the others. */
function independence(vectors: readonly Float64Array[]): number {
  const n = vectors.length;
  const products = Float64Array.from({ length: n * n }, (_, at) => {
    const [a, b] = [vectors[Math.floor(at / n)]!, vectors[at % n]!];
    return a.reduce((sum, x, k) => sum + x * b[k]!, 0) / (sizeOf(a) * sizeOf(b));
  });
  return Math.min(1, ...symmetricEigen(products, n).values);
}

/** The smallest pivot beside its diagonal. */
function smallestRatio(model: Model): number {
  const kernels = takeKernels();
  const { factor } = factorise(prepare(model).prepared, kernels);
  giveBackKernels(kernels);
  return factor.smallestRatio;
}

/** As many motions as K lacks in rank, each of them free, none following from the others. Skips what nobody could tell. */
function expectEveryMotion(model: Model): Results {
  const results = solve(model);
  const { status, mechanisms } = results;
  fc.pre(status !== 'invalid' && smallestRatio(model) > HARDLY_HELD);
  const s = compile(model);
  const { free, K } = denseStiffness(s);
  const told = mechanisms.filter((mechanism) => mechanism.freedoms.length > 0);
  expect(told).toHaveLength(symmetricEigen(K, free.length).values.filter((value) => Math.abs(value) < 1e-14).length);
  const vectors = told.map((mechanism) => vectorOf(s, mechanism));
  for (const v of vectors) {
    expect(largest(v)).toBeGreaterThan(0);
    const forces = free.map((_, i) => free.reduce((sum, f, j) => sum + K[i * free.length + j]! * v[f]!, 0));
    expect(largest(forces)).toBeLessThan(1e-7);
    expect(largest(v.filter((_, f) => s.restraints[f] === Infinity))).toBeLessThan(1e-9);
  }
  expect(independence(vectors)).toBeGreaterThan(1e-9);
  expectMembersRigid(s, results);
  return results;
}

/** What is drawn of a motion moves something by 1 and lengthens no member. */
function expectMembersRigid(s: Structure, { motions = [] }: Results): void {
  for (const ends of motions) {
    if (!ends) continue;
    expect(largest(ends)).toBeCloseTo(1, 12);
    s.names.members.forEach((_, m) => {
      const longer = [0, 1, 2].reduce((sum, k) => sum + s.axes[9 * m + k]! * (ends[6 * m + 3 + k]! - ends[6 * m + k]!), 0);
      expect(Math.abs(longer)).toBeLessThan(1e-6);
    });
  }
}

const truss = { behaviour: 'truss' } as const;
const bars = (...pairs: readonly string[]): Sketch['members'] => pairs.map((pair) => [pair, pair[0]!, pair[1]!, truss]);
const hinge = { my: 'free', mz: 'free' } as const;

/** A sketch, and something that is said of it. */
const hard: readonly (readonly [string, Sketch, RegExp])[] = [
  [
    'a mast whose top its stays leave loose: the fall of all about their feet is the movement of its top',
    {
      nodes: [['f', 0, 0, 0], ['t', 0, 9, 0], ['g', 6, 0, 0], ['h', -6, 0, 0]],
      members: [['mast', 'f', 't', { releases: { start: hinge, end: hinge } }], ...bars('tg', 'th')],
      supports: ['f', 'g', 'h'].map(ball),
    },
    /Member mast can turn about its own axis/,
  ],
  [
    'stays in one line beside a mast that turns: they turn about themselves, which is spinning',
    {
      nodes: [['f', 0, 0, 9], ['t', 0, 9, 9], ['1', 0, 0, 0], ['2', 3, 0, 0], ['3', 6, 0, 0]],
      members: [['mast', 'f', 't'], ...bars('12', '23')],
      supports: [ball('f'), { ...ball('t'), uy: 'free' }, ball('1'), ball('2'), ball('3')],
    },
    /Member mast can turn about its own axis/,
  ],
  [
    'a node of hinges that a spring keeps from turning does not turn with the whole',
    {
      nodes: [['1', 0, 0], ['2', 4, 0], ['3', 2, 3]], members: bars('12', '23', '31'),
      supports: [pin('1'), { node: '3', rz: 1e7 }],
    },
    /The whole structure, nodes 1, 2, 3, can turn about the point X 0 m, Y 0 m/,
  ],
  [
    'a frame that falls, and a spring that holds a node of it in part',
    {
      nodes: [['1', 0, 0, 0], ['2', 2, 3, 2], ['3', 4, 0, 0], ['4', 3, 5, 4]],
      members: [['a', '1', '2'], ['b', '2', '3'], ['c', '2', '4', { releases: { end: hinge } }], ...bars('14', '34')],
      supports: [ball('1'), ball('3'), { node: '4', rx: 1e7 }],
    },
    /A part of the structure folds: nodes [24], [24] can move/,
  ],
  [
    'a frame that slides, and a node on it that does so by itself',
    {
      nodes: [['1', 0, 0, 0], ['2', 0, 4, 0], ['3', 4, 4, 0], ['4', 2, 6, 0]], members: [['a', '1', '2'], ['b', '2', '3'], ...bars('24', '34')],
      supports: [{ ...clamp3('1'), uz: 'free' }],
    },
    /The part with nodes 1, 2, 3 can slide along Z: no support resists in this direction/,
  ],
  [
    'a stiffness that is there by rounding of directions only, beside fixed ones',
    {
      nodes: [['1', 0, 0, 0], ['2', 4, 1e-16, 0]], members: [['a', '1', '2', { releases: { end: hinge } }]],
      supports: [clamp3('1'), { node: '2', uy: 'fixed', uz: 'fixed', rx: 'fixed', rz: 'fixed' }],
    },
    /Node 2 can spin about Y/,
  ],
  [
    'two turns of a bar that move its ends in the same way',
    {
      nodes: [['1', 0.1, 0.3, 0], ['2', 4.3, 0.5, 0.5], ['3', 0.4, 3, 0.4], ['4', 4.4, 3.4, 0.4]], members: [...bars('12'), ['b', '3', '4']],
      supports: [
        { node: '1', ux: 'fixed', uy: 'fixed', ry: 'fixed', rz: 'fixed' },
        { node: '2', ux: 'fixed', uz: 1e7, axes: { x: [1, 0.9, 0], y: [0, 1, 0.15] } },
      ],
    },
    /The part with nodes 1, 2 can turn/,
  ],
  [
    'a triangle that floats: its joints also move by themselves',
    {
      nodes: [['1', 0.49, 0.26, 0.31], ['2', 0.03, 3.26, 0.18], ['3', 4.17, 3.15, 0.15]], members: bars('12', '13', '23'),
      supports: [{ node: '1', uz: 'fixed', ry: 'fixed' }],
    },
    /Node 2 can move in the direction/,
  ],
  [
    'a falling frame with a bar that swings on it, all askew',
    {
      nodes: [['1', 0, 0, 0], ['2', 2, 3, 2], ['3', 4, 0, 0], ['4', 3, 5, 4]],
      members: [['a', '1', '2'], ['b', '2', '3'], ['c', '2', '4', { releases: { start: { ...hinge, rx: 'free' } } }]],
      supports: [ball('1'), ball('3')],
    },
    /The part with nodes 1, 2, 3 can turn about the axis along X/,
  ],
]; // oxfmt-ignore

describe('every motion is found', () => {
  test.each(hard)('%s', (_, sketched, words) => {
    const { mechanisms } = expectEveryMotion(checkModel(sketch(sketched)).model!);
    expect(mechanisms.map(({ description }) => description).join('\n')).toMatch(words);
  });

  test.each<[string, Sketch, [string, readonly number[]][]]>([
    [
      'a node that moves by itself takes its members with it',
      { nodes: [['1', 0, 0], ['2', 3, 0], ['3', 6, 0]], members: bars('12', '23'), supports: [pin('1'), pin('3')], loads: [{ type: 'node', node: '2', fy: 1e3 }] },
      [['12', [0, 0, 0, 0, 1, 0]], ['23', [0, 1, 0, 0, 0, 0]]],
    ],
    [
      'a member slides between nodes at rest, and is drawn where it goes',
      {
        nodes: [['1', 0, 0], ['2', 0, 4]],
        members: [['a', '1', '2', { releases: { start: { ux: 'free' }, end: { ux: 'free' } } }], ['b', '1', '2']],
        supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
        loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
      },
      [['a', [0, 1, 0, 0, 1, 0]], ['b', [0, 0, 0, 0, 0, 0]]],
    ],
  ])('%s', (_, sketched, expected) => {
    const model = sketch(sketched);
    const { motions, mechanisms } = solve(model);
    const place = mechanisms.findIndex(({ harmless }) => !harmless);
    for (const [member, displacement] of expected) {
      const at = 6 * model.members.findIndex(({ id }) => id === member);
      const ends = motions![place]!.subarray(at, at + 6);
      const sense = Math.sign(ends.find((x) => Math.abs(x) > 0.5) ?? 1);
      displacement.forEach((x, k) => expect(sense * ends[k]!).toBeCloseTo(x, 9));
    }
  }); // oxfmt-ignore

  test('supports whose reactions pass through one point but for a hair hold, and hide no other motion', () => {
    const { mechanisms } = solve(
      sketch({
        nodes: [['1', 0, 0], ['2', 4, 0], ['3', 2, 2.00002], ['4', 9, 0], ['5', 9, 3], ['6', 4, 4], ['7', 5, 5]],
        members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '1'], ['d', '4', '5'], ['e', '3', '6'], ['f', '6', '7']],
        supports: [{ node: '1', ux: 'fixed', angle: 45 }, { node: '2', ux: 'fixed', angle: 135 }, { node: '3', ux: 'fixed' }],
      }),
    ); // oxfmt-ignore
    expect(mechanisms.map(({ members }) => members)).toEqual([['d'], ['d'], ['d']]);
  });

  // Bars that are nearly in line: rounding in pivots that should be zero is as large as other pivots are.
  test.each([65, 1341, 1351, 1633, 1646, 1791, 1001297])('a heap of bars with small pivots (%d)', (seed) => {
    expect(expectEveryMotion(looseModel(seed)).status).toBe('unstable');
  });

  /** The same structure, so many times as large: its members are as much more slender. */
  const resized = (model: Model, times: number): Model => ({
    ...model,
    nodes: model.nodes.map(({ id, x, y, z }) => ({
      id,
      x: times * x,
      y: times * y,
      ...(z === undefined ? {} : { z: times * z }),
    })),
  });
  const classified = (model: Model): boolean[] => solve(model).mechanisms.map(({ harmless }) => harmless);

  // Rods of 30 m that bend 10^7 times as easily as they stretch; blocks of 3 cm.
  test.each([[500255, 30], [500133, 100], [500057, 30], [500270, 30], [1000538, 10], [500001, 0.01], [500013, 0.1], [700301, 0.02]])(
    'in heap %d %d times as large as well', (seed, times) => {
      const model = looseModel(seed);
      expect(classified(resized(model, times)).sort()).toEqual(classified(model).sort());
    },
  ); // oxfmt-ignore

  test('a spin beside a motion that is softly held is told as a spin', () => {
    const { mechanisms } = solve(resized(looseModel(500311), 3));
    expect(mechanisms.map(({ description }) => description).join('\n')).toMatch(
      /Node 0\.2\.1 can spin about the axis in the direction \(1\.00, 0\.00, -0\.04\)/,
    );
  });

  test('in random heaps of bars', () => {
    let unstable = 0;
    const look = (model: Model): void => void (unstable += Number(expectEveryMotion(model).status === 'unstable'));
    fc.assert(fc.property(randomLoose, look), { numRuns: 50 });
    expect(unstable).toBeGreaterThan(20);
  });
});
