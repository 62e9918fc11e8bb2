import { kernelBytes } from './kernels-bytes';
import type { Kernels } from './kernels';
import { wasmModule } from './wasm-module';

/** What the compiled module exports: the kernels on places in bytes, flags as numbers. */
type Exports = Omit<Kernels, 'name' | 'reserve' | 'backward'> & {
  readonly backward: (table: number, supernodes: number, x: number, together: number, work: number, plain: number) => void;
};

/** The kernels in WebAssembly with vectors of two numbers; undefined where the platform lacks it or forbids it. */
export function wasmKernels(): Kernels | undefined {
  const module = wasmModule<Exports>(kernelBytes);
  if (!module) return undefined;
  const run = module.exports;
  return {
    name: 'WebAssembly',
    reserve: module.reserve,
    gather: (pointers, rows, values, first, pivots, front, list, local, panel) =>
      run().gather(4 * pointers, 4 * rows, 8 * values, first, pivots, front, 4 * list, 4 * local, 8 * panel),
    extendAdd: (border, size, places, panel, front, pivots, parentBorder) =>
      run().extendAdd(8 * border, size, 4 * places, 8 * panel, front, pivots, 8 * parentBorder),
    factorPanel: (panel, front, pivots, started, tolerance, scratch) =>
      run().factorPanel(8 * panel, front, pivots, 8 * started, tolerance, 8 * scratch),
    updateBorder: (panel, front, pivots, border, scratch) =>
      run().updateBorder(8 * panel, front, pivots, 8 * border, 8 * scratch),
    forward: (table, supernodes, x, together, work) => run().forward(4 * table, supernodes, 8 * x, together, 8 * work),
    backward: (table, supernodes, x, together, work, plain) =>
      run().backward(4 * table, supernodes, 8 * x, together, 8 * work, plain ? 1 : 0),
    residual: (size, pointers, rows, values, x, together, b, r, sizes) =>
      run().residual(size, 4 * pointers, 4 * rows, 8 * values, 8 * x, together, 8 * b, 8 * r, 8 * sizes),
    combine: (parts, stride, count, weights, length, out) =>
      run().combine(8 * parts, stride, count, 8 * weights, length, 8 * out),
    bound: (x, length, max, min) => run().bound(8 * x, length, 8 * max, 8 * min),
  };
}
