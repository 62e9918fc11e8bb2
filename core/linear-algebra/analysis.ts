import type { Graph } from './graph';
import { minimumDegree } from './minimum-degree';
import { fillOf, nestedDissection, ranks } from './nested-dissection';

/**
 * What can be known of a factor from the pattern alone. Unknowns come in blocks (the free freedoms of a node); the blocks are
 * eliminated in postorder of the elimination tree, in supernodes: runs of columns with the same rows below them.
 */
export interface Analysis {
  /** Number of unknowns. */
  readonly size: number;
  /** By block: its first unknown; blocks without unknowns have -1. */
  readonly firstUnknown: Int32Array;
  readonly supernodes: number;
  /** By supernode, length supernodes + 1: its first unknown. Its pivots are the unknowns up to the next one's first. */
  readonly firstPivot: Int32Array;
  /** Rows of supernode s, pivots first, then the border below them: `rows[rowPointers[s]…rowPointers[s+1]-1]`, ascending. */
  readonly rowPointers: Int32Array;
  readonly rows: Int32Array;
  /** By entry of `rows`: for a border row its place among the parent's rows. */
  readonly places: Int32Array;
  /** By supernode, -1 at a root. */
  readonly parents: Int32Array;
  /** Numbers that the factor, and the stack of border matrices at its highest, take. */
  readonly factorLength: number;
  readonly stackLength: number;
  /** Floating-point operations of the numeric factorization. */
  readonly work: number;
}

/** From this many operations on, dissection is worth its own time. */
const MUCH_WORK = 1e9;

/** So many blocks that fill a volume so far have their cheaper factor by dissection, without a trial. */
const MANY = 1200;
const VOLUME = 0.45;

/**
 * Orders the blocks so that the factor stays sparse, and finds its supernodes. `weights`: unknowns of each block. Where `places`
 * (three coordinates a block) are given, large systems are ordered by dissection too, and the cheaper factor is taken; those that fill a
 * volume by dissection alone.
 */
export function analyse(graph: Graph, weights: Int32Array, places?: Float64Array): Analysis {
  const steps = places && graph.size > MANY ? ranks(places) : undefined;
  if (steps && fillOf(steps) > VOLUME) return analyseOrder(graph, weights, nestedDissection(graph, weights, places!, steps));
  const first = analyseOrder(graph, weights, minimumDegree(graph, weights));
  if (!places || first.work < MUCH_WORK) return first;
  const second = analyseOrder(graph, weights, nestedDissection(graph, weights, places));
  return second.work < first.work ? second : first;
}

function analyseOrder(graph: Graph, weights: Int32Array, order: Int32Array): Analysis {
  const parents = eliminationTree(graph, order);
  const postorder = postordered(parents, subtreeSizes(parents));
  const final = postorder.map((k) => order[k]!);
  const structure = blockStructure(graph, final);
  const groups = amalgamated(structure, final, weights);
  return expand(groups, structure, final, weights);
}

/** parents[k] of the k-th eliminated block (Liu, 1990). */
function eliminationTree(graph: Graph, order: Int32Array): Int32Array {
  const n = graph.size;
  const position = inverse(order);
  const parents = new Int32Array(n).fill(-1);
  const ancestor = new Int32Array(n).fill(-1);
  for (let k = 0; k < n; k++) {
    const v = order[k]!;
    for (let e = graph.pointers[v]!; e < graph.pointers[v + 1]!; e++) {
      let i = position[graph.neighbours[e]!]!;
      while (i < k) {
        const next = ancestor[i]!;
        ancestor[i] = k;
        if (next === -1) parents[i] = k;
        if (next === -1 || next === k) break;
        i = next;
      }
    }
  }
  return parents;
}

/** How many blocks hang below each: the child with most of them comes last, so that it can join its parent. */
function subtreeSizes(parents: Int32Array): Int32Array {
  const sizes = new Int32Array(parents.length).fill(1);
  for (let k = 0; k < parents.length; k++) if (parents[k]! >= 0) sizes[parents[k]!]! += sizes[k]!;
  return sizes;
}

function inverse(order: Int32Array): Int32Array {
  const position = new Int32Array(order.length);
  for (let k = 0; k < order.length; k++) position[order[k]!] = k;
  return position;
}

function postordered(parents: Int32Array, sizes: Int32Array): Int32Array {
  const n = parents.length;
  const children: number[][] = Array.from({ length: n }, () => []);
  const roots: number[] = [];
  for (let k = 0; k < n; k++) (parents[k]! >= 0 ? children[parents[k]!]! : roots).push(k);
  const result = new Int32Array(n);
  let placed = 0;
  const stack: { node: number; next: number }[] = [];
  for (const list of children) if (list.length > 1) list.sort((a, b) => sizes[a]! - sizes[b]!);
  for (const root of roots) {
    stack.push({ node: root, next: 0 });
    while (stack.length > 0) {
      const top = stack[stack.length - 1]!;
      const child = children[top.node]![top.next++];
      if (child !== undefined) stack.push({ node: child, next: 0 });
      else {
        result[placed++] = top.node;
        stack.pop();
      }
    }
  }
  return result;
}

/** By block in order of elimination: the blocks below it in its column of L, ascending, and its parent. */
interface BlockStructure {
  readonly parents: Int32Array;
  readonly below: readonly Int32Array[];
}

