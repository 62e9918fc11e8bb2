import type { Heap } from './kernels';

/** The core is compiled without the types of any platform; this is what it uses of them, on all of them. */
declare const atob: (base64: string) => string;
interface WasmMemory {
  readonly buffer: ArrayBuffer;
  readonly grow: (pages: number) => number;
}
declare const WebAssembly: {
  readonly validate: (bytes: Uint8Array) => boolean;
  readonly Module: new (bytes: Uint8Array) => object;
  readonly Memory: new (size: { initial: number }) => WasmMemory;
  readonly Instance: new (module: object, imports: object) => { readonly exports: unknown };
};

/** Numbers in a page of WebAssembly memory. */
const PAGE = 8192;
/** A memory that is this many times too large, and larger than a few pages, is given back. */
const WASTEFUL = 8;

/** A compiled module and the memory that it works in. */
export interface WasmModule<Exports> {
  /** A heap of at least `length` numbers; what an earlier one held is lost. */
  readonly reserve: (length: number) => Heap;
  /** What the module exports, on places in bytes of the heap that was reserved last. */
  readonly exports: () => Exports;
}

/** Said where nothing can be computed. */
const NEEDED =
  'Rigid Beam computes with WebAssembly and its vectors, which this browser lacks or forbids. Open it in a current browser, and allow WebAssembly for this address.';

/** Loads the first module that the platform understands, which imports its memory; throws with words where it lacks WebAssembly or forbids it. */
export function wasmModule<Exports>(...choices: readonly string[]): WasmModule<Exports> {
  try {
    const all = choices.map(decoded);
    return loaded(new WebAssembly.Module(all.find((bytes) => WebAssembly.validate(bytes)) ?? all.at(-1)!));
  } catch (cause) {
    throw new Error(NEEDED, { cause });
  }
}

function decoded(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (character) => character.charCodeAt(0));
}

function loaded<Exports>(module: object): WasmModule<Exports> {
  const instance = (): Exports => new WebAssembly.Instance(module, { env: { memory } }).exports as Exports;
  let memory = new WebAssembly.Memory({ initial: 1 });
  let run = instance();
  let heap: Heap = { numbers: new Float64Array(memory.buffer), integers: new Int32Array(memory.buffer) };
  const reserve = (length: number): Heap => {
    const pages = Math.ceil(length / PAGE) + 1;
    const have = heap.numbers.length / PAGE;
    if (pages > have) memory.grow(pages - have);
    else if (have > 1024 && have > WASTEFUL * pages) {
      memory = new WebAssembly.Memory({ initial: pages });
      run = instance();
    }
    if (heap.numbers.buffer !== memory.buffer)
      heap = { numbers: new Float64Array(memory.buffer), integers: new Int32Array(memory.buffer) };
    return heap;
  };
  return { reserve, exports: () => run };
}
