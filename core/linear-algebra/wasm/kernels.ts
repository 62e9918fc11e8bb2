// The dense inner loops in AssemblyScript, with two numbers a vector: what `../kernels.ts` describes, on places in bytes.
// `node scripts/build-kernels.mjs` compiles this file into `../kernels-bytes.ts`.

const BLOCK: i32 = 32;
/** So many columns of A are packed and multiplied at once, at most: two packed tiles stay in the first cache. */
const DEPTH: i32 = 256;
const DESCRIPTOR: i32 = 5;

@inline
function at(base: usize, index: i32): usize {
  return base + (<usize>index << 3);
}

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

@inline
function less(place: usize, low: v128, high: v128): void {
  v128.store(place, f64x2.sub(v128.load(place), low));
  v128.store(place, f64x2.sub(v128.load(place, 16), high), 16);
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
          c00 = f64x2.add(c00, f64x2.mul(a0, w0));
          c01 = f64x2.add(c01, f64x2.mul(a1, w0));
          const w1 = v128.load64_splat(pw, 8);
          c10 = f64x2.add(c10, f64x2.mul(a0, w1));
          c11 = f64x2.add(c11, f64x2.mul(a1, w1));
          const w2 = v128.load64_splat(pw, 16);
          c20 = f64x2.add(c20, f64x2.mul(a0, w2));
          c21 = f64x2.add(c21, f64x2.mul(a1, w2));
          const w3 = v128.load64_splat(pw, 24);
          c30 = f64x2.add(c30, f64x2.mul(a0, w3));
          c31 = f64x2.add(c31, f64x2.mul(a1, w3));
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
    x = f64x2.sub(x, f64x2.mul(v128.load(other + o), s0));
    x = f64x2.sub(x, f64x2.mul(v128.load(other + step + o), s1));
    x = f64x2.sub(x, f64x2.mul(v128.load(other + 2 * step + o), s2));
    x = f64x2.sub(x, f64x2.mul(v128.load(other + 3 * step + o), s3));
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
    const sound = pivot > tolerance * f64.load(at(started, j));
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

export function gather(
  pointers: usize,
  rows: usize,
  values: usize,
  first: i32,
  pivots: i32,
  front: i32,
  list: usize,
  local: usize,
  panel: usize,
): void {
  memory.fill(panel, 0, <usize>(front * pivots) << 3);
  for (let i = 0; i < front; i++) i32.store(local + (<usize>row(list, i) << 2), i);
  for (let k = 0; k < pivots; k++) {
    const column = at(panel, k * front);
    const end = row(pointers, first + k + 1);
    for (let e = row(pointers, first + k); e < end; e++)
      f64.store(at(column, row(local, row(rows, e))), f64.load(at(values, e)));
  }
}

export function extendAdd(border: usize, size: i32, places: usize, panel: usize, front: i32, pivots: i32, parentBorder: usize): void {
  const rest = front - pivots;
  for (let j = 0; j < size; j++) {
    const column = i32.load(places + (<usize>j << 2));
    const source = at(border, j * size);
    const target = column < pivots ? at(panel, column * front) : at(parentBorder, (column - pivots) * rest - pivots);
    for (let i = j; i < size; i++) {
      const place = at(target, i32.load(places + (<usize>i << 2)));
      f64.store(place, f64.load(place) + f64.load(at(source, i)));
    }
  }
}

@inline
function side(x: usize, unknown: i32): usize {
  return x + (<usize>unknown << 5);
}

@inline
function row(rows: usize, i: i32): i32 {
  return i32.load(rows + (<usize>i << 2));
}

function forwardFour(table: usize, supernodes: i32, x: usize, work: usize): void {
  for (let s = 0; s < supernodes; s++) {
    const d = table + (<usize>(s * DESCRIPTOR) << 2);
    const first = i32.load(d);
    const pivots = i32.load(d, 4);
    const front = i32.load(d, 8);
    const rows = <usize>i32.load(d, 12) << 2;
    const panel = <usize>i32.load(d, 16) << 3;
    const step = <usize>front << 3;
    const own = side(x, first);
    for (let k = 0; k < pivots; k++) {
      const x0 = v128.load(side(own, k));
      const x1 = v128.load(side(own, k), 16);
      const column = panel + <usize>k * step;
      for (let i = k + 1; i < pivots; i++) {
        const l = v128.load64_splat(at(column, i));
        const target = side(own, i);
        v128.store(target, f64x2.sub(v128.load(target), f64x2.mul(l, x0)));
        v128.store(target, f64x2.sub(v128.load(target, 16), f64x2.mul(l, x1)), 16);
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
        s0 = f64x2.add(s0, f64x2.mul(l0, x00));
        s1 = f64x2.add(s1, f64x2.mul(l0, x01));
        const l1 = v128.load64_splat(l + step);
        s0 = f64x2.add(s0, f64x2.mul(l1, x10));
        s1 = f64x2.add(s1, f64x2.mul(l1, x11));
        const l2 = v128.load64_splat(l + 2 * step);
        s0 = f64x2.add(s0, f64x2.mul(l2, x20));
        s1 = f64x2.add(s1, f64x2.mul(l2, x21));
        const l3 = v128.load64_splat(l + 3 * step);
        s0 = f64x2.add(s0, f64x2.mul(l3, x30));
        s1 = f64x2.add(s1, f64x2.mul(l3, x31));
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
        v128.store(target, f64x2.add(v128.load(target), f64x2.mul(l, x0)));
        v128.store(target, f64x2.add(v128.load(target, 16), f64x2.mul(l, x1)), 16);
      }
    }
    for (let i = 0; i < rest; i++) less(side(x, row(rows, pivots + i)), v128.load(side(work, i)), v128.load(side(work, i), 16));
  }
}

function backwardFour(table: usize, supernodes: i32, x: usize, plain: i32): void {
  for (let s = supernodes - 1; s >= 0; s--) {
    const d = table + (<usize>(s * DESCRIPTOR) << 2);
    const first = i32.load(d);
    const pivots = i32.load(d, 4);
    const front = i32.load(d, 8);
    const rows = <usize>i32.load(d, 12) << 2;
    const panel = <usize>i32.load(d, 16) << 3;
    const step = <usize>front << 3;
    const own = side(x, first);
    if (!plain)
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
        s00 = f64x2.add(s00, f64x2.mul(l0, x0));
        s01 = f64x2.add(s01, f64x2.mul(l0, x1));
        const l1 = v128.load64_splat(l + step);
        s10 = f64x2.add(s10, f64x2.mul(l1, x0));
        s11 = f64x2.add(s11, f64x2.mul(l1, x1));
        const l2 = v128.load64_splat(l + 2 * step);
        s20 = f64x2.add(s20, f64x2.mul(l2, x0));
        s21 = f64x2.add(s21, f64x2.mul(l2, x1));
        const l3 = v128.load64_splat(l + 3 * step);
        s30 = f64x2.add(s30, f64x2.mul(l3, x0));
        s31 = f64x2.add(s31, f64x2.mul(l3, x1));
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
        s0 = f64x2.add(s0, f64x2.mul(l, v128.load(source)));
        s1 = f64x2.add(s1, f64x2.mul(l, v128.load(source, 16)));
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
        s0 = f64x2.sub(s0, f64x2.mul(l, v128.load(source)));
        s1 = f64x2.sub(s1, f64x2.mul(l, v128.load(source, 16)));
      }
      v128.store(target, s0);
      v128.store(target, s1, 16);
    }
  }
}

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
      s0 = f64x2.add(s0, f64x2.mul(value, v128.load(source)));
      s1 = f64x2.add(s1, f64x2.mul(value, v128.load(source, 16)));
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

