import fc from 'fast-check';
import type { EndReleases, Load, Model, ModelNode, Restraint, Support } from '../model/model';

const small = fc.integer({ min: -9, max: 9 });
const place = fc.constantFrom(0, 0.2, 0.25, 0.5, 0.8, 1);
const axes = fc.constantFrom('global', 'local', 'projected');

/** Loads by kind, on some member or node; in a plane only what acts in it. */
const load = fc.record({
  kind: fc.constantFrom('line', 'line', 'point', 'point', 'thermal', 'strain', 'settlement', 'node'),
  on: fc.nat(40),
  parts: fc.array(small, { minLength: 6, maxLength: 6 }),
  ends: fc.array(small, { minLength: 3, maxLength: 3 }),
  from: place,
  to: place,
  axes,
  byLength: fc.boolean(),
});
type Draw = typeof load extends fc.Arbitrary<infer T> ? T : never;

type Space = Model['space'];

const release = (space: Space): fc.Arbitrary<EndReleases> =>
  fc.constantFrom<EndReleases[]>(
    {},
    { mz: 'free' },
    { mz: 5e5 },
    { ux: 2e7 },
    { uy: 4e6 },
    ...(space === 'plane' ? [] : ([{ my: 3e5 }, { rx: 1e4, mz: 2e5 }, { uz: 6e5, my: 'free' }] as const)),
  );

/** Random frames of `frames` under all kinds of loads, self weight among them, on a rotated support with springs whose ground moves. */
export const underAnyLoad = (frames: fc.Arbitrary<Model>): fc.Arbitrary<Model> =>
  fc
    .tuple(frames, fc.array(load, { minLength: 3, maxLength: 8 }), fc.integer({ min: -60, max: 60 }), fc.nat(7))
    .chain(([model, draws, angle, at]) =>
      release(model.space).map((releases): Model => ({
        ...model,
        materials: model.materials.map((one) => ({ ...one, density: 7850, alpha: 1.2e-5 })),
        cases: [{ id: 'Q', category: 'imposed', selfWeight: 1.35 }],
        supports: model.supports.map((one, i) => (i === 0 ? turned(one, angle, model.space) : one)),
        members: model.members.map((one, i) =>
          i === at % model.members.length && one.behaviour !== 'truss' ? { ...one, releases: { end: releases } } : one,
        ),
        loads: [...model.loads, ...draws.map((draw, i) => ({ ...loadOf(model, draw), id: `x${i}` }))],
      })),
    );

const turned = (support: Support, angle: number, space: Space): Support => ({
  ...support,
  ...(space === 'plane' ? { angle } : { axes: { x: [Math.cos(angle), 0.4, Math.sin(angle)], y: [0.2, 1, angle / 90] } }),
  uy: 4e7 as Restraint,
});

function loadOf(model: Model, { kind, on, parts, ends, from, to, axes, byLength }: Draw): Load {
  const plane = model.space === 'plane';
  const { id: member, start, end } = model.members[on % model.members.length]!;
  const inPlane = (values: readonly number[], scale: number): number[] =>
    values.map((value, i) => (plane && [2, 3, 4].includes(i) ? 0 : value * scale));
  const [a, b, c, d, e, f] = inPlane(parts, 1e3) as [number, number, number, number, number, number];
  const truss = model.members[on % model.members.length]!.behaviour === 'truss';
  // Lengths are those between nodes; arms make a member's own a little longer or shorter.
  const place = (id: string): ModelNode => model.nodes.find((node) => node.id === id)!;
  const [p, q] = [place(start), place(end)];
  const measure = byLength ? ('length' as const) : ('ratio' as const);
  const scale = byLength ? 0.8 * Math.hypot(q.x - p.x, q.y - p.y, (q.z ?? 0) - (p.z ?? 0)) : 1;
  const [first, last] = from < to ? [from, to] : from > to ? [to, from] : [0, 1];
  const at = (ratio: number, [wx, wy, wz]: readonly number[]) => ({ at: ratio * scale, wx: wx!, wy: wy!, wz: wz! });
  switch (kind) {
    case 'line':
      return {
        id: '',
        type: 'line',
        case: 'Q',
        member,
        axes: axes as 'global',
        measure,
        from: at(first, [a, b, c]),
        to: at(last, inPlane(ends, 1e3)),
      };
    case 'point':
      return {
        id: '',
        type: 'point',
        case: 'Q',
        member,
        at: from * scale,
        measure,
        ...(axes === 'local' && { axes }),
        fx: a,
        fy: b,
        fz: c,
        ...(!truss && { mx: axes === 'local' ? d : 0, my: e, mz: f }),
      };
    case 'thermal':
      return { id: '', type: 'thermal', case: 'Q', member, uniform: a / 50, gradientY: b / 50, gradientZ: c / 50 };
    case 'strain':
      return { id: '', type: 'strain', case: 'Q', member, elongation: a / 1e6 };
    case 'settlement':
      return {
        id: '',
        type: 'settlement',
        case: 'Q',
        node: model.supports[on % model.supports.length]!.node,
        ux: a / 1e6,
        uy: b / 1e6,
        uz: c / 1e6,
      };
    default:
      return { id: '', type: 'node', case: 'Q', node: start, fx: a, fy: b, fz: c, mx: d, my: e, mz: f };
  }
}
