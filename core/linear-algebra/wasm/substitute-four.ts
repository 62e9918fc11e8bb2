// Substitution for four right-hand sides side by side.
import { at, less, row, side } from './memory';
import { minus, plus } from './products';
import { columnOf, descriptor, firstOf, frontOf, pivotsOf, rowsOf } from './supernode';

export function forwardFour(table: usize, supernodes: i32, x: usize, work: usize): void {
  for (let s = 0; s < supernodes; s++) {
    const d = descriptor(table, s);
    const first = firstOf(d);
    const pivots = pivotsOf(d);
    const front = frontOf(d);
    const rows = rowsOf(d);
    const panel = columnOf(d, 0);
    const step = <usize>front << 3;
    const own = side(x, first);
    for (let k = 0; k < pivots; k++) {
      const x0 = v128.load(side(own, k));
      const x1 = v128.load(side(own, k), 16);
      const column = panel + <usize>k * step;
      for (let i = k + 1; i < pivots; i++) {
        const l = v128.load64_splat(at(column, i));
        const target = side(own, i);
        v128.store(target, minus(v128.load(target), l, x0));
        v128.store(target, minus(v128.load(target, 16), l, x1), 16);
      }
    }
    // The border: products are gathered side by side in `work`, column by column as L lies, and then taken off.
    const rest = front - pivots;
    memory.fill(work, 0, <usize>rest << 5);
    let k = 0;
    for (; k + 4 <= pivots; k += 4) {
      const x00 = v128.load(side(own, k));
      const x01 = v128.load(side(own, k), 16);
      const x10 = v128.load(side(own, k + 1));
      const x11 = v128.load(side(own, k + 1), 16);
      const x20 = v128.load(side(own, k + 2));
      const x21 = v128.load(side(own, k + 2), 16);
      const x30 = v128.load(side(own, k + 3));
      const x31 = v128.load(side(own, k + 3), 16);
      let l = at(panel, k * front + pivots);
      let target = work;
      for (let i = 0; i < rest; i++) {
        let s0 = v128.load(target);
        let s1 = v128.load(target, 16);
        const l0 = v128.load64_splat(l);
        s0 = plus(s0, l0, x00);
        s1 = plus(s1, l0, x01);
        const l1 = v128.load64_splat(l + step);
        s0 = plus(s0, l1, x10);
        s1 = plus(s1, l1, x11);
        const l2 = v128.load64_splat(l + 2 * step);
        s0 = plus(s0, l2, x20);
        s1 = plus(s1, l2, x21);
        const l3 = v128.load64_splat(l + 3 * step);
        s0 = plus(s0, l3, x30);
        s1 = plus(s1, l3, x31);
        v128.store(target, s0);
        v128.store(target, s1, 16);
        l += 8;
        target += 32;
      }
    }
    for (; k < pivots; k++) {
      const x0 = v128.load(side(own, k));
      const x1 = v128.load(side(own, k), 16);
      const column = at(panel, k * front + pivots);
      for (let i = 0; i < rest; i++) {
        const l = v128.load64_splat(at(column, i));
        const target = side(work, i);
        v128.store(target, plus(v128.load(target), l, x0));
        v128.store(target, plus(v128.load(target, 16), l, x1), 16);
      }
    }
    for (let i = 0; i < rest; i++) less(side(x, row(rows, pivots + i)), v128.load(side(work, i)), v128.load(side(work, i), 16));
  }
}

export function backwardFour(table: usize, supernodes: i32, x: usize, ofUnits: i32): void {
  for (let s = supernodes - 1; s >= 0; s--) {
    const d = descriptor(table, s);
    const first = firstOf(d);
    const pivots = pivotsOf(d);
    const front = frontOf(d);
    const rows = rowsOf(d);
    const panel = columnOf(d, 0);
    const step = <usize>front << 3;
    const own = side(x, first);
    if (!ofUnits)
      for (let k = 0; k < pivots; k++) {
        const pivot = f64.load(at(panel, k * (front + 1)));
        const inverse = f64x2.splat(pivot == 0 ? 0 : 1 / pivot);
        const target = side(own, k);
        v128.store(target, f64x2.mul(v128.load(target), inverse));
        v128.store(target, f64x2.mul(v128.load(target, 16), inverse), 16);
      }
    let k = 0;
    for (; k + 4 <= pivots; k += 4) {
      let s00 = f64x2.splat(0);
      let s01 = f64x2.splat(0);
      let s10 = f64x2.splat(0);
      let s11 = f64x2.splat(0);
      let s20 = f64x2.splat(0);
      let s21 = f64x2.splat(0);
      let s30 = f64x2.splat(0);
      let s31 = f64x2.splat(0);
      let l = at(panel, k * front + pivots);
      for (let i = pivots; i < front; i++) {
        const source = side(x, row(rows, i));
        const x0 = v128.load(source);
        const x1 = v128.load(source, 16);
        const l0 = v128.load64_splat(l);
        s00 = plus(s00, l0, x0);
        s01 = plus(s01, l0, x1);
        const l1 = v128.load64_splat(l + step);
        s10 = plus(s10, l1, x0);
        s11 = plus(s11, l1, x1);
        const l2 = v128.load64_splat(l + 2 * step);
        s20 = plus(s20, l2, x0);
        s21 = plus(s21, l2, x1);
        const l3 = v128.load64_splat(l + 3 * step);
        s30 = plus(s30, l3, x0);
        s31 = plus(s31, l3, x1);
        l += 8;
      }
      less(side(own, k), s00, s01);
      less(side(own, k + 1), s10, s11);
      less(side(own, k + 2), s20, s21);
      less(side(own, k + 3), s30, s31);
    }
    for (; k < pivots; k++) {
      let s0 = f64x2.splat(0);
      let s1 = f64x2.splat(0);
      const column = panel + <usize>k * step;
      for (let i = pivots; i < front; i++) {
        const source = side(x, row(rows, i));
        const l = v128.load64_splat(at(column, i));
        s0 = plus(s0, l, v128.load(source));
        s1 = plus(s1, l, v128.load(source, 16));
      }
      less(side(own, k), s0, s1);
    }
    for (k = pivots - 1; k >= 0; k--) {
      const target = side(own, k);
      let s0 = v128.load(target);
      let s1 = v128.load(target, 16);
      const column = panel + <usize>k * step;
      for (let i = k + 1; i < pivots; i++) {
        const source = side(own, i);
        const l = v128.load64_splat(at(column, i));
        s0 = minus(s0, l, v128.load(source));
        s1 = minus(s1, l, v128.load(source, 16));
      }
      v128.store(target, s0);
      v128.store(target, s1, 16);
    }
  }
}
