import type { Fibres } from '../../sections/fibres';
import type { Reach } from '../reach';

/** Internal forces, of which some make a derived quantity. */
export const forces = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz'] as const;
export type Force = (typeof forces)[number];

/** Internal forces at one place: N, and N·m. Those that the quantity does not follow from are zero. */
export type Forces = Readonly<Record<Force, number>>;

/** The same along a piece, as polynomials of the distance from where it begins. */
export interface PieceForces extends Readonly<Record<Force, Float64Array>> {
  readonly length: number;
}

/** The same in the coefficients of many pieces: where each force begins; −1 where it is not stored, and zero. */
export interface PieceAt extends Readonly<Record<Force, number>> {
  readonly coefficients: Float64Array;
  readonly length: number;
}

/** A quantity that follows from the internal forces at a place. */
export interface Derived {
  /** The forces that it follows from. */
  readonly of: readonly Force[];
  /** Whether it follows from shear stresses on the outline too, which take a mesh of the section: until they are there it is awaited. */
  readonly takesShear: boolean;
  /** Whether it has a range at a place, as stresses have over a section. */
  readonly spreads: boolean;
  /** Whether it is a size without a sign, of which only the greatest value matters. */
  readonly isMagnitude: boolean;
  /** Undefined where the section does not tell it. */
  readonly at: (forces: Forces, fibres: Fibres | undefined) => { readonly max: number; readonly min: number } | undefined;
  /**
   * Where its greatest and least values are those of a few sums of the forces, these sums by their factors: what is greatest of each can then be told without the
   * others. Undefined where they are not, as on a round outline in space.
   */
  readonly sums?: (fibres: Fibres | undefined) => readonly (readonly (readonly [Force, number])[])[] | undefined;
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

/** What a derived quantity is read from, force by force; those that it does not follow from are not asked for. */
export const forcesFrom = ({ of }: Derived, read: (force: Force) => number): Forces => {
  const found = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0 };
  for (const force of of) found[force] = read(force);
  return found;
};
const NONE: Float64Array = new Float64Array(1);
export const pieceFrom = ({ of }: Derived, length: number, read: (force: Force) => Float64Array): PieceForces => {
  const found = { length, N: NONE, Vy: NONE, Vz: NONE, T: NONE, My: NONE, Mz: NONE };
  for (const force of of) found[force] = read(force);
  return found;
};
