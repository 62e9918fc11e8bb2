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

function identity(count: number): Int32Array {
  const order = new Int32Array(count);
  for (let k = 0; k < count; k++) order[k] = k;
  return order;
}

function bucketOrder(size: number, count: number, key: (k: number) => number, input: Int32Array): Int32Array {
  const next = new Int32Array(size + 1);
  for (let n = 0; n < count; n++) next[key(n) + 1]!++;
  for (let i = 0; i < size; i++) next[i + 1]! += next[i]!;
  const output = new Int32Array(count);
  for (let n = 0; n < count; n++) output[next[key(input[n]!)]!++] = input[n]!;
  return output;
}

/** y = A·x */
export function multiply({ size, pointers, rows, values }: SparseSymmetric, x: Float64Array): Float64Array {
  const y = new Float64Array(size);
  for (let j = 0; j < size; j++) {
    let k = pointers[j]!;
    const end = pointers[j + 1]!;
    const xj = x[j]!;
    let sum = 0;
    // Where there is an entry on the diagonal, it is the first of its column.
    if (k < end && rows[k] === j) sum = values[k++]! * xj;
    for (; k < end; k++) {
      const i = rows[k]!;
      const value = values[k]!;
      sum += value * x[i]!;
      y[i]! += value * xj;
    }
    y[j]! += sum;
  }
  return y;
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
