// Four columns side by side in memory, and vectors that are taken out of them.
import { at } from './memory';
import { minus, plus } from './products';

/**
 * parts(i, c) += Σ column(c, k)·vector(i, k) for `count` vectors that lie `width` numbers apart and four columns `stride` apart; `length` is a multiple
 * of four.
 */
export function addDots(columns: usize, stride: i32, vectors: usize, width: i32, count: i32, length: i32, parts: usize): void {
  const step = <usize>stride << 3;
  for (let i = 0; i < count; i++) {
    let place = vectors + ((<usize>(width * i)) << 3);
    let a = columns;
    let s0 = f64x2.splat(0);
    let s1 = s0;
    let s2 = s0;
    let s3 = s0;
    let t0 = s0;
    let t1 = s0;
    let t2 = s0;
    let t3 = s0;
    for (let k = 0; k < length; k += 4) {
      const v = v128.load(place);
      const w = v128.load(place, 16);
      const b = a + step;
      const c = b + step;
      const d = c + step;
      s0 = plus(s0, v, v128.load(a));
      t0 = plus(t0, w, v128.load(a, 16));
      s1 = plus(s1, v, v128.load(b));
      t1 = plus(t1, w, v128.load(b, 16));
      s2 = plus(s2, v, v128.load(c));
      t2 = plus(t2, w, v128.load(c, 16));
      s3 = plus(s3, v, v128.load(d));
      t3 = plus(t3, w, v128.load(d, 16));
      place += 32;
      a += 32;
    }
    const to = at(parts, 4 * i);
    add(to, f64x2.add(s0, t0));
    add(to + 8, f64x2.add(s1, t1));
    add(to + 16, f64x2.add(s2, t2));
    add(to + 24, f64x2.add(s3, t3));
  }
}

/** Adds both lanes to the number at a place. */
@inline
function add(place: usize, sum: v128): void {
  f64.store(place, f64.load(place) + f64x2.extract_lane(sum, 0) + f64x2.extract_lane(sum, 1));
}

/** column(c, k) −= Σ parts(i, c)·vector(i, k); `length` is a multiple of eight. */
export function takeTimes(columns: usize, stride: i32, vectors: usize, width: i32, count: i32, length: i32, parts: usize): void {
  const step = <usize>width << 3;
  for (let c = 0; c < 4; c++) {
    const column = at(columns, stride * c);
    for (let k = 0; k < length; k += 8) {
      const target = at(column, k);
      let s0 = v128.load(target);
      let s1 = v128.load(target, 16);
      let s2 = v128.load(target, 32);
      let s3 = v128.load(target, 48);
      let vector = at(vectors, k);
      for (let i = 0; i < count; i++) {
        const w = v128.load64_splat(at(parts, 4 * i + c));
        s0 = minus(s0, w, v128.load(vector));
        s1 = minus(s1, w, v128.load(vector, 16));
        s2 = minus(s2, w, v128.load(vector, 32));
        s3 = minus(s3, w, v128.load(vector, 48));
        vector += step;
      }
      v128.store(target, s0);
      v128.store(target, s1, 16);
      v128.store(target, s2, 32);
      v128.store(target, s3, 48);
    }
  }
}
