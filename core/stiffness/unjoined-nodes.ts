import type { Model } from '../model/model';
import type { Notice } from '../model/notice';

/** Nearer than this part of a member's length, a node lies on it. */
const ON_THE_LINE = 1e-6;
const MANY = 20;

/**
 * Nodes that lie on a member between its ends without being joined to it: on the drawing they look connected, in the structure
 * they are not. Nodes are searched by their X, so that large models stay quick.
 */
export function unjoinedNodes(model: Model): readonly Notice[] {
  let known = found.get(model.nodes);
  if (!known) found.set(model.nodes, (known = new WeakMap()));
  let notices = known.get(model.members);
  if (!notices) known.set(model.members, (notices = findUnjoined(model)));
  return notices;
}

/** What was found for a list of nodes and a list of members: loads change oftener than they do. */
const found = new WeakMap<Model['nodes'], WeakMap<Model['members'], readonly Notice[]>>();

function findUnjoined(model: Model): Notice[] {
  const nodes = [...model.nodes].sort((a, b) => a.x - b.x);
  const place = new Map(nodes.map((node, i) => [node.id, i]));
  const [X, Y, Z] = [0, 1, 2].map((k) => Float64Array.from(nodes, ({ x, y, z = 0 }) => [x, y, z][k]!)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const pairs: { node: string; member: string }[] = [];
  for (const member of model.members) {
    const p = place.get(member.start);
    const q = place.get(member.end);
    if (p === undefined || q === undefined || member.offset) continue;
    const x = X[p]!;
    const y = Y[p]!;
    const z = Z[p]!;
    const dx = X[q]! - x;
    const dy = Y[q]! - y;
    const dz = Z[q]! - z;
    const length = Math.hypot(dx, dy, dz);
    const slack = ON_THE_LINE * length;
    const [low, high] = [Math.min(y, y + dy) - slack, Math.max(y, y + dy) + slack];
    const [near, far] = [Math.min(z, z + dz) - slack, Math.max(z, z + dz) + slack];
    const last = Math.max(x, x + dx) + slack;
    for (let i = firstFrom(X, Math.min(x, x + dx) - slack); i < nodes.length && X[i]! <= last; i++) {
      if (Y[i]! < low || Y[i]! > high || Z[i]! < near || Z[i]! > far || i === p || i === q) continue;
      const [u, v, w] = [X[i]! - x, Y[i]! - y, Z[i]! - z];
      const along = (u * dx + v * dy + w * dz) / length;
      const away = Math.hypot(u * dy - v * dx, v * dz - w * dy, w * dx - u * dz) / length;
      if (along > slack && along < length - slack && away <= slack) pairs.push({ node: nodes[i]!.id, member: member.id });
    }
  }
  return pairs.slice(0, MANY).map(({ node, member }) => ({
    code: 'unjoined-node',
    severity: 'warning',
    message: `Node ${node} lies on member ${member}, but the two are not joined: draw the member in two parts that meet there, if they should be.`,
    subjects: [`node ${node}`, `member ${member}`],
  }));
}

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
