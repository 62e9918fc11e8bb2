import type { NodalTable } from './nodal-table';

export { FREEDOMS } from './nodal-table';
/** Freedoms of a member: the six of its start, then of its end, in local axes. */
export const MEMBER_FREEDOMS = 12;

/** Freedoms that take part, by space. */
export const PLANE_FREEDOMS: readonly number[] = [0, 1, 5];
export const SPACE_FREEDOMS: readonly number[] = [0, 1, 2, 3, 4, 5];

/** Loads that lie on members, sorted by member: those of member m are at `first[m]…first[m+1]-1`. */
export interface MemberLoadTable {
  readonly first: Int32Array;
  /** Index of the case of each load. */
  readonly cases: Int32Array;
  /** `width` numbers a load. */
  readonly values: Float64Array;
  readonly width: number;
}

/** The tables of loads on members. */
export const LOAD_TABLES = ['lineLoads', 'pointLoads', 'strains'] as const;

/** Numbers a member in `stiffnesses`: EA (N), GJ, EIz, EIy, EIyz (N·m²), GAy, GAz (N; Infinity without shear deformation). */
export const STIFFNESS_WIDTH = 7;
export const LINE_WIDTH = 8;
export const POINT_WIDTH = 7;
export const STRAIN_WIDTH = 5;

/** What `keepsLength` says of a member: forces along it change its length; or they do not, and its area is known, or it is not. */
export const CHANGES_LENGTH = 0;
export const KEEPS_LENGTH = 1;
export const KEEPS_LENGTH_UNKNOWN_AREA = 2;

/** Bits of `bows`: the bow between the member's ends is known in the x–y plane, in the x–z plane. */
export const BOWS_V = 1;
export const BOWS_W = 2;

/**
 * A structure ready to be solved: names have become indices, everything is SI, member quantities are in local axes.
 * `n` nodes, `m` members, `c` cases. Restraints and releases are stiffnesses: Infinity is fixed, 0 is free.
 */
export interface Structure {
  readonly names: {
    readonly nodes: readonly string[];
    readonly members: readonly string[];
    readonly cases: readonly string[];
  };
  /** Which axis readers have pointing up: only words depend on it. */
  readonly up: 'Y' | 'Z';
  /** The freedoms of a node that take part. */
  readonly active: readonly number[];
  /** 3n: X, Y, Z. */
  readonly coordinates: Float64Array;
  /** 6n, in the support's axes. */
  readonly restraints: Float64Array;
  /** Nodes with axes of their own: 3 × 3 by rows, row i is own axis i in global components. All others lie in the global axes. */
  readonly supportRotations: ReadonlyMap<number, Float64Array>;
  /** 2m: index of the start and end node. */
  readonly memberNodes: Int32Array;
  /** m, metres, between the offset ends. */
  readonly lengths: Float64Array;
  /** 9m: local x, y and z in global components. */
  readonly axes: Float64Array;
  /** 6m: X, Y, Z of the rigid arm at the start, then at the end. */
  readonly endOffsets: Float64Array;
  /** 7m, see STIFFNESS_WIDTH. EA of members that keep their lengths is what the equations are solved with, on the way to the constraint. */
  readonly stiffnesses: Float64Array;
  /** m: whether axial deformation is neglected. */
  readonly keepsLength: Uint8Array;
  /** m: BOWS_V and BOWS_W where the member's own bow between its ends is known. */
  readonly bows: Uint8Array;
  /** 12m: the stiffness between node and member end, per local freedom. */
  readonly releases: Float64Array;
  /** Forces on nodes, global axes. */
  readonly nodeLoads: NodalTable;
  /** Displacements imposed on fixed and sprung freedoms, in the support's axes. */
  readonly settlements: NodalTable;
  /** a, b, then qx(a), qx(b), qy(a), qy(b), qz(a), qz(b): positions in m, intensities in N/m, local axes. */
  readonly lineLoads: MemberLoadTable;
  /** x, fx, fy, fz, mx, my, mz at a position, local axes. */
  readonly pointLoads: MemberLoadTable;
  /**
   * Axial strain, and the curvatures v″ and w″ (1/m) that the unrestrained member would take; then which of its end freedoms gives, counted from 1 on
   * (0: none), and by how much before its spring acts (m, rad).
   */
  readonly strains: MemberLoadTable;
}

export const nodeCount = (s: Structure): number => s.names.nodes.length;
export const memberCount = (s: Structure): number => s.names.members.length;
export const caseCount = (s: Structure): number => s.names.cases.length;
/** Whether the structure lies in the X–Y plane and moves only there. */
export const isPlane = (s: Pick<Structure, 'active'>): boolean => s.active.length === PLANE_FREEDOMS.length;

/** Whether axial deformation is neglected in any member. */
export const keepsLengths = ({ keepsLength }: Structure): boolean => keepsLength.some((kept) => kept !== CHANGES_LENGTH);

/** EA as readers of diagrams take it, N: Infinity of a member that keeps its length, or is slack and becomes longer without force. */
export const axialStiffness = ({ stiffnesses, keepsLength }: Structure, m: number): number =>
  keepsLength[m] === CHANGES_LENGTH ? stiffnesses[STIFFNESS_WIDTH * m]! || Infinity : Infinity;

/** How much end freedom r (of 12) of member m gives in case c before its spring acts, by freedom; nothing where no joint has a gap. */
export function givingIn(
  { strains: { first, cases, values } }: Structure,
  m: number,
  c: number,
): readonly (readonly [r: number, by: number])[] {
  const found: (readonly [number, number])[] = [];
  for (let i = first[m]!; i < first[m + 1]!; i++) {
    const o = STRAIN_WIDTH * i;
    if (cases[i] === c && values[o + 3]! > 0) found.push([values[o + 3]! - 1, values[o + 4]!]);
  }
  return found;
}

/** Metres: what turns as a movement where the two are compared. */
export const meanLength = ({ lengths }: Structure): number => lengths.reduce((sum, L) => sum + L, 0) / lengths.length;
