import type { Model } from '../model/model';
import type { Notice } from '../model/notice';

/** Nearer than this part of a member's length, a node lies on it. */
const ON_THE_LINE = 1e-6;
const MANY = 20;

/**
 * Nodes that lie on a member between its ends without being joined to it: on the drawing they look connected, in the structure
 * they are not. Nodes are searched by their X, so that large models stay quick.
 */
export function unjoinedNodes(model: Model): Notice[] {
  const nodes = [...model.nodes].sort((a, b) => a.x - b.x);
  const byId = new Map(model.nodes.map((node) => [node.id, node]));
  const found: { node: string; member: string }[] = [];
  for (const member of model.members) {
    const [start, end] = [byId.get(member.start), byId.get(member.end)];
    if (!start || !end || member.offset) continue;
    const [dx, dy, dz] = [end.x - start.x, end.y - start.y, (end.z ?? 0) - (start.z ?? 0)];
    const length = Math.hypot(dx, dy, dz);
    const slack = ON_THE_LINE * length;
    const last = Math.max(start.x, end.x) + slack;
    for (let i = firstFrom(nodes, Math.min(start.x, end.x) - slack); i < nodes.length && nodes[i]!.x <= last; i++) {
      const node = nodes[i]!;
      if (node.id === member.start || node.id === member.end) continue;
      const [u, v, w] = [node.x - start.x, node.y - start.y, (node.z ?? 0) - (start.z ?? 0)];
      if (Math.abs(v) > length || Math.abs(w) > length) continue;
      const along = (u * dx + v * dy + w * dz) / length;
      const away = Math.hypot(u * dy - v * dx, v * dz - w * dy, w * dx - u * dz) / length;
      if (along > slack && along < length - slack && away <= slack) found.push({ node: node.id, member: member.id });
    }
  }
  return found.slice(0, MANY).map(({ node, member }) => ({
    code: 'unjoined-node',
    severity: 'warning',
    message: `Node ${node} lies on member ${member}, but the two are not joined: draw the member in two parts that meet there, if they should be.`,
    subjects: [`node ${node}`, `member ${member}`],
  }));
}

/** The first place in a list sorted by x whose x is not below `x`. */
function firstFrom(nodes: readonly { readonly x: number }[], x: number): number {
  let [low, high] = [0, nodes.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (nodes[middle]!.x < x) low = middle + 1;
    else high = middle;
  }
  return low;
}
