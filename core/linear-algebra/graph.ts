/** The neighbours of vertex v are `neighbours[pointers[v]…pointers[v+1]-1]`, ascending, each pair listed both ways, without loops. */
export interface Graph {
  readonly size: number;
  readonly pointers: Int32Array;
  readonly neighbours: Int32Array;
}

/** The graph with an edge for each pair that `joins`; pairs of equal vertices are dropped, repeated ones kept once. */
export function graphOfPairs(size: number, pairs: Int32Array, joins: (vertex: number) => boolean = () => true): Graph {
  const kept: number[] = [];
  for (let k = 0; k + 1 < pairs.length; k += 2)
    if (pairs[k] !== pairs[k + 1] && joins(pairs[k]!) && joins(pairs[k + 1]!)) kept.push(pairs[k]!, pairs[k + 1]!);
  // Two bucket passes: the second goes through the owners in ascending order, so every list ends up sorted.
  const first = bucket(size, kept, (k) => kept[k ^ 1]!);
  let owner = 0;
  const second = bucket(size, first.targets, (k) => {
    while (first.pointers[owner + 1]! <= k) owner++;
    return owner;
  });
  return unique(size, second.pointers, second.targets);
}

/** Groups `target(k)` by the vertex `keys[k]`, in the order of k. */
function bucket(
  size: number,
  keys: ArrayLike<number>,
  target: (k: number) => number,
): { pointers: Int32Array; targets: Int32Array } {
  const pointers = new Int32Array(size + 1);
  for (let k = 0; k < keys.length; k++) pointers[keys[k]! + 1]!++;
  for (let v = 0; v < size; v++) pointers[v + 1]! += pointers[v]!;
  const next = pointers.slice();
  const targets = new Int32Array(keys.length);
  for (let k = 0; k < keys.length; k++) targets[next[keys[k]!]!++] = target(k);
  return { pointers, targets };
}

function unique(size: number, pointers: Int32Array, targets: Int32Array): Graph {
  const kept = new Int32Array(size + 1);
  let length = 0;
  for (let v = 0; v < size; v++) {
    const start = length;
    for (let k = pointers[v]!; k < pointers[v + 1]!; k++) {
      if (length === start || targets[length - 1] !== targets[k]) targets[length++] = targets[k]!;
    }
    kept[v + 1] = length;
  }
  return { size, pointers: kept, neighbours: targets.slice(0, length) };
}
