import { once } from '../once';
import { sameNumbers } from '../linear-algebra/same-numbers';
import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { condenseLoads } from './condensation';
import type { MemberLoads } from './equivalent-loads';
import { keptEntries } from './kept-entries';
import { addNodal, isBare } from './nodal-table';
import { nodalEntry, type MemberMatrices } from './member-matrices';
import type { Numbering } from './numbering';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from './structure';
import { addToNode, toOwnAxes } from './transformation';

const N = MEMBER_FREEDOMS;

/** A motion of one node that nothing resists; held by a stiffness along it whose force must come out as zero. */
export interface ArtificialRestraint {
  readonly node: number;
  /** 6 components in the node's own axes. */
  readonly motion: Float64Array;
  readonly stiffness: number;
}

/** The lower triangle's pattern: each node's columns hold its own unknowns and those of the neighbours numbered behind it. */
function emptyMatrix({ unknowns, size, graph, analysis }: Numbering): SparseSymmetric {
  const owned = (node: number): number[] =>
    Array.from(unknowns.subarray(FREEDOMS * node, FREEDOMS * (node + 1))).filter((unknown) => unknown >= 0);
  const unknownsOf = Array.from({ length: graph.size }, (_, i) => owned(i));
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

/** Where the entries of the members' matrices go in the values of K. */
interface Scatter {
  readonly pattern: SparseSymmetric;
  /**
   * Member m has the entries `first[m]…first[m+1]-1` of the next two: from a place among its kept entries to a place among the values.
   */
  readonly first: Int32Array;
  readonly from: Uint8Array;
  readonly to: Int32Array;
}

const patternOf = once(emptyMatrix);

/** It stays while the members join the same nodes in the same freedoms, in the plane or in space. */
export const scatterOf = (s: Structure, numbering: Numbering): Scatter => scattered(numbering, s.memberNodes, s.active);

const sameList = (a: unknown, b: unknown): boolean =>
  a === b || (a instanceof Int32Array && b instanceof Int32Array && sameNumbers(a, b));

type Joined = Pick<Structure, 'memberNodes' | 'active'>;

const scattered = once((numbering: Numbering, memberNodes: Int32Array, active: Structure['active']): Scatter => {
  const s: Joined = { memberNodes, active };
  const pattern = patternOf(numbering);
  const members = memberNodes.length / 2;
  const most = keptEntries(s).width;
  const entries = {
    first: new Int32Array(members + 1),
    from: new Uint8Array(most * members),
    to: new Int32Array(most * members),
  };
  const scattering = { K: pattern, s, numbering, entries };
  let count = 0;
  for (let m = 0; m < members; m++) {
    const start = s.memberNodes[2 * m]!;
    const end = s.memberNodes[2 * m + 1]!;
    count = addBlock(scattering, start, start, 0, count);
    count = addBlock(scattering, end, end, 6 * N + 6, count);
    count = addBlock(scattering, start, end, 6, count);
    entries.first[m + 1] = count;
  }
  return { pattern, ...entries };
}, sameList);

/** What a scatter is made of. */
interface Scattering {
  readonly K: SparseSymmetric;
  readonly s: Joined;
  readonly numbering: Numbering;
  readonly entries: Pick<Scatter, 'from' | 'to'>;
}

/** Lists the entries of a 6 × 6 block (rows of node a, columns of node b, at `o` of a member's matrix) in the lower triangle. */
function addBlock(scattering: Scattering, a: number, b: number, o: number, count: number): number {
  const { K, s, numbering, entries } = scattering;
  const { unknowns, analysis } = numbering;
  const { from, to } = entries;
  const [firstA, firstB] = [analysis.firstUnknown[a]!, analysis.firstUnknown[b]!];
  if (firstA < 0 || firstB < 0) return count;
  const { active } = s;
  const { places } = keptEntries(s);
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
      to[count] = place + row;
      from[count++] = places[flipped ? o + kc * N + kr : o + kr * N + kc]!;
    }
  }
  return count;
}

/**
 * Any matrix of the members over the unknowns, from what each gives to its two nodes (`nodal`, as `MemberMatrices` has it): stiffness, geometric
 * stiffness, mass. The pattern of a numbering is found once, and is the same for all.
 */
function assembleBlocks(s: Structure, nodal: Float64Array, numbering: Numbering): SparseSymmetric {
  const { width } = keptEntries(s);
  const { pattern, first, from, to } = scatterOf(s, numbering);
  const values = new Float64Array(pattern.rows.length);
  const K = { ...pattern, values };
  const members = memberCount(s);
  for (let m = 0; m < members; m++) {
    const o = width * m;
    for (let e = first[m]!; e < first[m + 1]!; e++) values[to[e]!]! += nodal[o + from[e]!]!;
  }
  return K;
}

