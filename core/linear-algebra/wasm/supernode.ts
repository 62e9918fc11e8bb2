// One supernode as the solves need it; `../kernels.ts` says what lies in a descriptor.
import { at } from './memory';

export const DESCRIPTOR: i32 = 5;

/** Where the descriptor of supernode s lies. */
@inline
export function descriptor(table: usize, s: i32): usize {
  return table + (<usize>(s * DESCRIPTOR) << 2);
}

@inline
export function firstOf(d: usize): i32 {
  return i32.load(d);
}

@inline
export function pivotsOf(d: usize): i32 {
  return i32.load(d, 4);
}

@inline
export function frontOf(d: usize): i32 {
  return i32.load(d, 8);
}

@inline
export function rowsOf(d: usize): usize {
  return <usize>i32.load(d, 12) << 2;
}

/** Column k of its panel. */
@inline
export function columnOf(d: usize, k: i32): usize {
  return at(<usize>i32.load(d, 16) << 3, k * frontOf(d));
}
