/**
 * The lower triangle of a symmetric matrix by compressed columns: column j holds rows `rows[pointers[j]…pointers[j+1]-1] ≥ j`
 * in ascending order, with their values.
 */
export interface SparseSymmetric {
  readonly size: number;
  readonly pointers: Int32Array;
  readonly rows: Int32Array;
  readonly values: Float64Array;
}

/** A = sum of triplets (row, column, value); entries above the diagonal are mirrored down, equal places are added. */
export function fromTriplets(
  size: number,
  count: number,
  rows: Int32Array,
  columns: Int32Array,
  values: Float64Array,
): SparseSymmetric {
  // Two bucket passes, by row and then by column, leave every column sorted by row.
  const byRow = bucketOrder(size, count, (k) => Math.max(rows[k]!, columns[k]!), identity(count));
  const byColumn = bucketOrder(size, count, (k) => Math.min(rows[k]!, columns[k]!), byRow);
  const pointers = new Int32Array(size + 1);
  const outRows = new Int32Array(count);
  const outValues = new Float64Array(count);
  let length = 0;
  let column = -1;
  for (let n = 0; n < count; n++) {
    const k = byColumn[n]!;
    const i = Math.max(rows[k]!, columns[k]!);
    const j = Math.min(rows[k]!, columns[k]!);
    while (column < j) pointers[++column] = length;
    if (length > pointers[j]! && outRows[length - 1] === i) outValues[length - 1]! += values[k]!;
    else {
      outRows[length] = i;
      outValues[length++] = values[k]!;
    }
  }
  while (column < size) pointers[++column] = length;
  return { size, pointers, rows: outRows.slice(0, length), values: outValues.slice(0, length) };
}

const identity = (count: number): Int32Array => Int32Array.from({ length: count }, (_, k) => k);

function bucketOrder(size: number, count: number, key: (k: number) => number, input: Int32Array): Int32Array {
  const next = new Int32Array(size + 1);
  for (let n = 0; n < count; n++) next[key(n) + 1]!++;
  for (let i = 0; i < size; i++) next[i + 1]! += next[i]!;
  const output = new Int32Array(count);
  for (let n = 0; n < count; n++) output[next[key(input[n]!)]!++] = input[n]!;
  return output;
}

/** y = A·x */
export function multiply(a: SparseSymmetric, x: Float64Array): Float64Array {
  const y = new Float64Array(a.size);
  for (let j = 0; j < a.size; j++) {
    let sum = 0;
    const xj = x[j]!;
    for (let k = a.pointers[j]!; k < a.pointers[j + 1]!; k++) {
      const i = a.rows[k]!;
      sum += a.values[k]! * x[i]!;
      if (i !== j) y[i]! += a.values[k]! * xj;
    }
    y[j]! += sum;
  }
  return y;
}

/** Vectors that `multiplyFour` takes side by side. */
export const TOGETHER = 4;

/** Y = A·X for four vectors whose values lie side by side for each unknown: each entry of A is read once for all of them. Adds to `y`. */
export function multiplyFour(a: SparseSymmetric, x: Float64Array, y: Float64Array): void {
  const { size, pointers, rows, values } = a;
  for (let j = 0; j < size; j++) {
    const o = TOGETHER * j;
    const x0 = x[o]!;
    const x1 = x[o + 1]!;
    const x2 = x[o + 2]!;
    const x3 = x[o + 3]!;
    let s0 = 0;
    let s1 = 0;
    let s2 = 0;
    let s3 = 0;
    for (let k = pointers[j]!; k < pointers[j + 1]!; k++) {
      const p = TOGETHER * rows[k]!;
      const value = values[k]!;
      s0 += value * x[p]!;
      s1 += value * x[p + 1]!;
      s2 += value * x[p + 2]!;
      s3 += value * x[p + 3]!;
      if (p === o) continue;
      y[p]! += value * x0;
      y[p + 1]! += value * x1;
      y[p + 2]! += value * x2;
      y[p + 3]! += value * x3;
    }
    y[o]! += s0;
    y[o + 1]! += s1;
    y[o + 2]! += s2;
    y[o + 3]! += s3;
  }
}

/** The diagonal of A. */
export function diagonal(a: SparseSymmetric): Float64Array {
  const d = new Float64Array(a.size);
  for (let j = 0; j < a.size; j++) {
    const first = a.pointers[j]!;
    if (first < a.pointers[j + 1]! && a.rows[first] === j) d[j] = a.values[first]!;
  }
  return d;
}
