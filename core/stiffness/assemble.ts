import { fromTriplets, type SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { condenseLoads } from './condensation';
import type { MemberMatrices } from './member-matrices';
import type { Numbering } from './numbering';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from './structure';
import { applyTransposed } from './transformation';

const N = MEMBER_FREEDOMS;

/** A motion of one node that nothing resists; held by a stiffness along it whose force must come out as zero. */
export interface Brake {
  readonly node: number;
  /** 3 components in the node's own axes. */
  readonly motion: Float64Array;
  readonly stiffness: number;
}

/** The place of local freedom i of member m among the freedoms of all nodes. */
export const freedomOf = (s: Structure, m: number, i: number): number =>
  FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]! + (i % FREEDOMS);

/** K over the unknowns: members, sprung supports and brakes. */
export function assembleStiffness(
  s: Structure,
  matrices: readonly MemberMatrices[],
  numbering: Numbering,
  brakes: readonly Brake[],
): SparseSymmetric {
  const { unknowns, size } = numbering;
  const capacity = memberCount(s) * 21 + FREEDOMS * nodeCount(s) + brakes.length * 6;
  const rows = new Int32Array(capacity);
  const columns = new Int32Array(capacity);
  const values = new Float64Array(capacity);
  let count = 0;
  const add = (i: number, j: number, value: number): void => {
    if (i < 0 || j < 0) return;
    rows[count] = i;
    columns[count] = j;
    values[count++] = value;
  };
  matrices.forEach(({ nodal }, m) => {
    for (let i = 0; i < N; i++)
      for (let j = i; j < N; j++) add(unknowns[freedomOf(s, m, i)]!, unknowns[freedomOf(s, m, j)]!, nodal[i * N + j]!);
  });
  for (let f = 0; f < unknowns.length; f++) if (unknowns[f]! >= 0) add(unknowns[f]!, unknowns[f]!, s.restraints[f]!);
  for (const { node, motion, stiffness } of brakes) {
    for (let i = 0; i < FREEDOMS; i++)
      for (let j = i; j < FREEDOMS; j++)
        add(unknowns[FREEDOMS * node + i]!, unknowns[FREEDOMS * node + j]!, stiffness * motion[i]! * motion[j]!);
  }
  return fromTriplets(size, count, rows, columns, values);
}

/** Imposed movements of case c at every freedom (3n, nodes' axes): settlements of fixed freedoms, zero elsewhere. */
export function imposedMovements(s: Structure, c: number): Float64Array {
  const count = FREEDOMS * nodeCount(s);
  return Float64Array.from({ length: count }, (_, f) => (s.restraints[f] === Infinity ? s.settlements[c * count + f]! : 0));
}

/**
 * Loads of case c on all freedoms (3n, nodes' axes): on nodes, from members (`onMembers`, by member), and from sprung supports
 * whose ground moves.
 */
export function nodalLoads(
  s: Structure,
  matrices: readonly MemberMatrices[],
  c: number,
  onMembers: readonly (Float64Array | undefined)[],
): Float64Array {
  const n = nodeCount(s);
  const p = new Float64Array(FREEDOMS * n);
  for (let i = 0; i < n; i++) {
    const o = FREEDOMS * (c * n + i);
    const [tc, ts] = [s.turns[2 * i]!, s.turns[2 * i + 1]!];
    const [fx, fy] = [s.nodeLoads[o]!, s.nodeLoads[o + 1]!];
    p[FREEDOMS * i] = tc * fx + ts * fy;
    p[FREEDOMS * i + 1] = tc * fy - ts * fx;
    p[FREEDOMS * i + 2] = s.nodeLoads[o + 2]!;
    for (let k = 0; k < FREEDOMS; k++) {
      const spring = s.restraints[FREEDOMS * i + k]!;
      if (spring !== Infinity) p[FREEDOMS * i + k]! += spring * s.settlements[o + k]!;
    }
  }
  matrices.forEach(({ condensed, transformation }, m) => {
    const loads = onMembers[m];
    if (!loads) return;
    const local = loads.slice();
    condenseLoads(condensed, local);
    const nodal = applyTransposed(transformation, local);
    for (let i = 0; i < N; i++) p[freedomOf(s, m, i)]! += nodal[i]!;
  });
  return p;
}

/** The right-hand side of case c over the unknowns: loads less what the imposed movements call up. */
export function rightHandSide(
  s: Structure,
  matrices: readonly MemberMatrices[],
  numbering: Numbering,
  loads: Float64Array,
  imposed: Float64Array,
): Float64Array {
  const b = new Float64Array(numbering.size);
  numbering.unknowns.forEach((unknown, f) => {
    if (unknown >= 0) b[unknown] = loads[f]!;
  });
  if (imposed.every((movement) => movement === 0)) return b;
  matrices.forEach(({ nodal }, m) => {
    for (let j = 0; j < N; j++) {
      const movement = imposed[freedomOf(s, m, j)]!;
      if (movement === 0) continue;
      for (let i = 0; i < N; i++) {
        const unknown = numbering.unknowns[freedomOf(s, m, i)]!;
        if (unknown >= 0) b[unknown]! -= nodal[i * N + j]! * movement;
      }
    }
  });
  return b;
}
