import { once } from '../once';
import type { Intent } from './edits/intent';
import { missedJoints } from './edits/joints';
import { endsOf, placesOf } from './places';
import { pairOf } from './edits/repeat';
import { placeAlong } from './crossings';
import { loadKey } from './loads/load-key';
import type { Model } from './model';
import { COINCIDENT, cross, distance, minus, PointIndex, pointOf, size, type Point } from './point';
import { SegmentIndex } from './segment-index';

export type DefectKind = 'coincident' | 'almost' | 'idle' | 'doubled' | 'overlap' | 'crossing' | 'unjoined' | 'doubled load';

/** Something that is rarely meant, in words, with the edit that mends it. */
export interface Defect {
  readonly kind: DefectKind;
  readonly words: string;
  readonly repair: string;
  readonly intent: Intent;
  readonly nodes: readonly string[];
  readonly members: readonly string[];
}

/** Nodes nearer than this are drawn as one, and are hardly ever meant to be two, metres. */
const SAME = 1e-3;
/** An end that stops this near to a node, beside the length of the shortest member there, was meant to meet it. */
const ALMOST = 0.02;
const ALMOST_METRES = 0.1;

/**
 * Coincident nodes, ends that almost meet a node, nodes on no member, members on members, members that cross and nodes that lie on a
 * member without being joined. Links that join two nodes at one place on purpose are shorter than `SAME` and would be a fault anyway.
 */
export const findDefects = once((model: Model): readonly Defect[] => {
  const bars = new Set(model.members.filter(({ behaviour = 'frame' }) => behaviour !== 'frame').map(({ id }) => id));
  // Bars of a truss pass each other freely, as crossed diagonals do.
  const joints = missedJoints(model).filter(({ member, other }) => other === undefined || !(bars.has(member) || bars.has(other)));
  return [
    ...nearNodes(model),
    ...idleNodes(model),
    ...laidOn(model),
    ...joints.map((joint) => missed(joint)),
    ...doubledLoads(model),
  ];
});

function nearNodes(model: Model): Defect[] {
  const index = new PointIndex<string>(ALMOST_METRES);
  const shortest = shortestAt(model);
  const places = placesOf(model);
  const linked = new Set(model.members.map(pairOf));
  const found: Defect[] = [];
  const dropped = new Set<string>();
  for (const node of model.nodes) {
    const at = pointOf(node);
    const other = index
      .near(at)
      .find((id) => !dropped.has(id) && !linked.has(pairOf({ start: id, end: node.id })) && isNear(id, node.id));
    index.add(at, node.id);
    if (other === undefined) continue;
    const apart = distance(places.get(other)!, at);
    dropped.add(node.id);
    const same = apart <= SAME;
    found.push({
      kind: same ? 'coincident' : 'almost',
      words: same
        ? `Nodes ${other} and ${node.id} lie at the same place and are not joined`
        : `Node ${node.id} almost meets node ${other}: ${(apart * 1e3).toFixed(apart < 0.01 ? 1 : 0)} mm are left`,
      repair: `Make them one node, ${other}`,
      intent: { type: 'merge', pairs: [[other, node.id]] },
      nodes: [other, node.id],
      members: [],
    });
  }
  return found;

  function isNear(a: string, b: string): boolean {
    const reach = Math.min(ALMOST_METRES, ALMOST * Math.min(shortest.get(a) ?? Infinity, shortest.get(b) ?? Infinity));
    return distance(places.get(a)!, places.get(b)!) <= Math.max(SAME, reach);
  }
}

function shortestAt(model: Model): Map<string, number> {
  const places = placesOf(model);
  const shortest = new Map<string, number>();
  for (const { start, end } of model.members) {
    const length = distance(places.get(start)!, places.get(end)!);
    for (const id of [start, end]) shortest.set(id, Math.min(length, shortest.get(id) ?? Infinity));
  }
  return shortest;
}

function idleNodes(model: Model): Defect[] {
  if (model.members.length === 0) return [];
  const used = new Set(model.members.flatMap(({ start, end }) => [start, end]));
  return model.nodes
    .filter(({ id }) => !used.has(id))
    .map(({ id }) => ({
      kind: 'idle',
      words: `No member ends at node ${id}`,
      repair: 'Remove it',
      intent: { type: 'remove', list: 'nodes', keys: [id] },
      nodes: [id],
      members: [],
    }));
}

