import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { multiply } from '../linear-algebra/sparse-symmetric';
import type { Model } from '../model/model';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { assembleStiffness, freedomOf } from './assemble';
import { reassembleStiffness } from './reassemble';
import { compile, recompile } from './compile';
import { memberMatrices, nodalEntry } from './member-matrices';
import { numberFreedoms } from './numbering';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from './structure';

const N = MEMBER_FREEDOMS;

/** K·x over all freedoms, member by member, with the springs of the supports; what is held exerts nothing. */
function forces(s: Structure, x: Float64Array): Float64Array {
  const matrices = memberMatrices(s);
  const f = new Float64Array(x.length);
  for (let m = 0; m < memberCount(s); m++)
    for (let i = 0; i < N; i++)
      for (let j = 0; j < N; j++) f[freedomOf(s, m, i)]! += nodalEntry(s, matrices, m, i, j) * x[freedomOf(s, m, j)]!;
  return f.map((force, k) => force + (s.restraints[k] === Infinity ? 0 : s.restraints[k]! * x[k]!));
}

const everyFreedom = (s: Structure): Uint8Array => new Uint8Array(FREEDOMS * nodeCount(s));

function agrees(s: Structure, numbering = numberFreedoms(s, everyFreedom(s))): typeof numbering {
  const K = assembleStiffness(s, memberMatrices(s), numbering, []);
  const x = Float64Array.from({ length: numbering.size }, (_, u) => Math.sin(7 * u + 1));
  const all = new Float64Array(FREEDOMS * nodeCount(s));
  numbering.freedoms.forEach((f, u) => (all[f] = x[u]!));
  const expected = forces(s, all);
  const size = expected.reduce((max, force) => Math.max(max, Math.abs(force)), 0);
  multiply(K, x).forEach((force, u) => expect(Math.abs(force - expected[numbering.freedoms[u]!]!)).toBeLessThan(1e-12 * size));
  return numbering;
}

const anyModel = fc.oneof(randomFrame, randomSpace);

describe('the stiffness of the whole', () => {
  test('is the sum of that of the members and springs', () => {
    fc.assert(
      fc.property(anyModel, (model) => void agrees(compile(model))),
      { numRuns: 40 },
    );
  });

  test('unknowns and freedoms lead to each other, and held ones are no unknowns', () => {
    fc.assert(
      fc.property(anyModel, (model) => {
        const s = compile(model);
        const { unknowns, freedoms, size } = numberFreedoms(s, everyFreedom(s));
        expect(freedoms).toHaveLength(size);
        freedoms.forEach((f, u) => expect(unknowns[f]).toBe(u));
        unknowns.forEach((u, f) => {
          const takesPart = s.active.includes(f % FREEDOMS) && s.restraints[f] !== Infinity;
          if (!takesPart) expect(u).toBe(-1);
        });
      }),
      { numRuns: 20 },
    );
  });

  test('members drawn the other way round or in another order keep the numbering, and their places are found anew', () => {
    fc.assert(
      fc.property(anyModel, fc.nat(), (model, at) => {
        const before = compile(model);
        const numbering = agrees(before);
        const turned = (one: Model['members'][number], i: number): Model['members'][number] =>
          i === at % model.members.length ? { ...one, start: one.end, end: one.start, offset: {}, releases: {} } : one;
        for (const members of [model.members.map(turned), [...model.members].reverse()]) {
          const s = compile({ ...model, members });
          const kept = numberFreedoms(s, everyFreedom(s), numbering);
          expect(kept).toBe(numbering);
          agrees(s, kept);
          agrees(before, kept);
        }
      }),
      { numRuns: 25 },
    );
  });

  test('where a node moved, what is added up anew gives the very numbers of a fresh start', () => {
    fc.assert(
      fc.property(anyModel, fc.nat(), (model, at) => {
        const before = compile(model);
        const numbering = numberFreedoms(before, everyFreedom(before));
        const former = assembleStiffness(before, memberMatrices(before), numbering, []);
        const nodes = model.nodes.map((node, i) => (i === at % model.nodes.length ? { ...node, x: node.x + 0.2 } : node));
        const { structure: s, changed } = recompile({ ...model, nodes }, { model, structure: before });
        const matrices = memberMatrices(s);
        const members = s.names.nodes.map((_, i) =>
          s.names.members.flatMap((_, m) => (s.memberNodes[2 * m] === i || s.memberNodes[2 * m + 1] === i ? [m] : [])),
        );
        const anew = reassembleStiffness(s, matrices, numbering, { former, changed: changed!, members });
        expect(anew.values).toEqual(assembleStiffness(s, matrices, numbering, []).values);
        expect(anew.values).not.toEqual(former.values);
      }),
      { numRuns: 30 },
    );
  });

  test('a freedom that nothing stiffens is left out; an artificial restraint holds a motion that no freedom tells', () => {
    const s = compile(fc.sample(randomSpace, { numRuns: 1, seed: 3 })[0]!);
    const matrices = memberMatrices(s);
    const node = s.names.nodes.indexOf('t00');
    const absent = everyFreedom(s);
    absent[FREEDOMS * node + 4] = 1;
    const numbering = numberFreedoms(s, absent);
    expect(numbering.unknowns[FREEDOMS * node + 4]).toBe(-1);
    const free = assembleStiffness(s, matrices, numbering, []);
    const motion = Float64Array.of(0.6, 0, 0.8, 0, 0, 0);
    const held = assembleStiffness(s, matrices, numbering, [{ node, motion, stiffness: 5e4 }]);
    const x = new Float64Array(numbering.size).fill(1);
    const added = multiply(held, x).map((value, u) => value - multiply(free, x)[u]!);
    const [ux, uy, uz] = [0, 1, 2].map((k) => added[numbering.unknowns[FREEDOMS * node + k]!]!);
    expect(ux).toBeCloseTo(5e4 * 0.6 * 1.4, 4);
    expect(uy).toBeCloseTo(0, 4);
    expect(uz).toBeCloseTo(5e4 * 0.8 * 1.4, 4);
  });
});
