import { linesOf } from './grid-lines';
import type { Model } from './model';
import { membersAlong, membersLike, onPlane, type Chosen } from './selecting';
import { axisNames, pointOf, type AxisName } from './point';
import { placesOf } from './places';

/** A part of what is chosen, or more of its kind, and how it is called. */
export interface Narrowing {
  readonly id: string;
  readonly chosen: Chosen;
}

/** A level or plane on which something of what is chosen lies. */
export interface ChosenPlane {
  readonly axis: AxisName;
  readonly at: number;
  /** What the grid calls it. */
  readonly name?: string;
}

const sizeOf = ({ nodes, members }: Chosen): number => nodes.length + members.length;

/** The parts that a choice has: its members, its nodes, members of one direction; of one member all that are like it. */
export function narrowings(model: Model, chosen: Chosen): Narrowing[] {
  const { nodes, members } = chosen;
  const own = new Set(members);
  const parts: Narrowing[] = [
    { id: 'members', chosen: { nodes: [], members } },
    { id: 'nodes', chosen: { nodes, members: [] } },
    ...(['vertical', 'horizontal', 'inclined'] as const).map((direction): Narrowing => ({
      id: direction,
      chosen: { nodes: [], members: members.length > 1 ? membersAlong(model, direction).filter((id) => own.has(id)) : [] },
    })),
  ];
  const first = members.length === 1 && nodes.length === 0 ? model.members.find(({ id }) => id === members[0]) : undefined;
  const like = first ? membersLike(model, first) : [];
  return [
    ...parts.filter((part) => sizeOf(part.chosen) > 0 && sizeOf(part.chosen) < sizeOf(chosen)),
    ...(like.length > 1 ? [{ id: 'like', chosen: { nodes: [], members: like } }] : []),
  ];
}

/** More planes than anybody would look through. */
const MOST = 200;

/** Levels and planes that hold something of what is chosen, where there are several. */
export function planesOfChosen(model: Model, { nodes, members }: Chosen): ChosenPlane[] {
  const places = placesOf(model);
  const named = new Map(model.members.map((member) => [member.id, member]));
  const found = axisNames.map(() => new Map<number, number>());
  const add = (k: number, at: number): void => {
    const key = Number(at.toFixed(3)) + 0;
    found[k]!.set(key, (found[k]!.get(key) ?? 0) + 1);
  };
  const byNode = new Map(model.nodes.map((node) => [node.id, node]));
  for (const id of nodes) {
    const node = byNode.get(id);
    if (node) pointOf(node).forEach((at, k) => add(k, at));
  }
  for (const id of members) {
    const member = named.get(id);
    const [a, b] = [member && places.get(member.start), member && places.get(member.end)];
    if (a && b) a.forEach((at, k) => Math.abs(at - b[k]!) < 1e-3 && add(k, at));
  }
  return axisNames.flatMap((axis, k) => {
    if (found[k]!.size < 2 || found[k]!.size > MOST) return [];
    const lines = model.grid?.[axis] ? linesOf(axis, model.grid[axis]) : [];
    return [...found[k]!.keys()]
      .sort((p, q) => p - q)
      .map((at) => {
        const name = lines.find((line) => Math.abs(line.at - at) < 1e-3)?.name;
        return { axis, at, ...(name !== undefined && { name }) };
      });
  });
}

/** Of what is chosen that which lies on a level or plane. */
export function chosenOn(model: Model, chosen: Chosen, { axis, at }: ChosenPlane): Chosen {
  const there = onPlane(model, axis, at, 1e-3);
  const [nodes, members] = [new Set(there.nodes), new Set(there.members)];
  return { nodes: chosen.nodes.filter((id) => nodes.has(id)), members: chosen.members.filter((id) => members.has(id)) };
}
