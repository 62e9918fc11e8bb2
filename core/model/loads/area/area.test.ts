import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../../../analysis/session';
import { sketch } from '../../../test/build';
import { checkModel } from '../../check';
import { applyIntent } from '../../edits/apply-intent';
import type { Intent } from '../../edits/intent';
import type { Member, Model } from '../../model';
import { cross, dot, minus, plus, pointOf, size, times, type Point } from '../../point';
import { expandLoads } from '../expand';
import type { LineLoad } from '../primitive';
import type { AreaLoad } from './area';
import { evenly } from '../../../test/evenly';

type Corner = readonly [string, number, number, number];
const ring = (corners: readonly Corner[], more: readonly (readonly [string, string, string, Partial<Member>?])[] = []) =>
  [...corners.map(([id], i) => [`s${i + 1}`, id, corners[(i + 1) % corners.length]![0]] as const), ...more]; // oxfmt-ignore

const panel = (corners: readonly Corner[], load: Partial<AreaLoad>, extra: { nodes?: readonly Corner[]; members?: readonly (readonly [string, string, string])[] } = {}): Model =>
  sketch({
    nodes: [...corners, ...(extra.nodes ?? [])],
    members: ring(corners, extra.members),
    supports: corners.map(([node]) => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' })),
    loads: [{ type: 'area', nodes: corners.map(([id]) => id), pressure: 1000, ...load } as never],
  }); // oxfmt-ignore

/** Force and moment about the origin of all line loads: trapezia, straight from their ends. */
function resultant(model: Model): { force: Point; moment: Point } {
  const places = new Map(model.nodes.map((node) => [node.id, pointOf(node)]));
  let [force, moment]: [Point, Point] = [[0, 0, 0], [0, 0, 0]]; // oxfmt-ignore
  for (const load of expandLoads(model).loads as readonly LineLoad[]) {
    const member = model.members.find(({ id }) => id === load.member)!;
    const [a, b] = [places.get(member.start)!, places.get(member.end)!];
    const way = times(minus(b, a), 1 / size(minus(b, a)));
    const [from, to] = [load.from.at!, load.to.at!];
    const ends = [load.from, load.to].map((end): Point => [end.wx ?? 0, end.wy ?? 0, end.wz ?? 0]);
    // ∫ w and ∫ w·x of a linear load.
    const h = to - from;
    const mean = times(plus(ends[0]!, ends[1]!), h / 2);
    const first = plus(times(ends[0]!, h * (from / 2 + h / 6)), times(ends[1]!, h * (from / 2 + h / 3)));
    force = plus(force, mean);
    moment = plus(moment, plus(cross(a, mean), cross(way, first)));
  }
  return { force, moment };
}

/** The same of a pressure on a polygon: triangles from its first corner. */
function pressed(corners: readonly Corner[], action: Point): { force: Point; moment: Point } {
  const points = corners.map(([, x, y, z]): Point => [x, y, z]);
  let [force, moment]: [Point, Point] = [[0, 0, 0], [0, 0, 0]]; // oxfmt-ignore
  const whole = points.map((p, i) => cross(p, points[(i + 1) % points.length]!)).reduce(plus);
  for (let i = 1; i + 1 < points.length; i++) {
    const [p, q, r] = [points[0]!, points[i]!, points[i + 1]!];
    const twice = cross(minus(q, p), minus(r, p));
    const area = (Math.sign(dot(twice, whole)) * size(twice)) / 2;
    const one = times(action, 1000 * area);
    force = plus(force, one);
    moment = plus(moment, cross(times(plus(plus(p, q), r), 1 / 3), one));
  }
  return { force, moment };
}

const same = (a: Point, b: Point, scale: number): void => a.forEach((value, k) => expect(Math.abs(value - b[k]!)).toBeLessThan(1e-12 * scale)); // oxfmt-ignore

const floor: readonly Corner[] = [['1', 0, 3, 0], ['2', 6, 3, 0], ['3', 6, 3, 4], ['4', 0, 3, 4]]; // oxfmt-ignore
const parts = (model: Model, member: string): LineLoad[] =>
  (expandLoads(model).loads as readonly LineLoad[]).filter((load) => load.member === member);

describe('two ways: bisected angles', () => {
  test('a rectangle of 6 by 4: triangles of 2 m on the short sides, trapezia on the long ones', () => {
    const model = panel(floor, {});
    const told = (member: string) => parts(model, member).map(({ from, to }) => [from.at, from.wy ?? 0, to.at, to.wy ?? 0]);
    expect(told('s1')).toEqual([[0, 0, 2, -2000], [2, -2000, 4, -2000], [4, -2000, 6, 0]]); // oxfmt-ignore
    expect(told('s2')).toEqual([[0, 0, 2, -2000], [2, -2000, 4, 0]]); // oxfmt-ignore
    const { reactions } = solve(model).solution!.responses[0]!.equilibrium;
    expect(reactions[1]).toBeCloseTo(24_000, 6);
  });

  test('any convex panel, however it lies: force and moment are those of the pressure, to 1e-12', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 35 }), { minLength: 3, maxLength: 8 }),
        fc.constantFrom('down', 'plan', 'normal'),
        evenly(-1, 1),
        evenly(-1, 1),
        (angles, direction, lean, roll) => {
          const sorted = [...angles].sort((a, b) => a - b);
          // Points on an ellipse in a leaning plane: convex.
          const corners = sorted.map((angle, i): Corner => {
            const [a, b] = [5 * Math.cos((angle * Math.PI) / 18) + 7, 3 * Math.sin((angle * Math.PI) / 18)];
            return [String(i + 1), a, 2 + lean * a + roll * b, b];
          });
          const widest = Math.max(...sorted.map((angle, i) => (i === 0 ? 36 - sorted.at(-1)! + angle : angle - sorted[i - 1]!)));
          fc.pre(widest < 17);
          const model = panel(corners, { direction });
          const normal = times([-lean, 1, -roll], 1 / Math.hypot(lean, 1, roll));
          const action: Point = direction === 'down' ? [0, -1, 0] : direction === 'plan' ? [0, -normal[1], 0] : times(normal, -1);
          const [ours, theory] = [resultant(model), pressed(corners, action)];
          const scale = 20 * size(theory.force);
          same(ours.force, theory.force, scale);
          same(ours.moment, theory.moment, scale);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('members of a side may be several, drawn either way', () => {
    const divided = panel(floor, {}, { nodes: [['m', 2.5, 3, 0]] });
    const members = divided.members.flatMap(
      (member) =>
      member.id === 's1' ? [{ ...member, id: 'p', start: 'm', end: '1' }, { ...member, id: 'q', start: 'm', end: '2' }] : [member], // oxfmt-ignore
    );
    const model = { ...divided, members };
    same(resultant(model).force, [0, -24_000, 0], 24_000);
    same(resultant(model).moment, pressed(floor, [0, -1, 0]).moment, 1e6);
  });
});