function blockStructure(graph: Graph, order: Int32Array): BlockStructure {
  const n = graph.size;
  const position = inverse(order);
  const parents = new Int32Array(n).fill(-1);
  const below = new Array<Int32Array>(n);
  const children: number[][] = Array.from({ length: n }, () => []);
  const mark = new Int32Array(n).fill(-1);
  for (let k = 0; k < n; k++) {
    const v = order[k]!;
    const rows: number[] = [];
    const gather = (i: number): void => {
      if (i <= k || mark[i] === k) return;
      mark[i] = k;
      rows.push(i);
    };
    for (let e = graph.pointers[v]!; e < graph.pointers[v + 1]!; e++) gather(position[graph.neighbours[e]!]!);
    for (const child of children[k]!) below[child]!.forEach(gather);
    below[k] = Int32Array.from(rows).sort();
    if (rows.length > 0) {
      parents[k] = below[k]![0]!;
      children[parents[k]!]!.push(k);
    }
  }
  return { parents, below };
}

/** A run of blocks that is factored as one dense matrix. */
interface Group {
  first: number;
  last: number;
  /** Unknowns of its blocks and of the blocks below. */
  pivots: number;
  border: number;
  /** Zeros that are stored because columns with different rows were put together. */
  zeros: number;
}

/**
 * Supernodes: a child joins its parent when that stores few zeros (Ashcraft and Grimes, 1989): small ones freely, since a few
 * operations on zeros cost less than handling one more matrix.
 */
function amalgamated({ parents, below }: BlockStructure, order: Int32Array, weights: Int32Array): Group[] {
  const groups: Group[] = [];
  for (let k = 0; k < order.length; k++) {
    const pivots = weights[order[k]!]!;
    if (pivots === 0) continue;
    let border = 0;
    for (const i of below[k]!) border += weights[order[i]!]!;
    let group: Group = { first: k, last: k, pivots, border, zeros: 0 };
    for (;;) {
      const child = groups[groups.length - 1];
      if (!child) break;
      const parent = parents[child.last]!;
      if (parent < group.first || parent > group.last) break;
      const columns = child.pivots + group.pivots;
      const zeros = child.zeros + group.zeros + child.pivots * (group.pivots + group.border - child.border);
      const stored = (columns * (columns + 1)) / 2 + columns * group.border;
      if (!joins(columns, zeros / stored)) break;
      groups.pop();
      group = { first: child.first, last: group.last, pivots: columns, border: group.border, zeros };
    }
    groups.push(group);
  }
  return groups;
}

const joins = (columns: number, zeros: number): boolean =>
  columns <= 12 || zeros < (columns <= 36 ? 0.12 : columns <= 72 ? 0.1 : 0.05);

function expand(groups: readonly Group[], { below }: BlockStructure, order: Int32Array, weights: Int32Array): Analysis {
  const firstUnknown = new Int32Array(order.length).fill(-1);
  const unknownOf = new Int32Array(order.length);
  const groupOf = new Int32Array(order.length).fill(-1);
  const count = groups.length;
  const firstPivot = new Int32Array(count + 1);
  const rowPointers = new Int32Array(count + 1);
  let size = 0;
  groups.forEach((group, s) => {
    firstPivot[s] = size;
    for (let k = group.first; k <= group.last; k++) {
      groupOf[k] = s;
      unknownOf[k] = size;
      if (weights[order[k]!]! > 0) firstUnknown[order[k]!] = size;
      size += weights[order[k]!]!;
    }
    rowPointers[s + 1] = rowPointers[s]! + group.pivots + group.border;
  });
  firstPivot[count] = size;
  const rows = new Int32Array(rowPointers[count]!);
  const parents = new Int32Array(count).fill(-1);
  groups.forEach((group, s) => {
    let at = rowPointers[s]!;
    for (let i = 0; i < group.pivots; i++) rows[at++] = firstPivot[s]! + i;
    for (const k of below[group.last]!) {
      if (parents[s] === -1 && weights[order[k]!]! > 0) parents[s] = groupOf[k]!;
      for (let i = 0; i < weights[order[k]!]!; i++) rows[at++] = unknownOf[k]! + i;
    }
  });
  return {
    size,
    firstUnknown,
    supernodes: count,
    firstPivot,
    rowPointers,
    rows,
    parents,
    places: placesInParents(count, firstPivot, rowPointers, rows, parents),
    ...lengths(count, firstPivot, rowPointers, parents),
  };
}

function placesInParents(
  count: number,
  firstPivot: Int32Array,
  rowPointers: Int32Array,
  rows: Int32Array,
  parents: Int32Array,
): Int32Array {
  const places = new Int32Array(rows.length);
  for (let s = 0; s < count; s++) {
    const parent = parents[s]!;
    if (parent < 0) continue;
    let p = rowPointers[parent]!;
    for (let k = rowPointers[s]! + firstPivot[s + 1]! - firstPivot[s]!; k < rowPointers[s + 1]!; k++) {
      while (rows[p] !== rows[k]) p++;
      places[k] = p - rowPointers[parent]!;
    }
  }
  return places;
}

function lengths(
  count: number,
  firstPivot: Int32Array,
  rowPointers: Int32Array,
  parents: Int32Array,
): { factorLength: number; stackLength: number; work: number } {
  let [factorLength, stackLength, stack, work] = [0, 0, 0, 0];
  const waiting = new Float64Array(count);
  for (let s = 0; s < count; s++) {
    const pivots = firstPivot[s + 1]! - firstPivot[s]!;
    const front = rowPointers[s + 1]! - rowPointers[s]!;
    const border = front - pivots;
    factorLength += front * pivots;
    work += pivots * (border * border + border * pivots + (pivots * pivots) / 3);
    stackLength = Math.max(stackLength, stack + border * border);
    stack += border * border - waiting[s]!;
    if (parents[s]! >= 0) waiting[parents[s]!]! += border * border;
  }
  return { factorLength, stackLength, work };
}
