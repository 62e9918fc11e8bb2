import type { Factor } from './factor';
import { multiply, type SparseSymmetric } from './sparse-symmetric';

/** x = L⁻ᵀ D⁻¹ L⁻¹ b, in place. */
export function solveInPlace(f: Factor, x: Float64Array): void {
  for (let j = 0; j < f.size; j++) {
    const xj = x[j]!;
    for (let p = f.pointers[j]!; p < f.pointers[j + 1]!; p++) x[f.rows[p]!]! -= f.values[p]! * xj;
  }
  for (let j = 0; j < f.size; j++) x[j]! /= f.pivots[j]!;
  backSubstitute(f, x);
}

/** x = L⁻ᵀ x, in place. */
function backSubstitute(f: Factor, x: Float64Array): void {
  for (let j = f.size - 1; j >= 0; j--) {
    let xj = x[j]!;
    for (let p = f.pointers[j]!; p < f.pointers[j + 1]!; p++) xj -= f.values[p]! * x[f.rows[p]!]!;
    x[j] = xj;
  }
}

/** x = A⁻¹ b with one step of iterative refinement, which recovers what rounding in the factor lost. */
export function solveRefined(a: SparseSymmetric, f: Factor, b: Float64Array): Float64Array {
  const x = b.slice();
  solveInPlace(f, x);
  const ax = multiply(a, x);
  const residual = b.map((value, i) => value - ax[i]!);
  solveInPlace(f, residual);
  for (let i = 0; i < x.length; i++) x[i]! += residual[i]!;
  return x;
}

/**
 * v with A·v = 0 and v[column] = 1, for a column that `factor` found weak: v = L⁻ᵀ e, where the other weak columns stay at rest.
 * The vectors of all weak columns together span the null space.
 */
export function nullVector(f: Factor, column: number): Float64Array {
  const v = new Float64Array(f.size);
  v[column] = 1;
  // Row `column` of L sits in the columns before it; behind it the vector is zero.
  for (let j = column - 1; j >= 0; j--) {
    let vj = 0;
    for (let p = f.pointers[j]!; p < f.pointers[j + 1]!; p++) {
      const i = f.rows[p]!;
      if (i <= column) vj -= f.values[p]! * v[i]!;
    }
    v[j] = vj;
  }
  for (const other of f.weak) if (other !== column) v[other] = 0;
  return v;
}
