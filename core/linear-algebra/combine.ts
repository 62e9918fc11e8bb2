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

/** Vectors of one length side by side in the memory of kernels, to be added again and again with other weights. */
export interface Combiner {
  /** The sum with these weights, nothing of vectors behind the last of them; good until the next one is made, here or by a later combiner. */
  readonly sum: (weights: ArrayLike<number>) => Float64Array;
  /** Widens the bounds by the sum at hand. */
  readonly bound: () => void;
  /** By number from the first bounded one on: the greatest and the least of all sums that were bounded. */
  readonly max: Float64Array;
  readonly min: Float64Array;
}

/** `bounded`: the first number of the sums whose bounds are kept. */
export function combinerOf(
  parts: readonly Float64Array[],
  bounded: number,
  kernels: Kernels = (own ??= takeKernels()),
): Combiner {
  const length = parts[0]?.length ?? 0;
  const even = (size: number): number => 8 * Math.ceil(size / 8);
  const stride = even(length);
  const out = stride * parts.length;
  const table = out + stride;
  const high = table + even(parts.length);
  const low = high + even(length - bounded);
  const { numbers } = kernels.reserve(low + even(length - bounded));
  parts.forEach((part, c) => numbers.set(part, c * stride));
  const [sum, max, min] = [numbers.subarray(out, out + length), view(high), view(low)];
  function view(at: number): Float64Array {
    return numbers.subarray(at, at + length - bounded);
  }
  max.fill(-Infinity);
  min.fill(Infinity);
  return {
    sum: (weights) => {
      numbers.set(weights, table);
      // Vectors behind the last weight have none: what an earlier sum had for them is gone.
      numbers.fill(0, table + weights.length, table + parts.length);
      kernels.combine({ at: 0, stride, count: parts.length }, table, stride, out);
      return sum;
    },
    bound: () => kernels.bound(out + bounded, 2 * Math.ceil((length - bounded) / 2), high, low),
    max,
    min,
  };
}
