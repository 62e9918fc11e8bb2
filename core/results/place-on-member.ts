import type { Structure } from '../stiffness/structure';

/** A place on a member, by index: metres from its start. */
export interface PlaceOnMember {
  readonly member: number;
  readonly x: number;
}

/** Closer to a node than this part of the member it is at the node. */
const AT_NODE = 1e-6;

/** The node at which a place of a member is, by index; undefined between its ends. */
export function nodeAt({ memberNodes, lengths }: Structure, { member, x }: PlaceOnMember): number | undefined {
  const length = lengths[member]!;
  if (x <= AT_NODE * length) return memberNodes[2 * member]!;
  return x >= (1 - AT_NODE) * length ? memberNodes[2 * member + 1]! : undefined;
}
