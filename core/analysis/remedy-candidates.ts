import { structureAxis, type AxisKey } from '../quantities/axis-names';
import { displayOf } from '../quantities/display';
import type { Intent } from '../model/edits/intent';
import { keepingGaps } from '../model/member-ends';
import {
  freedoms as freedomNames,
  type EndReleases,
  type Freedom,
  type Member,
  type MemberEnd,
  type Model,
  type Support,
} from '../model/model';
import type { Motion } from '../kinematics/mechanism';
import type { Opening } from '../kinematics/openings';

/** An edit of the model that takes a mechanism away, tried before it is offered. */
export interface Remedy {
  readonly description: string;
  readonly edit: Intent;
}

/** Edits that are worth a trial for a motion, the likeliest first. */
export function* candidates(model: Model, { amounts, pattern }: Motion): Generator<Remedy> {
  switch (pattern.kind) {
    case 'spin':
      yield* fixedEnds(model, pattern.node);
      yield* held(model, pattern.node, turning(model, amounts.subarray(3, 6)));
      return;
    case 'loose-node':
      yield* closed(model, pattern.openings);
      yield* runThrough(model, pattern.node);
      yield* held(model, pattern.node, largestFreedom(amounts, 0, 3));
      yield* fixedEnds(model, pattern.node);
      return;
    case 'loose-member':
      yield* unreleased(model.members[pattern.member]!, pattern.freedom < 6 ? 'start' : 'end', pattern.freedom % 6);
      return;
    case 'slide': {
      const freedom = largestFreedom(Float64Array.from(pattern.direction), 0, 3);
      for (const node of supportedFirst(model, pattern.nodes)) yield* held(model, node, freedom);
      return;
    }
    case 'turn':
      for (const node of supportedFirst(model, pattern.nodes).slice(0, 1)) yield* held(model, node, turning(model, pattern.axis));
      for (const node of farthest(model, pattern.nodes, pattern.point))
        yield* held(model, node, largestFreedom(amounts, 6 * node, 3));
      return;
    case 'chain':
      for (const node of supportedFirst(model, pattern.nodes)) yield* held(model, node, turning(model, pattern.axis));
      return;
    case 'panel':
      yield* braced(model, pattern.corners);
      break;
    case 'hinge':
      yield* fixedEnds(model, pattern.node);
      break;
    case 'fold':
      yield* closed(model, pattern.openings);
      break;
  }
  for (const node of farthestMoving(amounts)) {
    yield* fixedEnds(model, node);
    yield* held(model, node, largestFreedom(amounts, 6 * node, 3));
  }
}

function largestFreedom(amounts: ArrayLike<number>, from: number, count: number): Freedom {
  let best = 0;
  for (let k = 1; k < count; k++) if (Math.abs(amounts[from + k]!) > Math.abs(amounts[from + best]!) + 1e-9) best = k;
  return freedomNames[best]!;
}

function turning(model: Model, axis: ArrayLike<number>): Freedom {
  if (model.space === 'plane') return 'rz';
  return freedomNames[3 + freedomNames.indexOf(largestFreedom(axis, 0, 3))]!;
}

function supportedFirst(model: Model, nodes: readonly number[]): number[] {
  const supported = new Set(model.supports.map(({ node }) => node));
  const isSupported = (i: number): boolean => supported.has(model.nodes[i]!.id);
  return [...nodes.filter(isSupported), ...nodes.filter((i) => !isSupported(i))].slice(0, 3);
}

function farthest(model: Model, nodes: readonly number[], point: readonly number[]): number[] {
  const distance = (i: number): number => {
    const { x, y, z = 0 } = model.nodes[i]!;
    return Math.hypot(x - point[0]!, y - point[1]!, z - point[2]!);
  };
  return [...nodes].sort((a, b) => distance(b) - distance(a)).slice(0, 2);
}

function farthestMoving(amounts: Float64Array): number[] {
  const travel = (i: number): number => Math.hypot(...amounts.subarray(6 * i, 6 * i + 3));
  return Array.from({ length: amounts.length / 6 }, (_, i) => i)
    .filter((i) => travel(i) > 1e-7)
    .sort((a, b) => travel(b) - travel(a))
    .slice(0, 3);
}

const put = (list: 'supports' | 'members', entry: object): Intent => ({
  type: 'put',
  list,
  entry: entry as Record<string, unknown>,
});

function heldWords(model: Model, freedom: Freedom): string {
  const axis = structureAxis(displayOf(model), freedom.slice(1) as AxisKey).letter;
  if (freedom.startsWith('u')) return `along ${axis}`;
  return model.space === 'plane' ? 'against turning' : `against turning about ${axis}`;
}

/** Holds one freedom of a node, in a support that is there or a new one. Turned supports are left as they are. */
function* held(model: Model, node: number, freedom: Freedom): Generator<Remedy> {
  const id = model.nodes[node]!.id;
  const support: Support = model.supports.find((one) => one.node === id) ?? { node: id };
  if (support[freedom] === 'fixed' || support.angle !== undefined || support.axes) return;
  yield {
    description: `Hold node ${id} ${heldWords(model, freedom)}`,
    edit: put('supports', { ...support, [freedom]: 'fixed' }),
  };
}

const hinges = (model: Model): EndReleases => (model.space === 'plane' ? { mz: 'free' } : { my: 'free', mz: 'free' });

