import type { Kernels } from './kernels';
import { plainKernels } from './kernels-plain';
import { wasmKernels } from './kernels-wasm';

/** Kernels that nobody uses: their memory is taken again before new memory is. */
const spare: Kernels[] = [];
const MOST_SPARE = 2;

const make = (): Kernels => wasmKernels() ?? plainKernels();

/** Kernels with a memory of their own, for one factor at a time. */
export const takeKernels = (): Kernels => spare.pop() ?? make();

/** What was factored in them must not be used any more. */
export function giveBackKernels(kernels: Kernels): void {
  if (spare.length < MOST_SPARE) spare.push(kernels);
}

/** Compiles the kernels before they are needed; tells which ones this platform has. */
export function warmUpKernels(): Kernels['name'] {
  const kernels = takeKernels();
  giveBackKernels(kernels);
  return kernels.name;
}
