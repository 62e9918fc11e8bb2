// Panels and borders of fronts as dense matrices, with two numbers a vector.
import { at, less } from './memory';
import { minus, plus } from './products';

const BLOCK: i32 = 32;
/** So many columns of A are packed and multiplied at once, at most: two packed tiles stay in the first cache. */
const DEPTH: i32 = 256;

/** Rows of A (count columns, leading dimension lda) in tiles of four: tile t holds A(4t…4t+3, k) for each k in turn, 0 beyond the last row. */
function pack(a: usize, lda: i32, rows: i32, count: i32, out: usize): void {
  let target = out;
  for (let i = 0; i < rows; i += 4) {
    let source = at(a, i);
    const step = <usize>lda << 3;
    if (i + 4 <= rows) {
      for (let k = 0; k < count; k++) {
        v128.store(target, v128.load(source));
        v128.store(target, v128.load(source, 16), 16);
        source += step;
        target += 32;
      }
    } else {
      for (let k = 0; k < count; k++) {
        for (let r = 0; r < 4; r++) f64.store(at(target, r), i + r < rows ? f64.load(at(source, r)) : 0);
        source += step;
        target += 32;
      }
    }
  }
}

/** The first `tiles` packed tiles with column k times d(k). */
function scale(packed: usize, tiles: i32, count: i32, d: usize, ldd: i32, out: usize): void {
  for (let t = 0; t < tiles; t++)
    for (let k = 0; k < count; k++) {
      const o = <usize>(t * count + k) << 5;
      const w = v128.splat<f64>(f64.load(at(d, k * ldd)));
      v128.store(out + o, f64x2.mul(v128.load(packed + o), w));
      v128.store(out + o + 16, f64x2.mul(v128.load(packed + o, 16), w));
    }
}

/** C (rows i ≥ j of `columns` columns, leading dimension ldc) −= A·D·Aᵀ. */
function update(
  c: usize,
  ldc: i32,
  rows: i32,
  columns: i32,
  a: usize,
  lda: i32,
  total: i32,
  d: usize,
  ldd: i32,
  scratch: usize,
): void {
  if (columns <= 0) return;
  const tiles = (rows + 3) >> 2;
  const across = (columns + 3) >> 2;
  // In equal parts: a last one of a few columns would go through all of C for little.
  const depth = total / ((total + DEPTH - 1) / DEPTH) + 1;
  for (let from = 0; from < total; from += depth) {
    const count = min(depth, total - from);
    const packed = scratch;
    const scaled = scratch + (<usize>(tiles * count) << 5);
    const corner = scaled + (<usize>(across * count) << 5);
    pack(at(a, from * lda), lda, rows, count, packed);
    scale(packed, across, count, at(d, from * ldd), ldd, scaled);
    for (let jt = 0; jt < across; jt++)
      for (let it = jt; it < tiles; it++) {
        let pa = packed + (<usize>(it * count) << 5);
        let pw = scaled + (<usize>(jt * count) << 5);
        let c00 = f64x2.splat(0);
        let c01 = f64x2.splat(0);
        let c10 = f64x2.splat(0);
        let c11 = f64x2.splat(0);
        let c20 = f64x2.splat(0);
        let c21 = f64x2.splat(0);
        let c30 = f64x2.splat(0);
        let c31 = f64x2.splat(0);
        for (let k = 0; k < count; k++) {
          const a0 = v128.load(pa);
          const a1 = v128.load(pa, 16);
          const w0 = v128.load64_splat(pw);
          c00 = plus(c00, a0, w0);
          c01 = plus(c01, a1, w0);
          const w1 = v128.load64_splat(pw, 8);
          c10 = plus(c10, a0, w1);
          c11 = plus(c11, a1, w1);
          const w2 = v128.load64_splat(pw, 16);
          c20 = plus(c20, a0, w2);
          c21 = plus(c21, a1, w2);
          const w3 = v128.load64_splat(pw, 24);
          c30 = plus(c30, a0, w3);
          c31 = plus(c31, a1, w3);
          pa += 32;
          pw += 32;
        }
        const i = it << 2;
        const j = jt << 2;
        const place = at(c, j * ldc + i);
        const step = <usize>ldc << 3;
        if (it > jt && i + 4 <= rows && j + 4 <= columns) {
          less(place, c00, c01);
          less(place + step, c10, c11);
          less(place + 2 * step, c20, c21);
          less(place + 3 * step, c30, c31);
        } else {
          v128.store(corner, c00);
          v128.store(corner, c01, 16);
          v128.store(corner, c10, 32);
          v128.store(corner, c11, 48);
          v128.store(corner, c20, 64);
          v128.store(corner, c21, 80);
          v128.store(corner, c30, 96);
          v128.store(corner, c31, 112);
          const last = min(4, rows - i);
          const wide = min(4, columns - j);
          for (let q = 0; q < wide; q++)
            for (let r = it > jt ? 0 : q; r < last; r++) {
              const target = at(place + <usize>q * step, r);
              f64.store(target, f64.load(target) - f64.load(at(corner, 4 * q + r)));
            }
        }
      }
  }
}

