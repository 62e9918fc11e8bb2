import { linksOf } from '../../model/runs';
import type { Model } from '../../model/model';
import { fault, type Notice } from '../../model/notice';
import { minus, pointOf, size, type Point } from '../../model/point';
import type { Structure } from '../../stiffness/structure';
import { unknown } from '../../model/unknown';

/** A member on the way: the load goes from its start to its end, or the other way. */
export interface MemberSpan {
  readonly kind: 'member';
  readonly member: number;
  readonly way: 'along' | 'against';
  /** Metres along the path. */
  readonly from: number;
  readonly to: number;
}

/** A stretch between two nodes on which something that rests on both of them carries the load: a stringer, a deck. */
export interface NodeSpan {
  readonly kind: 'nodes';
  readonly nodes: readonly [number, number];
  readonly from: number;
  readonly to: number;
}

/** Stiff from one member's end to the next one's: both are fixed to the same node. */
export interface JointSpan {
  readonly kind: 'joint';
  readonly from: number;
  readonly to: number;
}

export type Span = MemberSpan | NodeSpan | JointSpan;

/** The way of a load over a structure, and where it pushes: a unit vector, global. */
export interface Path {
  readonly spans: readonly Span[];
  readonly length: number;
  readonly direction: Point;
}

/** Downwards, as weight acts. */
export const DOWN: Point = [0, -1, 0];

/** Ends nearer than this, in metres, are one place. */
const COINCIDENT = 1e-6;

/** Over members that follow each other, from the lower left end; a fault where they do not. */
export function pathOver(model: Model, s: Structure, ids: readonly string[], direction: Point = DOWN): Path | Notice {
  const index = new Map(s.names.members.map((id, m) => [id, m]));
  const other = ids.find((id) => !index.has(id));
  if (other !== undefined) return unknown('member', other, s.names.members, { in: 'path', as: other });
  const links = linksOf(model, ids);
  if (!links)
    return fault({
      code: 'no-run',
      path: 'path',
      value: ids.join(', '),
      what: `The members ${ids.join(', ')} do not follow each other from end to end, so that no load can travel along them`,
      expected: 'members that join end to end, without a branch',
      remedy: 'Leave out what branches off, or name the members between',
    });
  const spans: Span[] = [];
  let [reached, last]: [number, Point | undefined] = [0, undefined];
  for (const { member, way } of links) {
    const m = index.get(member.id)!;
    const ends = [endOf(s, m, 0), endOf(s, m, 1)];
    const [start, end] = way === 'along' ? [ends[0]!, ends[1]!] : [ends[1]!, ends[0]!];
    const gap = last ? size(minus(start, last)) : 0;
    if (gap > COINCIDENT) spans.push({ kind: 'joint', from: reached, to: (reached += gap) });
    spans.push({ kind: 'member', member: m, way, from: reached, to: (reached += s.lengths[m]!) });
    last = end;
  }
  return { spans, length: reached, direction };
}

/** Over nodes in their order, on stretches that rest on two nodes each, as a deck on the panel points of a truss. */
export function pathAcross(model: Model, ids: readonly string[], direction: Point = DOWN): Path | Notice {
  const index = new Map(model.nodes.map(({ id }, i) => [id, i]));
  const other = ids.find((id) => !index.has(id));
  if (other !== undefined) return unknown('node', other, [...index.keys()], { in: 'path', as: other });
  const places = ids.map((id) => pointOf(model.nodes[index.get(id)!]!));
  const short = ids.findIndex((_, i) => i > 0 && size(minus(places[i]!, places[i - 1]!)) <= COINCIDENT);
  if (ids.length < 2 || short > 0)
    return fault({
      code: 'no-path',
      path: 'path',
      value: ids.join(', '),
      what: short > 0 ? `The path does not get on from node ${ids[short - 1]!} to node ${ids[short]!}` : 'The path has no length',
      expected: 'two nodes at least, each at another place than the one before it',
      remedy: 'Name the nodes in the order in which the load meets them',
    });
  let reached = 0;
  const spans = ids.slice(1).map((id, i): NodeSpan => {
    const from = reached;
    reached += size(minus(places[i + 1]!, places[i]!));
    return { kind: 'nodes', nodes: [index.get(ids[i]!)!, index.get(id)!], from, to: reached };
  });
  return { spans, length: reached, direction };
}

/** Where a member itself begins or ends, at the far end of its rigid arm. */
function endOf({ memberNodes, coordinates, endOffsets }: Structure, m: number, end: 0 | 1): Point {
  const node = 3 * memberNodes[2 * m + end]!;
  const arm = 6 * m + 3 * end;
  return [0, 1, 2].map((k) => coordinates[node + k]! + endOffsets[arm + k]!) as unknown as Point;
}
