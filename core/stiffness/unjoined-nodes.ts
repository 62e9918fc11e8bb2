import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { cellsOf } from './node-cells';
import { coordinatesOf, indexOf } from './nodes';

/** Nearer than this part of a member's length, a node lies on it. */
const ON_THE_LINE = 1e-6;
const MANY = 20;

/** Nodes that lie on members, by their places in the lists of the model: the member first. */
type Pair = readonly [member: number, node: number];

/** Where the nodes lie, and which of them the members join. */
interface Places {
  /** 3n: X, Y, Z. */
  readonly coordinates: Float64Array;
  /** 2m: the places of the nodes at the ends of each member; -1 for one with offsets, whose axis lies elsewhere. */
  readonly ends: Int32Array;
}

/** What was found for a list of members the last time, and on which nodes: loads change oftener than they do. */
interface Found extends Places {
  readonly nodes: Model['nodes'];
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
  const coordinates = coordinatesOf(nodes, moved && last.coordinates, moved);
  const places = { coordinates, ends: moved ? last.ends : endsOf(model) };
  const pairs = moved ? searchNear(places, moved, last.pairs) : searchAll(places);
  const notices = pairs.slice(0, MANY).map(([m, i]) => noticeOf(nodes[i]!.id, members[m]!.id));
  found.set(members, { nodes, ...places, pairs, notices });
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
function movedNodes(nodes: Model['nodes'], before: Model['nodes']): readonly number[] | undefined {
  if (nodes.length !== before.length) return undefined;
  const moved: number[] = [];
  for (let i = 0; i < nodes.length; i++) {
    if (nodes[i] === before[i]) continue;
    if (nodes[i]!.id !== before[i]!.id || moved.length === FEW) return undefined;
    moved.push(i);
  }
  return moved;
}

function endsOf({ nodes, members }: Model): Int32Array {
  const places = indexOf(nodes);
  const ends = new Int32Array(2 * members.length).fill(-1);
  members.forEach(({ start, end, offset }, m) => {
    const p = places.get(start);
    const q = places.get(end);
    if (p !== undefined && q !== undefined && !offset) ends.set([p, q], 2 * m);
  });
  return ends;
}

/** Whether `at` is not between a and b, not even nearly. */
const isOutside = (at: number, a: number, b: number, slack: number): boolean =>
  a < b ? at < a - slack || at > b + slack : at < b - slack || at > a + slack;

/** Whether node i lies on the axis between the nodes p and q. */
function lies({ coordinates: X }: Places, i: number, p: number, q: number): boolean {
  const x = X[3 * p]!;
  const y = X[3 * p + 1]!;
  const z = X[3 * p + 2]!;
  const dx = X[3 * q]! - x;
  const dy = X[3 * q + 1]! - y;
  const dz = X[3 * q + 2]! - z;
  const u = X[3 * i]! - x;
  const v = X[3 * i + 1]! - y;
  const w = X[3 * i + 2]! - z;
  // Most nodes are far from the box around the axis, which is known before its length is.
  const margin = marginOf(X, p, q);
  if (isOutside(u, 0, dx, margin) || isOutside(v, 0, dy, margin) || isOutside(w, 0, dz, margin) || i === p || i === q)
    return false;
  const length = Math.hypot(dx, dy, dz);
  const slack = ON_THE_LINE * length;
  const along = (u * dx + v * dy + w * dz) / length;
  if (!(along > slack && along < length - slack)) return false;
  return Math.hypot(u * dy - v * dx, v * dz - w * dy, w * dx - u * dz) / length <= slack;
}

/** The pairs that are left of the former ones, with those that the moved nodes and their members make now. */
function searchNear(places: Places, moved: readonly number[], former: readonly Pair[]): readonly Pair[] {
  const { coordinates, ends } = places;
  const pairs: Pair[] = [];
  const isMoved = new Uint8Array(coordinates.length / 3);
  for (const i of moved) isMoved[i] = 1;
  const isOwn = (m: number): boolean => isMoved[ends[2 * m]!] === 1 || isMoved[ends[2 * m + 1]!] === 1;
  for (let m = 0; 2 * m < ends.length; m++) {
    const p = ends[2 * m]!;
    const q = ends[2 * m + 1]!;
    if (p < 0) continue;
    const own = isOwn(m);
    const count = own ? isMoved.length : moved.length;
    for (let k = 0; k < count; k++) {
      const i = own ? k : moved[k]!;
      if (lies(places, i, p, q)) pairs.push([m, i]);
    }
  }
  const kept = former.filter(([m, i]) => isMoved[i] === 0 && !isOwn(m));
  return kept.length + pairs.length === 0 ? kept : inOrder([...kept, ...pairs], coordinates);
}

/** All pairs. */
function searchAll(places: Places): readonly Pair[] {
  const { coordinates: X, ends } = places;
  const cells = cellsOf(X);
  const pairs: Pair[] = [];
  const [low, high] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  for (let m = 0; 2 * m < ends.length; m++) {
    const p = ends[2 * m]!;
    const q = ends[2 * m + 1]!;
    if (p < 0) continue;
    const margin = marginOf(X, p, q);
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(X[3 * p + k]!, X[3 * q + k]!) - margin;
      high[k] = Math.max(X[3 * p + k]!, X[3 * q + k]!) + margin;
    }
    cells.near(low, high, (i) => {
      if (lies(places, i, p, q)) pairs.push([m, i]);
    });
  }
  return inOrder(pairs, X);
}

/** Not less than what counts as near the axis between the nodes p and q, and known without a root. */
const marginOf = (X: Float64Array, p: number, q: number): number =>
  ON_THE_LINE *
  (Math.abs(X[3 * q]! - X[3 * p]!) + Math.abs(X[3 * q + 1]! - X[3 * p + 1]!) + Math.abs(X[3 * q + 2]! - X[3 * p + 2]!));

/** By member, then along X. */
const inOrder = (pairs: Pair[], X: Float64Array): readonly Pair[] =>
  pairs.sort(([m, i], [n, j]) => m - n || X[3 * i]! - X[3 * j]! || i - j);
