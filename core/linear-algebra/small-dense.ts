/** Systems of a few unknowns, small enough to be solved where they stand. Matrices lie by rows. */

interface SmallSystem {
  readonly A: Float64Array;
  readonly n: number;
  readonly B: Float64Array;
  readonly m: number;
}

/** Solves A·X = B for m right-hand sides by Gauss with row pivoting: A (n × n) is used up, X stands in B (n × m). False where A is singular. */
export function solveSmall(A: Float64Array, n: number, B: Float64Array, m: number): boolean {
  for (let c = 0; c < n; c++) {
    let p = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(A[n * r + c]!) > Math.abs(A[n * p + c]!)) p = r;
    if (A[n * p + c] === 0) return false;
    if (p !== c) {
      swapRows(A, n, p, c);
      swapRows(B, m, p, c);
    }
    for (let r = 0; r < n; r++) if (r !== c) subtractRow({ A, n, B, m }, r, c);
  }
  for (let r = 0; r < n; r++) for (let j = 0; j < m; j++) B[m * r + j]! /= A[n * r + r]!;
  return true;
}

/**
 * The same of a symmetric A, by its own pivots in their order; returns how many of them are negative, which is how many negative eigenvalues A has
 * (Sylvester's law of inertia).
 */
export function solveSymmetric(A: Float64Array, n: number, B: Float64Array, m: number): number {
  let negative = 0;
  for (let c = 0; c < n; c++) {
    if (A[n * c + c]! < 0) negative++;
    for (let r = 0; r < n; r++) if (r !== c) subtractRow({ A, n, B, m }, r, c);
  }
  for (let r = 0; r < n; r++) for (let j = 0; j < m; j++) B[m * r + j]! /= A[n * r + r]!;
  return negative;
}

/** Takes a multiple of row c from row r, so that nothing is left of column c in it. */
function subtractRow({ A, n, B, m }: SmallSystem, r: number, c: number): void {
  const part = A[n * r + c]! / A[n * c + c]!;
  if (part === 0) return;
  for (let j = c; j < n; j++) A[n * r + j]! -= part * A[n * c + j]!;
  for (let j = 0; j < m; j++) B[m * r + j]! -= part * B[m * c + j]!;
}

function swapRows(A: Float64Array, n: number, p: number, q: number): void {
  for (let j = 0; j < n; j++) {
    const kept = A[n * p + j]!;
    A[n * p + j] = A[n * q + j]!;
    A[n * q + j] = kept;
  }
}
