import { BLOCK, DESCRIPTOR, type Heap, type Kernels } from './kernels';

/** The kernels in plain TypeScript: for where WebAssembly is missing, and to check the others against. */
export function plainKernels(): Kernels {
  let heap: Heap = { numbers: new Float64Array(0), integers: new Int32Array(0) };

  const reserve = (length: number): Heap => {
    if (heap.numbers.length < length) {
      const buffer = new ArrayBuffer(8 * length);
      heap = { numbers: new Float64Array(buffer), integers: new Int32Array(buffer) };
    }
    return heap;
  };

  const gather: Kernels['gather'] = (pointers, rows, values, first, pivots, front, list, local, panel) => {
    const { numbers, integers } = heap;
    numbers.fill(0, panel, panel + front * pivots);
    for (let i = 0; i < front; i++) integers[local + integers[list + i]!] = i;
    for (let k = 0; k < pivots; k++) {
      const end = integers[pointers + first + k + 1]!;
      for (let e = integers[pointers + first + k]!; e < end; e++)
        numbers[panel + k * front + integers[local + integers[rows + e]!]!] = numbers[values + e]!;
    }
  };

  const extendAdd: Kernels['extendAdd'] = (border, size, places, panel, front, pivots, parentBorder) => {
    const { numbers, integers } = heap;
    const rest = front - pivots;
    for (let j = 0; j < size; j++) {
      const column = integers[places + j]!;
      const source = border + j * size;
      const target = column < pivots ? panel + column * front : parentBorder + (column - pivots) * rest - pivots;
      for (let i = j; i < size; i++) numbers[target + integers[places + i]!]! += numbers[source + i]!;
    }
  };

  /** C (rows i ≥ j of `columns` columns, at c, leading dimension ldc) −= A·D·Aᵀ, A: rows × count at a. */
  const update = (
    c: number,
    ldc: number,
    rows: number,
    columns: number,
    a: number,
    lda: number,
    count: number,
    d: number,
    ldd: number,
  ): void => {
    const { numbers } = heap;
    for (let j = 0; j < columns; j++) {
      const target = c + j * ldc;
      for (let k = 0; k < count; k++) {
        const column = a + k * lda;
        const w = numbers[column + j]! * numbers[d + k * ldd]!;
        if (w === 0) continue;
        for (let i = j; i < rows; i++) numbers[target + i]! -= numbers[column + i]! * w;
      }
    }
  };

  const factorBlock = (panel: number, front: number, from: number, to: number, started: number, tolerance: number): void => {
    const { numbers } = heap;
    for (let j = from; j < to; j++) {
      const column = panel + j * front;
      for (let l = from; l < j; l++) {
        const other = panel + l * front;
        const w = numbers[other + j]! * numbers[other + l]!;
        if (w !== 0) for (let i = j; i < front; i++) numbers[column + i]! -= numbers[other + i]! * w;
      }
      const pivot = numbers[column + j]!;
      const sound = pivot > tolerance * numbers[started + j]!;
      const inverse = sound ? 1 / pivot : 0;
      if (!sound) numbers[column + j] = 0;
      for (let i = j + 1; i < front; i++) numbers[column + i]! *= inverse;
    }
  };

  const factorPanel: Kernels['factorPanel'] = (panel, front, pivots, started, tolerance) => {
    for (let from = 0; from < pivots; from += BLOCK) {
      const to = Math.min(from + BLOCK, pivots);
      factorBlock(panel, front, from, to, started, tolerance);
      const c = panel + to * front + to;
      update(
        c,
        front,
        front - to,
        pivots - to,
        panel + from * front + to,
        front,
        to - from,
        panel + from * (front + 1),
        front + 1,
      );
    }
  };

  const updateBorder: Kernels['updateBorder'] = (panel, front, pivots, border) => {
    const rest = front - pivots;
    update(border, rest, rest, rest, panel + pivots, front, pivots, panel, front + 1);
  };

  const forward: Kernels['forward'] = (table, supernodes, x, together) => {
    const { numbers, integers } = heap;
    for (let s = 0; s < supernodes; s++) {
      const [first, pivots, front, rows, panel] = integers.subarray(table + s * DESCRIPTOR) as unknown as Descriptor;
      for (let k = 0; k < pivots; k++) {
        const source = x + together * (first + k);
        const column = panel + k * front;
        for (let i = k + 1; i < front; i++) {
          const l = numbers[column + i]!;
          if (l === 0) continue;
          const target = x + together * integers[rows + i]!;
          for (let c = 0; c < together; c++) numbers[target + c]! -= l * numbers[source + c]!;
        }
      }
    }
  };

  const backward: Kernels['backward'] = (table, supernodes, x, together, _work, plain) => {
    const { numbers, integers } = heap;
    for (let s = supernodes - 1; s >= 0; s--) {
      const [first, pivots, front, rows, panel] = integers.subarray(table + s * DESCRIPTOR) as unknown as Descriptor;
      for (let k = pivots - 1; k >= 0; k--) {
        const target = x + together * (first + k);
        const column = panel + k * front;
        const pivot = numbers[column + k]!;
        const inverse = plain ? 1 : pivot === 0 ? 0 : 1 / pivot;
        for (let c = 0; c < together; c++) numbers[target + c]! *= inverse;
        for (let i = k + 1; i < front; i++) {
          const l = numbers[column + i]!;
          if (l === 0) continue;
          const source = x + together * integers[rows + i]!;
          for (let c = 0; c < together; c++) numbers[target + c]! -= l * numbers[source + c]!;
        }
      }
    }
  };

  const residual: Kernels['residual'] = (size, pointers, rows, values, x, together, b, r, sizes) => {
    const { numbers, integers } = heap;
    numbers.copyWithin(r, b, b + together * size);
    for (let j = 0; j < size; j++)
      for (let e = integers[pointers + j]!; e < integers[pointers + j + 1]!; e++) {
        const i = integers[rows + e]!;
        const value = numbers[values + e]!;
        for (let c = 0; c < together; c++) {
          numbers[r + together * i + c]! -= value * numbers[x + together * j + c]!;
          if (i !== j) numbers[r + together * j + c]! -= value * numbers[x + together * i + c]!;
        }
      }
    numbers.fill(0, sizes, sizes + 2 * together);
    for (let k = 0; k < together * size; k++) {
      const c = k % together;
      numbers[sizes + c] = Math.max(numbers[sizes + c]!, Math.abs(numbers[r + k]!));
      numbers[sizes + together + c] = Math.max(numbers[sizes + together + c]!, Math.abs(numbers[b + k]!));
    }
  };

  const combine: Kernels['combine'] = (parts, stride, count, weights, length, out) => {
    const { numbers } = heap;
    numbers.fill(0, out, out + length);
    for (let c = 0; c < count; c++) {
      const weight = numbers[weights + c]!;
      for (let i = 0; i < length; i++) numbers[out + i]! += weight * numbers[parts + c * stride + i]!;
    }
  };

  const bound: Kernels['bound'] = (x, length, max, min) => {
    const { numbers } = heap;
    for (let i = 0; i < length; i++) {
      numbers[max + i] = Math.max(numbers[max + i]!, numbers[x + i]!);
      numbers[min + i] = Math.min(numbers[min + i]!, numbers[x + i]!);
    }
  };

  return { name: 'plain', reserve, gather, extendAdd, factorPanel, updateBorder, forward, backward, residual, combine, bound };
}

type Descriptor = [first: number, pivots: number, front: number, rows: number, panel: number];
