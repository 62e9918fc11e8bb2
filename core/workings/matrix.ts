/** A small dense matrix, by rows. */
export type Dense = readonly (readonly number[])[];

export const zeros = (rows: number, columns: number): number[][] =>
  Array.from({ length: rows }, () => new Array<number>(columns).fill(0));
export const transposed = (A: Dense): number[][] => (A[0] ?? []).map((_, j) => A.map((row) => row[j]!));
export const times = (A: Dense, B: Dense): number[][] =>
  A.map((row) => (B[0] ?? []).map((_, j) => row.reduce((sum, one, k) => sum + one * B[k]![j]!, 0)));
export const timesVector = (A: Dense, x: readonly number[]): number[] =>
  A.map((row) => row.reduce((sum, one, k) => sum + one * x[k]!, 0));

/** Some rows and columns of a matrix that lies by rows in one list, `width` numbers a row. */
export const picked = (k: Float64Array, width: number, rows: readonly number[], columns = rows): number[][] =>
  rows.map((i) => columns.map((j) => k[width * i + j]!));