/** y(i) −= w·l(i), i from…to. */
@inline
function lessTimes(y: usize, l: usize, from: i32, to: i32, w: f64): void {
  const both = f64x2.splat(w);
  let i = from;
  for (; i + 2 <= to; i += 2) v128.store(at(y, i), f64x2.sub(v128.load(at(y, i)), f64x2.mul(v128.load(at(l, i)), both)));
  if (i < to) f64.store(at(y, i), f64.load(at(y, i)) - w * f64.load(at(l, i)));
}

/** Σ l(i)·y(i), i from…to. */
@inline
function product(l: usize, y: usize, from: i32, to: i32): f64 {
  let s0 = f64x2.splat(0);
  let s1 = s0;
  let i = from;
  for (; i + 4 <= to; i += 4) {
    s0 = f64x2.add(s0, f64x2.mul(v128.load(at(l, i)), v128.load(at(y, i))));
    s1 = f64x2.add(s1, f64x2.mul(v128.load(at(l, i), 16), v128.load(at(y, i), 16)));
  }
  s0 = f64x2.add(s0, s1);
  let sum = f64x2.extract_lane(s0, 0) + f64x2.extract_lane(s0, 1);
  for (; i < to; i++) sum += f64.load(at(l, i)) * f64.load(at(y, i));
  return sum;
}

