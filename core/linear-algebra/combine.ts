import type { Kernels } from './kernels';
import { takeKernels } from './kernel-pool';

/** The weighted sum of vectors of one length: Σ weights[c] · parts[c]; five at a time, since the way to memory is what takes its time. */
export function combine(parts: readonly Float64Array[], weights: readonly number[]): Float64Array {
  const sum = new Float64Array(parts[0]?.length ?? 0);
  for (let c = 0; c < parts.length; c += 5) addFive(parts.slice(c, c + 5), weights.slice(c, c + 5), sum);
  return sum;
}

function addFive(parts: readonly Float64Array[], weights: readonly number[], sum: Float64Array): void {
  const p = parts[0]!;
  const [, q = p, r = p, s = p, t = p] = parts;
  const [a = 0, b = 0, d = 0, e = 0, f = 0] = weights;
  for (let i = 0; i < sum.length; i++) sum[i]! += a * p[i]! + b * q[i]! + d * r[i]! + e * s[i]! + f * t[i]!;
}

let own: Kernels | undefined;

/**
 * Lays vectors side by side in the memory of kernels, to be added again and again with other weights. A sum is good until the next one is
 * made, here or by a later call.
 */
export function combiner(
  parts: readonly Float64Array[],
  kernels: Kernels = (own ??= takeKernels()),
): (weights: ArrayLike<number>) => Float64Array {
  const length = parts[0]?.length ?? 0;
  const stride = 8 * Math.ceil(length / 8);
  const out = stride * parts.length;
  const table = out + stride;
  const { numbers } = kernels.reserve(table + parts.length);
  parts.forEach((part, c) => numbers.set(part, c * stride));
  const sum = numbers.subarray(out, out + length);
  return (weights) => {
    numbers.set(weights, table);
    kernels.combine(0, stride, parts.length, table, stride, out);
    return sum;
  };
}
