import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PointLoad } from '../model/loads/primitive';
import type { Load, Model } from '../model/model';
import { memberLoads } from '../stiffness/equivalent-loads';
import { compile, recompile } from '../stiffness/compile';
import { memberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS } from '../stiffness/structure';
import { clamp, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { pieces } from './breakpoints';
import { pieceLoads } from './piece-loads';
import { recoverMembers, recoverPlainly, type Recovered } from './recover-members';
import { solveKeeping } from './solve';
import type { Phase, System } from './system';

const results = (model: Model, former?: System, recycle = false) => solveKeeping(model, [], { former, recycle });

const close = (a: Float64Array, b: Float64Array): void => {
  expect(b.length).toBe(a.length);
  const size = a.reduce((max, value) => Math.max(max, Math.abs(value)), 1e-12);
  const worst = a.reduce((max, value, i) => (Math.abs(value - b[i]!) <= max ? max : Math.abs(value - b[i]!)), 0);
  expect(worst).toBeLessThan(1e-9 * size);
};

describe('what one solution leaves for the next', () => {
  test('only loads changed: the factor is used again, and the answer is that of a fresh start', () => {
    fc.assert(
      fc.property(randomSpace, fc.integer({ min: -20, max: 20 }), (model, fy) => {
        const first = results(model);
        const edited: Model = {
          ...model,
          loads: [...model.loads, { id: 'x1', type: 'node', case: 'Q', node: 't00', fy: fy * 1e3 }],
        };
        const second = results(edited, first.system);
        expect(second.system!.factor).toBe(first.system!.factor);
        const kept = second.results.solution!.linear[0]!;
        const fresh = results(edited).results.solution!.linear[0]!;
        close(fresh.displacements, kept.displacements);
        close(fresh.ends, kept.ends);
      }),
      { numRuns: 10 },
    );
  });

  test('a node moved: the ordering is used again, the factor is not', () => {
    fc.assert(
      fc.property(randomSpace, (model) => {
        const first = results(model);
        const edited: Model = {
          ...model,
          nodes: model.nodes.map((node) => (node.id === 't00' ? { ...node, x: node.x + 0.3 } : node)),
        };
        const second = results(edited, first.system);
        expect(second.system!.numbering).toBe(first.system!.numbering);
        expect(second.system!.factor).not.toBe(first.system!.factor);
        close(results(edited).results.solution!.linear[0]!.displacements, second.results.solution!.linear[0]!.displacements);
      }),
      { numRuns: 10 },
    );
  });

  test('a support freed, a hinge set, a member added: nothing stale is taken over', () => {
    fc.assert(
      fc.property(randomSpace, fc.integer({ min: 0, max: 2 }), (model, kind) => {
        const edits: ((m: Model) => Model)[] = [
          (m) => ({ ...m, supports: m.supports.map((support, i) => (i === 1 ? { ...support, rz: 'free' } : support)) }),
          (m) => ({ ...m, members: m.members.map((one, i) => (i === 2 ? { ...one, releases: { end: { mz: 'free' } } } : one)) }),
          (m) => ({ ...m, members: [...m.members, { ...m.members[0]!, id: 'new', start: 'f00', end: 't11' }] }),
        ];
        const edited = edits[kind]!(model);
        const kept = results(edited, results(model).system).results.solution!.linear[0]!.displacements;
        const fresh = results(edited).results.solution!.linear[0]!.displacements;
        close(fresh, kept);
      }),
      { numRuns: 15 },
    );
  });
});

test('nodes, members, sections and loads changed one after the other, with self weight, give what a fresh start gives', () => {
  const change = fc.record({ kind: fc.nat(9), at: fc.nat(5), by: fc.integer({ min: 1, max: 5 }) });
  const edited = (model: Model, { kind, at, by }: { kind: number; at: number; by: number }): Model => {
    const member = (part: Partial<Model['members'][number]>): Model => ({
      ...model,
      members: model.members.map((one, i) => (i === at % model.members.length ? { ...one, ...part } : one)),
    });
    if (kind === 0)
      return { ...model, nodes: model.nodes.map((node, i) => (i === at ? { ...node, z: (node.z ?? 0) + by / 9 } : node)) };
    if (kind === 1) return member({ roll: 17 * by });
    if (kind === 2) return member({ releases: { end: { mz: by * 1e5 } } });
    if (kind === 3) return member({ offset: { start: [by / 50, 0, 0] } });
    if (kind === 4) return member({ section: 'other' });
    if (kind === 7) return member({ behaviour: 'truss' });
    if (kind === 8)
      return member({ end: ['t11', 't00'].find((node) => model.members[at % model.members.length]!.start !== node)! });
    if (kind === 9)
      return {
        ...model,
        loads: model.loads.map((load) => (load.type === 'point' ? { ...load, at: by / 5, fy: -100 * by } : load)),
      };
    if (kind === 5)
      return { ...model, loads: model.loads.map((load) => (load.type === 'thermal' ? { ...load, uniform: by } : load)) };
    return { ...model, nodes: model.nodes.map((node) => ({ ...node, x: node.x * (1 + by / 100) })) };
  };
  fc.assert(
    fc.property(randomSpace, fc.array(change, { minLength: 2, maxLength: 5 }), fc.boolean(), (any, changes, recycle) => {
      const twice = { ...any.sections[0]!, id: 'other', A: 2 * any.sections[0]!.A! };
      let model: Model = {
        ...any,
        materials: any.materials.map((material) => ({ ...material, density: 7850, alpha: 12e-6 })),
        sections: [...any.sections, twice],
        cases: [...any.cases.map((one) => ({ ...one, selfWeight: 1 })), { id: 'P', category: 'wind' }],
        loads: [
          ...any.loads,
          { id: 'x2', type: 'thermal', case: 'Q', member: 'd0', uniform: 20 },
          { id: 'x3', type: 'point', case: 'Q', member: 'c00', at: 0.4, fy: -500, mx: 30 },
          { id: 'x4', type: 'line', case: 'P', member: 'd0', from: { wy: -900 }, to: { wy: -100, wz: 80 } },
          { id: 'x5', type: 'point', case: 'P', member: 'd0', at: 0.4, fz: 700 },
        ],
      };
      let system = results(model).system;
      for (const one of changes) {
        model = edited(model, one);
        expect(recompile(model, system).structure).toEqual(compile(model));
        const next = results(model, system, recycle);
        system = next.system;
        const fresh = results(model);
        expect(next.results.mechanisms).toEqual(fresh.results.mechanisms);
        expect(next.results.status).toBe(fresh.results.status);
        if (fresh.results.status !== 'solved') return;
        for (const c of [0, 1]) {
          const [before, after] = [fresh, next].map((one) => one.results.solution!.linear[c]!);
          for (const key of ['displacements', 'reactions', 'coefficients'] as const) close(before![key], after![key]);
          expect(after!.equilibrium.applied).toEqual(before!.equilibrium.applied);
        }
        system = results(model, next.system).system;
      }
    }),
    { numRuns: 25 },
  );
});

test('recovery by kernels is that member by member', () => {
  fc.assert(
    fc.property(
      fc.oneof(randomSpace, randomFrame),
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 7 }),
      (any, moves) => {
        const model: Model = {
          ...any,
          loads: [...any.loads, { id: 'x6', type: 'point', case: 'Q', member: any.members[1]!.id, at: 0.3, fy: 900, mz: 70 }],
        };
        const s = compile(model);
        const matrices = memberMatrices(s);
        const cut = pieces(s);
        const movements = Float64Array.from({ length: FREEDOMS * model.nodes.length }, (_, f) =>
          s.active.includes(f % FREEDOMS) ? 1e-3 * moves[f % moves.length]! : 0,
        );
        const loads = { onMembers: memberLoads(s, matrices.bends)[0]!, along: pieceLoads(s, cut, [true])[0]! };
        const one = { c: 0, loads, movements };
        const found: Recovered[] = [];
        recoverMembers(s, matrices, cut, [one], (recovered) => found.push(recovered));
        recoverPlainly(s, matrices, cut, [one], (recovered) => found.push(recovered));
        const [byKernels, plain] = found as [Recovered, Recovered];
        for (const key of ['movements', 'reactions', 'ends', 'coefficients'] as const) close(plain[key], byKernels[key]);
        for (const key of ['largestOnMembers', 'largestReaction', 'worstJoint'] as const)
          expect(byKernels[key] / plain[key]).toBeCloseTo(1, 9);
      },
    ),
    { numRuns: 60 },
  );
});

