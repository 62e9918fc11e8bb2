import type { Kernels } from './kernels';
import { takeKernels } from './kernel-pool';

/** Numbers of each part that are combined at once: those of a dozen parts stay in the processor's cache. */
const CHUNK = 2048;

let own: Kernels | undefined;

/**
 * The weighted sums of vectors of one length: result k is Σ weights[k][c] · parts[c]. Piece by piece through all sums, so that the
 * parts are read once; in a heap of its own.
 */
export function combine(
  parts: readonly Float64Array[],
  weights: readonly Float64Array[],
  kernels: Kernels = (own ??= takeKernels()),
): Float64Array[] {
  if (weights.length === 0) return [];
  const length = parts[0]?.length ?? 0;
  const count = parts.length;
  const sums = weights.map(() => new Float64Array(length));
  const out = CHUNK * count;
  const table = out + CHUNK;
  const { numbers } = kernels.reserve(table + count * weights.length);
  weights.forEach((row, k) => numbers.set(row, table + k * count));
  const combined = numbers.subarray(out, out + CHUNK);
  for (let from = 0; from < length; from += CHUNK) {
    const size = Math.min(CHUNK, length - from);
    // The last vectors of eight may reach beyond the parts: what they hold there is not taken over.
    const rounded = Math.ceil(size / 8) * 8;
    for (let c = 0; c < count; c++) numbers.set(parts[c]!.subarray(from, from + size), c * CHUNK);
    for (let k = 0; k < sums.length; k++) {
      kernels.combine(0, CHUNK, count, table + k * count, rounded, out);
      sums[k]!.set(size === CHUNK ? combined : combined.subarray(0, size), from);
    }
  }
  return sums;
}
