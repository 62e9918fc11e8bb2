/** Ids that can be reached from themselves through what each names; an explicit stack, since chains in a file may be long. */
export function circularOf(entries: ReadonlyMap<unknown, unknown>, partsOf: (id: unknown) => readonly string[]): Set<unknown> {
  const parts = new Map([...entries.keys()].map((id) => [id, partsOf(id)]));
  const circular = new Set<unknown>();
  /** How deep each one stands that is on the way at the moment; −1 for those that are done. */
  const depths = new Map<unknown, number>();
  for (const root of entries.keys()) {
    if (depths.has(root)) continue;
    // `back`: the least depth that a way on from here leads back to.
    const stack = [{ id: root, next: 0, back: Infinity }];
    depths.set(root, 0);
    while (stack.length > 0) {
      const depth = stack.length - 1;
      const top = stack[depth]!;
      const part = parts.get(top.id)![top.next++];
      if (part === undefined) {
        if (top.back <= depth) circular.add(top.id);
        depths.set(top.id, -1);
        stack.pop();
        const before = stack[depth - 1];
        if (before && top.back < depth) before.back = Math.min(before.back, top.back);
      } else if (!depths.has(part)) {
        if (!entries.has(part)) continue;
        depths.set(part, depth + 1);
        stack.push({ id: part, next: 0, back: Infinity });
      } else if (depths.get(part)! >= 0) top.back = Math.min(top.back, depths.get(part)!);
    }
  }
  return circular;
}
