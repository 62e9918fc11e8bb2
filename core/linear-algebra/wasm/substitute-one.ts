// Substitution for one right-hand side.
import { at, row } from './memory';
import { minus, plus } from './products';
import { columnOf, descriptor, firstOf, frontOf, pivotsOf, rowsOf } from './supernode';

/** y(i) −= w·l(i), i from…to. */
@inline
function lessTimes(y: usize, l: usize, from: i32, to: i32, w: f64): void {
  const both = f64x2.splat(w);
  let i = from;
  for (; i + 2 <= to; i += 2) v128.store(at(y, i), minus(v128.load(at(y, i)), v128.load(at(l, i)), both));
  if (i < to) f64.store(at(y, i), f64.load(at(y, i)) - w * f64.load(at(l, i)));
}

/** Σ l(i)·y(i), i from…to. */
@inline
function product(l: usize, y: usize, from: i32, to: i32): f64 {
  let s0 = f64x2.splat(0);
  let s1 = s0;
  let i = from;
  for (; i + 4 <= to; i += 4) {
    s0 = plus(s0, v128.load(at(l, i)), v128.load(at(y, i)));
    s1 = plus(s1, v128.load(at(l, i), 16), v128.load(at(y, i), 16));
  }
  s0 = f64x2.add(s0, s1);
  let sum = f64x2.extract_lane(s0, 0) + f64x2.extract_lane(s0, 1);
  for (; i < to; i++) sum += f64.load(at(l, i)) * f64.load(at(y, i));
  return sum;
}

/** One right-hand side: columns of L lie in one piece, and so do the unknowns of a supernode. */
export function forwardOne(table: usize, supernodes: i32, x: usize, work: usize): void {
  for (let s = 0; s < supernodes; s++) {
    const d = descriptor(table, s);
    const pivots = pivotsOf(d);
    const front = frontOf(d);
    const rows = rowsOf(d);
    const panel = columnOf(d, 0);
    const own = at(x, firstOf(d));
    memory.fill(at(work, pivots), 0, <usize>(front - pivots) << 3);
    for (let k = 0; k < pivots; k++) {
      const column = at(panel, k * front);
      const w = f64.load(at(own, k));
      lessTimes(own, column, k + 1, pivots, w);
      lessTimes(work, column, pivots, front, w);
    }
    for (let i = pivots; i < front; i++) {
      const target = at(x, row(rows, i));
      f64.store(target, f64.load(target) + f64.load(at(work, i)));
    }
  }
}

export function backwardOne(table: usize, supernodes: i32, x: usize, work: usize, ofUnits: i32): void {
  for (let s = supernodes - 1; s >= 0; s--) {
    const d = descriptor(table, s);
    const pivots = pivotsOf(d);
    const front = frontOf(d);
    const rows = rowsOf(d);
    const panel = columnOf(d, 0);
    const own = at(x, firstOf(d));
    for (let i = pivots; i < front; i++) f64.store(at(work, i), f64.load(at(x, row(rows, i))));
    for (let k = pivots - 1; k >= 0; k--) {
      const column = at(panel, k * front);
      const pivot = f64.load(at(column, k));
      const inverse: f64 = ofUnits ? 1 : pivot == 0 ? 0 : 1 / pivot;
      const sum = product(column, work, pivots, front) + product(column, own, k + 1, pivots);
      f64.store(at(own, k), f64.load(at(own, k)) * inverse - sum);
    }
  }
}
