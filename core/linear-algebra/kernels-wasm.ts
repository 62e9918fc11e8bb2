import { fusedKernelBytes } from './fused-kernels-bytes';
import { kernelBytes } from './kernels-bytes';
import type { ColumnPlaces, Kernels, PartPlaces, SolvePlaces } from './kernels';
import { wasmModule } from './wasm-module';

/** What the compiled module exports, in `wasm/kernels.ts`: the kernels on places in bytes, flags as numbers. */
type Exports = Readonly<Record<Exclude<keyof Kernels, 'reserve' | 'backwardOfUnits'>, (...places: number[]) => void>>;

/**
 * The kernels in WebAssembly with vectors of two numbers. Where the platform adds a product in one step (relaxed SIMD), they do: a factorization
 * takes seven tenths of the time, with one rounding in place of two; results agree but for rounding.
 */
export function wasmKernels(): Kernels {
  const { reserve, exports: run } = wasmModule<Exports>(fusedKernelBytes, kernelBytes);
  const backward = ({ table, supernodes, x, together, work }: SolvePlaces, ofUnits: 0 | 1): void =>
    run().backward(4 * table, supernodes, 8 * x, together, 8 * work, ofUnits);
  const placed = (columns: ColumnPlaces, { at, stride, count }: PartPlaces, parts: number): number[] => [
    ...[8 * columns.at, columns.stride, 8 * at, stride, count, columns.length, 8 * parts],
  ];
  return {
    reserve,
    gather: ({ pointers, rows, values }, { first, pivots, front, list, panel }, local) =>
      run().gather(4 * pointers, 4 * rows, 8 * values, first, pivots, front, 4 * list, 4 * local, 8 * panel),
    extendAdd: ({ at, size, places }, { panel, front, pivots }, parentBorder) =>
      run().extendAdd(8 * at, size, 4 * places, 8 * panel, front, pivots, 8 * parentBorder),
    factorPanel: ({ panel, front, pivots }, started, tolerance, scratch) =>
      run().factorPanel(8 * panel, front, pivots, 8 * started, tolerance, 8 * scratch),
    updateBorder: ({ panel, front, pivots }, border, scratch) =>
      run().updateBorder(8 * panel, front, pivots, 8 * border, 8 * scratch),
    forward: ({ table, supernodes, x, together, work }) => run().forward(4 * table, supernodes, 8 * x, together, 8 * work),
    backward: (places) => backward(places, 0),
    backwardOfUnits: (places) => backward(places, 1),
    residual: ({ size, pointers, rows, values }, { x, together, b, r, sizes }) =>
      run().residual(size, 4 * pointers, 4 * rows, 8 * values, 8 * x, together, 8 * b, 8 * r, 8 * sizes),
    combine: ({ at, stride, count }, weights, length, out) => run().combine(8 * at, stride, count, 8 * weights, length, 8 * out),
    addDots: (columns, vectors, parts) => run().addDots(...placed(columns, vectors, parts)),
    takeTimes: (columns, vectors, parts) => run().takeTimes(...placed(columns, vectors, parts)),
    bound: (x, length, max, min) => run().bound(8 * x, length, 8 * max, 8 * min),
  };
}
