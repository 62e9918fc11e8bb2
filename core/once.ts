/**
 * `find`, worked out once for the very same arguments. The first argument holds what was found, for as long as it lives; of all calls
 * with the same first argument only the latest is kept. What `find` reads must come in as an argument: parts of a model rather than the
 * model, so that nothing it depends on can be left unnamed. `same`: when two of the other arguments are one (identity, unless said).
 */
export function once<A extends object, B extends readonly unknown[], R>(
  find: (first: A, ...others: B) => R,
  same: (a: unknown, b: unknown) => boolean = Object.is,
): (first: A, ...others: B) => R {
  const known = new WeakMap<A, { readonly others: B; readonly found: R }>();
  return (first, ...others) => {
    const before = known.get(first);
    if (before && before.others.every((other, i) => same(other, others[i]))) return before.found;
    const found = find(first, ...others);
    known.set(first, { others, found });
    return found;
  };
}

/** As `once`, with so many calls kept of each first argument: those that were asked for last. */
export function latest<A extends object, B extends readonly unknown[], R>(
  count: number,
  find: (first: A, ...others: B) => R,
  same: (a: unknown, b: unknown) => boolean = Object.is,
): (first: A, ...others: B) => R {
  const known = new WeakMap<A, { readonly others: B; readonly found: R }[]>();
  return (first, ...others) => {
    const all = known.get(first) ?? [];
    known.set(first, all);
    const at = all.findIndex((one) => one.others.every((other, i) => same(other, others[i])));
    const one = at < 0 ? { others, found: find(first, ...others) } : all.splice(at, 1)[0]!;
    all.push(one);
    if (all.length > count) all.shift();
    return one.found;
  };
}
