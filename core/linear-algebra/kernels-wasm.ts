import { kernelBytes } from './kernels-bytes';
import type { Heap, Kernels } from './kernels';

/** The core is compiled without the types of any platform; this is what it uses of them, on all of them. */
declare const atob: (base64: string) => string;
interface WasmMemory {
  readonly buffer: ArrayBuffer;
  readonly grow: (pages: number) => number;
}
declare const WebAssembly: {
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Memory: new (size: { initial: number }) => WasmMemory;
  readonly Instance: new (module: object, imports: object) => { readonly exports: unknown };
};

/** Numbers in a page of WebAssembly memory. */
const PAGE = 8192;
/** A memory that is this many times too large, and larger than a few pages, is given back. */
const WASTEFUL = 8;

/** What the compiled module exports: the kernels on places in bytes, flags as numbers. */
type Exports = Omit<Kernels, 'name' | 'reserve' | 'backward'> & {
  readonly backward: (table: number, supernodes: number, x: number, plain: number) => void;
};

/** The kernels in WebAssembly with vectors of two numbers; undefined where the platform lacks it or forbids it. */
export function wasmKernels(): Kernels | undefined {
  try {
    const module = new WebAssembly.Module(decoded(kernelBytes));
    return kernelsOf(module);
  } catch {
    return undefined;
  }
}

function decoded(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (character) => character.charCodeAt(0));
}

function kernelsOf(module: object): Kernels {
  let memory = new WebAssembly.Memory({ initial: 1 });
  let run = instance(module, memory);
  let heap: Heap = { numbers: new Float64Array(memory.buffer), integers: new Int32Array(memory.buffer) };

  const reserve = (length: number): Heap => {
    const pages = Math.ceil(length / PAGE) + 1;
    const have = heap.numbers.length / PAGE;
    if (pages > have) memory.grow(pages - have);
    else if (have > 1024 && have > WASTEFUL * pages) {
      memory = new WebAssembly.Memory({ initial: pages });
      run = instance(module, memory);
    }
    if (heap.numbers.buffer !== memory.buffer)
      heap = { numbers: new Float64Array(memory.buffer), integers: new Int32Array(memory.buffer) };
    return heap;
  };

  return {
    name: 'WebAssembly',
    reserve,
    extendAdd: (border, size, places, panel, front, pivots, parentBorder) =>
      run.extendAdd(8 * border, size, 4 * places, 8 * panel, front, pivots, 8 * parentBorder),
    factorPanel: (panel, front, pivots, started, tolerance, scratch) =>
      run.factorPanel(8 * panel, front, pivots, 8 * started, tolerance, 8 * scratch),
    updateBorder: (panel, front, pivots, border, scratch) => run.updateBorder(8 * panel, front, pivots, 8 * border, 8 * scratch),
    forward: (table, supernodes, x, work) => run.forward(4 * table, supernodes, 8 * x, 8 * work),
    backward: (table, supernodes, x, plain) => run.backward(4 * table, supernodes, 8 * x, plain ? 1 : 0),
    combine: (parts, stride, count, weights, length, out) => run.combine(8 * parts, stride, count, 8 * weights, length, 8 * out),
  };
}

const instance = (module: object, memory: WasmMemory): Exports =>
  new WebAssembly.Instance(module, { env: { memory } }).exports as Exports;
