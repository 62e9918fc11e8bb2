/**
 * Eigenvalues and eigenvectors (columns of `vectors`, row-major) of a small dense symmetric matrix by cyclic Jacobi rotations.
 * Golub and Van Loan, Matrix Computations, section 8.5.
 */
export function symmetricEigen(matrix: Float64Array, size: number): { values: Float64Array; vectors: Float64Array } {
  const a = matrix.slice();
  const vectors = new Float64Array(size * size);
  for (let i = 0; i < size; i++) vectors[i * size + i] = 1;
  for (let sweep = 0; sweep < 50; sweep++) {
    let off = 0;
    for (let p = 0; p < size; p++) for (let q = p + 1; q < size; q++) off += a[p * size + q]! ** 2;
    if (off < 1e-60) break;
    for (let p = 0; p < size; p++) {
      for (let q = p + 1; q < size; q++) {
        const apq = a[p * size + q]!;
        if (apq === 0) continue;
        const theta = (a[q * size + q]! - a[p * size + p]!) / (2 * apq);
        const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
        const c = 1 / Math.sqrt(t * t + 1);
        rotate(a, vectors, size, { p, q, c, s: t * c });
      }
    }
  }
  return { values: Float64Array.from({ length: size }, (_, i) => a[i * size + i]!), vectors };
}

/** A rotation of the axes p and q by an angle of which these are cosine and sine. */
interface Rotation {
  readonly p: number;
  readonly q: number;
  readonly c: number;
  readonly s: number;
}

function rotate(a: Float64Array, vectors: Float64Array, size: number, { p, q, c, s }: Rotation): void {
  for (let k = 0; k < size; k++) {
    const [akp, akq] = [a[k * size + p]!, a[k * size + q]!];
    a[k * size + p] = c * akp - s * akq;
    a[k * size + q] = s * akp + c * akq;
  }
  for (let k = 0; k < size; k++) {
    const [apk, aqk] = [a[p * size + k]!, a[q * size + k]!];
    a[p * size + k] = c * apk - s * aqk;
    a[q * size + k] = s * apk + c * aqk;
    const [vkp, vkq] = [vectors[k * size + p]!, vectors[k * size + q]!];
    vectors[k * size + p] = c * vkp - s * vkq;
    vectors[k * size + q] = s * vkp + c * vkq;
  }
}
