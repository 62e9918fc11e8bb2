import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Load, Model } from '../model/model';
import { compile, recompile } from '../stiffness/compile';
import { clamp, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { prepare } from './prepare';
import type { Phase } from './progress';
import { AnalysisSession, solve } from './session';
import { caseAfter, close } from '../test/sessions';

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
        const kept = session.update(edited, { progress: (phase) => void phases.add(phase) }).now.solution!.responses[0]!;
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
            const { solution } = sessions[k]!.update(moved(model, by)).now;
            solution?.responses.forEach((one, c) => {
              const other = alone[k]![step]!.solution!.responses[c]!;
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
        const again = sessions[0]!.update(last, { progress: (phase) => void phases.add(phase) }).now;
        expect(phases.has('factorization')).toBe(false);
        close(solve(last).solution!.responses[0]!.displacements, again.solution!.responses[0]!.displacements);
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
        const next = session.update(model).now;
        const fresh = solve(model);
        expect(next.mechanisms).toEqual(fresh.mechanisms);
        expect(next.status).toBe(fresh.status);
        if (fresh.status !== 'solved') return;
        for (const c of [0, 1]) {
          const [before, now] = [fresh, next].map((results) => results.solution!.responses[c]!);
          for (const key of ['displacements', 'reactions', 'coefficients'] as const) close(before![key], now![key]);
          expect(now!.equilibrium.applied).toEqual(before!.equilibrium.applied);
        }
        session.update(model);
      }
    }),
    { numRuns: 25 },
  );
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
  }); // oxfmt-ignore
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
        const [kept, fresh] = [session.update(next).now.solution!.responses[0]!, caseAfter(0, next)];
        for (const key of ['displacements', 'coefficients'] as const) close(fresh[key], kept[key]);
      }
    },
  );

  test('results that were handed over are left alone', () => {
    const session = new AnalysisSession();
    const [first] = session.update(model).now.solution!.responses;
    const before = first!.coefficients.slice();
    session.handOver();
    session.update({ ...model, loads: [] });
    expect(first!.coefficients).toEqual(before);
  });

  test('results that are lent end with the next update, unless they are kept', () => {
    const session = new AnalysisSession();
    const lent = session.update(model);
    const before = lent.now.solution!.responses[0]!.displacements.slice();
    const kept = lent.keep();
    session.update({ ...model, loads: model.loads.map((load) => ({ ...load, id: `${load.id} again` })).slice(1) });
    expect(() => lent.now).toThrow(/written over/);
    expect(kept.solution!.responses[0]!.displacements).toEqual(before);
  });
});
