/**
 * `find`, worked out once for the very same arguments. The first argument holds what was found, for as long as it lives; of all calls
 * with the same first argument only the latest is kept. What `find` reads must come in as an argument: parts of a model rather than the
 * model, so that nothing it depends on can be left unnamed. `same`: when two of the other arguments are one (identity, unless said).
 */
export const once = <A extends object, B extends readonly unknown[], R>(
  find: (first: A, ...others: B) => R,
  same: (a: unknown, b: unknown) => boolean = Object.is,
): ((first: A, ...others: B) => R) => latest(1, find, same);

/** As `once`, with so many calls kept of each first argument: those that were asked for last. */
export function latest<A extends object, B extends readonly unknown[], R>(
  count: number,
  find: (first: A, ...others: B) => R,
  same: (a: unknown, b: unknown) => boolean = Object.is,
): (first: A, ...others: B) => R {
  const known = new WeakMap<A, { readonly others: B; readonly found: R }[]>();
  return (first, ...others) => {
    const all = known.get(first) ?? [];
    const at = all.findLastIndex((one) => one.others.every((other, i) => same(other, others[i])));
    if (at >= 0 && at === all.length - 1) return all[at]!.found;
    const one = at < 0 ? { others, found: find(first, ...others) } : all.splice(at, 1)[0]!;
    // What was found within `find` is known by now.
    known.set(first, [...(known.get(first) ?? []), one].slice(-count));
    return one.found;
  };
}
