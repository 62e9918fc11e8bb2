import type { Kernels } from './kernels';
import { takeKernels } from './kernel-pool';

/** So many columns lie side by side. */
export const TOGETHER = 4;
/** Vectors come to the columns a stretch at a time, some at once: as much as a processor keeps at hand. Stretches of several lie a little apart, or they would meet in its cache. */
const STRETCH = 2048;
const APART = STRETCH + 8;
const AT_ONCE = 8;

let own: Kernels | undefined;

/** TOGETHER columns or fewer in the memory of kernels, out of which vectors are taken; good until other columns are laid there. */
export interface ColumnsInMemory {
  /** By vector its products with each column: TOGETHER numbers for each, nothing where there is no column. */
  readonly dots: (vectors: readonly Float64Array[]) => Float64Array;
  /** Takes from each column its part of each vector, given as `dots` gives them. */
  readonly take: (vectors: readonly Float64Array[], parts: Float64Array) => void;
  /** Writes what is left back to the columns. */
  readonly putBack: () => void;
}

/** Lays columns of one length there; throws where there are more than have room. `kernels`: others than those that are kept for this. */
export function columnsInMemory(columns: readonly Float64Array[], kernels: Kernels = (own ??= takeKernels())): ColumnsInMemory {
  if (columns.length > TOGETHER) throw new Error(`${columns.length} columns, where ${TOGETHER} have room`);
  const size = columns[0]?.length ?? 0;
  const stride = 8 * Math.ceil(size / 8);
  const stretch = TOGETHER * stride;
  const table = stretch + AT_ONCE * APART;
  const { numbers } = kernels.reserve(table + TOGETHER * AT_ONCE);
  numbers.fill(0, 0, stretch);
  columns.forEach((column, c) => numbers.set(column, c * stride));
  /** Lets `work` see some vectors at once, stretch by stretch; behind the end of one there is nothing. */
  const over = (
    vectors: readonly Float64Array[],
    from: number,
    work: (at: number, length: number, count: number) => void,
  ): void => {
    const count = Math.min(AT_ONCE, vectors.length - from);
    for (let at = 0; at < size; at += STRETCH) {
      const end = Math.min(size, at + STRETCH);
      const length = 8 * Math.ceil((end - at) / 8);
      for (let i = 0; i < count; i++) {
        const to = stretch + i * APART;
        numbers.set(vectors[from + i]!.subarray(at, end), to);
        if (length > end - at) numbers.fill(0, to + end - at, to + length);
      }
      work(at, length, count);
    }
  };
  return {
    dots: (vectors) => {
      const parts = new Float64Array(TOGETHER * vectors.length);
      for (let from = 0; from < vectors.length; from += AT_ONCE) {
        numbers.fill(0, table, table + TOGETHER * AT_ONCE);
        over(vectors, from, (at, length, count) =>
          kernels.addDots({ at, stride, length }, { at: stretch, stride: APART, count }, table),
        );
        const found = Math.min(AT_ONCE, vectors.length - from);
        parts.set(numbers.subarray(table, table + TOGETHER * found), TOGETHER * from);
      }
      return parts;
    },
    take: (vectors, parts) => {
      for (let from = 0; from < vectors.length; from += AT_ONCE) {
        numbers.set(parts.subarray(TOGETHER * from, TOGETHER * (from + AT_ONCE)), table);
        over(vectors, from, (at, length, count) =>
          kernels.takeTimes({ at, stride, length }, { at: stretch, stride: APART, count }, table),
        );
      }
    },
    putBack: () => columns.forEach((column, c) => column.set(numbers.subarray(c * stride, c * stride + size))),
  };
}
