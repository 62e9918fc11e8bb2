/** Right-hand sides that are solved together: their values lie side by side for each unknown. One alone is solved by itself. */
export const BATCH = 4;

/** Memory that kernels work in, seen as numbers and as integers. All places below are indices of `numbers`, or of `integers`. */
export interface Heap {
  readonly numbers: Float64Array;
  readonly integers: Int32Array;
}

/** One supernode as the solves need it: pivots, rows, and where its panel and its row list lie. */
export const DESCRIPTOR = 5;

/** A symmetric matrix in the heap, lower triangle by compressed columns: pointers and rows among the integers, values among the numbers. */
export interface MatrixPlaces {
  /** Its unknowns. */
  readonly size: number;
  readonly pointers: number;
  readonly rows: number;
  readonly values: number;
}

/** A supernode while it is factored: its pivots are the columns first…first+pivots−1, its `front` rows are listed at `list`. */
export interface FrontPlaces {
  readonly first: number;
  readonly pivots: number;
  readonly front: number;
  readonly list: number;
  readonly panel: number;
}

/** What a child left, `size` × `size`, and where its rows lie in the front of its parent. */
export interface BorderPlaces {
  readonly at: number;
  readonly size: number;
  readonly places: number;
}

/** Vectors side by side for each unknown: `together` of them, BATCH or 1. */
export interface SolvePlaces {
  /** The descriptors of the supernodes, among the integers, and how many there are. */
  readonly table: number;
  readonly supernodes: number;
  readonly x: number;
  readonly together: number;
  /** As many numbers for each row of the largest front. */
  readonly work: number;
}

/** b and b − A·x side by side like x, and the sizes that are written: 2·together numbers. */
export interface ResidualPlaces {
  readonly x: number;
  readonly together: number;
  readonly b: number;
  readonly r: number;
  readonly sizes: number;
}

/** `count` vectors that lie `stride` numbers apart. */
export interface PartPlaces {
  readonly at: number;
  readonly stride: number;
  readonly count: number;
}

/** A stretch, `length` numbers from `at` on, of four columns that lie `stride` numbers apart; a multiple of eight. */
export interface ColumnPlaces {
  readonly at: number;
  readonly stride: number;
  readonly length: number;
}

/**
 * The dense inner loops of factor and solve, and of sums of vectors. A panel is F × p by columns (leading dimension F), its first p
 * rows the pivots; after `factorPanel` it holds L below a diagonal of D. A pivot that is, by its size, not more than `tolerance` times the
 * diagonal it started from is weak: 0 is stored, with an empty column, which holds its unknown at rest.
 */
export interface Kernels {
  /** A heap of at least `length` numbers; what an earlier one held is lost. */
  readonly reserve: (length: number) => Heap;
  /** Puts the pivots' columns of a matrix into a panel of zeros. `local`: integers for each unknown. */
  readonly gather: (matrix: MatrixPlaces, front: FrontPlaces, local: number) => void;
  /** parent(place_i, place_j) += border(i, j) for i ≥ j: columns under `pivots` of the parent go to its panel, the others to its border. */
  readonly extendAdd: (border: BorderPlaces, parent: FrontPlaces, parentBorder: number) => void;
  /** `started`: the diagonal before elimination, p numbers. */
  readonly factorPanel: (front: FrontPlaces, started: number, tolerance: number, scratch: number) => void;
  /** border (r × r, lower part) −= L₂·D·L₂ᵀ, r = front − pivots. */
  readonly updateBorder: (front: FrontPlaces, border: number, scratch: number) => void;
  /** x = L⁻¹·x over all supernodes. */
  readonly forward: (solve: SolvePlaces) => void;
  /** x = L⁻ᵀ·D⁻¹·x. */
  readonly backward: (solve: SolvePlaces) => void;
  /** x = L⁻ᵀ·x. */
  readonly backwardOfUnits: (solve: SolvePlaces) => void;
  /** r = b − A·x; then the largest size in each of r, and in each of b. */
  readonly residual: (matrix: MatrixPlaces, places: ResidualPlaces) => void;
  /** out(i) = Σ weight(c)·part(c, i) over the parts; `length` is a multiple of eight. */
  readonly combine: (parts: PartPlaces, weights: number, length: number, out: number) => void;
  /** Adds to four numbers at `parts` for each of some vectors its products with the columns. */
  readonly addDots: (columns: ColumnPlaces, vectors: PartPlaces, parts: number) => void;
  /** Takes from the columns what they have of each vector, four numbers for each at `parts`. */
  readonly takeTimes: (columns: ColumnPlaces, vectors: PartPlaces, parts: number) => void;
  /** max(i) = max(max(i), x(i)) and min(i) = min(min(i), x(i)); `length` is even. */
  readonly bound: (x: number, length: number, max: number, min: number) => void;
}

/** Numbers of scratch that the kernels need for a front of F rows. */
export const scratchLength = (front: number): number => 2 * (front + 8) * 257;