/** Loads that stand a second time where they stand, in the same case. */
function doubledLoads({ loads }: Model): Defect[] {
  const there = new Set<string>();
  return loads.flatMap((load): Defect[] => {
    const key = loadKey(load);
    if (!there.has(key)) {
      there.add(key);
      return [];
    }
    const node = 'node' in load ? [load.node] : [];
    const members = 'member' in load ? [load.member] : [];
    const where =
      node[0] !== undefined ? `at node ${node[0]}` : members[0] !== undefined ? `on member ${members[0]}` : 'in one place';
    return [
      {
        kind: 'doubled load',
        words: `The same load stands twice ${where}, in ${load.case}`,
        repair: 'Remove one of them',
        intent: { type: 'remove', list: 'loads', keys: [load.id] },
        nodes: node,
        members,
      },
    ];
  });
}

/** Members between the same nodes, and members that run along a part of another. */
function laidOn(model: Model): Defect[] {
  const found: Defect[] = [];
  const there = new Map<string, string>();
  for (const member of model.members) {
    const key = pairOf(member);
    const first = there.get(key);
    if (first === undefined) there.set(key, member.id);
    else
      found.push({
        kind: 'doubled',
        words: `Members ${first} and ${member.id} run between the same nodes`,
        repair: `Remove ${member.id}`,
        intent: { type: 'remove', list: 'members', keys: [member.id] },
        nodes: [],
        members: [first, member.id],
      });
  }
  const places = placesOf(model);
  const segments = model.members.map((member) => endsOf(member, places));
  for (const [i, j] of new SegmentIndex(segments).pairs(COINCIDENT)) {
    const [a, b] = [model.members[i]!, model.members[j]!];
    if (pairOf(a) === pairOf(b) || !runsAlong(segments[i]!, segments[j]!)) continue;
    found.push({
      kind: 'overlap',
      words: `Members ${a.id} and ${b.id} lie on each other over a part of their length`,
      repair: 'Split them where they meet, and keep one of the two',
      intent: overlapRepair(model, a.id, b.id),
      nodes: [],
      members: [a.id, b.id],
    });
  }
  return found;
}

function runsAlong(a: readonly [Point, Point], b: readonly [Point, Point]): boolean {
  const [u, v] = [minus(a[1], a[0]), minus(b[1], b[0])];
  if (size(cross(u, v)) > 1e-9 * size(u) * size(v)) return false;
  const places = b.map((end) => placeAlong(end, [a[0], a[1]]) ?? projected(end, a)).filter((t) => t !== undefined);
  if (places.length < 2) return false;
  const [from, to] = [Math.max(0, Math.min(...places)), Math.min(1, Math.max(...places))];
  return (to - from) * size(u) > COINCIDENT;
}

/** Where a point lies along the endless line of a, if it lies on it. */
function projected(at: Point, [from, to]: readonly [Point, Point]): number | undefined {
  const [u, w] = [minus(to, from), minus(at, from)];
  const length = size(u);
  if (size(cross(u, w)) > COINCIDENT * length) return undefined;
  return (u[0] * w[0] + u[1] * w[1] + u[2] * w[2]) / length ** 2;
}

/** Ends of one that lie inside the other become joints; what then runs twice is removed. */
function overlapRepair(model: Model, a: string, b: string): Intent {
  const places = placesOf(model);
  const member = (id: string) => model.members.find((one) => one.id === id)!;
  const inside = (one: string, other: string): number[] => {
    const ends = endsOf(member(one), places);
    return endsOf(member(other), places).flatMap((end) => {
      const t = placeAlong(end, ends);
      return t !== undefined && t > 1e-9 && t < 1 - 1e-9 ? [t] : [];
    });
  };
  const cuts = [
    { member: a, at: inside(a, b) },
    { member: b, at: inside(b, a) },
  ].filter(({ at }) => at.length > 0);
  return { type: 'batch', intents: [{ type: 'split', cuts }, { type: 'removeDoubled' }], label: `Mend members ${a} and ${b}` };
}

function missed({ member, other, node, at }: ReturnType<typeof missedJoints>[number]): Defect {
  if (node !== undefined)
    return {
      kind: 'unjoined',
      words: `Node ${node} lies on member ${member} and is not joined to it`,
      repair: `Split ${member} there`,
      intent: { type: 'split', cuts: [{ member, at: [at] }] },
      nodes: [node],
      members: [member],
    };
  return {
    kind: 'crossing',
    words: `Members ${member} and ${other} cross without a joint`,
    repair: 'Make a joint there',
    intent: { type: 'joints', members: [member] },
    nodes: [],
    members: [member, other!],
  };
}
