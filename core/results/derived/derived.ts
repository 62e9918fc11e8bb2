import type { Fibres } from '../../sections/fibres';

/** Internal forces at one place: N, and N·m. */
export interface Forces {
  readonly N: number;
  readonly My: number;
  readonly Mz: number;
}

/** The same along a piece, as polynomials of the distance from where it begins. */
export interface PieceForces {
  readonly length: number;
  readonly N: Float64Array;
  readonly My: Float64Array;
  readonly Mz: Float64Array;
}

/** A quantity that follows from the internal forces at a place. */
export interface Derived {
  /** Whether it has a range at a place, as stresses have over a section. */
  readonly spreads: boolean;
  /** Undefined where the section does not tell it. */
  readonly at: (forces: Forces, fibres: Fibres | undefined) => { readonly max: number; readonly min: number } | undefined;
  /** Places inside a piece where its extremes may lie, beside the ends: all of them, in no order; others do no harm. */
  readonly turns: (piece: PieceForces, fibres: Fibres | undefined) => number[];
}
