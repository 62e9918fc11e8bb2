import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { condenseLoads } from './condensation';
import type { MemberLoads } from './equivalent-loads';
import { MATRIX_WIDTH, type MemberMatrices } from './member-matrices';
import type { Numbering } from './numbering';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from './structure';
import { addToNodes, toOwnAxes } from './transformation';

const N = MEMBER_FREEDOMS;

/** A motion of one node that nothing resists; held by a stiffness along it whose force must come out as zero. */
export interface Brake {
  readonly node: number;
  /** 6 components in the node's own axes. */
  readonly motion: Float64Array;
  readonly stiffness: number;
}

/** The lower triangle's pattern: each node's columns hold its own unknowns and those of the neighbours numbered behind it. */
function emptyMatrix(s: Structure, { unknowns, size, graph, analysis }: Numbering): SparseSymmetric {
  const owned = (node: number): number[] => s.active.map((k) => unknowns[FREEDOMS * node + k]!).filter((u) => u >= 0);
  const unknownsOf = Array.from({ length: nodeCount(s) }, (_, i) => owned(i));
  const pointers = new Int32Array(size + 1);
  const columns: number[][] = [];
  for (let node = 0; node < graph.size; node++) {
    const first = analysis.firstUnknown[node]!;
    if (first < 0) continue;
    const behind: number[] = [];
    for (let e = graph.pointers[node]!; e < graph.pointers[node + 1]!; e++) {
      const other = graph.neighbours[e]!;
      if (analysis.firstUnknown[other]! > first) behind.push(other);
    }
    behind.sort((a, b) => analysis.firstUnknown[a]! - analysis.firstUnknown[b]!);
    const rows = unknownsOf[node]!.concat(...behind.map((other) => unknownsOf[other]!));
    unknownsOf[node]!.forEach((unknown, k) => {
      columns[unknown] = rows;
      pointers[unknown + 1] = rows.length - k;
    });
  }
  for (let j = 0; j < size; j++) pointers[j + 1]! += pointers[j]!;
  const rows = new Int32Array(pointers[size]!);
  columns.forEach((column, j) => {
    const skipped = column.length - (pointers[j + 1]! - pointers[j]!);
    for (let k = skipped; k < column.length; k++) rows[pointers[j]! + k - skipped] = column[k]!;
  });
  return { size, pointers, rows, values: new Float64Array(rows.length) };
}

const patterns = new WeakMap<Numbering, SparseSymmetric>();

/** K over the unknowns: members, sprung supports and brakes. The pattern of a numbering is found once. */
export function assembleStiffness(
  s: Structure,
  matrices: MemberMatrices,
  numbering: Numbering,
  brakes: readonly Brake[],
): SparseSymmetric {
  let pattern = patterns.get(numbering);
  if (!pattern) patterns.set(numbering, (pattern = emptyMatrix(s, numbering)));
  const K = { ...pattern, values: new Float64Array(pattern.rows.length) };
  const { unknowns } = numbering;
  for (let m = 0; m < memberCount(s); m++) {
    const [start, end] = [s.memberNodes[2 * m]!, s.memberNodes[2 * m + 1]!];
    const o = MATRIX_WIDTH * m;
    addBlock(K, s, numbering, start, start, matrices.nodal, o, N);
    addBlock(K, s, numbering, end, end, matrices.nodal, o + 6 * N + 6, N);
    addBlock(K, s, numbering, start, end, matrices.nodal, o + 6, N);
  }
  for (let f = 0; f < unknowns.length; f++) {
    const unknown = unknowns[f]!;
    if (unknown >= 0) K.values[K.pointers[unknown]!]! += s.restraints[f]!;
  }
  for (const { node, motion, stiffness } of brakes) {
    const block = new Float64Array(FREEDOMS * FREEDOMS);
    for (let i = 0; i < FREEDOMS; i++)
      for (let j = 0; j < FREEDOMS; j++) block[FREEDOMS * i + j] = stiffness * motion[i]! * motion[j]!;
    addBlock(K, s, numbering, node, node, block, 0, FREEDOMS);
  }
  return K;
}