describe('one way: strips on the members that carry', () => {
  test('of a rectangle the longer sides carry half each', () => {
    const model = panel(floor, { spread: 'oneWay' });
    expect(parts(model, 's1').map(({ from, to }) => [from.wy, to.wy])).toEqual([[-2000, -2000]]);
    expect(parts(model, 's2')).toEqual([]);
  });

  test('joists between, an overhang and an opening: what is left out is left out, force and moment hold', () => {
    const joists: Corner[] = [['5', 0, 3, 1], ['6', 6, 3, 1], ['7', 0, 3, 3], ['8', 6, 3, 3]]; // oxfmt-ignore
    const hole: Corner[] = [['a', 2, 3, 1.5], ['b', 3, 3, 1.5], ['c', 3.5, 3, 2.5], ['d', 2, 3, 2.5]]; // oxfmt-ignore
    const model = panel(
      floor,
      { spread: 'oneWay', to: ['j1', 'j2'], openings: [hole.map(([id]) => id)] },
      { nodes: [...joists, ...hole], members: [['j1', '5', '6'], ['j2', '8', '7']] },
    ); // oxfmt-ignore
    const [whole, left] = [pressed(floor, [0, -1, 0]), pressed(hole, [0, -1, 0])];
    const scale = 20 * 24_000;
    same(resultant(model).force, minus(whole.force, left.force), scale);
    same(resultant(model).moment, minus(whole.moment, left.moment), scale);
    expect(parts(model, 's1')).toEqual([]);
  });

  test('sides that are not parallel carry like the rails of a ladder, and the sum holds', () => {
    const skew: Corner[] = [['1', 0, 0, 0], ['2', 6, 1, 0], ['3', 6, 1, 5], ['4', 0, 0, 3]]; // oxfmt-ignore
    const model = panel(skew, { spread: 'oneWay', to: ['s1', 's3'], direction: 'normal' });
    const normal = times(cross([6, 1, 0], [0, 0, 3]), 1 / size(cross([6, 1, 0], [0, 0, 3])));
    const theory = pressed(skew, normal[1] > 0 ? times(normal, -1) : normal);
    const scale = 20 * size(theory.force);
    same(resultant(model).force, theory.force, scale);
    same(resultant(model).moment, theory.moment, scale);
    expect(parts(model, 's1')).toHaveLength(1);
  });

  test('joists that are not parallel: their loads are cut fine enough, and the sum holds', () => {
    const joists: Corner[] = [['5', 0, 3, 0.5], ['6', 6, 3, 1.2], ['7', 0, 3, 3], ['8', 6, 3, 2.4]]; // oxfmt-ignore
    const model = panel(floor, { spread: 'oneWay', to: ['j1', 'j2'] }, { nodes: joists, members: [['j1', '5', '6'], ['j2', '8', '7']] }); // oxfmt-ignore
    const theory = pressed(floor, [0, -1, 0]);
    same(resultant(model).force, theory.force, 20 * 24_000);
    same(resultant(model).moment, theory.moment, 20 * 24_000);
    expect(parts(model, 'j1').length).toBeGreaterThan(1);
  });
});

