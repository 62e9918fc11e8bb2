// Numbers of 8 bytes in the heap, and members' axes (9 numbers by rows).

@inline
export function n(base: usize, index: i32): f64 {
  return f64.load(base + (<usize>index << 3));
}

@inline
export function put(base: usize, index: i32, value: f64): void {
  f64.store(base + (<usize>index << 3), value);
}

/** Component i of three numbers in the axes R; in the plane the third is zero. */
@inline
export function along(plane: bool, R: usize, i: i32, v: usize): f64 {
  const inPlane = n(R, 3 * i) * n(v, 0) + n(R, 3 * i + 1) * n(v, 1);
  return plane ? inPlane : inPlane + n(R, 3 * i + 2) * n(v, 2);
}

/** Adds three components in the axes R to those of a node; in the plane the third is zero. */
@inline
export function addTurned(plane: bool, R: usize, x: f64, y: f64, z: f64, to: usize): void {
  if (plane) {
    put(to, 0, n(to, 0) + n(R, 0) * x + n(R, 3) * y);
    put(to, 1, n(to, 1) + n(R, 1) * x + n(R, 4) * y);
    return;
  }
  put(to, 0, n(to, 0) + n(R, 0) * x + n(R, 3) * y + n(R, 6) * z);
  put(to, 1, n(to, 1) + n(R, 1) * x + n(R, 4) * y + n(R, 7) * z);
  put(to, 2, n(to, 2) + n(R, 2) * x + n(R, 5) * y + n(R, 8) * z);
}
