import type { Kernels } from './kernels';
import { plainKernels } from './kernels-plain';
import { wasmKernels } from './kernels-wasm';

let shared: Kernels | undefined;

/** Kernels with a heap of their own. */
export const newKernels = (): Kernels => wasmKernels() ?? plainKernels();

/** The kernels of this thread, made when first needed. */
export const sharedKernels = (): Kernels => (shared ??= newKernels());