/** One right-hand side: columns of L lie in one piece, and so do the unknowns of a supernode. */
function forwardOne(table: usize, supernodes: i32, x: usize, work: usize): void {
  for (let s = 0; s < supernodes; s++) {
    const d = table + (<usize>(s * DESCRIPTOR) << 2);
    const pivots = i32.load(d, 4);
    const front = i32.load(d, 8);
    const rows = <usize>i32.load(d, 12) << 2;
    const panel = <usize>i32.load(d, 16) << 3;
    const own = at(x, i32.load(d));
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

function backwardOne(table: usize, supernodes: i32, x: usize, work: usize, plain: i32): void {
  for (let s = supernodes - 1; s >= 0; s--) {
    const d = table + (<usize>(s * DESCRIPTOR) << 2);
    const pivots = i32.load(d, 4);
    const front = i32.load(d, 8);
    const rows = <usize>i32.load(d, 12) << 2;
    const panel = <usize>i32.load(d, 16) << 3;
    const own = at(x, i32.load(d));
    for (let i = pivots; i < front; i++) f64.store(at(work, i), f64.load(at(x, row(rows, i))));
    for (let k = pivots - 1; k >= 0; k--) {
      const column = at(panel, k * front);
      const pivot = f64.load(at(column, k));
      const inverse: f64 = plain ? 1 : pivot == 0 ? 0 : 1 / pivot;
      const sum = product(column, work, pivots, front) + product(column, own, k + 1, pivots);
      f64.store(at(own, k), f64.load(at(own, k)) * inverse - sum);
    }
  }
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

export function forward(table: usize, supernodes: i32, x: usize, together: i32, work: usize): void {
  if (together == 1) forwardOne(table, supernodes, x, work);
  else forwardFour(table, supernodes, x, work);
}

export function backward(table: usize, supernodes: i32, x: usize, together: i32, work: usize, plain: i32): void {
  if (together == 1) backwardOne(table, supernodes, x, work, plain);
  else backwardFour(table, supernodes, x, plain);
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
      s0 = f64x2.add(s0, f64x2.mul(w, v128.load(part)));
      s1 = f64x2.add(s1, f64x2.mul(w, v128.load(part, 16)));
      s2 = f64x2.add(s2, f64x2.mul(w, v128.load(part, 32)));
      s3 = f64x2.add(s3, f64x2.mul(w, v128.load(part, 48)));
      part += step;
    }
    const target = at(out, i);
    v128.store(target, s0);
    v128.store(target, s1, 16);
    v128.store(target, s2, 32);
    v128.store(target, s3, 48);
  }
}