/** K over the unknowns: members, sprung supports and artificial restraints. */
export function assembleStiffness(
  s: Structure,
  { nodal }: Pick<MemberMatrices, 'nodal'>,
  numbering: Numbering,
  artificialRestraints: readonly ArtificialRestraint[],
): SparseSymmetric {
  const K = assembleBlocks(s, nodal, numbering);
  const { values } = K;
  const { freedoms, unknowns } = numbering;
  for (let u = 0; u < freedoms.length; u++) values[K.pointers[u]!]! += s.restraints[freedoms[u]!]!;
  for (const { node, motion, stiffness } of artificialRestraints)
    for (const i of s.active)
      for (const j of s.active) {
        const [row, column] = [unknowns[FREEDOMS * node + i]!, unknowns[FREEDOMS * node + j]!];
        if (column >= 0 && row >= column) values[placeOf(K, row, column)]! += stiffness * motion[i]! * motion[j]!;
      }
  return K;
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

/** Imposed displacements of case c at every freedom (6n, nodes' axes): settlements of fixed freedoms, zero elsewhere, in zeros. Undefined where nothing is imposed. */
export function imposedDisplacements(
  s: Structure,
  c: number,
  imposed: Float64Array = new Float64Array(FREEDOMS * nodeCount(s)),
): Float64Array | undefined {
  if (isBare(s.settlements, c)) return undefined;
  addNodal(s.settlements, c, imposed);
  for (let f = 0; f < imposed.length; f++) if (s.restraints[f] !== Infinity) imposed[f] = 0;
  return imposed;
}

/** Loads on the nodes in case c (6n, nodes' axes). */
export function loadsOnNodes(s: Structure, c: number): Float64Array {
  const p = new Float64Array(FREEDOMS * nodeCount(s));
  addNodal(s.nodeLoads, c, p);
  if (s.supportRotations.size > 0 && !isBare(s.nodeLoads, c)) toOwnAxes(s, p);
  return p;
}

/** Displacements of the ground in case c (6n, nodes' axes). */
export function groundOf(s: Structure, c: number): Float64Array {
  const ground = new Float64Array(FREEDOMS * nodeCount(s));
  addNodal(s.settlements, c, ground);
  return ground;
}

/** The loads of a case as they were (6n), and the nodes (n) at which they may differ by now. */
export interface FormerNodalLoads {
  readonly loads: Float64Array;
  readonly touched: Uint8Array;
  /** Whether they may be written over. */
  readonly recycle: boolean;
}

/**
 * Loads of case c on all freedoms (6n, nodes' axes): on nodes, from members (`onMembers`), and from sprung supports whose ground
 * moves. What `former` has of other nodes than those touched is taken over.
 */
export function nodalLoads(
  s: Structure,
  matrices: MemberMatrices,
  c: number,
  onMembers: MemberLoads,
  former?: FormerNodalLoads,
): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  const p = !former ? new Float64Array(count) : former.recycle ? former.loads : former.loads.slice();
  const own = isBare(s.nodeLoads, c) ? undefined : loadsOnNodes(s, c);
  const ground = isBare(s.settlements, c) ? undefined : groundOf(s, c);
  const isDue = (node: number): boolean => !former || former.touched[node] === 1;
  for (let node = 0; node < nodeCount(s); node++) {
    if (!isDue(node)) continue;
    for (let f = FREEDOMS * node; f < FREEDOMS * (node + 1); f++) {
      p[f] = own ? own[f]! : 0;
      if (ground && ground[f] !== 0 && s.restraints[f] !== Infinity) p[f]! += s.restraints[f]! * ground[f]!;
    }
  }
  addMemberLoads(s, matrices, onMembers, p, isDue);
  return p;
}

/** Adds what members hand on of their loads to the forces on all freedoms (6n, nodes' axes), at the nodes that are due. */
export function addMemberLoads(
  s: Structure,
  matrices: MemberMatrices,
  onMembers: MemberLoads,
  p: Float64Array,
  isDue: (node: number) => boolean = () => true,
): void {
  const local = new Float64Array(N);
  const joined = { structure: s, transforms: matrices.transforms };
  const forces = { values: local, at: 0 };
  for (let slot = 0; slot < onMembers.members.length; slot++) {
    const m = onMembers.members[slot]!;
    const at = onMembers.starts[slot]!;
    const start = isDue(s.memberNodes[2 * m]!);
    const end = isDue(s.memberNodes[2 * m + 1]!);
    if (!start && !end) continue;
    for (let i = 0; i < N; i++) local[i] = onMembers.values[at + i]!;
    const condensed = matrices.condensed[m];
    if (condensed) condenseLoads(condensed, local);
    if (start) addToNode(joined, m, 0, forces, p);
    if (end) addToNode(joined, m, 1, forces, p);
  }
}

/** What drives a case: loads and imposed displacements at every freedom (6n, nodes' axes). */
export interface Driving {
  readonly loads: Float64Array;
  readonly imposed?: Float64Array | undefined;
}

/** The right-hand side of a case over the unknowns, written to `b`: loads less what the imposed displacements call up. */
export function rightHandSide(
  s: Structure,
  matrices: MemberMatrices,
  numbering: Numbering,
  { loads, imposed }: Driving,
  b: Float64Array = new Float64Array(numbering.size),
): Float64Array {
  const { unknowns, freedoms } = numbering;
  for (let u = 0; u < freedoms.length; u++) b[u] = loads[freedoms[u]!]!;
  if (!imposed) return b;
  const members = memberCount(s);
  for (let m = 0; m < members; m++) {
    for (let j = 0; j < N; j++) {
      const displacement = imposed[freedomOf(s, m, j)]!;
      if (displacement === 0) continue;
      for (let i = 0; i < N; i++) {
        const unknown = unknowns[freedomOf(s, m, i)]!;
        if (unknown >= 0) b[unknown]! -= nodalEntry(s, matrices, m, i, j) * displacement;
      }
    }
  }
  return b;
}

/** The place of freedom i (0…11) of member m among the freedoms of all nodes. */
export const freedomOf = (s: Structure, m: number, i: number): number =>
  FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]! + (i % FREEDOMS);