test('along a line of members in the plane: over the width that they carry', () => {
  const roof = (direction: AreaLoad['direction']): Model =>
    sketch({
      nodes: [['1', 0, 0], ['2', 4, 3]],
      members: [['a', '1', '2']],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
      loads: [{ type: 'area', members: ['a'], width: 5, pressure: 800, direction } as never],
    }); // oxfmt-ignore
  const reaction = (direction: AreaLoad['direction']) => solve(roof(direction)).solution!.responses[0]!.equilibrium.reactions;
  expect(reaction('down')[1]).toBeCloseTo(800 * 5 * 5, 6);
  expect(reaction('plan')[1]).toBeCloseTo(800 * 5 * 4, 6);
  expect(reaction('normal')[0]).toBeCloseTo(-800 * 5 * 3, 6);
  expect(reaction('normal')[1]).toBeCloseTo(800 * 5 * 4, 6);
});

describe('the panel stays an object', () => {
  const after = (model: Model, intent: Intent): Model => {
    const applied = applyIntent(model, intent);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    return applied.model;
  };
  test('it follows corners that move, sides that are divided, names, and copies', () => {
    const model = panel(floor, {});
    const wider = after(model, { type: 'moveNodes', moves: [{ id: '3', x: 8, y: 3, z: 4 }, { id: '2', x: 8, y: 3, z: 0 }] }); // oxfmt-ignore
    same(resultant(wider).force, [0, -32_000, 0], 32_000);
    const divided = after(model, { type: 'split', cuts: [{ member: 's1', at: [0.5] }] });
    expect(divided.loads).toHaveLength(1);
    same(resultant(divided).force, [0, -24_000, 0], 24_000);
    const renamed = after(model, { type: 'rename', list: 'nodes', names: { '1': 'A' } });
    expect(renamed.loads[0]).toMatchObject({ nodes: ['A', '2', '3', '4'] });
    const copied = after(model, { type: 'repeat', nodes: [], members: ['s1', 's2', 's3', 's4'], motion: { kind: 'move', by: [0, 3, 0] }, times: 2, supports: 'copied', loads: 'copied' }); // oxfmt-ignore
    expect(copied.loads).toHaveLength(3);
    same(resultant(copied).force, [0, -72_000, 0], 72_000);
  });

  test('without a member that carries it, the others keep what they had; without a corner it goes', () => {
    const model = panel(floor, {});
    const without = after(model, { type: 'remove', list: 'members', keys: ['s1'] });
    expect(without.loads.map(({ type }) => type)).toEqual(['line', 'line', 'line', 'line', 'line', 'line', 'line']);
    const spare = panel(floor, { spread: 'oneWay', openings: [['a', 'b', 'c']] }, { nodes: [['a', 1, 3, 1], ['b', 2, 3, 1], ['c', 2, 3, 2]] }); // oxfmt-ignore
    expect(after(spare, { type: 'remove', list: 'nodes', keys: ['b'] }).loads).toEqual([]);
  });
});

