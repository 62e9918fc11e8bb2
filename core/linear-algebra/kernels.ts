/** Right-hand sides that are solved together: their values lie side by side for each unknown. One alone is solved by itself. */
export const BATCH = 4;

/** Memory that kernels work in, seen as numbers and as integers. All places below are indices of `numbers`, or of `integers`. */
export interface Heap {
  readonly numbers: Float64Array;
  readonly integers: Int32Array;
}

/** One supernode as the solves need it: pivots, rows, and where its panel and its row list lie. */
export const DESCRIPTOR = 5;

/**
 * The dense inner loops of factor and solve, and of sums of vectors. A panel is F × p by columns (leading dimension F), its first p
 * rows the pivots; after `factorPanel` it holds L below a diagonal of D. A pivot that is not more than `tolerance` times the diagonal
 * it started from is weak: 0 is stored, with an empty column, which holds its unknown at rest.
 */
export interface Kernels {
  readonly name: 'WebAssembly' | 'plain';
  /** A heap of at least `length` numbers; what an earlier one held is lost. */
  readonly reserve: (length: number) => Heap;
  /**
   * Puts columns first…first+pivots−1 of a symmetric matrix (lower triangle by compressed columns: pointers and rows among the
   * integers, values among the numbers) into a panel of zeros whose rows are listed at `list`. `local`: integers for each unknown.
   */
  readonly gather: (
    pointers: number,
    rows: number,
    values: number,
    first: number,
    pivots: number,
    front: number,
    list: number,
    local: number,
    panel: number,
  ) => void;
  /** parent(place_i, place_j) += border(i, j) for i ≥ j: columns under `pivots` of the parent go to its panel, the others to its border. */
  readonly extendAdd: (
    border: number,
    size: number,
    places: number,
    panel: number,
    front: number,
    pivots: number,
    parentBorder: number,
  ) => void;
  /** `started`: the diagonal before elimination, p numbers. */
  readonly factorPanel: (
    panel: number,
    front: number,
    pivots: number,
    started: number,
    tolerance: number,
    scratch: number,
  ) => void;
  /** border (r × r, lower part) −= L₂·D·L₂ᵀ, r = front − pivots. */
  readonly updateBorder: (panel: number, front: number, pivots: number, border: number, scratch: number) => void;
  /**
   * x (`together` numbers an unknown, BATCH or 1) = L⁻¹·x over all supernodes, whose descriptors lie at `table` among the integers.
   * `work`: as many numbers for each row of the largest front.
   */
  readonly forward: (table: number, supernodes: number, x: number, together: number, work: number) => void;
  /** x = L⁻ᵀ·D⁻¹·x; without D (`plain`) x = L⁻ᵀ·x. */
  readonly backward: (table: number, supernodes: number, x: number, together: number, work: number, plain: boolean) => void;
  /**
   * r = b − A·x for vectors side by side (A as for `gather`); then the largest size in each of r, and in each of b, at `sizes`
   * (2·together numbers).
   */
  readonly residual: (
    size: number,
    pointers: number,
    rows: number,
    values: number,
    x: number,
    together: number,
    b: number,
    r: number,
    sizes: number,
  ) => void;
  /** out(i) = Σ weight(c)·part(c, i) over `count` parts that lie `stride` numbers apart; `length` is a multiple of eight. */
  readonly combine: (parts: number, stride: number, count: number, weights: number, length: number, out: number) => void;
  /** max(i) = max(max(i), x(i)) and min(i) = min(min(i), x(i)); `length` is even. */
  readonly bound: (x: number, length: number, max: number, min: number) => void;
}

/** Columns factored together before the rest of the panel is updated. */
export const BLOCK = 32;
/** Numbers of scratch that the kernels need for a front of F rows. */
export const scratchLength = (front: number): number => 2 * (front + 8) * 257;
