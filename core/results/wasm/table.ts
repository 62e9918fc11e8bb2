/** Bytes of a member in the table of rows, see `stiffness/recovery-row.ts`. */
export const TABLE: usize = 24 << 3;

/** Flags of a member, as in `stiffness/structure.ts` and `recovery-kernels.ts`. */
export const BOWS_V: i32 = 1;
export const BOWS_W: i32 = 2;
export const DIRECT: i32 = 4;
