import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Load, Member, Model } from '../model/model';
import { solved, type Reading } from '../test/build';
import { denseFrame } from '../test/dense-frame';
import { randomFrame } from '../test/random-frame';
import { lineQuantities, type LineQuantity } from './quantities';

const RUNS = { numRuns: 40 };

/** The largest movement and force of a solved model: sizes to compare small differences with. */
const sizes = (reading: Reading): { movement: number; force: number } => {
  const { displacements, ends } = reading.solution.linear[0]!;
  const largest = (values: Float64Array): number => values.reduce((max, value) => Math.max(max, Math.abs(value)), 1e-12);
  return { movement: largest(displacements), force: largest(ends) };
};

const sizeOf = (quantity: LineQuantity, { movement, force }: ReturnType<typeof sizes>): number =>
  quantity === 'u' || quantity === 'v' ? movement : force;

const lengthOf = (reading: Reading, member: string): number =>
  reading.solution.structure.lengths[reading.solution.structure.names.members.indexOf(member)]!;

/** Every node and member with new coordinates and loads turned along; `turn` acts on vectors. */
function moved(model: Model, turn: (x: number, y: number) => [number, number], shift: [number, number], sense: 1 | -1): Model {
  const vector = <K extends string>(entry: object, kx: K, ky: K): object => {
    const [x, y] = turn(Number((entry as Record<K, number>)[kx] ?? 0), Number((entry as Record<K, number>)[ky] ?? 0));
    return { ...entry, [kx]: x, [ky]: y };
  };
  return {
    ...model,
    nodes: model.nodes.map((node) => {
      const [x, y] = turn(node.x, node.y);
      return { ...node, x: x + shift[0], y: y + shift[1] };
    }),
    loads: model.loads.map((load): Load => {
      if (load.type === 'node') return { ...(vector(load, 'fx', 'fy') as typeof load), mz: sense * (load.mz ?? 0) };
      if (load.type === 'line') return { ...load, from: vector(load.from, 'wx', 'wy'), to: vector(load.to, 'wx', 'wy') };
      return load;
    }),
  };
}

