/** Gives names that are given once: one that is taken gets a dash, as often as it takes. `given` are taken already. */
export function uniqueNames(given: Iterable<string>): (name: string) => string {
  const taken = new Set(given);
  return (name) => {
    let id = name;
    while (taken.has(id)) id += '′';
    taken.add(id);
    return id;
  };
}