describe('cases whose loads have not changed', () => {
  const twoCases = (model: Model): Model => ({
    ...model,
    cases: [...model.cases, { id: 'P', category: 'wind' }],
    loads: [...model.loads, { id: 'x7', type: 'line', case: 'P', member: 'd0', from: { wy: -1e3 }, to: { wy: -2e3 } }],
    combinations: [{ id: 'S', type: 'sum', factors: { Q: 1.35, P: 1.5 } }],
  });

  test('are taken over as they are; the changed ones and the sums are those of a fresh start', () => {
    const edits: ((model: Model) => Model)[] = [
      (m) => ({
        ...m,
        loads: m.loads.map((load) => (load.case === 'P' ? { ...load, from: { wy: -3e3 } } : load)) as Model['loads'],
      }),
      (m) => ({ ...m, loads: [...m.loads, { id: 'x8', type: 'node', case: 'P', node: 't01', mx: 500 }] }),
      (m) => ({ ...m, loads: m.loads.filter((load) => load.case !== 'P') }),
      (m) => ({ ...m, loads: [...m.loads, { id: 'x9', type: 'point', case: 'P', member: 'c00', at: 0.4, fx: 100 }] }),
      (m) => ({
        ...m,
        loads: [...m.loads, { id: 'x10', type: 'line', case: 'P', member: 'c00', from: { wz: 9 }, to: { wz: 9 } }],
      }),
    ];
    fc.assert(
      fc.property(randomSpace, fc.nat(edits.length - 1), (any, kind) => {
        const model = twoCases(any);
        const first = results(model);
        const edited = edits[kind]!(model);
        const second = results(edited, first.system).results.solution!;
        const fresh = results(edited).results.solution!;
        // A load that cuts a member into new pieces renews all cases; any other leaves Q alone.
        expect(second.linear[0] === first.results.solution!.linear[0]).toBe(kind !== 3);
        fresh.linear.forEach((outcome, i) => {
          close(outcome!.coefficients, second.linear[i]!.coefficients);
          close(outcome!.displacements, second.linear[i]!.displacements);
          close(outcome!.reactions, second.linear[i]!.reactions);
        });
      }),
      { numRuns: 25 },
    );
  });
});