/** Adds a 6 × 6 block (rows of node a, columns of node b, at `o` with row length `width`) to the lower triangle. */
function addBlock(
  K: SparseSymmetric,
  s: Structure,
  { unknowns, analysis }: Numbering,
  a: number,
  b: number,
  block: Float64Array,
  o: number,
  width: number,
): void {
  const [firstA, firstB] = [analysis.firstUnknown[a]!, analysis.firstUnknown[b]!];
  if (firstA < 0 || firstB < 0) return;
  const { active } = s;
  // The node that is numbered first owns the columns.
  const flipped = firstA < firstB;
  const [rowNode, columnNode] = flipped ? [b, a] : [a, b];
  const firstRow = Math.max(firstA, firstB);
  const offset = placeOf(K, firstRow, Math.min(firstA, firstB)) - K.pointers[Math.min(firstA, firstB)]!;
  let column = 0;
  for (let jj = 0; jj < active.length; jj++) {
    const kc = active[jj]!;
    const unknown = unknowns[FREEDOMS * columnNode + kc]!;
    if (unknown < 0) continue;
    // Each column of the node begins one row later than the one before.
    const place = K.pointers[unknown]! + offset - column - firstRow;
    column++;
    for (let ii = 0; ii < active.length; ii++) {
      const kr = active[ii]!;
      const row = unknowns[FREEDOMS * rowNode + kr]!;
      if (row < unknown) continue;
      K.values[place + row]! += flipped ? block[o + kc * width + kr]! : block[o + kr * width + kc]!;
    }
  }
}

/** The place of entry (row, column) in the pattern. */
function placeOf(K: SparseSymmetric, row: number, column: number): number {
  let [low, high] = [K.pointers[column]!, K.pointers[column + 1]! - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (K.rows[middle]! < row) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Imposed movements of case c at every freedom (6n, nodes' axes): settlements of fixed freedoms, zero elsewhere. */
export function imposedMovements(s: Structure, c: number): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  const imposed = new Float64Array(count);
  for (let f = 0; f < count; f++) if (s.restraints[f] === Infinity) imposed[f] = s.settlements[c * count + f]!;
  return imposed;
}

/** Loads on the nodes in case c (6n, nodes' axes); not to be written to. */
export function loadsOnNodes(s: Structure, c: number): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  const inGlobalAxes = s.nodeLoads.subarray(c * count, (c + 1) * count);
  if (s.turns.size === 0) return inGlobalAxes;
  const p = inGlobalAxes.slice();
  toOwnAxes(s, p);
  return p;
}

/**
 * Loads of case c on all freedoms (6n, nodes' axes): on nodes, from members (`onMembers`), and from sprung supports whose ground
 * moves.
 */
export function nodalLoads(s: Structure, matrices: MemberMatrices, c: number, onMembers: MemberLoads): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  const p = loadsOnNodes(s, c).slice();
  for (let f = 0; f < count; f++) {
    const movement = s.settlements[c * count + f]!;
    if (movement !== 0 && s.restraints[f] !== Infinity) p[f]! += s.restraints[f]! * movement;
  }
  const local = new Float64Array(N);
  for (let m = 0; m < memberCount(s); m++) {
    const at = onMembers.at[m]!;
    if (at < 0) continue;
    for (let i = 0; i < N; i++) local[i] = onMembers.values[at + i]!;
    const condensed = matrices.condensed[m];
    if (condensed) condenseLoads(condensed, local);
    addToNodes(s, m, matrices.transforms[m], local, 0, p);
  }
  return p;
}

/** The right-hand side of case c over the unknowns: loads less what the imposed movements call up. */
export function rightHandSide(
  s: Structure,
  matrices: MemberMatrices,
  numbering: Numbering,
  loads: Float64Array,
  imposed: Float64Array,
): Float64Array {
  const { unknowns } = numbering;
  const b = new Float64Array(numbering.size);
  for (let f = 0; f < unknowns.length; f++) if (unknowns[f]! >= 0) b[unknowns[f]!] = loads[f]!;
  if (imposed.every((movement) => movement === 0)) return b;
  for (let m = 0; m < memberCount(s); m++) {
    for (let j = 0; j < N; j++) {
      const movement = imposed[freedomOf(s, m, j)]!;
      if (movement === 0) continue;
      for (let i = 0; i < N; i++) {
        const unknown = unknowns[freedomOf(s, m, i)]!;
        if (unknown >= 0) b[unknown]! -= matrices.nodal[MATRIX_WIDTH * m + i * N + j]! * movement;
      }
    }
  }
  return b;
}

/** The place of freedom i (0…11) of member m among the freedoms of all nodes. */
export const freedomOf = (s: Structure, m: number, i: number): number =>
  FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]! + (i % FREEDOMS);
