import { once } from '@rigid-beam/core/once';
import type { Member, Model, ModelNode } from '@rigid-beam/core/model/model';
import { memberAxes } from '@rigid-beam/core/model/local-axes';
import { minus, plus, pointOf, size, type Point } from '@rigid-beam/core/model/point';
import { depthOf, seenPoint, type Projection } from './projection';

/** How a model is looked at, and what of it is hidden (keys of subjects, see `subjectKey`). */
export interface Seen {
  readonly projection: Projection;
  readonly hidden: ReadonlySet<string>;
}

export const NOTHING_HIDDEN: ReadonlySet<string> = new Set();

/** A node on the drawing. */
export interface DrawnNode {
  readonly id: string;
  readonly index: number;
  readonly x: number;
  readonly y: number;
  /** Greater is nearer to the viewer, metres. */
  readonly depth: number;
}

/** A member on the drawing, between its offset ends. */
export interface DrawnMember {
  readonly id: string;
  readonly index: number;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  /** Of its middle; greater is nearer to the viewer. */
  readonly depth: number;
  /** True length in metres, also of a member that leaves the plane of the drawing. */
  readonly length: number;
  /** What a metre along local x, y and z is on the drawing: shorter where it leads away from the viewer. */
  readonly ex: readonly [number, number];
  readonly ey: readonly [number, number];
  readonly ez: readonly [number, number];
}

/** The nodes that are shown, by id. Every kind of item asks for the same. */
export const drawnNodes = (model: Model, { projection, hidden }: Seen): ReadonlyMap<string, DrawnNode> =>
  nodesSeen(model, projection, hidden);

/** The members that can be drawn: shown, both nodes exist, and they do not run straight at the viewer. */
export const drawnMembers = (model: Model, { projection, hidden }: Seen): readonly DrawnMember[] =>
  membersSeen(model, projection, hidden);

const nodesSeen = once((model: Model, projection: Projection, hidden: Seen['hidden']) =>
  findNodes(model, { projection, hidden }),
);
const membersSeen = once((model: Model, projection: Projection, hidden: Seen['hidden']) =>
  findMembers(model, { projection, hidden }),
);

function findNodes(model: Model, { projection, hidden }: Seen): Map<string, DrawnNode> {
  const nodes = new Map<string, DrawnNode>();
  model.nodes.forEach((node, index) => {
    if (hidden.size > 0 && hidden.has(`node:${node.id}`)) return;
    const at = pointOf(node);
    const [x, y] = seenPoint(projection, at);
    nodes.set(node.id, { id: node.id, index, x: x + 0, y: y + 0, depth: depthOf(projection, at) });
  });
  return nodes;
}

/** A member as it was drawn last, and what that was found from. */
interface Former {
  readonly member: Member;
  readonly start: ModelNode;
  readonly end: ModelNode;
  readonly drawn: DrawnMember | undefined;
}

/** What was found last: while a node is dragged, a step of it changes the members at that node and no other. */
let former: { readonly projection: Projection; readonly isPlane: boolean; readonly members: readonly Former[] } | undefined;

function findMembers(model: Model, { projection, hidden }: Seen): DrawnMember[] {
  const nodes = new Map(model.nodes.map((node) => [node.id, node]));
  const isPlane = model.space === 'plane';
  const before = former?.projection === projection && former.isPlane === isPlane ? former.members : [];
  const found: Former[] = [];
  const drawn: DrawnMember[] = [];
  model.members.forEach((member, index) => {
    const [start, end] = [nodes.get(member.start), nodes.get(member.end)];
    if (!start || !end) return;
    const old = before[index];
    const isSame = old !== undefined && old.member === member && old.start === start && old.end === end;
    const one = isSame ? old : { member, start, end, drawn: drawnMember(model, index, [start, end], projection) };
    found[index] = one;
    if (one.drawn && !(hidden.size > 0 && hidden.has(`member:${member.id}`))) drawn.push(one.drawn);
  });
  former = { projection, isPlane, members: found };
  return drawn;
}

function drawnMember(
  model: Model,
  index: number,
  nodes: readonly [ModelNode, ModelNode],
  projection: Projection,
): DrawnMember | undefined {
  const member = model.members[index]!;
  const [start, end] = nodes.map(pointOf) as [Point, Point];
  const from = member.offset?.start ? plus(start, member.offset.start as unknown as Point) : start;
  const to = member.offset?.end ? plus(end, member.offset.end as unknown as Point) : end;
  const [dx, dy, dz] = minus(to, from);
  const length = size([dx, dy, dz]);
  if (length < 1e-9) return undefined;
  const [[x1, y1], [x2, y2]] = [seenPoint(projection, from), seenPoint(projection, to)];
  // A member that runs straight at the viewer is a point of the drawing.
  if (Math.hypot(x2 - x1, y2 - y1) < 1e-9) return undefined;
  const a = memberAxes(dx, dy, dz, model.space === 'plane' ? 0 : (member.roll ?? 0));
  const row = (i: number): [number, number] => seenPoint(projection, [a[i]!, a[i + 1]!, a[i + 2]!]);
  const depth = (depthOf(projection, from) + depthOf(projection, to)) / 2;
  return { id: member.id, index, x1, y1, x2, y2, depth, length, ex: row(0), ey: row(3), ez: row(6) };
}

export const pointOn = (member: DrawnMember, x: number): [number, number] => [
  member.x1 + member.ex[0] * x,
  member.y1 + member.ex[1] * x,
];

/** The largest distance within the structure, as the diagonal of its box, metres: scales of diagrams hang on it. */
export function extentOf({ nodes }: Model): number {
  const range = (pick: (node: Model['nodes'][number]) => number): number => {
    let [low, high] = [Infinity, -Infinity];
    for (const node of nodes) {
      const at = pick(node);
      if (at < low) low = at;
      if (at > high) high = at;
    }
    return high - low;
  };
  return nodes.length === 0
    ? 0
    : Math.hypot(
        range(({ x }) => x),
        range(({ y }) => y),
        range(({ z }) => z ?? 0),
      );
}

/** How near to the viewer a thing stands within the whole: 1 in front, 0 at the back; 1 where there is no depth to speak of. */
export function nearness(model: Model, seen: Seen): (depth: number) => number {
  if (model.space === 'plane') return () => 1;
  let [low, high] = [Infinity, -Infinity];
  for (const { depth } of drawnNodes(model, seen).values()) {
    if (depth < low) low = depth;
    if (depth > high) high = depth;
  }
  const range = high - low;
  return range < 1e-6 ? () => 1 : (depth) => (depth - low) / range;
}
