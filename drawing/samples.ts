import { evaluate, stationary } from '@rigid-beam/core/results/polynomial';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import type { BoundCurve } from '@rigid-beam/core/results/envelope-reading';
import type { Stretch } from '@rigid-beam/core/results/envelope';
import type { LineQuantity, Quantity } from '@rigid-beam/core/results/quantities';
import { BESIDE, partsOf, pieceOf } from '@rigid-beam/core/results/read';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';

/** Points of a diagram along a member: metres from its start, ascending, and the values there. Places repeat where a value jumps. */
export interface Samples {
  readonly xs: readonly number[];
  readonly values: readonly number[];
}

/** A part of the largest coefficient under which a curve counts as straight. */
const STRAIGHT = 1e-9;

/** The curve over the stretches of member m: both ends of what is straight, `fine` steps of what is not, and the tips of curves at their full size. */
export function samplesOf(
  solution: Solution,
  m: number,
  stretches: readonly Stretch[],
  quantity: LineQuantity,
  fine: number,
): Samples {
  const samples = { xs: [] as number[], values: [] as number[] };
  for (const { from, to, outcome } of stretches) {
    const diagram = diagramOf(solution, outcome, m);
    for (let k = diagram.first; k < diagram.end; k++) {
      const [start, end] = [diagram.from[k]!, diagram.to[k]!];
      const [begin, stop] = [Math.max(from, start), Math.min(to, end)];
      if (stop > begin) addPiece(samples, pieceOf(diagram, k, quantity), { start, end, from: begin, to: stop }, fine);
    }
  }
  return samples;
}

/** The greatest and the least values of what is derived on member m: at `fine` steps of each piece, at both sides of a jump, and at the extremes. */
export function rangesOf(
  solution: Solution,
  outcome: number,
  m: number,
  quantity: Quantity,
  fine: number,
): { readonly max: Samples; readonly min: Samples } | undefined {
  const reader = memberReader(solution, outcome, m);
  const extremes = reader.extremes(quantity);
  if (!extremes) return undefined;
  const places = new Set([extremes.max.x, extremes.min.x]);
  for (const part of partsOf(solution, outcome)) {
    const { first, end, from, to, length } = diagramOf(solution, part, m);
    for (let k = first; k < end; k++) {
      const [start, stop] = [from[k]! + BESIDE * length, to[k]! - BESIDE * length];
      for (let i = 0; i <= fine; i++) places.add(start + ((stop - start) * i) / fine);
    }
  }
  const xs = [...places].sort((a, b) => a - b);
  const read = xs.map((x) => reader.at(quantity, x)!);
  return { max: { xs, values: read.map(({ max }) => max) }, min: { xs, values: read.map(({ min }) => min) } };
}

/** One side of an envelope that was read ahead, on member m. */
export const boundOf = ({ first, xs, max, min }: BoundCurve, m: number, side: 1 | -1): Samples => {
  const [from, to] = [first[m]!, first[m + 1]!];
  return { xs: [...xs.subarray(from, to)], values: [...(side > 0 ? max : min).subarray(from, to)] };
};

/** A piece from `start` to `end`, of which the part from `from` to `to` is drawn. */
interface Drawn {
  readonly start: number;
  readonly end: number;
  readonly from: number;
  readonly to: number;
}

function addPiece(
  { xs, values }: { readonly xs: number[]; readonly values: number[] },
  c: Float64Array,
  { start, end, from, to }: Drawn,
  fine: number,
): void {
  const degree = c.length - 1;
  const add = (x: number): void => {
    xs.push(x);
    values.push(evaluate(c, 0, degree, x - start));
  };
  const isStraight = straight(c, degree, to - from);
  const count = isStraight ? 1 : fine;
  const tips = isStraight ? [] : [...stationary(c, 0, degree, end - start)].filter((s) => s > 0 && s < end - start);
  let tip = 0;
  for (let i = 0; i <= count; i++) {
    const x = from + ((to - from) * i) / count;
    while (tip < tips.length && start + tips[tip]! < x) {
      // The tip of a curve is one of its points, so that the ordinate of an extreme is drawn at its full size.
      if (start + tips[tip]! > from) add(start + tips[tip]!);
      tip++;
    }
    add(x);
  }
}

function straight(c: Float64Array, degree: number, length: number): boolean {
  const size = STRAIGHT * Math.max(Math.abs(c[0]!), Math.abs((c[1] ?? 0) * length));
  for (let k = 2; k <= degree; k++) if (!(Math.abs(c[k]!) * length ** 2 < size || c[k] === 0)) return false;
  return true;
}

/** Cuts a curve where its sign changes, so that each part has one colour; the cut lies on the axis. Parts that are nothing are left out. */
export function signRuns({ xs, values }: Samples): Samples[] {
  let size = 0;
  for (const value of values) size = Math.max(size, Math.abs(value));
  if (size === 0) return [];
  const runs: Samples[] = [];
  let x: number[] = [];
  let v: number[] = [];
  let largest = 0;
  const finish = (): void => {
    if (largest > 1e-9 * size) runs.push({ xs: x, values: v });
    largest = 0;
  };
  for (let i = 0; i < xs.length; i++) {
    const [at, value] = [xs[i]!, values[i]!];
    const before = i === 0 ? 0 : values[i - 1]!;
    if (before * value < 0) {
      const zero = xs[i - 1]! + ((at - xs[i - 1]!) * before) / (before - value);
      x.push(zero);
      v.push(0);
      finish();
      x = [zero];
      v = [0];
    }
    x.push(at);
    v.push(value);
    largest = Math.max(largest, Math.abs(value));
  }
  finish();
  return runs;
}
