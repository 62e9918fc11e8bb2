import type { Graph } from './graph';

/**
 * order = minimum degree (graph): order[k] is the vertex eliminated k-th; `weights` are the sizes of the vertices. Quotient graph
 * with element absorption, approximate degrees by set differences, indistinguishable vertices merged (Amestoy, Davis and Duff,
 * SIAM J. Matrix Anal. Appl. 17, 1996). `classes`: no vertex is eliminated before those of a lower class.
 */
export function minimumDegree(
  graph: Graph,
  weights: Int32Array = new Int32Array(graph.size).fill(1),
  classes: Uint8Array = new Uint8Array(graph.size),
): Int32Array {
  const n = graph.size;
  /** Variables next to a variable; elements it belongs to; variables of an element. Lists are replaced as they shrink. */
  const adjacent: number[][] = new Array<number[]>(n);
  const elements: number[][] = new Array<number[]>(n);
  const members: (number[] | undefined)[] = new Array<number[] | undefined>(n);
  /** Weight of a principal variable with all that was merged into it; 0 once merged or eliminated. */
  const weight = weights.slice();
  const merged: number[][] = new Array<number[]>(n);
  const degrees = new Int32Array(n);
  for (let v = 0; v < n; v++) {
    adjacent[v] = Array.from(graph.neighbours.subarray(graph.pointers[v], graph.pointers[v + 1]));
    elements[v] = [];
    merged[v] = [v];
    let degree = 0;
    for (const u of adjacent[v]!) degree += weight[u]!;
    degrees[v] = degree;
  }
  const buckets = new DegreeBuckets(n, degrees);
  const byClass: number[][] = [];
  for (let v = n - 1; v >= 0; v--) (byClass[classes[v]!] ??= []).push(v);
  let [current, waiting] = [-1, 0];
  const order = new Int32Array(n);
  const mark = new Int32Array(n);
  const outside = new Int32Array(n);
  const seen = new Int32Array(n);
  const elementWeight = new Int32Array(n);
  const gone = new Uint8Array(n);
  let [placed, stamp, left] = [0, 0, weight.reduce((a, b) => a + b, 0)];

  while (placed < n) {
    while (waiting === 0) {
      current++;
      for (const v of byClass[current] ?? [])
        if (!gone[v]) {
          buckets.put(v, degrees[v]!);
          waiting++;
        }
    }
    const pivot = buckets.takeSmallest();
    waiting--;
    gone[pivot] = 1;
    for (const v of merged[pivot]!) order[placed++] = v;
    left -= weight[pivot]!;
    weight[pivot] = 0;
    stamp++;
    // The new element: what the pivot sees directly and through its elements, which it absorbs.
    const front: number[] = [];
    let size = 0;
    const gather = (v: number): void => {
      if (weight[v] === 0 || mark[v] === stamp) return;
      mark[v] = stamp;
      front.push(v);
      size += weight[v]!;
    };
    adjacent[pivot]!.forEach(gather);
    for (const e of elements[pivot]!) {
      members[e]?.forEach(gather);
      members[e] = undefined;
    }
    members[pivot] = front;
    elementWeight[pivot] = size;
    adjacent[pivot] = elements[pivot] = [];

    // outside[e]: weight of element e that is not in the front.
    for (const v of front) {
      for (const e of elements[v]!) {
        if (!members[e]) continue;
        if (seen[e] !== stamp) {
          seen[e] = stamp;
          outside[e] = elementWeight[e]!;
        }
        outside[e]! -= weight[v]!;
      }
    }
    const alike = new Map<number, number[]>();
    for (const v of front) {
      const keptElements: number[] = [];
      let degree = size - weight[v]!;
      let hash = 0;
      for (const e of elements[v]!) {
        if (!members[e]) continue;
        // Aggressive absorption: an element inside the front says nothing more.
        if (outside[e] === 0) {
          members[e] = undefined;
          continue;
        }
        keptElements.push(e);
        degree += outside[e]!;
        hash += e;
      }
      keptElements.push(pivot);
      const keptAdjacent: number[] = [];
      for (const u of adjacent[v]!) {
        if (weight[u] === 0 || mark[u] === stamp) continue;
        keptAdjacent.push(u);
        degree += weight[u]!;
        hash += u;
      }
      elements[v] = keptElements;
      adjacent[v] = keptAdjacent;
      degrees[v] = Math.min(degree, degrees[v]! + size - weight[v]!, left - weight[v]!);
      const key = hash * 8 + Math.min(7, keptElements.length + keptAdjacent.length);
      const group = alike.get(key);
      if (group) group.push(v);
      else alike.set(key, [v]);
    }
    for (const group of alike.values()) if (group.length > 1) mergeAlike(group);
    const live: number[] = [];
    for (const v of front) {
      if (weight[v] === 0) continue;
      live.push(v);
      if (classes[v] === current) buckets.move(v, degrees[v]!);
    }
    members[pivot] = live;
  }
  return order;

  /** Variables with the same neighbours and elements will be eliminated together: one stands for all. */
  function mergeAlike(group: number[]): void {
    for (let i = 0; i < group.length; i++) {
      const v = group[i]!;
      if (weight[v] === 0) continue;
      let marked = false;
      for (let j = i + 1; j < group.length; j++) {
        const u = group[j]!;
        if (
          weight[u] === 0 ||
          classes[u] !== classes[v] ||
          elements[u]!.length !== elements[v]!.length ||
          adjacent[u]!.length !== adjacent[v]!.length
        )
          continue;
        if (!marked) {
          stamp++;
          for (const e of elements[v]!) seen[e] = stamp;
          for (const a of adjacent[v]!) mark[a] = stamp;
          marked = true;
        }
        if (!elements[u]!.every((e) => seen[e] === stamp) || !adjacent[u]!.every((a) => mark[a] === stamp)) continue;
        degrees[v]! -= weight[u]!;
        weight[v]! += weight[u]!;
        weight[u] = 0;
        merged[v]!.push(...merged[u]!);
        merged[u] = adjacent[u] = elements[u] = [];
        gone[u] = 1;
        if (classes[u] === current) {
          buckets.remove(u);
          waiting--;
        }
      }
    }
  }
}

