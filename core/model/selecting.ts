import { membersByNode } from './meeting';
import { placesOf } from './places';
import { memberEnds, type Member, type Model } from './model';
import { minus, size, type AxisName, type Point } from './point';

/** Nodes and members that are chosen together. */
export interface Chosen {
  readonly nodes: readonly string[];
  readonly members: readonly string[];
}

export type Direction = 'vertical' | 'horizontal' | 'inclined' | AxisName;

/** Sine of the angle within which a member counts as running along an axis. */
const ALONG = 1e-3;

/** Members that run up, level, neither, or along one global axis. */
export function membersAlong(model: Model, direction: Direction): string[] {
  const places = placesOf(model);
  return model.members
    .filter((member) => {
      const way = minus(places.get(member.end)!, places.get(member.start)!);
      const length = size(way);
      const along = (k: 0 | 1 | 2): boolean => Math.sqrt(Math.max(0, length ** 2 - way[k] ** 2)) <= ALONG * length;
      const level = Math.abs(way[1]) <= ALONG * length;
      if (direction === 'vertical') return along(1);
      if (direction === 'horizontal') return level;
      if (direction === 'inclined') return !level && !along(1);
      return along({ x: 0, y: 1, z: 2 }[direction] as 0 | 1 | 2);
    })
    .map(({ id }) => id);
}

/** Members like this one: the same section, material, behaviour and freed ends. */
export function membersLike(model: Model, member: Member): string[] {
  const like = (one: Member): string =>
    JSON.stringify([one.section, one.material, one.behaviour ?? 'frame', one.roll ?? 0, releasesOf(one)]);
  const wanted = like(member);
  return model.members.filter((one) => like(one) === wanted).map(({ id }) => id);
}

const releasesOf = ({ releases, gaps }: Member): unknown =>
  [releases, gaps].flatMap((all) =>
    memberEnds.map((end) => Object.entries(all?.[end] ?? {}).sort(([a], [b]) => (a < b ? -1 : 1))),
  );

/** Everything that hangs together with the given nodes through members. */
export function connected(model: Model, from: Iterable<string>): Chosen {
  const at = membersByNode(model.members);
  const nodes = new Set(from);
  const members = new Set<string>();
  for (const node of nodes)
    for (const member of at.get(node) ?? []) {
      members.add(member.id);
      nodes.add(member.start);
      nodes.add(member.end);
    }
  return { nodes: [...nodes], members: [...members] };
}

/** The run that a member belongs to: those with its section that hang together with it through each other. */
export function sectionRun(model: Model, { section, start }: Member): readonly string[] {
  return connected({ ...model, members: model.members.filter((one) => one.section === section) }, [start]).members;
}

/** Nodes at one place along an axis (a level, a frame), and the members that lie there whole. */
export function onPlane(model: Model, axis: AxisName, at: number, slack = 1e-6): Chosen {
  const nodes = new Set(model.nodes.filter((node) => Math.abs((node[axis] ?? 0) - at) <= slack).map(({ id }) => id));
  const members = model.members.filter(({ start, end }) => nodes.has(start) && nodes.has(end)).map(({ id }) => id);
  return { nodes: [...nodes], members };
}

/** All that is not chosen. */
export const inverted = (model: Model, { nodes, members }: Chosen): Chosen => ({
  nodes: model.nodes.map(({ id }) => id).filter((id) => !nodes.includes(id)),
  members: model.members.map(({ id }) => id).filter((id) => !members.includes(id)),
});

/** The nodes that a choice moves: its own and those of its members. */
export function nodesOf(model: Model, { nodes, members }: Chosen): string[] {
  const chosen = new Set(members);
  const ends = model.members.filter(({ id }) => chosen.has(id)).flatMap(({ start, end }) => [start, end]);
  return [...new Set([...nodes, ...ends])];
}

/** The middle of nodes: what they turn about unless another point is given. */
export function middleOf(model: Model, ids: readonly string[]): Point {
  const places = placesOf(model);
  const points = ids.flatMap((id) => places.get(id) ?? []).length > 0 ? ids.map((id) => places.get(id)!) : [[0, 0, 0] as const];
  return [0, 1, 2].map((k) => {
    const values = points.map((point) => point[k]!);
    return (Math.min(...values) + Math.max(...values)) / 2;
  }) as unknown as Point;
}