/** column_j −= Σ w_l·column_l for four columns l, rows from…to. */
@inline
function lessFour(column: usize, other: usize, step: usize, from: i32, to: i32, w0: f64, w1: f64, w2: f64, w3: f64): void {
  const s0 = f64x2.splat(w0);
  const s1 = f64x2.splat(w1);
  const s2 = f64x2.splat(w2);
  const s3 = f64x2.splat(w3);
  let i = from;
  for (; i + 2 <= to; i += 2) {
    const o = <usize>i << 3;
    let x = v128.load(column + o);
    x = minus(x, v128.load(other + o), s0);
    x = minus(x, v128.load(other + step + o), s1);
    x = minus(x, v128.load(other + 2 * step + o), s2);
    x = minus(x, v128.load(other + 3 * step + o), s3);
    v128.store(column + o, x);
  }
  for (; i < to; i++) {
    const o = <usize>i << 3;
    const x =
      f64.load(column + o) -
      w0 * f64.load(other + o) -
      w1 * f64.load(other + step + o) -
      w2 * f64.load(other + 2 * step + o) -
      w3 * f64.load(other + 3 * step + o);
    f64.store(column + o, x);
  }
}

function factorBlock(panel: usize, front: i32, from: i32, to: i32, started: usize, tolerance: f64): void {
  const step = <usize>front << 3;
  for (let j = from; j < to; j++) {
    const column = panel + <usize>j * step;
    let l = from;
    for (; l + 4 <= j; l += 4) {
      const other = panel + <usize>l * step;
      const w0 = f64.load(at(other, j)) * f64.load(at(other, l));
      const w1 = f64.load(at(other + step, j)) * f64.load(at(other + step, l + 1));
      const w2 = f64.load(at(other + 2 * step, j)) * f64.load(at(other + 2 * step, l + 2));
      const w3 = f64.load(at(other + 3 * step, j)) * f64.load(at(other + 3 * step, l + 3));
      lessFour(column, other, step, j, front, w0, w1, w2, w3);
    }
    for (; l < j; l++) {
      const other = panel + <usize>l * step;
      const w = f64.load(at(other, j)) * f64.load(at(other, l));
      for (let i = j; i < front; i++) f64.store(at(column, i), f64.load(at(column, i)) - w * f64.load(at(other, i)));
    }
    const pivot = f64.load(at(column, j));
    // Negative ones count: of a matrix that is not positive definite they tell how many ways it gives under.
    const sound = abs(pivot) > tolerance * abs(f64.load(at(started, j)));
    const inverse: f64 = sound ? 1 / pivot : 0;
    if (!sound) f64.store(at(column, j), 0);
    for (let i = j + 1; i < front; i++) f64.store(at(column, i), f64.load(at(column, i)) * inverse);
  }
}

export function factorPanel(panel: usize, front: i32, pivots: i32, started: usize, tolerance: f64, scratch: usize): void {
  for (let from = 0; from < pivots; from += BLOCK) {
    const to = min(from + BLOCK, pivots);
    factorBlock(panel, front, from, to, started, tolerance);
    const a = at(panel, from * front + to);
    update(at(panel, to * front + to), front, front - to, pivots - to, a, front, to - from, at(panel, from * (front + 1)), front + 1, scratch);
  }
}

export function updateBorder(panel: usize, front: i32, pivots: i32, border: usize, scratch: usize): void {
  const rest = front - pivots;
  update(border, rest, rest, rest, at(panel, pivots), front, pivots, panel, front + 1, scratch);
}
