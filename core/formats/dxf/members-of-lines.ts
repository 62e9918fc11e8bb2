import type { Part } from '../../model/part';
import type { Member, Model, ModelNode } from '../../model/model';
import { between, distance, dot, minus, nodeAt, PointIndex, type Point } from '../../model/point';
import type { DrawnLine } from './read-dxf';

/** How lines of a drawing become members. */
export interface LinesAsked {
  /** Metres in one unit of the drawing. */
  readonly unit: number;
  /** Ends nearer to each other, or to a line, are joined: metres. */
  readonly tolerance: number;
  /** Where the drawing's own plane stands: a plane model, or upright in space, as an elevation; on the ground, as a plan. */
  readonly stands: 'upright' | 'on the ground';
  readonly section: string;
  readonly material: string;
}

/** Members of lines, and what did not become one. */
export interface MembersOfLines {
  readonly part: Part;
  /** Lines shorter than the tolerance, and lines that are there already. */
  readonly short: number;
  readonly doubled: number;
  /** Lines that leave the plane of a plane model, and are left out. */
  readonly beside: number;
  /** Ends that met others, but not exactly: the farthest apart, metres. */
  readonly joined: { readonly count: number; readonly farthest: number };
  /** Lines that were cut where an end of another stands on them. */
  readonly cut: number;
}

/**
 * Lines of a drawing as members between nodes: ends within the tolerance of each other are one node, and a line is cut where an end of another stands
 * on it. The drawing's x goes along X; its y up where it stands upright, else its z.
 */
export function membersOfLines(lines: readonly DrawnLine[], space: Model['space'], asked: LinesAsked): MembersOfLines {
  const { unit, tolerance, stands, section, material } = asked;
  const place = ([x, y, z]: Point): Point =>
    space === 'plane' || stands === 'upright'
      ? [x * unit, y * unit, space === 'plane' ? 0 : z * unit]
      : [x * unit, z * unit, -y * unit];
  const index = new PointIndex<number>(tolerance);
  const nodes: Point[] = [];
  let [count, farthest] = [0, 0];
  const nodeOf = (at: Point): number => {
    const [near] = index.near(at);
    if (near !== undefined) {
      const far = distance(nodes[near]!, at);
      if (far > EXACT) [count, farthest] = [count + 1, Math.max(farthest, far)];
      return near;
    }
    index.add(at, nodes.length);
    return nodes.push(at) - 1;
  };
  let [short, beside] = [0, 0];
  const level = lines[0]?.from[2] ?? 0;
  const isBeside = ([, , z]: Point): boolean => space === 'plane' && Math.abs(z - level) * unit > tolerance;
  const pairs: (readonly [number, number])[] = [];
  for (const { from, to } of lines) {
    if (isBeside(from) || isBeside(to)) {
      beside++;
      continue;
    }
    const ends = [nodeOf(place(from)), nodeOf(place(to))] as const;
    if (ends[0] === ends[1]) short++;
    else pairs.push(ends);
  }
  const { pieces, cut } = cutAtNodes(pairs, nodes, tolerance);
  const seen = new Set<string>();
  let doubled = 0;
  const members: Member[] = [];
  for (const [a, b] of pieces) {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    if (seen.has(key)) doubled++;
    else members.push({ id: `m${members.length}`, start: `n${a}`, end: `n${b}`, section, material });
    seen.add(key);
  }
  const used = new Set(members.flatMap(({ start, end }) => [start, end]));
  const part = {
    nodes: nodes.map((at, i) => nodeAt(`n${i}`, at) as ModelNode).filter(({ id }) => used.has(id)),
    members,
  };
  return { part, short, doubled, beside, joined: { count, farthest }, cut };
}

/** Ends that are nearer stand in the same place: what is lost when units are turned. */
const EXACT = 1e-6;

/** Pairs of nodes, cut wherever another node stands between their ends, within the tolerance of the line. */
function cutAtNodes(
  pairs: readonly (readonly [number, number])[],
  nodes: readonly Point[],
  tolerance: number,
): { readonly pieces: readonly (readonly [number, number])[]; readonly cut: number } {
  const bins = new Bins(nodes);
  let cut = 0;
  const pieces = pairs.flatMap(([a, b]): (readonly [number, number])[] => {
    const [from, to] = [nodes[a]!, nodes[b]!];
    const along = minus(to, from);
    const length = dot(along, along);
    const on: { readonly node: number; readonly t: number }[] = [];
    for (const node of bins.between(from, to, tolerance)) {
      if (node === a || node === b) continue;
      const t = dot(minus(nodes[node]!, from), along) / length;
      if (t > 0 && t < 1 && distance(between(from, to, t), nodes[node]!) <= tolerance) on.push({ node, t });
    }
    if (on.length === 0) return [[a, b]];
    cut++;
    const stops = [a, ...on.sort((p, q) => p.t - q.t).map(({ node }) => node), b];
    return stops.slice(1).map((node, i) => [stops[i]!, node]);
  });
  return { pieces, cut };
}

/** Nodes by squares of the plane in which the drawing is widest: those near a line are found without looking at all. */
class Bins {
  private readonly cells = new Map<string, number[]>();
  private readonly side: number;
  private readonly axes: readonly [0 | 1 | 2, 0 | 1 | 2];

  constructor(nodes: readonly Point[]) {
    const extent = ([0, 1, 2] as const).map((axis) => {
      let [least, most] = [Infinity, -Infinity];
      for (const node of nodes) [least, most] = [Math.min(least, node[axis]), Math.max(most, node[axis])];
      return { axis, size: most - least };
    });
    const [first, second] = extent.sort((a, b) => b.size - a.size);
    this.axes = [first!.axis, second!.axis];
    // As many squares as there are nodes, in a drawing that fills its frame.
    const area = Math.max(first!.size, 1e-9) * Math.max(second!.size, first!.size / 100, 1e-9);
    this.side = Math.sqrt(area / Math.max(1, nodes.length));
    for (const [i, node] of nodes.entries()) {
      const key = this.axes.map((axis) => Math.floor(node[axis] / this.side)).join();
      const cell = this.cells.get(key);
      if (cell) cell.push(i);
      else this.cells.set(key, [i]);
    }
  }

  /** Nodes that may stand on a line: those in the squares that it passes, and in their neighbours as far as the tolerance reaches. */
  *between(from: Point, to: Point, tolerance: number): Generator<number> {
    const [u, v] = this.axes;
    const { side } = this;
    const reach = Math.ceil(tolerance / side);
    const first = Math.floor((Math.min(from[u], to[u]) - tolerance) / side);
    const last = Math.floor((Math.max(from[u], to[u]) + tolerance) / side);
    for (let i = first; i <= last; i++) {
      // The part of the line over this column of squares.
      const t = (at: number): number => (to[u] === from[u] ? 0 : Math.min(1, Math.max(0, (at - from[u]) / (to[u] - from[u]))));
      const ends =
        to[u] === from[u] ? [from[v], to[v]] : [i * side, (i + 1) * side].map((at) => from[v] + t(at) * (to[v] - from[v]));
      const [low, high] = [Math.min(...ends), Math.max(...ends)].map((at) => Math.floor(at / side)) as [number, number];
      for (let j = low - reach - 1; j <= high + reach + 1; j++) yield* this.cells.get(`${i},${j}`) ?? [];
    }
  }
}
