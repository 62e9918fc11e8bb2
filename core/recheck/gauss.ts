/** Gauss elimination with full pivoting of A·x = b; destroys its input. */
export function gauss(A: Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  const columns = Array.from({ length: n }, (_, i) => i);
  for (let k = 0; k < n; k++) {
    let [row, column] = [k, k];
    for (let i = k; i < n; i++)
      for (let j = k; j < n; j++) if (Math.abs(A[i]![j]!) > Math.abs(A[row]![column]!)) [row, column] = [i, j];
    [A[k], A[row]] = [A[row]!, A[k]!];
    [b[k], b[row]] = [b[row]!, b[k]!];
    for (const line of A) [line[k], line[column]] = [line[column]!, line[k]!];
    [columns[k], columns[column]] = [columns[column]!, columns[k]!];
    for (let i = k + 1; i < n; i++) {
      const factor = A[i]![k]! / A[k]![k]!;
      if (factor === 0) continue;
      for (let j = k; j < n; j++) A[i]![j]! -= factor * A[k]![j]!;
      b[i]! -= factor * b[k]!;
    }
  }
  const x = new Float64Array(n);
  for (let k = n - 1; k >= 0; k--) {
    let sum = b[k]!;
    for (let j = k + 1; j < n; j++) sum -= A[k]![j]! * x[columns[j]!]!;
    x[columns[k]!] = sum / A[k]![k]!;
  }
  return x;
}
