import type { Kernels } from './kernels';
import { wasmKernels } from './kernels-wasm';

/** Kernels that nobody uses: their memory is taken again before new memory is. */
const spare: Kernels[] = [];
const MOST_SPARE = 2;

/** Kernels with a memory of their own, for one factor at a time. */
export const takeKernels = (): Kernels => spare.pop() ?? wasmKernels();

/** What was factored in them must not be used any more. */
export function giveBackKernels(kernels: Kernels): void {
  if (spare.length < MOST_SPARE) spare.push(kernels);
}
