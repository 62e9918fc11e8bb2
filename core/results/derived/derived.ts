import type { Fibres } from '../../sections/fibres';
import type { Reach } from '../reach';

/** Internal forces. */
export const forces = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz'] as const;
export type Force = (typeof forces)[number];

/** What is stored along a member, of which some makes a derived quantity: internal forces, and how the axis moves along the member’s own axes. */
export const sources = [...forces, 'u', 'v', 'w'] as const;
export type Source = (typeof sources)[number];

/** What is stored at one place: N, N·m, and m. What the quantity does not follow from is zero. */
export type Sources = Readonly<Record<Source, number>>;

/** The same along a piece, as polynomials of the distance from where it begins. */
export interface PieceSources extends Readonly<Record<Source, Float64Array>> {
  readonly length: number;
}

/** The same in the coefficients of many pieces: where each begins; −1 where it is not stored, and zero. */
export interface PieceAt extends Readonly<Record<Source, number>> {
  readonly coefficients: Float64Array;
  readonly length: number;
}

/** What else a derived quantity follows from: the section of the member, where it tells stresses, and how the member lies. */
export interface OfMember {
  readonly fibres: Fibres | undefined;
  /** Local x, y and z in global components, one after the other. */
  readonly axes: ArrayLike<number>;
}

/** A sum of what is stored, by factors. */
export type Sum = readonly (readonly [Source, number])[];

/** A quantity that follows from what is stored at a place. */
export type Derived = OneSum | Following;

interface Common {
  /** What it follows from: forces, or movements. */
  readonly of: readonly Source[];
  /** Whether it follows from shear stresses on the outline too, which take a mesh of the section: until they are there it is awaited. */
  readonly takesShear: boolean;
  /** Whether it has a range at a place, as stresses have over a section. */
  readonly spreads: boolean;
  /** Whether it is a size without a sign, of which only the greatest value matters. */
  readonly isMagnitude: boolean;
  /** Undefined where the section does not tell it. */
  readonly at: (here: Sources, member: OfMember) => { readonly max: number; readonly min: number } | undefined;
  /** Places inside a piece where its extremes may lie, beside the ends: all of them, in no order; others do no harm. */
  readonly turns: (piece: PieceSources, member: OfMember) => number[];
}

/** One that is a sum of what it follows from: made by `oneSum`. Terms whose factor is zero are left out. */
export interface OneSum extends Common {
  readonly terms: (member: OfMember) => Sum;
}

/** One that follows otherwise. */
export interface Following extends Common {
  /**
   * Where its greatest and least values are those of a few sums of what it follows from, these sums by their factors: what is greatest of each can then be told without the
   * others. Undefined where they are not, as on a round outline in space.
   */
  readonly sums?: (member: OfMember) => readonly Sum[] | undefined;
  /** How large it is at most, whatever its sign, where nothing is larger than these; found with hardly any work. */
  readonly most: (sizes: Sources, member: OfMember) => number;
  /**
   * Widens a reach so far that no value of the piece lies beyond it, and hardly farther; of a magnitude only upwards. Asked of every part of an
   * envelope, of which few are looked at more closely.
   */
  readonly widen: (reach: Reach, piece: PieceAt, member: OfMember) => void;
}

/** The sums of which its greatest and least values are those; undefined where they are not. */
export const sumsOf = (derived: Derived, member: OfMember): readonly Sum[] | undefined =>
  'terms' in derived ? [derived.terms(member)] : derived.sums?.(member);

/** What a derived quantity is read from, one after the other; what it does not follow from is not asked for. */
export const sourcesFrom = ({ of }: Derived, read: (source: Source) => number): Sources => {
  const found = { N: 0, Vy: 0, Vz: 0, T: 0, My: 0, Mz: 0, u: 0, v: 0, w: 0 };
  for (const source of of) found[source] = read(source);
  return found;
};
const NONE: Float64Array = new Float64Array(1);
export const pieceFrom = ({ of }: Derived, length: number, read: (source: Source) => Float64Array): PieceSources => {
  const found = { length, N: NONE, Vy: NONE, Vz: NONE, T: NONE, My: NONE, Mz: NONE, u: NONE, v: NONE, w: NONE };
  for (const source of of) found[source] = read(source);
  return found;
};
