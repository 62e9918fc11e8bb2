import type { Model } from '../model/model';
import type { Notice } from '../model/notice';

/** Nearer than this part of a member's length, a node lies on it. */
const ON_THE_LINE = 1e-6;
const MANY = 20;

/** Nodes that lie on members, by their places in the lists of the model: the member first. */
type Pair = readonly [member: number, node: number];

/** What was found for a list of members the last time, and on which nodes: loads change oftener than they do. */
interface Found {
  readonly nodes: Model['nodes'];
  readonly places: ReadonlyMap<string, number>;
  readonly pairs: readonly Pair[];
  readonly notices: readonly Notice[];
}

const found = new WeakMap<Model['members'], Found>();

/**
 * Nodes that lie on a member between its ends without being joined to it: on the drawing they look connected, in the structure
 * they are not. Where only a few nodes have moved since the last time, only they and their members are looked at.
 */
export function unjoinedNodes(model: Model): readonly Notice[] {
  const { nodes, members } = model;
  const last = found.get(members);
  if (last?.nodes === nodes) return last.notices;
  const moved = last && movedNodes(nodes, last.nodes);
  const places = moved ? last.places : new Map(nodes.map((node, i) => [node.id, i]));
  const pairs = moved ? searchNear(model, places, moved, last.pairs) : searchAll(model, places);
  const notices = pairs.slice(0, MANY).map(([m, i]) => noticeOf(nodes[i]!.id, members[m]!.id));
  found.set(members, { nodes, places, pairs, notices });
  return notices;
}

const noticeOf = (node: string, member: string): Notice => ({
  code: 'unjoined-node',
  severity: 'warning',
  message: `Node ${node} lies on member ${member}, but the two are not joined: draw the member in two parts that meet there, if they should be.`,
  subjects: [`node ${node}`, `member ${member}`],
});

/** So many nodes are looked at one by one. */
const FEW = 10;

/** The places of the nodes that moved; undefined where more is different, or too many moved. */
function movedNodes(nodes: Model['nodes'], before: Model['nodes']): ReadonlySet<number> | undefined {
  if (nodes.length !== before.length) return undefined;
  const moved = new Set<number>();
  for (let i = 0; i < nodes.length; i++) {
    if (nodes[i] === before[i]) continue;
    if (nodes[i]!.id !== before[i]!.id || moved.size === FEW) return undefined;
    moved.add(i);
  }
  return moved;
}

/** The axis of member m from its start, and what counts as near it; undefined for one with offsets, whose axis lies elsewhere. */
interface Axis {
  readonly p: number;
  readonly q: number;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly dx: number;
  readonly dy: number;
  readonly dz: number;
  readonly length: number;
  readonly slack: number;
}

function axisOf({ nodes, members }: Model, places: ReadonlyMap<string, number>, m: number): Axis | undefined {
  const { start, end, offset } = members[m]!;
  const p = places.get(start);
  const q = places.get(end);
  if (p === undefined || q === undefined || offset) return undefined;
  const { x, y, z = 0 } = nodes[p]!;
  const far = nodes[q]!;
  const [dx, dy, dz] = [far.x - x, far.y - y, (far.z ?? 0) - z];
  const length = Math.hypot(dx, dy, dz);
  return { p, q, x, y, z, dx, dy, dz, length, slack: ON_THE_LINE * length };
}

/** Whether the node in place i lies on an axis, between its ends. */
function lies(axis: Axis, i: number, X: number, Y: number, Z: number): boolean {
  const { x, y, z, dx, dy, dz, length, slack } = axis;
  if (i === axis.p || i === axis.q) return false;
  const [u, v, w] = [X - x, Y - y, Z - z];
  const along = (u * dx + v * dy + w * dz) / length;
  if (!(along > slack && along < length - slack)) return false;
  return Math.hypot(u * dy - v * dx, v * dz - w * dy, w * dx - u * dz) / length <= slack;
}

/** The pairs that are left of the former ones, with those that the moved nodes and their members make now. */
function searchNear(
  model: Model,
  places: ReadonlyMap<string, number>,
  moved: ReadonlySet<number>,
  former: readonly Pair[],
): readonly Pair[] {
  const { nodes, members } = model;
  const pairs: Pair[] = [];
  const isOn = (axis: Axis, i: number): boolean => lies(axis, i, nodes[i]!.x, nodes[i]!.y, nodes[i]!.z ?? 0);
  const own = new Set<number>();
  for (let m = 0; m < members.length; m++) {
    const axis = axisOf(model, places, m);
    if (!axis) continue;
    if (!moved.has(axis.p) && !moved.has(axis.q)) {
      for (const i of moved) if (isOn(axis, i)) pairs.push([m, i]);
      continue;
    }
    own.add(m);
    for (let i = 0; i < nodes.length; i++) if (isOn(axis, i)) pairs.push([m, i]);
  }
  const kept = former.filter(([m, i]) => !moved.has(i) && !own.has(m));
  return kept.length + pairs.length === 0 ? kept : inOrder([...kept, ...pairs], nodes);
}

/** All pairs. Nodes are searched by their X, so that large models stay quick. */
function searchAll(model: Model, places: ReadonlyMap<string, number>): readonly Pair[] {
  const { nodes, members } = model;
  const order = Int32Array.from(nodes, (_, i) => i).sort((a, b) => nodes[a]!.x - nodes[b]!.x);
  const [X, Y, Z] = (['x', 'y', 'z'] as const).map((key) => Float64Array.from(order, (i) => nodes[i]![key] ?? 0)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const pairs: Pair[] = [];
  for (let m = 0; m < members.length; m++) {
    const axis = axisOf(model, places, m);
    if (!axis) continue;
    const { x, y, z, dx, dy, dz, slack } = axis;
    const [low, high] = [Math.min(y, y + dy) - slack, Math.max(y, y + dy) + slack];
    const [near, far] = [Math.min(z, z + dz) - slack, Math.max(z, z + dz) + slack];
    const last = Math.max(x, x + dx) + slack;
    for (let k = firstFrom(X, Math.min(x, x + dx) - slack); k < X.length && X[k]! <= last; k++) {
      if (Y[k]! < low || Y[k]! > high || Z[k]! < near || Z[k]! > far) continue;
      if (lies(axis, order[k]!, X[k]!, Y[k]!, Z[k]!)) pairs.push([m, order[k]!]);
    }
  }
  return inOrder(pairs, nodes);
}

/** By member, then along X. */
const inOrder = (pairs: Pair[], nodes: Model['nodes']): readonly Pair[] =>
  pairs.sort(([m, i], [n, j]) => m - n || nodes[i]!.x - nodes[j]!.x || i - j);

/** The first place in an ascending list that is not below `x`. */
function firstFrom(list: Float64Array, x: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (list[middle]! < x) low = middle + 1;
    else high = middle;
  }
  return low;
}