/** How much of a floor of 24 m² its members carry, N. */
const carried = (load: Partial<AreaLoad>): number => {
  const hole = (name: string, x: number, z: number, w: number, d: number): Corner[] =>
    [[`${name}1`, x, 3, z], [`${name}2`, x + w, 3, z], [`${name}3`, x + w, 3, z + d], [`${name}4`, x, 3, z + d]]; // oxfmt-ignore
  const nodes = [...hole('a', 0, 1, 2, 1), ...hole('b', 2, 1, 1, 1)];
  return -resultant(panel(floor, { spread: 'oneWay', ...load }, { nodes })).force[1];
};
const opening = (name: string): string[] => [1, 2, 3, 4].map((i) => `${name}${i}`);

test('openings flush with a side and with each other are left out, to the last newton', () => {
  expect(carried({})).toBeCloseTo(24_000, 6);
  expect(carried({ openings: [opening('a'), opening('b')] })).toBeCloseTo(21_000, 6);
  expect(carried({ openings: [opening('a').reverse()] })).toBeCloseTo(22_000, 6);
});

test('a wall presses the same way, however little it leans', () => {
  const wall = (lean: number): Model =>
    panel([['1', 0, 0, 0], ['2', lean, 3, 0], ['3', lean, 3, 4], ['4', 0, 0, 4]], { direction: 'normal' }); // oxfmt-ignore
  const plumb = resultant(wall(0)).force[0];
  expect(Math.abs(plumb)).toBeCloseTo(12_000, 6);
  for (const lean of [1e-8, -1e-8, 1e-6, -1e-6, 1e-3, -1e-3]) expect(resultant(wall(lean)).force[0]).toBeCloseTo(plumb, 1);
});

test('on members with offsets in any direction, force and moment are those of the pressure', () => {
  const arm = fc.array(evenly(-0.4, 0.4), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(fc.array(arm, { minLength: 8, maxLength: 8 }), fc.constantFrom('down', 'normal'), fc.constantFrom('twoWay', 'oneWay'), evenly(-1, 1), (arms, direction, spread, lean) => {
      const corners = floor.map(([id, x, y, z]): Corner => [id, x, y + lean * x, z]);
      const plain = panel(corners, { direction, spread });
      const model = { ...plain, members: plain.members.map((one, i) => ({ ...one, offset: { start: arms[2 * i]!, end: arms[2 * i + 1]! } })) };
      const { applied } = solve(model).solution!.responses[0]!.equilibrium;
      const normal = times([-lean, 1, 0], 1 / Math.hypot(lean, 1));
      const theory = pressed(corners, direction === 'down' ? [0, -1, 0] : times(normal, -1));
      const scale = 20 * size(theory.force);
      same([applied[0], applied[1], applied[2]], theory.force, scale);
      same([applied[3], applied[4], applied[5]], theory.moment, scale);
    }),
    { numRuns: 40 },
  );
}); // oxfmt-ignore

/** One way, with these openings: a letter for each corner. */
const openings = (...rings: string[]): Partial<AreaLoad> => ({ spread: 'oneWay', openings: rings.map((ring) => [...ring]) });

