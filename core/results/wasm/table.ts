/** Bytes of a member in the table of rows, see `stiffness/recovery-row.ts`. */
export const TABLE: usize = 24 << 3;

/** Flags of a member, as in `stiffness/structure.ts` and `recovery-kernels.ts`. */
export const BOWS_V: i32 = 1;
export const BOWS_W: i32 = 2;
export const DIRECT: i32 = 4;

/** Bytes of what is imposed on a loaded member, and of what acts on each of its pieces, as in `piece-loads.ts`. */
export const IMPOSED: usize = 3 << 3;
export const PIECE_LOADS: usize = 12 << 3;
/** Bytes of the diagrams on a piece, as in `quantities.ts`. */
export const PLANE_PIECE: usize = 20 << 3;
export const SPACE_PIECE: usize = 34 << 3;
