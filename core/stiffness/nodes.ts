import type { Model } from '../model/model';

type Nodes = Model['nodes'];

/** The place of each node in its list, by name. */
export const indexOf = (nodes: Nodes): Map<string, number> => new Map(nodes.map((node, i) => [node.id, i]));

/** 3n: X, Y, Z. Where those of other nodes are known (`former`), only the nodes in the places `moved` are written anew. */
export function coordinatesOf(nodes: Nodes, former?: Float64Array, moved?: readonly number[]): Float64Array {
  const coordinates = former?.slice() ?? new Float64Array(3 * nodes.length);
  for (const i of moved ?? nodes.keys()) {
    const { x, y, z = 0 } = nodes[i]!;
    coordinates[3 * i] = x;
    coordinates[3 * i + 1] = y;
    coordinates[3 * i + 2] = z;
  }
  return coordinates;
}
