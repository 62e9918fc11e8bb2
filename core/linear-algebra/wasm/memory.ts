// Places in the memory of the kernels, in bytes.

/** Number `index` of a list. */
@inline
export function at(base: usize, index: i32): usize {
  return base + (<usize>index << 3);
}

/** Integer i of a list. */
@inline
export function row(list: usize, i: i32): i32 {
  return i32.load(list + (<usize>i << 2));
}

/** The right-hand sides of an unknown, four side by side. */
@inline
export function side(x: usize, unknown: i32): usize {
  return x + (<usize>unknown << 5);
}

/** Takes four numbers off those at a place. */
@inline
export function less(place: usize, low: v128, high: v128): void {
  v128.store(place, f64x2.sub(v128.load(place), low));
  v128.store(place, f64x2.sub(v128.load(place, 16), high), 16);
}