describe('random frames', () => {
  test('agree with a dense solver that shares no code', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const reading = solved(model);
        const { movement } = sizes(reading);
        const other = denseFrame(model, 2);
        for (const { id } of model.nodes) {
          const [ux, uy, rz] = other.movement(id);
          [ux, uy, rz].forEach((value, k) => expect(Math.abs(reading.movement(id)[k]! - value)).toBeLessThan(1e-8 * movement));
        }
      }),
      RUNS,
    );
  });

  test('are in balance as a whole and at every free joint', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const reading = solved(model);
        expect(reading.residual()).toBeLessThan(1e-9);
        const { structure, linear } = reading.solution;
        const { force } = sizes(reading);
        model.nodes.forEach(({ id }, n) => {
          if (model.supports.some(({ node }) => node === id)) return;
          const sum = [0, 0];
          for (const load of model.loads) {
            if (load.type !== 'node' || load.node !== id) continue;
            sum[0]! += load.fx ?? 0;
            sum[1]! += load.fy ?? 0;
          }
          structure.names.members.forEach((_, m) => {
            const [c, s, , yx, yy] = structure.axes.subarray(9 * m, 9 * m + 5) as unknown as [
              number,
              number,
              number,
              number,
              number,
            ];
            [0, 1].forEach((end) => {
              if (structure.memberNodes[2 * m + end] !== n) return;
              const [fx, fy] = [linear[0]!.ends[12 * m + 6 * end]!, linear[0]!.ends[12 * m + 6 * end + 1]!];
              sum[0]! -= c * fx + yx * fy;
              sum[1]! -= s * fx + yy * fy;
            });
          });
          expect(Math.hypot(sum[0]!, sum[1]!)).toBeLessThan(1e-9 * force);
        });
      }),
      RUNS,
    );
  });

  test('obey reciprocity: A moves B as B moves A', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const [a, b] = ['t0', 't1'];
        const unit = (node: string, key: 'fx' | 'fy' | 'mz'): Reading =>
          solved({ ...model, loads: [{ type: 'node', case: 'Q', node, [key]: 1e3 }] });
        const first = unit(a, 'fx');
        const second = unit(b, 'mz');
        const size = Math.max(sizes(first).movement, sizes(second).movement);
        expect(Math.abs(first.movement(b)[2]! - second.movement(a)[0]!)).toBeLessThan(1e-9 * size);
      }),
      RUNS,
    );
  });

  test('do not care how they lie in the axes, nor where', () => {
    fc.assert(
      fc.property(randomFrame, fc.double({ min: -3, max: 3, noNaN: true }), (model, angle) => {
        const [c, s] = [Math.cos(angle), Math.sin(angle)];
        const turn = (x: number, y: number): [number, number] => [c * x - s * y, s * x + c * y];
        const [before, after] = [solved(model), solved(moved(model, turn, [30, -7], 1))];
        const { movement } = sizes(before);
        for (const { id } of model.nodes) {
          const [ux, uy, rz] = before.movement(id);
          const [tx, ty] = turn(ux!, uy!);
          [tx, ty, rz!].forEach((value, k) => expect(Math.abs(after.movement(id)[k]! - value)).toBeLessThan(1e-7 * movement));
        }
      }),
      RUNS,
    );
  });

  test('mirrored, move as in a mirror', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const [before, after] = [solved(model), solved(moved(model, (x, y) => [-x, y], [0, 0], -1))];
        const { movement } = sizes(before);
        for (const { id } of model.nodes) {
          const [ux, uy, rz] = before.movement(id);
          [-ux!, uy!, -rz!].forEach((value, k) => expect(Math.abs(after.movement(id)[k]! - value)).toBeLessThan(1e-8 * movement));
        }
      }),
      RUNS,
    );
  });

  test('a member drawn the other way round has the same moments and deflections, seen from the other end', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const member = model.members[1]!;
        const turned: Member = {
          ...member,
          start: member.end,
          end: member.start,
          ...(member.releases && { releases: { start: member.releases.end ?? {}, end: member.releases.start ?? {} } }),
        };
        const [before, after] = [
          solved(model),
          solved({ ...model, members: model.members.map((one) => (one === member ? turned : one)) }),
        ];
        const L = lengthOf(before, member.id);
        const size = sizes(before);
        for (const part of [0.1, 0.5, 0.83]) {
          for (const quantity of ['N', 'Mz', 'v'] as const) {
            expect(
              Math.abs(before.at(member.id, quantity, part * L) - after.at(member.id, quantity, (1 - part) * L)),
            ).toBeLessThan(1e-8 * sizeOf(quantity, size));
          }
          expect(Math.abs(before.at(member.id, 'Vy', part * L) + after.at(member.id, 'Vy', (1 - part) * L))).toBeLessThan(
            1e-8 * size.force,
          );
        }
      }),
      RUNS,
    );
  });

  test('a member cut at any point has the same diagrams', () => {
    fc.assert(
      fc.property(randomFrame, fc.integer({ min: 1, max: 9 }), (model, tenth) => {
        const member = model.members.find(({ id }) => id === 'c1')!;
        const [start, end] = [member.start, member.end].map((id) => model.nodes.find((node) => node.id === id)!) as [
          Model['nodes'][number],
          Model['nodes'][number],
        ];
        const part = tenth / 10;
        const cut: Model = {
          ...model,
          nodes: [...model.nodes, { id: 'cut', x: start.x + part * (end.x - start.x), y: start.y + part * (end.y - start.y) }],
          members: model.members.flatMap((one) =>
            one === member
              ? [
                  { ...one, end: 'cut' },
                  { ...one, id: 'rest', start: 'cut' },
                ]
              : [one],
          ),
          loads: model.loads.flatMap((load) =>
            'member' in load && load.member === 'c1' ? [load, { ...load, member: 'rest' }] : [load],
          ),
        };
        const [before, after] = [solved(model), solved(cut)];
        const L = lengthOf(before, 'c1');
        const size = sizes(before);
        for (const quantity of lineQuantities) {
          expect(Math.abs(before.at('c1', quantity, part * 0.5 * L) - after.at('c1', quantity, part * 0.5 * L))).toBeLessThan(
            1e-7 * sizeOf(quantity, size),
          );
          expect(Math.abs(before.at('c1', quantity, part * L + 0.1) - after.at('rest', quantity, 0.1))).toBeLessThan(
            1e-7 * sizeOf(quantity, size),
          );
        }
      }),
      RUNS,
    );
  });

  test('do not care about the order of their nodes and members', () => {
    fc.assert(
      fc.property(randomFrame, (model) => {
        const [before, after] = [
          solved(model),
          solved({ ...model, nodes: [...model.nodes].reverse(), members: [...model.members].reverse() }),
        ];
        const { movement } = sizes(before);
        for (const { id } of model.nodes)
          before
            .movement(id)
            .forEach((value, k) => expect(Math.abs(value - after.movement(id)[k]!)).toBeLessThan(1e-9 * movement));
      }),
      RUNS,
    );
  });

  test('loads add: a sum is the sum of its cases, and is what both loads together do', () => {
    fc.assert(
      fc.property(randomFrame, fc.integer({ min: -3, max: 3 }), fc.integer({ min: -3, max: 3 }), (model, p, q) => {
        const half = Math.ceil(model.loads.length / 2);
        const scaled = (load: Load, factor: number): Load => {
          if (load.type === 'node')
            return { ...load, fx: factor * (load.fx ?? 0), fy: factor * (load.fy ?? 0), mz: factor * (load.mz ?? 0) };
          if (load.type === 'line')
            return {
              ...load,
              from: { wx: factor * (load.from.wx ?? 0), wy: factor * (load.from.wy ?? 0) },
              to: { wx: factor * (load.to.wx ?? 0), wy: factor * (load.to.wy ?? 0) },
            };
          return load;
        };
        const apart: Model = {
          ...model,
          cases: [...model.cases, { id: 'P', category: 'wind' }],
          loads: model.loads.map((load, i) => (i < half ? load : { ...load, case: 'P' })),
          combinations: [{ id: 'S', type: 'sum', factors: { Q: q, P: p } }],
        };
        const together: Model = { ...model, loads: model.loads.map((load, i) => scaled(load, i < half ? q : p)) };
        const [sum, one] = [solved(apart), solved(together)];
        const size = sizes(sum);
        for (const member of ['b0', 'c0', 'c1']) {
          for (const quantity of lineQuantities) {
            expect(Math.abs(sum.at(member, quantity, 0.7, 'S') - one.at(member, quantity, 0.7))).toBeLessThan(
              1e-7 * (sizeOf(quantity, size) + sizeOf(quantity, sizes(one))),
            );
          }
        }
      }),
      RUNS,
    );
  });

  test('diagrams obey their own differential equations, and extremes enclose every value', () => {
    fc.assert(
      fc.property(randomFrame, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (model, part) => {
        const reading = solved(model);
        const size = sizes(reading);
        for (const { id } of model.members) {
          const x = part * lengthOf(reading, id);
          const h = 1e-4;
          const slope = (quantity: LineQuantity): number =>
            (reading.at(id, quantity, x + h) - reading.at(id, quantity, x - h)) / (2 * h);
          expect(Math.abs(slope('Mz') - reading.at(id, 'Vy', x))).toBeLessThan(1e-5 * size.force);
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
