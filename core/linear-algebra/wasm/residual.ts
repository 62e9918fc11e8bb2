// What is left of right-hand sides.
import { at, less, row, side } from './memory';
import { plus } from './products';

function residualFour(
  size: i32,
  pointers: usize,
  rows: usize,
  values: usize,
  x: usize,
  b: usize,
  r: usize,
  sizes: usize,
): void {
  memory.copy(r, b, <usize>size << 5);
  let e = row(pointers, 0);
  for (let j = 0; j < size; j++) {
    const x0 = v128.load(side(x, j));
    const x1 = v128.load(side(x, j), 16);
    let s0 = f64x2.splat(0);
    let s1 = s0;
    const end = row(pointers, j + 1);
    for (; e < end; e++) {
      const i = row(rows, e);
      const value = v128.load64_splat(at(values, e));
      const source = side(x, i);
      s0 = plus(s0, value, v128.load(source));
      s1 = plus(s1, value, v128.load(source, 16));
      if (i != j) less(side(r, i), f64x2.mul(value, x0), f64x2.mul(value, x1));
    }
    less(side(r, j), s0, s1);
  }
  let r0 = f64x2.splat(0);
  let r1 = r0;
  let b0 = r0;
  let b1 = r0;
  for (let j = 0; j < size; j++) {
    r0 = f64x2.max(r0, f64x2.abs(v128.load(side(r, j))));
    r1 = f64x2.max(r1, f64x2.abs(v128.load(side(r, j), 16)));
    b0 = f64x2.max(b0, f64x2.abs(v128.load(side(b, j))));
    b1 = f64x2.max(b1, f64x2.abs(v128.load(side(b, j), 16)));
  }
  v128.store(sizes, r0);
  v128.store(sizes, r1, 16);
  v128.store(sizes, b0, 32);
  v128.store(sizes, b1, 48);
}

function residualOne(size: i32, pointers: usize, rows: usize, values: usize, x: usize, b: usize, r: usize, sizes: usize): void {
  memory.copy(r, b, <usize>size << 3);
  let e = row(pointers, 0);
  for (let j = 0; j < size; j++) {
    const xj = f64.load(at(x, j));
    let sum: f64 = 0;
    const end = row(pointers, j + 1);
    for (; e < end; e++) {
      const i = row(rows, e);
      const value = f64.load(at(values, e));
      sum += value * f64.load(at(x, i));
      if (i != j) f64.store(at(r, i), f64.load(at(r, i)) - value * xj);
    }
    f64.store(at(r, j), f64.load(at(r, j)) - sum);
  }
  let left: f64 = 0;
  let right: f64 = 0;
  for (let j = 0; j < size; j++) {
    left = max(left, abs(f64.load(at(r, j))));
    right = max(right, abs(f64.load(at(b, j))));
  }
  f64.store(sizes, left);
  f64.store(sizes, right, 8);
}

export function residual(
  size: i32,
  pointers: usize,
  rows: usize,
  values: usize,
  x: usize,
  together: i32,
  b: usize,
  r: usize,
  sizes: usize,
): void {
  if (together == 1) residualOne(size, pointers, rows, values, x, b, r, sizes);
  else residualFour(size, pointers, rows, values, x, b, r, sizes);
}
