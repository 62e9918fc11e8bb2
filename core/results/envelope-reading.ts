import type { Extremes } from './extreme';
import type { Quantity } from './quantities';

/** Bounds of one quantity at some places of all members: those of member m are first[m] ≤ i < first[m+1], metres from its start, ascending. */
export interface BoundCurve {
  readonly first: Int32Array;
  readonly xs: Float64Array;
  readonly max: Float64Array;
  readonly min: Float64Array;
}

/** Extremes of one quantity on all members. Typed arrays, which go from thread to thread. */
export interface ReadExtremes {
  /** By member four numbers: the greatest value and its place, the least value and its place; NaN where it is not known, as the least value of a magnitude is. */
  readonly values: Float64Array;
  /** By member: the parts that govern the greatest and the least value. */
  readonly from: Int32Array;
}

/** What an envelope over many parts was found to be. */
export interface EnvelopeReading {
  readonly extremes: ReadonlyMap<Quantity, ReadExtremes>;
  /** Of the quantities that were drawn so far. */
  readonly curves: ReadonlyMap<Quantity, BoundCurve>;
}

const VALUES = 4;

export const packed = (all: readonly (Extremes | undefined)[]): ReadExtremes => ({
  values: Float64Array.from(
    all.flatMap((one) => (one ? [one.max.value, one.max.x, one.min.value, one.min.x] : [NaN, 0, NaN, 0])),
  ),
  from: Int32Array.from(all.flatMap((one) => (one ? [one.max.from, one.min.from] : [-1, -1]))),
});

/** The extremes of a quantity on member m; undefined where it is not known there. The least value of a magnitude is NaN. */
export function extremesRead({ extremes }: EnvelopeReading, quantity: Quantity, m: number): Extremes | undefined {
  const read = extremes.get(quantity);
  if (!read || Number.isNaN(read.values[VALUES * m])) return undefined;
  const [max, maxAt, min, minAt] = read.values.subarray(VALUES * m, VALUES * (m + 1));
  return {
    max: { value: max!, x: maxAt!, from: read.from[2 * m]! },
    min: { value: min!, x: minAt!, from: read.from[2 * m + 1]! },
  };
}