test('loads written anew one after the other, on members and nodes, give what a fresh start gives', () => {
  const change = fc.record({
    at: fc.nat(4),
    size: fc.integer({ min: -9, max: 9 }).map((size) => size * 100),
    member: fc.constantFrom('d0', 'c00', 'c11'),
    place: fc.constantFrom(0.25, 0.5),
  });
  const loadOf = ({ at, size, member, place }: { at: number; size: number; member: string; place: number }): Load =>
    (
      [
        { id: 'x11', type: 'line', case: 'Q', member, from: { wy: size }, to: { wy: -size } },
        { id: 'x12', type: 'line', case: 'P', member: 'd0', from: { at: place, wz: size }, to: { wz: size } },
        { id: 'x13', type: 'point', case: 'P', member: 'c00', at: place, fx: size },
        { id: 'x14', type: 'strain', case: 'Q', member: 'd0', elongation: size * 1e-7 },
        { id: 'x15', type: 'node', case: 'P', node: 't00', fx: size },
      ] as const
    )[at]!;
  fc.assert(
    fc.property(randomSpace, fc.array(change, { minLength: 2, maxLength: 4 }), fc.boolean(), (any, changes, recycle) => {
      const first = [0, 1, 2, 3, 4].map((at) => loadOf({ at, size: 300, member: 'd0', place: 0.5 }));
      let model: Model = { ...any, cases: [...any.cases, { id: 'P', category: 'wind' }], loads: first };
      let system = results(model).system;
      for (const one of changes) {
        model = { ...model, loads: model.loads.map((load, i) => (i === one.at ? loadOf(one) : load)) };
        const next = results(model, system, recycle);
        system = next.system;
        results(model).results.solution!.linear.forEach((outcome, c) => {
          close(outcome!.coefficients, next.results.solution!.linear[c]!.coefficients);
          close(outcome!.reactions, next.results.solution!.linear[c]!.reactions);
        });
        system = results(model, system).system;
      }
    }),
    { numRuns: 12 },
  );
});

