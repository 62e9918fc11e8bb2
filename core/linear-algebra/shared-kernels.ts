import type { Kernels } from './kernels';
import { plainKernels } from './kernels-plain';
import { wasmKernels } from './kernels-wasm';

let shared: Kernels | undefined;

/** The kernels of this thread, made when first needed. */
export const sharedKernels = (): Kernels => (shared ??= wasmKernels() ?? plainKernels());
