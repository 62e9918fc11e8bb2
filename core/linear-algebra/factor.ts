import type { SparseSymmetric } from './sparse-symmetric';

/**
 * A = L·D·Lᵀ. L is unit lower triangular by compressed columns (the unit diagonal is not stored), D is diagonal.
 * `weak` lists the columns whose pivot was too small beside their diagonal to be trusted: their motion is held (pivot 1, empty
 * column), and `nullVector` tells what it is.
 */
export interface Factor {
  readonly size: number;
  readonly pointers: Int32Array;
  readonly rows: Int32Array;
  readonly values: Float64Array;
  readonly pivots: Float64Array;
  readonly weak: readonly number[];
  /** The smallest pivot beside its diagonal entry, over the columns that are not weak: a measure of the digits lost. */
  readonly smallestRatio: number;
}

/** parent = elimination tree (A), with the count of entries of each column of L; roots have parent -1. Liu (1990). */
export function eliminationTree(a: SparseSymmetric): { parent: Int32Array; counts: Int32Array } {
  const parent = new Int32Array(a.size).fill(-1);
  const flag = new Int32Array(a.size);
  const counts = new Int32Array(a.size);
  for (let k = 0; k < a.size; k++) {
    flag[k] = k;
    for (let p = a.pointers[k]!; p < a.pointers[k + 1]!; p++) {
      for (let i = a.rows[p]!; flag[i] !== k; i = parent[i]!) {
        if (parent[i] === -1) parent[i] = k;
        counts[i]!++;
        flag[i] = k;
      }
    }
  }
  return { parent, counts };
}

/**
 * [L, D] = factor (A): up-looking, row by row, following the elimination tree (Davis, 2005).
 * A pivot under `tolerance` times its diagonal entry is weak: rounding alone can be that large.
 */
export function factor(a: SparseSymmetric, tolerance = 1e-12): Factor {
  const n = a.size;
  const { parent, counts } = eliminationTree(a);
  const pointers = new Int32Array(n + 1);
  for (let j = 0; j < n; j++) pointers[j + 1] = pointers[j]! + counts[j]!;
  const rows = new Int32Array(pointers[n]!);
  const values = new Float64Array(pointers[n]!);
  const pivots = new Float64Array(n);
  const filled = new Int32Array(n);
  const row = new Float64Array(n);
  const pattern = new Int32Array(n);
  const flag = new Int32Array(n).fill(-1);
  const isWeak = new Uint8Array(n);
  const weak: number[] = [];
  let smallestRatio = 1;

  for (let k = 0; k < n; k++) {
    let top = n;
    flag[k] = k;
    for (let p = a.pointers[k]!; p < a.pointers[k + 1]!; p++) {
      let i = a.rows[p]!;
      row[i]! += a.values[p]!;
      let length = 0;
      for (; flag[i] !== k; i = parent[i]!) {
        pattern[length++] = i;
        flag[i] = k;
      }
      while (length > 0) pattern[--top] = pattern[--length]!;
    }
    const diagonal = row[k]!;
    let pivot = diagonal;
    row[k] = 0;
    for (; top < n; top++) {
      const i = pattern[top]!;
      const yi = row[i]!;
      row[i] = 0;
      const end = pointers[i]! + filled[i]!;
      for (let p = pointers[i]!; p < end; p++) row[rows[p]!]! -= values[p]! * yi;
      // A held column acts as if it were not there; its entry is kept as 0 so that the pattern stays right.
      const lki = isWeak[i] ? 0 : yi / pivots[i]!;
      pivot -= lki * yi;
      rows[end] = k;
      values[end] = lki;
      filled[i]!++;
    }
    const ratio = diagonal > 0 ? pivot / diagonal : 0;
    if (ratio > tolerance) {
      pivots[k] = pivot;
      smallestRatio = Math.min(smallestRatio, ratio);
    } else {
      pivots[k] = 1;
      isWeak[k] = 1;
      weak.push(k);
    }
  }
  return { size: n, pointers, rows, values, pivots, weak, smallestRatio };
}
