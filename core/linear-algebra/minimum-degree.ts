/** The neighbours of vertex v are `neighbours[pointers[v]…pointers[v+1]-1]`, each pair listed both ways, without loops. */
export interface Graph {
  readonly size: number;
  readonly pointers: Int32Array;
  readonly neighbours: Int32Array;
}

/** The graph with an edge for each pair; pairs of equal vertices are dropped, repeated ones kept once. */
export function graphOfPairs(size: number, pairs: Int32Array): Graph {
  const sets: Set<number>[] = Array.from({ length: size }, () => new Set());
  for (let k = 0; k + 1 < pairs.length; k += 2) {
    const [a, b] = [pairs[k]!, pairs[k + 1]!];
    if (a === b) continue;
    sets[a]!.add(b);
    sets[b]!.add(a);
  }
  const pointers = new Int32Array(size + 1);
  sets.forEach((set, v) => (pointers[v + 1] = pointers[v]! + set.size));
  return { size, pointers, neighbours: Int32Array.from(sets.flatMap((set) => [...set])) };
}

/**
 * order = minimum degree (graph): order[k] is the vertex eliminated k-th. Quotient graph with element absorption; the degree is
 * the usual upper bound, the sum of the sizes of the elements that a vertex belongs to (George and Liu, 1989; Amestoy et al., 1996).
 */
export function minimumDegree(graph: Graph): Int32Array {
  const { size } = graph;
  const vertices: number[][] = Array.from({ length: size }, (_, v) =>
    Array.from(graph.neighbours.subarray(graph.pointers[v], graph.pointers[v + 1])),
  );
  const elements: number[][] = Array.from({ length: size }, () => []);
  const members: number[][] = Array.from({ length: size }, () => []);
  const buckets = new DegreeBuckets(size);
  for (let v = 0; v < size; v++) buckets.put(v, vertices[v]!.length);
  const order = new Int32Array(size);
  const mark = new Int32Array(size).fill(-1);

  for (let step = 0; step < size; step++) {
    const pivot = buckets.takeSmallest();
    order[step] = pivot;
    mark[pivot] = step;
    const front: number[] = [];
    const gather = (v: number): void => {
      if (mark[v] === step) return;
      mark[v] = step;
      front.push(v);
    };
    vertices[pivot]!.forEach(gather);
    for (const element of elements[pivot]!) {
      members[element]!.forEach(gather);
      members[element] = [];
    }
    const absorbed = new Set(elements[pivot]);
    members[pivot] = front;
    for (const v of front) {
      vertices[v] = vertices[v]!.filter((u) => mark[u] !== step);
      elements[v] = elements[v]!.filter((e) => !absorbed.has(e));
      elements[v]!.push(pivot);
    }
    for (const v of front) {
      let degree = vertices[v]!.length;
      for (const e of elements[v]!) degree += members[e]!.length - 1;
      buckets.move(v, Math.min(degree, size - step - 2));
    }
  }
  return order;
}

/** Vertices in doubly linked lists by degree; the smallest degree is found by a moving finger. */
class DegreeBuckets {
  private readonly heads: Int32Array;
  private readonly next: Int32Array;
  private readonly previous: Int32Array;
  private readonly degrees: Int32Array;
  private smallest = 0;

  constructor(size: number) {
    this.heads = new Int32Array(size + 1).fill(-1);
    this.next = new Int32Array(size).fill(-1);
    this.previous = new Int32Array(size).fill(-1);
    this.degrees = new Int32Array(size);
  }

  put(v: number, degree: number): void {
    const bounded = Math.max(0, degree);
    const head = this.heads[bounded]!;
    this.degrees[v] = bounded;
    this.next[v] = head;
    this.previous[v] = -1;
    if (head >= 0) this.previous[head] = v;
    this.heads[bounded] = v;
    if (bounded < this.smallest) this.smallest = bounded;
  }

  move(v: number, degree: number): void {
    this.unlink(v);
    this.put(v, degree);
  }

  takeSmallest(): number {
    while (this.heads[this.smallest]! < 0) this.smallest++;
    const v = this.heads[this.smallest]!;
    this.unlink(v);
    return v;
  }

  private unlink(v: number): void {
    const [before, after] = [this.previous[v]!, this.next[v]!];
    if (before >= 0) this.next[before] = after;
    else this.heads[this.degrees[v]!] = after;
    if (after >= 0) this.previous[after] = before;
  }
}
