/** A table as it comes in a file: what it is called, and its cells as texts, with a decimal point. */
export interface Grid {
  readonly title: string;
  readonly rows: readonly (readonly string[])[];
}

/** Tables of a file, or why there are none, in words. */
export type Grids = readonly Grid[] | string;

/** Bytes of a file of tables, and of what it holds when it is unpacked; cells of all its tables. */
export const TABLE_BYTES = 20 * 1024 * 1024;
export const UNPACKED_BYTES = 200 * 1024 * 1024;
export const MOST_CELLS = 1_000_000;
