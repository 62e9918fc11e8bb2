import { solveSmall } from './small-dense';

const DEPTH = 4;

/**
 * Iterates x = g(x) by Anderson's acceleration: the next x makes the least of what is left, over the last few steps (Walker and Ni, Anderson acceleration for
 * fixed-point iterations, SIAM Journal on Numerical Analysis 49, 2011).
 */
export class FixedPoint {
  private readonly steps: { readonly x: Float64Array; readonly left: Float64Array }[] = [];

  /** From x and g(x) the next x. */
  next(x: Float64Array, g: Float64Array): Float64Array {
    const left = g.map((value, i) => value - x[i]!);
    this.steps.push({ x, left });
    if (this.steps.length > DEPTH + 1) this.steps.shift();
    const last = this.steps.slice(0, -1);
    const n = last.length;
    const A = new Float64Array(n * n);
    const b = new Float64Array(n);
    const differences = last.map((step) => left.map((value, i) => value - step.left[i]!));
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) A[n * i + j] = dot(differences[i]!, differences[j]!);
      // So little more that steps which tell the same are told apart.
      A[n * i + i]! *= 1 + 1e-12;
      b[i] = dot(differences[i]!, left);
    }
    if (n === 0 || !solveSmall(A, n, b, 1) || !b.every(Number.isFinite)) return g;
    return g.map((value, i) => last.reduce((sum, step, k) => sum - b[k]! * (value - step.x[i]! - step.left[i]!), value));
  }
}

const dot = (a: Float64Array, b: Float64Array): number => a.reduce((sum, value, i) => sum + value * b[i]!, 0);