/** A member whose end is fixed in bending; a truss member becomes a frame member that is hinged at its other end. */
function fixedAt(model: Model, member: Member, end: MemberEnd): Member {
  const other: MemberEnd = end === 'start' ? 'end' : 'start';
  if (member.behaviour === 'truss') return { ...member, behaviour: 'frame', releases: { [other]: hinges(model) } };
  const releases = member.releases?.[end] ?? {};
  return keepingGaps({ ...member, releases: { ...member.releases, [end]: without(releases, ['my', 'mz']) } });
}

const isHinged = ({ behaviour, releases }: Member, end: MemberEnd): boolean =>
  behaviour === 'truss' || releases?.[end]?.mz !== undefined || releases?.[end]?.my !== undefined;

const endAt = ({ start, end }: Member, node: string): MemberEnd | undefined =>
  start === node ? 'start' : end === node ? 'end' : undefined;

/** Fixes one hinged end at the node. */
function* fixedEnds(model: Model, node: number): Generator<Remedy> {
  const id = model.nodes[node]!.id;
  for (const member of model.members) {
    const end = endAt(member, id);
    if (!end || !isHinged(member, end)) continue;
    const description =
      member.behaviour === 'truss'
        ? `Make member ${member.id} a frame member fixed at node ${id}`
        : `Fix the end of member ${member.id} at node ${id}`;
    yield { description, edit: put('members', fixedAt(model, member, end)) };
  }
}

/** Fixes an end that gives way; those of truss members are meant to. */
function* closed(model: Model, openings: readonly Opening[]): Generator<Remedy> {
  for (const { member: m, end, freedom } of openings) {
    const member = model.members[m]!;
    if (member.behaviour !== 'truss') yield* unreleased(member, end === 0 ? 'start' : 'end', freedom);
  }
}

/** Makes two members in one line run through the hinged node between them. */
function* runThrough(model: Model, node: number): Generator<Remedy> {
  const id = model.nodes[node]!.id;
  const there = model.members.flatMap((member) => {
    const end = endAt(member, id);
    return end ? [{ member, end, direction: directionFrom(model, node, end === 'start' ? member.end : member.start) }] : [];
  });
  for (const [i, a] of there.entries())
    for (const b of there.slice(i + 1)) {
      if (!isOpposite(a.direction, b.direction)) continue;
      const intents = [a, b].map(({ member, end }) => put('members', fixedAt(model, member, end)));
      const description = `Make members ${a.member.id} and ${b.member.id} run through node ${id}`;
      yield { description, edit: { type: 'batch', intents, label: description } };
    }
}

type Direction = readonly [number, number, number];

function directionFrom(model: Model, node: number, far: string): Direction {
  const { x, y, z = 0 } = model.nodes[node]!;
  const other = model.nodes.find(({ id }) => id === far)!;
  const [dx, dy, dz] = [other.x - x, other.y - y, (other.z ?? 0) - z];
  const length = Math.hypot(dx, dy, dz);
  return [dx / length, dy / length, dz / length];
}

const isOpposite = (a: Direction, b: Direction): boolean => Math.hypot(a[0] + b[0], a[1] + b[1], a[2] + b[2]) < 1e-3;

const RELEASE_KEYS = ['ux', 'uy', 'uz', 'rx', 'my', 'mz'] as const;
const RELEASE_WORDS = ['along its axis', 'across', 'across', 'in torsion'] as const;

function* unreleased(member: Member, end: MemberEnd, freedom: number): Generator<Remedy> {
  const key = RELEASE_KEYS[freedom]!;
  const other: MemberEnd = end === 'start' ? 'end' : 'start';
  for (const side of [end, other]) {
    const releases = member.releases?.[side];
    if (releases?.[key] === undefined) continue;
    const node = side === 'start' ? member.start : member.end;
    const bends = freedom > 3;
    const description = bends
      ? `Fix the end of member ${member.id} at node ${node}`
      : `Fix member ${member.id} ${RELEASE_WORDS[freedom]} at node ${node}`;
    yield withEnd(member, side, without(releases, bends ? ['my', 'mz'] : [key]), description);
  }
}

const without = (releases: EndReleases, keys: readonly string[]): EndReleases =>
  Object.fromEntries(Object.entries(releases).filter(([key]) => !keys.includes(key)));

function withEnd(member: Member, end: MemberEnd, releases: EndReleases, description: string): Remedy {
  return { description, edit: put('members', keepingGaps({ ...member, releases: { ...member.releases, [end]: releases } })) };
}

/** A diagonal across the panel, of the section and material of one of its sides. */
function* braced(model: Model, corners: readonly [number, number, number, number]): Generator<Remedy> {
  const ids = corners.map((i) => model.nodes[i]!.id) as [string, string, string, string];
  const side = model.members.find(({ start, end }) => ids.includes(start) && ids.includes(end));
  if (!side) return;
  const taken = new Set(model.members.map(({ id }) => id));
  let id = 'brace';
  for (let n = 2; taken.has(id); n++) id = `brace${n}`;
  for (const [start, end] of [
    [ids[0], ids[2]],
    [ids[1], ids[3]],
  ] as const) {
    const member: Member = { id, start, end, section: side.section, material: side.material, behaviour: 'truss' };
    yield {
      description: `Brace the panel from node ${start} to node ${end}`,
      edit: { type: 'draw', nodes: [], members: [member] },
    };
  }
}
