import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { multiply } from '../linear-algebra/sparse-symmetric';
import { freedoms as names, type Load, type Member, type Model } from '../model/model';
import { reducedSystem } from '../stiffness/reduced-system';
import { toOwnAxes } from '../stiffness/transformation';
import { Reading, solved } from '../test/build';
import { denseFrame } from '../recheck/dense-frame';
import { apply, applyToTurning, MIRROR, moved, turnBy, type Turn } from '../test/moved';
import { underAnyLoad } from '../test/random-loads';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { solve } from '../analysis/session';
import { isDisplacement, lineQuantities, type LineQuantity } from './quantities';
import { evenly } from '../test/evenly';

const RUNS = { numRuns: 25 };
type Vector = readonly [number, number, number];

interface Sizes {
  readonly displacement: number;
  readonly force: number;
}

/** The largest movement and force of a solved model: sizes to compare small differences with. */
const sizes = (reading: Reading): Sizes => {
  const { displacements, ends } = reading.solution.responses[0]!;
  const largest = (values: Float64Array): number => values.reduce((max, value) => Math.max(max, Math.abs(value)), 1e-12);
  return { displacement: largest(displacements), force: largest(ends) };
};
const sizeOf = (quantity: LineQuantity, { displacement, force }: Sizes): number =>
  isDisplacement(quantity) ? displacement : force;

const lengthOf = (reading: Reading, member: string): number =>
  reading.solution.structure.lengths[reading.solution.structure.names.members.indexOf(member)]!;

/** All nodes move alike in both models, once the displacements of the first are turned. */
function expectSameMovements(model: Model, before: Reading, after: Reading, R: Turn | undefined, tolerance: number): void {
  const { displacement } = sizes(before);
  for (const { id } of model.nodes) {
    const own = [...before.displacements(id)];
    const [u, r] = [own.slice(0, 3), own.slice(3)] as unknown as [Vector, Vector];
    const expected = R ? [...apply(R, u), ...applyToTurning(R, r)] : own;
    after.displacements(id).forEach((value, k) => expect(Math.abs(value - expected[k]!)).toBeLessThan(tolerance * displacement));
  }
}

const scaledLoad = (load: Load, factor: number): Load => {
  const scale = <T extends object>(entry: T): T =>
    Object.fromEntries(
      Object.entries(entry).map(([key, value]) => [key, typeof value === 'number' && key !== 'at' ? factor * value : value]),
    ) as T;
  return load.type === 'line' ? { ...load, from: scale(load.from), to: scale(load.to) } : scale(load);
};

const families = [
  ['in the plane', randomFrame, 'c1'],
  ['in space', randomSpace, 'd1'],
] as const;

