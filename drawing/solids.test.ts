import { expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { sketch } from '@rigid-beam/core/test/build';
import type { Member, Model, Section } from '@rigid-beam/core/model/model';
import { PLACING, solidsOf, type Solids } from './solids';

const channel: Section = { id: 's', shape: { type: 'channel', h: 0.2, b: 0.08, tw: 0.01, tf: 0.012 } };
const model = (member: Partial<Member>, section = channel): Model =>
  sketch({
    nodes: [['1', 1, 0, 0], ['2', 1, 0, 4]],
    members: [['a', '1', '2', member]],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' }],
    loads: [{ type: 'node', node: '2', fy: -1000 }],
    extra: { sections: [section] },
  }); // oxfmt-ignore

const column = ({ placings }: Solids, k: number, i = 0): number[] =>
  [...placings.slice(i * PLACING + 4 * k, i * PLACING + 4 * k + 3)].map((value) => Math.round(1e6 * value) / 1e6 + 0);

test('a body stands along its member, upright, with its section about the centroid', () => {
  const [solids] = solidsOf(model({}), new Set());
  expect([0, 1, 2, 3].map((k) => column(solids!, k))).toEqual([[0, 0, 4], [0, 1, 0], [-1, 0, 0], [1, 0, 0]]); // oxfmt-ignore
  const [zs, ys] = [0, 1].map((k) => solids!.loops[0]!.filter((_, i) => i % 2 === k)) as [number[], number[]];
  expect(Math.max(...ys)).toBeCloseTo(0.1, 12);
  expect(Math.min(...ys)).toBeCloseTo(-0.1, 12);
  // The back of a channel is nearer to its centroid than the toes are.
  expect(-Math.min(...zs)).toBeLessThan(Math.max(...zs));
  expect(solids!.isKnown).toBe(true);
});

test('it is rolled, offset and hidden as its member is', () => {
  const [rolled] = solidsOf(model({ roll: 90 }), new Set());
  expect([column(rolled!, 1), column(rolled!, 2)]).toEqual([[-1, 0, 0], [0, -1, 0]]); // oxfmt-ignore
  const [offset] = solidsOf(model({ offset: { start: [0, 0.5, 0.25], end: [0, 0.5, 0] } }), new Set());
  expect([column(offset!, 0), column(offset!, 3)]).toEqual([[0, 0, 3.75], [1, 0.5, 0.25]]); // oxfmt-ignore
  expect(solidsOf(model({}), new Set(['member:a']))).toEqual([]);
});

test('bent it follows the deflected axis without a gap, to where its node went', () => {
  const held = model({});
  const { solution } = solve(held);
  const [bent] = solidsOf(held, new Set(), { solution: solution!, outcome: 0, factor: 50 });
  const count = bent!.members.length;
  expect(count).toBeGreaterThan(4);
  for (let i = 1; i < count; i++) {
    const [from, way] = [column(bent!, 3, i - 1), column(bent!, 0, i - 1)];
    column(bent!, 3, i).forEach((value, k) => expect(value).toBeCloseTo(from[k]! + way[k]!, 5));
  }
  const [from, way] = [column(bent!, 3, count - 1), column(bent!, 0, count - 1)];
  const moved = solution!.responses[0]!.displacements.slice(6, 9);
  [1, 0, 4].forEach((place, k) => expect(from[k]! + way[k]!).toBeCloseTo(place + 50 * moved[k]!, 5));
});

test('where the shape is not known a bar of the same area stands for it', () => {
  const [bar] = solidsOf(model({}, { id: 's', A: 0.04, Iz: 1e-4, Iy: 1e-4, J: 1e-5 }), new Set());
  expect(bar!.isKnown).toBe(false);
  expect(Math.max(...bar!.loops[0]!)).toBeCloseTo(0.1, 12);
});
