// Weighted sums of vectors, and bounds of many.
import { at } from './memory';
import { plus } from './products';

/** out(i) = Σ weight(c)·part(c, i) over `count` parts that lie `stride` numbers apart; `length` is a multiple of eight. */
export function combine(parts: usize, stride: i32, count: i32, weights: usize, length: i32, out: usize): void {
  const step = <usize>stride << 3;
  for (let i = 0; i < length; i += 8) {
    let s0 = f64x2.splat(0);
    let s1 = s0;
    let s2 = s0;
    let s3 = s0;
    let part = at(parts, i);
    for (let c = 0; c < count; c++) {
      const w = v128.load64_splat(at(weights, c));
      s0 = plus(s0, w, v128.load(part));
      s1 = plus(s1, w, v128.load(part, 16));
      s2 = plus(s2, w, v128.load(part, 32));
      s3 = plus(s3, w, v128.load(part, 48));
      part += step;
    }
    const target = at(out, i);
    v128.store(target, s0);
    v128.store(target, s1, 16);
    v128.store(target, s2, 32);
    v128.store(target, s3, 48);
  }
}

/** max(i) = max(max(i), x(i)) and min(i) = min(min(i), x(i)); `length` is even. */
export function bound(x: usize, length: i32, max: usize, min: usize): void {
  for (let i = 0; i < length; i += 2) {
    const value = v128.load(at(x, i));
    const high = at(max, i);
    const low = at(min, i);
    v128.store(high, f64x2.max(v128.load(high), value));
    v128.store(low, f64x2.min(v128.load(low), value));
  }
}
