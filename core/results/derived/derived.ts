import type { Fibres } from '../../sections/fibres';
import type { Reach } from '../reach';

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

/** The same in the coefficients of many pieces: where each force begins; −1 where it is not stored, and zero. */
export interface PieceAt {
  readonly coefficients: Float64Array;
  readonly N: number;
  readonly My: number;
  readonly Mz: number;
  readonly length: number;
}

/** A quantity that follows from the internal forces at a place. */
export interface Derived {
  /** Whether it has a range at a place, as stresses have over a section. */
  readonly spreads: boolean;
  /** Whether it is a size without a sign, of which only the greatest value matters. */
  readonly isMagnitude: boolean;
  /** Undefined where the section does not tell it. */
  readonly at: (forces: Forces, fibres: Fibres | undefined) => { readonly max: number; readonly min: number } | undefined;
  /** How large it is at most, whatever its sign, where no force is larger than these; found with hardly any work. */
  readonly most: (sizes: Forces, fibres: Fibres | undefined) => number;
  /**
   * Widens a reach so far that no value of the piece lies beyond it, and hardly farther; of a magnitude only upwards. Asked of every part of an
   * envelope, of which few are looked at more closely.
   */
  readonly widen: (reach: Reach, piece: PieceAt, fibres: Fibres | undefined) => void;
  /** Places inside a piece where its extremes may lie, beside the ends: all of them, in no order; others do no harm. */
  readonly turns: (piece: PieceForces, fibres: Fibres | undefined) => number[];
}
