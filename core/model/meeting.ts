interface Ended {
  readonly start: string;
  readonly end: string;
}

/** By node the members that meet in it, in their order. */
export function membersByNode<M extends Ended>(members: Iterable<M>): ReadonlyMap<string, readonly M[]> {
  const at = new Map<string, M[]>();
  for (const member of members)
    for (const node of [member.start, member.end]) {
      const there = at.get(node);
      if (there) there.push(member);
      else at.set(node, [member]);
    }
  return at;
}
