import { nodalEntry, type MemberMatrices } from '../stiffness/member-matrices';
import type { ArtificialRestraint } from '../stiffness/assemble';
import { FREEDOMS, meanLength, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/**
 * The same structure with every deformation as stiff as any other: 1 for a length, or for a turn times a length. What moves without
 * deforming anything is the same in both, but here it is found as exactly as the geometry allows, however far stiffnesses lie apart: a
 * slender rod bends 10^7 times as easily as it stretches. Of no use for anything else.
 */
export function unitStiffness(s: Structure): Structure {
  const mean = meanLength(s);
  const isSpring = (stiffness: number): boolean => stiffness > 0 && stiffness < Infinity;
  const forSpring = (freedom: number, length: number): number => (freedom % FREEDOMS < 3 ? 1 : length ** 2);
  return {
    ...s,
    stiffnesses: s.stiffnesses.map((stiffness, i) => {
      const L = s.lengths[Math.floor(i / STIFFNESS_WIDTH)]!;
      const even = [L, L ** 3, L ** 3, L ** 3, 0, Infinity, Infinity][i % STIFFNESS_WIDTH]!;
      return stiffness === 0 && even < Infinity ? 0 : even;
    }),
    restraints: s.restraints.map((stiffness, f) => (isSpring(stiffness) ? forSpring(f, mean) : stiffness)),
    releases: s.releases.map((stiffness, r) =>
      isSpring(stiffness) ? forSpring(r, s.lengths[Math.floor(r / MEMBER_FREEDOMS)]!) : stiffness,
    ),
  };
}

/** The artificial restraints of a structure, each as stiff as the members at its node. `members`: those at each node. */
export function restraintsAmong(
  s: Structure,
  matrices: MemberMatrices,
  artificialRestraints: readonly ArtificialRestraint[],
  members: readonly (readonly number[])[],
): ArtificialRestraint[] {
  const stiffest = (m: number): number =>
    Array.from({ length: MEMBER_FREEDOMS }, (_, i) => nodalEntry(s, matrices, m, i, i)).reduce((a, b) => Math.max(a, b));
  return artificialRestraints.map((artificialRestraint) => ({
    ...artificialRestraint,
    stiffness: Math.max(1, ...members[artificialRestraint.node]!.map(stiffest)),
  }));
}
