/** Freedoms of a node of a plane structure: ux, uy, rz. */
export const FREEDOMS = 3;
/** Freedoms of a member: ux, uy, rz of its start, then of its end, in local axes. */
export const MEMBER_FREEDOMS = 6;

/** Loads that lie on members, sorted by member: those of member m are at `first[m]…first[m+1]-1`. */
export interface MemberLoadTable {
  readonly first: Int32Array;
  /** Index of the case of each load. */
  readonly cases: Int32Array;
  /** `width` numbers a load. */
  readonly values: Float64Array;
  readonly width: number;
}

/**
 * A plane structure ready to be solved: names have become indices, everything is SI, member quantities are in local axes.
 * `n` nodes, `m` members, `c` cases. Restraints and releases are stiffnesses: Infinity is fixed, 0 is free.
 */
export interface Structure {
  readonly names: {
    readonly nodes: readonly string[];
    readonly members: readonly string[];
    readonly cases: readonly string[];
  };
  /** 2n: X, Y. */
  readonly coordinates: Float64Array;
  /** 3n, in the support's axes. */
  readonly restraints: Float64Array;
  /** 2n: cosine and sine of the angle by which the node's axes are turned. */
  readonly turns: Float64Array;
  /** 2m: index of the start and end node. */
  readonly memberNodes: Int32Array;
  /** m, metres, between the offset ends. */
  readonly lengths: Float64Array;
  /** 3m: the cosine and sine of local x, and +1 or −1 as local z is global +Z or −Z. */
  readonly directions: Float64Array;
  /** 4m: X, Y of the rigid arm at the start, then at the end. */
  readonly arms: Float64Array;
  /** 4m: EA (N), EI (N·m²), shear stiffness GA (N, Infinity without shear deformation), and 1 where the bow of the member is known. */
  readonly stiffnesses: Float64Array;
  /** 6m: the stiffness between node and member end, per local freedom. */
  readonly releases: Float64Array;
  /** c × 3n: forces on nodes, global axes. */
  readonly nodeLoads: Float64Array;
  /** c × 3n: movements imposed on fixed and sprung freedoms, in the support's axes. */
  readonly settlements: Float64Array;
  /** a, b, qx(a), qx(b), qy(a), qy(b): positions in m, intensities in N/m along local x and y. */
  readonly lineLoads: MemberLoadTable;
  /** x, fx, fy, mz at a position, local axes. */
  readonly pointLoads: MemberLoadTable;
  /** Axial strain, and curvature v″ (1/m) that the unrestrained member would take. */
  readonly strains: MemberLoadTable;
}

export const nodeCount = (s: Structure): number => s.names.nodes.length;
export const memberCount = (s: Structure): number => s.names.members.length;
export const caseCount = (s: Structure): number => s.names.cases.length;

/** A row of the line loads: a, b, qx(a), qx(b), qy(a), qy(b). */
export const lineLoadAt = (s: Structure, offset: number): readonly [number, number, number, number, number, number] =>
  s.lineLoads.values.subarray(offset, offset + 6) as unknown as [number, number, number, number, number, number];

/** A row of the point loads: x, fx, fy, mz. */
export const pointLoadAt = (s: Structure, offset: number): readonly [number, number, number, number] =>
  s.pointLoads.values.subarray(offset, offset + 4) as unknown as [number, number, number, number];
