import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PointLoad } from '../model/loads/primitive';
import type { Load, Model } from '../model/model';
import { clamp, sketch } from '../test/build';
import { randomSpace } from '../test/random-space';
import { responseOf } from '../results/sums';
import { AnalysisSession, solve } from './session';
import { after, caseAfter, close } from '../test/sessions';

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
        const [first] = session.update(model).now.solution!.responses;
        const edited = edits[kind]!(model);
        const second = session.update(edited).now.solution!;
        const fresh = solve(edited).solution!;
        // Pieces belong to their case: also a load that cuts a member in P leaves Q alone.
        expect(second.responses[0]).toBe(first);
        [0, 1, 2].forEach((i) => {
          const [outcome, other] = [responseOf(fresh, i)!, responseOf(second, i)!];
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
        const next = session.update(model).now.solution!;
        solve(model).solution!.responses.forEach((outcome, c) => {
          close(outcome.coefficients, next.responses[c]!.coefficients);
          close(outcome.reactions, next.responses[c]!.reactions);
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
  }); // oxfmt-ignore
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
