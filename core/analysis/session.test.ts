import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PointLoad } from '../model/loads/primitive';
import type { Load, Model } from '../model/model';
import { compile, recompile } from '../stiffness/compile';
import { clamp, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { linearOf } from '../results/sums';
import type { LinearOutcome } from '../results/results';
import { prepare } from './prepare';
import type { Phase } from './progress';
import { AnalysisSession, solve } from './session';

/** What a session finds of one model after the other; the last results. */
function after(...models: readonly Model[]) {
  const session = new AnalysisSession();
  const all = models.map((model) => session.update(model));
  return all.at(-1)!;
}
/** A case of the last of some models that are analysed one after the other. */
const caseAfter = (c: number, ...models: readonly Model[]): LinearOutcome => after(...models).solution!.cases[c]!;

const close = (a: Float64Array, b: Float64Array): void => {
  expect(b.length).toBe(a.length);
  const size = a.reduce((max, value) => Math.max(max, Math.abs(value)), 1e-12);
  const worst = a.reduce((max, value, i) => (Math.abs(value - b[i]!) <= max ? max : Math.abs(value - b[i]!)), 0);
  expect(worst).toBeLessThan(1e-9 * size);
};

describe('what one analysis leaves for the next', () => {
  test('only loads changed: nothing is factorised again, and the answer is that of a fresh start', () => {
    fc.assert(
      fc.property(randomSpace, fc.integer({ min: -20, max: 20 }), (model, fy) => {
        const session = new AnalysisSession();
        session.update(model);
        const edited: Model = {
          ...model,
          loads: [...model.loads, { id: 'x1', type: 'node', case: 'Q', node: 't00', fy: fy * 1e3 }],
        };
        const phases = new Set<Phase>();
        const kept = session.update(edited, { progress: (phase) => void phases.add(phase) }).solution!.cases[0]!;
        expect([...phases]).toEqual(['cases']);
        const fresh = caseAfter(0, edited);
        close(fresh.displacements, kept.displacements);
        close(fresh.ends, kept.ends);
      }),
      { numRuns: 10 },
    );
  });

  test('a node moved: the ordering is used again', () => {
    fc.assert(
      fc.property(randomSpace, (model) => {
        const edited: Model = {
          ...model,
          nodes: model.nodes.map((node) => (node.id === 't00' ? { ...node, x: node.x + 0.3 } : node)),
        };
        const { prepared } = prepare(model);
        expect(prepare(edited, prepared).prepared.numbering).toBe(prepared.numbering);
        close(caseAfter(0, edited).displacements, caseAfter(0, model, edited).displacements);
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
        close(caseAfter(0, edited).displacements, caseAfter(0, model, edited).displacements);
      }),
      { numRuns: 15 },
    );
  });

  test('two models in turn, in two sessions, give the very same numbers as each alone', () => {
    fc.assert(
      fc.property(randomSpace, randomFrame, (space, plane) => {
        const sessions = [new AnalysisSession(), new AnalysisSession()];
        const moved = (model: Model, by: number): Model => ({
          ...model,
          nodes: model.nodes.map((node, i) => (i === 1 ? { ...node, x: node.x + by } : node)),
        });
        const alone = [space, plane].map((model) => [0, 0.1, 0.2].map((by) => structuredClone(solve(moved(model, by)))));
        [0, 0.1, 0.2].forEach((by, step) =>
          [space, plane].forEach((model, k) => {
            const { solution } = sessions[k]!.update(moved(model, by));
            solution?.cases.forEach((one, c) => {
              const other = alone[k]![step]!.solution!.cases[c]!;
              // Where nothing is taken over but the ordering, not even rounding differs.
              if (step === 0) expect(one.coefficients).toEqual(other.coefficients);
              else close(other.coefficients, one.coefficients);
            });
          }),
        );
        // The factor of the first is still its own: it solves other loads without being made again.
        const phases = new Set<Phase>();
        const [load] = space.loads;
        const loads = [...space.loads.slice(1), { ...load!, id: 'again' }];
        const last = { ...moved(space, 0.2), loads };
        const again = sessions[0]!.update(last, { progress: (phase) => void phases.add(phase) });
        expect(phases.has('factorization')).toBe(false);
        close(solve(last).solution!.cases[0]!.displacements, again.solution!.cases[0]!.displacements);
        sessions.forEach((session) => session.close());
      }),
      { numRuns: 12 },
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
    fc.property(randomSpace, fc.array(change, { minLength: 2, maxLength: 5 }), (any, changes) => {
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
      const session = new AnalysisSession();
      session.update(model);
      for (const one of changes) {
        const compiled = { model, structure: compile(model) };
        model = edited(model, one);
        expect(recompile(model, compiled).structure).toEqual(compile(model));
        const next = session.update(model);
        const fresh = solve(model);
        expect(next.mechanisms).toEqual(fresh.mechanisms);
        expect(next.status).toBe(fresh.status);
        if (fresh.status !== 'solved') return;
        for (const c of [0, 1]) {
          const [before, now] = [fresh, next].map((results) => results.solution!.cases[c]!);
          for (const key of ['displacements', 'reactions', 'coefficients'] as const) close(before![key], now![key]);
          expect(now!.equilibrium.applied).toEqual(before!.equilibrium.applied);
        }
        session.update(model);
      }
    }),
    { numRuns: 25 },
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
        const session = new AnalysisSession();
        const [first] = session.update(model).solution!.cases;
        const edited = edits[kind]!(model);
        const second = session.update(edited).solution!;
        const fresh = solve(edited).solution!;
        // Pieces belong to their case: also a load that cuts a member in P leaves Q alone.
        expect(second.cases[0]).toBe(first);
        [0, 1, 2].forEach((i) => {
          const [outcome, other] = [linearOf(fresh, i)!, linearOf(second, i)!];
          for (const key of ['coefficients', 'displacements', 'reactions'] as const) close(outcome[key], other[key]);
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
    fc.property(randomSpace, fc.array(change, { minLength: 2, maxLength: 4 }), (any, changes) => {
      const first = [0, 1, 2, 3, 4].map((at) => loadOf({ at, size: 300, member: 'd0', place: 0.5 }));
      let model: Model = { ...any, cases: [...any.cases, { id: 'P', category: 'wind' }], loads: first };
      const session = new AnalysisSession();
      session.update(model);
      for (const one of changes) {
        model = { ...model, loads: model.loads.map((load, i) => (i === one.at ? loadOf(one) : load)) };
        const next = session.update(model).solution!;
        solve(model).solution!.cases.forEach((outcome, c) => {
          close(outcome.coefficients, next.cases[c]!.coefficients);
          close(outcome.reactions, next.cases[c]!.reactions);
        });
        session.update(model);
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
  const expectFresh = (...models: readonly Model[]): void => {
    const [kept, fresh] = [caseAfter(0, ...models), caseAfter(0, models.at(-1)!)];
    for (const key of ['coefficients', 'reactions'] as const) close(fresh[key], kept[key]);
  };

  test('keep their places only while every member has as many pieces', () => {
    expectFresh(model, { ...model, loads: [{ ...(model.loads[0] as PointLoad), at: 0.5 }, model.loads[1]!] });
  });

  test('are not taken over past a structure that could not be solved', () => {
    const loose: Model = {
      ...model,
      // Its first member turns about its foot: as long as before, with the same loads in its own axes.
      nodes: model.nodes.map((node) => (node.id === '2' ? { ...node, x: 0, y: 4 } : node)),
      members: model.members.map((one) => ({ ...one, releases: { start: { ux: 'free', mz: 'free' }, end: { mz: 'free' } } })),
    };
    expect(after(model, loose).status).toBe('unstable');
    const held = { ...loose, members: loose.members.map((one) => (one.id === 'b' ? { ...one, releases: {} } : one)) };
    expectFresh(model, loose, held);
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
  const [kept, fresh] = [caseAfter(0, model, led), caseAfter(0, led)];
  for (const key of ['displacements', 'reactions'] as const) close(fresh[key], kept[key]);
});

describe('progress', () => {
  const [model] = fc.sample(randomSpace, { numRuns: 1, seed: 7 }) as [Model];
  const stopAt = (wanted: Phase) => (phase: Phase) => {
    if (phase === wanted) throw new Error('given up');
  };

  test('is told by phase, in order', () => {
    const phases: Phase[] = [];
    new AnalysisSession().update(model, { progress: (phase) => void (phases.at(-1) === phase || phases.push(phase)) });
    expect(phases).toEqual(['stiffness', 'ordering', 'factorization', 'cases']);
  });

  test.each(['stiffness', 'factorization', 'cases'] as const)(
    'an analysis given up in the middle of its %s leaves nothing half done to the next one',
    (phase) => {
      const session = new AnalysisSession();
      session.update(model);
      const loads = model.loads.map((load) => (load.type === 'line' ? { ...load, from: { wy: 5e3 } } : load)) as Load[];
      const edited = { ...model, nodes: model.nodes.map((node, i) => (i === 0 ? { ...node, x: node.x + 0.1 } : node)), loads };
      expect(() => session.update(edited, { progress: stopAt(phase) })).toThrow('given up');
      for (const next of [model, edited]) {
        const [kept, fresh] = [session.update(next).solution!.cases[0]!, caseAfter(0, next)];
        for (const key of ['displacements', 'coefficients'] as const) close(fresh[key], kept[key]);
      }
    },
  );

  test('results that were handed over are left alone', () => {
    const session = new AnalysisSession();
    const [first] = session.update(model).solution!.cases;
    const before = first!.coefficients.slice();
    session.handOver();
    session.update({ ...model, loads: [] });
    expect(first!.coefficients).toEqual(before);
  });
});