describe.each(families)('random frames %s', (_, frames, cutMember) => {
  const plane = frames === randomFrame;
  const turn = fc.tuple(evenly(-3, 3), evenly(-3, 3)).map(([z, x]) => turnBy(z, plane ? 0 : x));

  test('agree with a dense solver that shares no code, under loads of every kind', () => {
    fc.assert(
      fc.property(underAnyLoad(frames), (model) => {
        const results = solve(model);
        // A release may leave something loose, which the other path does not look into.
        fc.pre(results.status === 'solved' && results.mechanisms.length === 0);
        const reading = new Reading(results);
        const { displacement, force } = sizes(reading);
        const other = denseFrame(model);
        const near = (ours: number, theirs: number, size: number): void =>
          expect(Math.abs(ours - theirs)).toBeLessThan(1e-9 * size);
        for (const { id } of model.nodes) {
          other.displacement(id).forEach((theirs, k) => near(reading.displacements(id)[k]!, theirs, displacement));
          other.reaction(id).forEach((theirs, k) => near(reading.reactions(id)[k]!, theirs, force));
        }
        for (const { id } of model.members)
          for (const ratio of [0, 0.1, 0.37, 0.5, 0.93, 1]) {
            const x = ratio * lengthOf(reading, id);
            const theirs = other.along(id, x);
            for (const quantity of lineQuantities)
              near(reading.at(id, quantity, x), theirs[quantity], sizeOf(quantity, { displacement, force }));
          }
      }),
      // The dense system of a frame in space is four times as large as that of one in the plane.
      { numRuns: plane ? 25 : 12 },
    );
  });

  test('solve the reduced system that anyone can write out and check', () => {
    fc.assert(
      fc.property(underAnyLoad(frames), (model) => {
        const results = solve(model);
        fc.pre(results.status === 'solved' && results.mechanisms.length === 0);
        const { structure, responses: cases } = results.solution!;
        const { matrix, freedoms, loads } = reducedSystem(model);
        const displacements = cases[0]!.displacements.slice();
        toOwnAxes(structure, displacements);
        const places = new Map(structure.names.nodes.flatMap((id, i) => names.map((name, k) => [`${id} ${name}`, 6 * i + k])));
        const x = Float64Array.from(freedoms, (freedom) => displacements[places.get(freedom)!]!);
        const forces = multiply(matrix, x);
        const size = loads[0]!.values.reduce((max, force) => Math.max(max, Math.abs(force)), 1);
        loads[0]!.values.forEach((force, i) => expect(Math.abs(forces[i]! - force)).toBeLessThan(1e-7 * size));
      }),
      RUNS,
    );
  });

  test('are in balance as a whole, at every joint and in every equation', () => {
    fc.assert(
      fc.property(frames, (model) => {
        const { residual, jointResidual, solutionResidual } = solved(model).solution.responses[0]!.equilibrium;
        for (const left of [residual, jointResidual, solutionResidual]) expect(left).toBeLessThan(1e-9);
      }),
      RUNS,
    );
  });

  test('obey reciprocity: A moves B as B moves A', () => {
    const [a, b, ka, kb] = plane ? (['t0', 't1', 'fx', 'mz'] as const) : (['t00', 't11', 'fz', 'mx'] as const);
    fc.assert(
      fc.property(frames, (model) => {
        const unit = (node: string, key: string): Reading =>
          solved({ ...model, loads: [{ id: 'x1', type: 'node', case: 'Q', node, [key]: 1e3 }] });
        const [first, second] = [unit(a, ka), unit(b, kb)];
        const place = { fx: 0, fz: 2, mx: 3, mz: 5 };
        const size = Math.max(sizes(first).displacement, sizes(second).displacement);
        expect(Math.abs(first.displacements(b)[place[kb]]! - second.displacements(a)[place[ka]]!)).toBeLessThan(1e-8 * size);
      }),
      RUNS,
    );
  });

  test('do not care how they lie in the axes, nor where', () => {
    fc.assert(
      fc.property(frames, turn, (model, R) =>
        expectSameMovements(model, solved(model), solved(moved(model, R, [30, -7, plane ? 0 : 12])), R, 1e-6),
      ),
      RUNS,
    );
  });

  test('mirrored, move as in a mirror', () => {
    fc.assert(
      fc.property(frames, (any) => {
        // A mirror would turn Iyz round; a section that is its own mirror image stays what it is.
        const model: Model = { ...any, sections: any.sections.map((section) => ({ ...section, Iyz: 0 })) };
        expectSameMovements(model, solved(model), solved(moved(model, MIRROR, [0, 0, 0])), MIRROR, 1e-7);
      }),
      RUNS,
    );
  });

  test('a member drawn the other way round has the same moments and deflections, seen from the other end', () => {
    fc.assert(
      fc.property(frames, (any) => {
        // Local z turns round with the member, and a section with Iyz with it.
        const model: Model = { ...any, sections: any.sections.map((section) => ({ ...section, Iyz: 0 })) };
        const member = model.members.find(({ id }) => id.startsWith('b'))!;
        const turned: Member = {
          ...member,
          start: member.end,
          end: member.start,
          roll: -(member.roll ?? 0),
          ...(member.releases && { releases: { start: member.releases.end ?? {}, end: member.releases.start ?? {} } }),
          ...(member.offset && { offset: { start: member.offset.end ?? [0, 0, 0], end: member.offset.start ?? [0, 0, 0] } }),
        };
        const before = solved(model);
        const after = solved({ ...model, members: model.members.map((one) => (one === member ? turned : one)) });
        const L = lengthOf(before, member.id);
        const size = sizes(before);
        // What points along x and z changes its sign; N and T do not.
        const same = { N: 1, Vy: -1, Vz: 1, T: 1, My: -1, Mz: 1, u: -1, v: 1, w: -1 } as const;
        for (const part of [0.1, 0.5, 0.83])
          for (const quantity of lineQuantities) {
            const theirs = same[quantity] * after.at(member.id, quantity, (1 - part) * L);
            expect(Math.abs(before.at(member.id, quantity, part * L) - theirs)).toBeLessThan(1e-7 * sizeOf(quantity, size));
          }
      }),
      RUNS,
    );
  });

  test('a member cut at any point has the same diagrams', () => {
    fc.assert(
      fc.property(frames, fc.integer({ min: 1, max: 9 }), (model, tenth) => {
        const member = model.members.find(({ id }) => id === cutMember)!;
        const [start, end] = [member.start, member.end].map((id) => model.nodes.find((node) => node.id === id)!) as [
          Model['nodes'][number],
          Model['nodes'][number],
        ];
        const part = tenth / 10;
        const between = (key: 'x' | 'y' | 'z'): number => (start[key] ?? 0) + part * ((end[key] ?? 0) - (start[key] ?? 0));
        const node = { id: 'cut', x: between('x'), y: between('y'), ...(!plane && { z: between('z') }) };
        const cut: Model = {
          ...model,
          nodes: [...model.nodes, node],
          members: model.members.flatMap((one) =>
            one === member
              ? [
                  { ...one, end: 'cut' },
                  { ...one, id: 'rest', start: 'cut' },
                ]
              : [one],
          ),
          loads: model.loads.flatMap((load) =>
            'member' in load && load.member === cutMember ? [load, { ...load, id: `${load.id} rest`, member: 'rest' }] : [load],
          ),
        };
        const [before, after] = [solved(model), solved(cut)];
        const L = lengthOf(before, cutMember);
        const size = sizes(before);
        for (const quantity of lineQuantities) {
          const slack = 1e-7 * sizeOf(quantity, size);
          const x = part * 0.5 * L;
          expect(Math.abs(before.at(cutMember, quantity, x) - after.at(cutMember, quantity, x))).toBeLessThan(slack);
          expect(Math.abs(before.at(cutMember, quantity, part * L + 0.1) - after.at('rest', quantity, 0.1))).toBeLessThan(slack);
        }
      }),
      RUNS,
    );
  });

  test('do not care about the order of their nodes and members', () => {
    fc.assert(
      fc.property(frames, (model) => {
        const other = { ...model, nodes: [...model.nodes].reverse(), members: [...model.members].reverse() };
        expectSameMovements(model, solved(model), solved(other), undefined, 1e-8);
      }),
      RUNS,
    );
  });

  test('loads add: a sum is the sum of its cases, and is what both loads together do', () => {
    fc.assert(
      fc.property(frames, fc.integer({ min: -3, max: 3 }), fc.integer({ min: -3, max: 3 }), (model, p, q) => {
        const half = Math.ceil(model.loads.length / 2);
        const apart: Model = {
          ...model,
          cases: [...model.cases, { id: 'P', category: 'wind' }],
          loads: model.loads.map((load, i) => (i < half ? load : { ...load, case: 'P' })),
          combinations: [{ id: 'S', type: 'sum', factors: { Q: q, P: p } }],
        };
        const together: Model = { ...model, loads: model.loads.map((load, i) => scaledLoad(load, i < half ? q : p)) };
        const [sum, one] = [solved(apart), solved(together)];
        const size = sizes(sum);
        for (const { id } of model.members.slice(0, 4))
          for (const quantity of lineQuantities) {
            const slack = 1e-7 * (sizeOf(quantity, size) + sizeOf(quantity, sizes(one)));
            expect(Math.abs(sum.at(id, quantity, 0.7, 'S') - one.at(id, quantity, 0.7))).toBeLessThan(slack);
          }
      }),
      RUNS,
    );
  });

  test('diagrams obey their own differential equations, and extremes enclose every value', () => {
    fc.assert(
      fc.property(frames, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (model, part) => {
        const reading = solved(model);
        const size = sizes(reading);
        for (const { id } of model.members) {
          const x = part * lengthOf(reading, id);
          const h = 1e-4;
          const slope = (quantity: LineQuantity): number =>
            (reading.at(id, quantity, x + h) - reading.at(id, quantity, x - h)) / (2 * h);
          expect(Math.abs(slope('Mz') - reading.at(id, 'Vy', x))).toBeLessThan(1e-5 * size.force);
          expect(Math.abs(slope('My') - reading.at(id, 'Vz', x))).toBeLessThan(1e-5 * size.force);
          for (const quantity of lineQuantities) {
            const value = reading.at(id, quantity, x);
            const slack = 1e-9 * sizeOf(quantity, size);
            expect(value).toBeLessThanOrEqual(reading.max(id, quantity).value + slack);
            expect(value).toBeGreaterThanOrEqual(reading.min(id, quantity).value - slack);
          }
        }
      }),
      RUNS,
    );
  });
});
