/** What combinations refer to, as far as resolving them needs it. */
export interface Reference {
  readonly id: string;
  readonly parts: readonly string[];
}

/**
 * Combinations in an order in which each comes after those that it refers to, however deep they are chained: an explicit stack in place of
 * recursion. They must not be circular.
 */
export function inOrderOfReference(combinations: readonly Reference[]): readonly string[] {
  const known = new Map(combinations.map((one) => [one.id, one.parts]));
  const order: string[] = [];
  const state = new Map<string, 'open' | 'done'>();
  for (const { id: root } of combinations) {
    const stack = state.has(root) ? [] : [{ id: root, next: 0 }];
    while (stack.length > 0) {
      const top = stack[stack.length - 1]!;
      const part = known.get(top.id)![top.next++];
      if (part === undefined) {
        state.set(top.id, 'done');
        order.push(top.id);
        stack.pop();
      } else if (known.has(part) && !state.has(part)) {
        state.set(part, 'open');
        stack.push({ id: part, next: 0 });
      }
    }
  }
  return order;
}