test.each<[string, Partial<AreaLoad>, RegExp]>([
  ['a node that is missing', { nodes: ['1', '2', '9'] }, /There is no node “9”/],
  ['corners in a line', { nodes: ['1', '2', 'm'] }, /corners lie in one line/],
  ['a corner out of the plane', { nodes: ['1', '2', '3', 'u'] }, /does not lie in one plane/],
  ['a side without a member', { nodes: ['1', '2', '3'] }, /no member leads from node 3 to node 1/],
  ['a corner that points inwards', { nodes: ['1', '2', 'n', '3', '4'] }, /points inwards/],
  ['an opening two ways', { openings: [['1', '2', 'n']] }, /two ways it has no openings/],
  ['one member alone', { spread: 'oneWay', to: ['s1'] }, /two members at least/],
  ['members across each other', { spread: 'oneWay', to: ['s1', 's2'] }, /runs across the others|meets fewer than two/],
  ['a node again at the end', { nodes: ['1', '2', '3', '4', '1'] }, /node 1 is named twice/],
  ['a node twice in a row', { nodes: ['1', '2', '2', '3', '4'] }, /node 2 is named twice/],
  ['two nodes in one place', { nodes: ['1', '2', 'p', '3', '4'] }, /nodes 2 and p lie in one place/],
  ['sides that cross', { nodes: ['1', '3', '2', '4'] }, /one line, or its sides cross/],
  ['a star', { nodes: ['1', '3', 'm', '4', '2'] }, /its sides .* cross or touch/],
  ['a line that turns back', { nodes: ['1', '2', 'q', 'm', '3', '4'] }, /turns back on itself|cross or touch/],
  ['an opening that reaches out', openings('abo'), /its opening reaches out/],
  ['an opening beside the panel', openings('ors'), /its opening reaches out/],
  ['openings that overlap', openings('abc', 'abd'), /openings 1 and 2 overlap/],
  ['an opening listed twice', openings('abc', 'cab'), /openings 1 and 2 overlap/],
  ['an opening that crosses itself', openings('acbd'), /of its opening, .* its sides cross/],
  ['a member that carries twice', { spread: 'oneWay', to: ['s1', 's1'] }, /Member “s1” is named twice/],
  ['carriers on one line', { spread: 'oneWay', to: ['s1', 's3', 't'] }, /members .* lie on one line/],
  ['members to carry it two ways', { to: ['s1', 's3'] }, /“to” says nothing here/],
  ['the width of a panel', { width: 3 }, /“width” says nothing here/],
  [
    'openings of a line',
    { nodes: undefined as never, members: ['s1'], width: 2, openings: [['a', 'b', 'c']] },
    /“openings” says nothing here/,
  ],
  ['carriers of a line', { nodes: undefined as never, members: ['s1'], width: 2, to: ['s3'] }, /“to” says nothing here/],
  ['neither panel nor line', { nodes: undefined as never }, /on a panel or on members/],
])('%s is told', (_, load, words) => {
  const nodes: Corner[] = [
    ['m', 3, 3, 0],
    ['u', 0, 4, 4],
    ['n', 4, 3, 2],
    ['p', 6, 3, 0],
    ['q', 9, 3, 0],
    ['o', 9, 3, 2],
    ['r', 9, 3, 3],
    ['s', 8, 3, 3],
    ['a', 1, 3, 1],
    ['b', 5, 3, 1],
    ['c', 5, 3, 3],
    ['d', 1, 3, 3],
    ['e', 0, 3, 0],
    ['f', 6, 3, 0],
  ];
  const model = panel(floor, {}, { nodes, members: [['t', 'e', 'f']] }); // oxfmt-ignore
  const { notices } = checkModel(JSON.parse(JSON.stringify({ ...model, loads: [{ ...model.loads[0], ...load }] })));
  expect(notices.map(({ message }) => message).join('\n')).toMatch(words);
});

test.each([
  ['has no name and carries', { id: undefined }, {}, /number 1 of the members/],
  ['has no end and is named', { end: '9' }, { spread: 'oneWay', to: ['s1', 's3'] } as const, /“9”/],
])('a member that %s: it is told where it stands', (_, part, load, words) => {
  const model = panel(floor, load);
  const [first, ...others] = model.members;
  const { notices } = checkModel(JSON.parse(JSON.stringify({ ...model, members: [{ ...first, ...part }, ...others] })));
  expect(notices.map(({ message }) => message).join('\n')).toMatch(words);
});