/** Vertices in doubly linked lists by degree; the smallest degree is found by a moving finger. */
class DegreeBuckets {
  private readonly heads: Int32Array;
  private readonly next: Int32Array;
  private readonly previous: Int32Array;
  private readonly degrees: Int32Array;
  private smallest = 0;

  constructor(size: number, degrees: Int32Array) {
    const largest = degrees.reduce((a, b) => Math.max(a, b), size);
    this.heads = new Int32Array(largest + 1).fill(-1);
    this.next = new Int32Array(size).fill(-1);
    this.previous = new Int32Array(size).fill(-1);
    this.degrees = new Int32Array(size);
  }

  move(v: number, degree: number): void {
    this.remove(v);
    this.put(v, degree);
  }

  takeSmallest(): number {
    while (this.heads[this.smallest]! < 0) this.smallest++;
    const v = this.heads[this.smallest]!;
    this.remove(v);
    return v;
  }

  remove(v: number): void {
    const [before, after] = [this.previous[v]!, this.next[v]!];
    if (before >= 0) this.next[before] = after;
    else this.heads[this.degrees[v]!] = after;
    if (after >= 0) this.previous[after] = before;
  }

  put(v: number, degree: number): void {
    const bounded = Math.min(Math.max(0, degree), this.heads.length - 1);
    const head = this.heads[bounded]!;
    this.degrees[v] = bounded;
    this.next[v] = head;
    this.previous[v] = -1;
    if (head >= 0) this.previous[head] = v;
    this.heads[bounded] = v;
    if (bounded < this.smallest) this.smallest = bounded;
  }
}