describe('loads on members that did not change', () => {
  const line = { type: 'line', member: 'b', from: { wy: -1e3 }, to: { wy: -2e3 } } as const;
  const model = sketch({
    nodes: [['1', 0, 0], ['2', 4, 0], ['3', 9, 1]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp('1'), clamp('3')],
    loads: [{ type: 'point', member: 'a', at: 1, fy: -5e3, axes: 'local' }, line],
  }); // prettier-ignore
  const expectFresh = (model: Model, former: System | undefined): void => {
    const [kept, fresh] = [former, undefined].map((one) => results(model, one).results.solution!.linear[0]!);
    for (const key of ['coefficients', 'reactions'] as const) close(fresh![key], kept![key]);
  };

  test('keep their places only while every member has as many pieces', () => {
    const { system } = results(model);
    expectFresh({ ...model, loads: [{ ...(model.loads[0] as PointLoad), at: 0.5 }, model.loads[1]!] }, system);
  });

  test('are not taken over past a structure that could not be solved', () => {
    const loose: Model = {
      ...model,
      // Its first member turns about its foot: as long as before, with the same loads in its own axes.
      nodes: model.nodes.map((node) => (node.id === '2' ? { ...node, x: 0, y: 4 } : node)),
      members: model.members.map((one) => ({ ...one, releases: { start: { ux: 'free', mz: 'free' }, end: { mz: 'free' } } })),
    };
    const stuck = results(loose, results(model).system);
    expect(stuck.results.status).toBe('unstable');
    expectFresh(
      { ...loose, members: loose.members.map((one) => (one.id === 'b' ? { ...one, releases: {} } : one)) },
      stuck.system,
    );
  });
});

test('a member led from its foot to another node is taken off where it was, though the same unknowns are joined', () => {
  const places = [0, 1, 2, 3, 4, 5, 6, 7, 8];
  const model = sketch({
    nodes: places.flatMap((i): [string, number, number][] => [[`f${i}`, 5 * i, 0], [`t${i}`, 5 * i, 4]]),
    members: places.flatMap((i): [string, string, string][] => [
      [`c${i}`, `f${i}`, `t${i}`],
      ...(i > 0 ? [[`b${i}`, `t${i - 1}`, `t${i}`] as [string, string, string]] : []),
    ]),
    supports: places.map((i) => clamp(`f${i}`)), loads: [{ type: 'node', node: 't0', fx: 1e3, fy: -1e3 }],
  }); // prettier-ignore
  const led = { ...model, members: model.members.map((one) => (one.id === 'c1' ? { ...one, end: 't2' } : one)) };
  const [kept, fresh] = [results(model).system, undefined].map((one) => results(led, one).results.solution!.linear[0]!);
  for (const key of ['displacements', 'reactions'] as const) close(fresh![key], kept![key]);
});

describe('progress', () => {
  const [model] = fc.sample(randomSpace, { numRuns: 1, seed: 7 }) as [Model];

  test('is told by phase, in order', () => {
    const phases: Phase[] = [];
    solveKeeping(model, [], { progress: (phase) => void (phases.at(-1) === phase || phases.push(phase)) });
    expect(phases).toEqual(['stiffness', 'ordering', 'factorization', 'cases', 'combinations']);
  });

  test('a solution can be given up from within, and the next one is whole', () => {
    const stop = (phase: Phase): void => {
      if (phase === 'factorization') throw new Error('given up');
    };
    expect(() => solveKeeping(model, [], { progress: stop })).toThrow('given up');
    expect(results(model).results.status).toBe('solved');
  });

  test('results that a solution has begun to write over when it is given up are not taken over', () => {
    const { system: former } = results(model);
    const loads = model.loads.map((load) => (load.type === 'point' ? { ...load, fy: 5e3 } : load));
    const edited = { ...model, nodes: model.nodes.map((node, i) => (i === 0 ? { ...node, x: node.x + 0.1 } : node)), loads };
    const stop = (phase: Phase): void => {
      if (phase === 'combinations') throw new Error('given up');
    };
    expect(() => solveKeeping(edited, [], { former, progress: stop, recycle: true })).toThrow('given up');
    const [kept, fresh] = [former, undefined].map((one) => results(model, one).results.solution!.linear[0]!);
    for (const key of ['displacements', 'coefficients'] as const) close(fresh![key], kept![key]);
  });
});
