import { addAtNodes } from './at-nodes';
import { BEND_WIDTH, bendingOf } from './bending';
import { condense, type Condensed } from './condensation';
import { keptEntries } from './kept-entries';
import { memberStiffness } from './member-stiffness';
import { ROW_WIDTH, writeRow } from './recovery-row';
import { memberCount, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from './structure';
import { endTransforms } from './transformation';

/** Numbers of one 12 × 12 matrix. */
const MATRIX_WIDTH = MEMBER_FREEDOMS * MEMBER_FREEDOMS;

/** Everything about the members that does not depend on the loads. */
export interface MemberMatrices {
  /** By member, so many as `keptEntries`: stiffness that the nodes feel, releases condensed, in the axes of the two nodes. */
  readonly nodal: Float64Array;
  /** By member with releases: the same in local axes (144). */
  readonly local: readonly (Float64Array | undefined)[];
  /** By member: the way back to its own ends; undefined where nothing is released. */
  readonly condensed: readonly (Condensed | undefined)[];
  /** By member: B of both ends; undefined where only the member's axes count. */
  readonly transforms: readonly (Float64Array | undefined)[];
  /** BEND_WIDTH·m: bending matrices. */
  readonly bends: Float64Array;
  /** ROW_WIDTH·m: what recovery makes end forces and diagrams of. */
  readonly rows: Float64Array;
}

/** The matrices of a structure that has the same members but for those listed, and the same supports. */
export interface FormerMatrices {
  readonly matrices: MemberMatrices;
  readonly changed: readonly number[];
}

/** Stiffness, condensation and transformation of every member; what `former` has is taken over. */
export function memberMatrices(s: Structure, former?: FormerMatrices): MemberMatrices {
  const count = memberCount(s);
  const { width } = keptEntries(s);
  const none = (): undefined[] => new Array<undefined>(count).fill(undefined);
  const nodal = former?.matrices.nodal.slice() ?? new Float64Array(width * count);
  const bends = former?.matrices.bends.slice() ?? new Float64Array(BEND_WIDTH * count);
  const rows = former?.matrices.rows.slice() ?? new Float64Array(ROW_WIDTH * count);
  const local: (Float64Array | undefined)[] = former?.matrices.local.slice() ?? none();
  const condensed: (Condensed | undefined)[] = former?.matrices.condensed.slice() ?? none();
  const transforms: (Float64Array | undefined)[] = former?.matrices.transforms.slice() ?? none();
  const k = new Float64Array(MATRIX_WIDTH);
  const compute = (m: number): void => {
    const o = STIFFNESS_WIDTH * m;
    bendingOf(s, m, bends, BEND_WIDTH * m);
    writeRow(s, bends, m, rows);
    memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L: s.lengths[m]! }, bends, BEND_WIDTH * m, k);
    const released = condense(k, s.releases, MEMBER_FREEDOMS * m);
    const B = endTransforms(s, m);
    nodal.fill(0, width * m, width * (m + 1));
    addAtNodes(s, m, B, k, nodal);
    condensed[m] = released;
    local[m] = released && k.slice();
    transforms[m] = B;
  };
  if (former) former.changed.forEach(compute);
  else for (let m = 0; m < count; m++) compute(m);
  return { nodal, local, condensed, transforms, bends, rows };
}

/** Entry (i, j) of the 12 × 12 matrix that the nodes feel of member m. */
export function nodalEntry(s: Structure, { nodal }: MemberMatrices, m: number, i: number, j: number): number {
  const { width, places } = keptEntries(s);
  const place = places[MEMBER_FREEDOMS * i + j]!;
  return place < 0 ? 0 : nodal[width * m + place]!;
}
