import { bendingOf } from './bending';
import { condense, type Condensed } from './condensation';
import { memberStiffness } from './member-stiffness';
import { memberCount, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from './structure';
import { endTransforms, toNodes } from './transformation';

/** Numbers of one 12 × 12 matrix. */
export const MATRIX_WIDTH = MEMBER_FREEDOMS * MEMBER_FREEDOMS;

/** Everything about the members that does not depend on the loads. */
export interface MemberMatrices {
  /** 144m: stiffness that the nodes feel, local axes, releases condensed. */
  readonly local: Float64Array;
  /** 144m: the same in the axes of the two nodes. */
  readonly nodal: Float64Array;
  /** By member: the way back to its own ends; undefined where nothing is released. */
  readonly condensed: readonly (Condensed | undefined)[];
  /** By member: B of both ends; undefined where only the member's axes count. */
  readonly transforms: readonly (Float64Array | undefined)[];
}

/** Stiffness, condensation and transformation of every member. */
export function memberMatrices(s: Structure): MemberMatrices {
  const count = memberCount(s);
  const local = new Float64Array(MATRIX_WIDTH * count);
  const nodal = new Float64Array(MATRIX_WIDTH * count);
  const condensed: (Condensed | undefined)[] = [];
  const transforms: (Float64Array | undefined)[] = [];
  for (let m = 0; m < count; m++) {
    const o = MATRIX_WIDTH * m;
    const [EA, GJ] = [s.stiffnesses[STIFFNESS_WIDTH * m]!, s.stiffnesses[STIFFNESS_WIDTH * m + 1]!];
    memberStiffness(local, o, EA, GJ, bendingOf(s, m), s.lengths[m]!);
    condensed.push(condense(local, o, s.releases, MEMBER_FREEDOMS * m));
    const B = endTransforms(s, m);
    transforms.push(B);
    toNodes(s, m, B, local, nodal, o);
  }
  return { local, nodal, condensed, transforms };
}
