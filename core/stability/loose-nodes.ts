import type { Brake } from '../stiffness/assemble';
import type { MemberMatrices } from '../stiffness/member-matrices';
import type { Numbering } from '../stiffness/numbering';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { symmetricEigen } from './symmetric-eigen';

const TOLERANCE = 1e-12;

/**
 * Motions of single nodes that nothing resists: the null vectors of each node's own block of the stiffness matrix. Since K is
 * positive semidefinite, such a vector alone is also a null vector of the whole. It does not depend on how the axes lie.
 */
export function looseNodes(s: Structure, matrices: readonly MemberMatrices[], numbering: Numbering): Brake[] {
  const blocks = nodeBlocks(s, matrices);
  const loose: Brake[] = [];
  for (let node = 0; node < nodeCount(s); node++) {
    const free = [0, 1, 2].filter((k) => numbering.unknowns[FREEDOMS * node + k]! >= 0);
    if (free.length > 0) loose.push(...looseMotions(node, free, blocks.subarray(9 * node, 9 * node + 9)));
  }
  return loose;
}

/** 9n: the diagonal 3 × 3 block of each node, sprung supports included. */
function nodeBlocks(s: Structure, matrices: readonly MemberMatrices[]): Float64Array {
  const blocks = new Float64Array(9 * nodeCount(s));
  for (let m = 0; m < memberCount(s); m++) {
    const { nodal } = matrices[m]!;
    for (let end = 0; end < 2; end++) {
      const node = s.memberNodes[2 * m + end]!;
      for (let i = 0; i < FREEDOMS; i++)
        for (let j = 0; j < FREEDOMS; j++) {
          blocks[9 * node + 3 * i + j]! += nodal[(end * FREEDOMS + i) * MEMBER_FREEDOMS + end * FREEDOMS + j]!;
        }
    }
  }
  s.restraints.forEach((spring, f) => {
    if (spring !== Infinity) blocks[9 * Math.floor(f / FREEDOMS) + 4 * (f % FREEDOMS)]! += spring;
  });
  return blocks;
}

function looseMotions(node: number, free: readonly number[], block: Float64Array): Brake[] {
  const at = (i: number, j: number): number => block[3 * i + j]!;
  const translation = Math.max(...free.filter((k) => k < 2).map((k) => at(k, k)), 0);
  // Both translations share one scale, so that the judgement does not turn with the axes.
  const scale = free.map((k) => (k < 2 ? translation : at(k, k)) || 1);
  const size = free.length;
  const scaled = new Float64Array(size * size);
  free.forEach((k, i) => free.forEach((l, j) => (scaled[i * size + j] = at(k, l) / Math.sqrt(scale[i]! * scale[j]!))));
  const { values, vectors } = symmetricEigen(scaled, size);
  const motions: Brake[] = [];
  values.forEach((value, e) => {
    if (value > TOLERANCE) return;
    const motion = new Float64Array(FREEDOMS);
    free.forEach((k, i) => (motion[k] = vectors[i * size + e]! / Math.sqrt(scale[i]!)));
    const largest = motion.reduce((max, part) => Math.max(max, Math.abs(part)), 0);
    motions.push({
      node,
      motion: motion.map((part) => (Math.abs(part) < 1e-12 * largest ? 0 : part / largest)),
      stiffness: translation || scale[0]!,
    });
  });
  return motions;
}
