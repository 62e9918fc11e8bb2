import type { Series } from './legendre';

/**
 * The series of some columns, to be summed with a weight for each, most of whose terms are zero: those of term n stand from `starts[n]` to before `starts[n + 1]`, each with its column; and by
 * column the value at the end (ξ = 1).
 */
export interface SummedSeries {
  readonly terms: number;
  readonly starts: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
  readonly ends: Float64Array;
}

export function summedSeries(series: readonly Series[]): SummedSeries {
  const terms = series.reduce((most, one) => Math.max(most, one.length), 0);
  const starts = new Int32Array(terms + 1);
  const [columns, values]: [number[], number[]] = [[], []];
  for (let n = 0; n < terms; n++) {
    series.forEach((one, j) => {
      const value = one[n] ?? 0;
      if (value === 0) return;
      columns.push(j);
      values.push(value);
    });
    starts[n + 1] = columns.length;
  }
  const ends = Float64Array.from(series, (one) => one.reduce((sum, term) => sum + term, 0));
  return { terms, starts, columns: Int32Array.from(columns), values: Float64Array.from(values), ends };
}

/** The numbers of a strand's columns, among those of all. */
export interface Weights {
  readonly weights: Float64Array;
  readonly from: number;
}

/** Writes the weighted sum of all columns, times a factor, to a series that has room for it. */
export function writeSum(
  { terms, starts, columns, values }: SummedSeries,
  { weights, from }: Weights,
  factor: number,
  to: Series,
): void {
  for (let n = 0, e = 0; n < terms; n++) {
    let sum = 0;
    for (const end = starts[n + 1]!; e < end; e++) sum += values[e]! * weights[from + columns[e]!]!;
    to[n] = factor * sum;
  }
}

/** The weighted sum of all columns at the end. */
export function sumAtEnd({ ends }: SummedSeries, { weights, from }: Weights): number {
  let sum = 0;
  for (let j = 0; j < ends.length; j++) sum += ends[j]! * weights[from + j]!;
  return sum;
}
