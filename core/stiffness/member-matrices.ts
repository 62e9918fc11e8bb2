import { bendingOf, type Bending } from './bending';
import { condense, type Condensed } from './condensation';
import { memberStiffness } from './member-stiffness';
import { memberCount, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from './structure';
import { endTransforms, toNodes } from './transformation';

/** Numbers of one 12 × 12 matrix. */
export const MATRIX_WIDTH = MEMBER_FREEDOMS * MEMBER_FREEDOMS;

/** Everything about the members that does not depend on the loads. */
export interface MemberMatrices {
  /** 144m: stiffness that the nodes feel, releases condensed, in the axes of the two nodes. */
  readonly nodal: Float64Array;
  /** By member with releases: the same in local axes (144). */
  readonly local: readonly (Float64Array | undefined)[];
  /** By member: the way back to its own ends; undefined where nothing is released. */
  readonly condensed: readonly (Condensed | undefined)[];
  /** By member: B of both ends; undefined where only the member's axes count. */
  readonly transforms: readonly (Float64Array | undefined)[];
  readonly bends: readonly Bending[];
}

/** Stiffness, condensation and transformation of every member. */
export function memberMatrices(s: Structure): MemberMatrices {
  const count = memberCount(s);
  const nodal = new Float64Array(MATRIX_WIDTH * count);
  const local: (Float64Array | undefined)[] = [];
  const condensed: (Condensed | undefined)[] = [];
  const transforms: (Float64Array | undefined)[] = [];
  const bends: Bending[] = [];
  const k = new Float64Array(MATRIX_WIDTH);
  for (let m = 0; m < count; m++) {
    const bend = bendingOf(s, m);
    memberStiffness(k, 0, s.stiffnesses[STIFFNESS_WIDTH * m]!, s.stiffnesses[STIFFNESS_WIDTH * m + 1]!, bend, s.lengths[m]!);
    const released = condense(k, 0, s.releases, MEMBER_FREEDOMS * m);
    const B = endTransforms(s, m);
    toNodes(s, m, B, k, nodal, MATRIX_WIDTH * m);
    bends.push(bend);
    condensed.push(released);
    local.push(released && k.slice());
    transforms.push(B);
  }
  return { nodal, local, condensed, transforms, bends };
}
