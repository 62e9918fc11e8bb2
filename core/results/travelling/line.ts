import { addShifted, evaluate, signChanges, stationary } from '../polynomial';

/** A part of an influence line: a cubic Σ c[k]·(s − from)^k between two places of the path, metres. */
export interface InfluencePiece {
  readonly from: number;
  readonly to: number;
  readonly coefficients: Float64Array;
}

/**
 * What a load of 1 (N, or 1 N/m over a length) brings about, by where it stands on its path: exact, in pieces that follow each other without a
 * gap. It may jump from one piece to the next, as shear forces do at their own section.
 */
export interface InfluenceLine {
  readonly length: number;
  readonly pieces: readonly InfluencePiece[];
}

/** A value, and where the load stands for it. */
export interface Ordinate {
  readonly s: number;
  readonly value: number;
}

/** Positions closer than this part of the path's length are one. */
const SAME = 1e-9;

export const valueOfPiece = ({ from, coefficients }: InfluencePiece, s: number): number =>
  evaluate(coefficients, 0, coefficients.length - 1, s - from);

/** The value with the load at s: where it jumps, as one comes from the piece behind it; zero beside the path. */
export function ordinateAt({ length, pieces }: InfluenceLine, s: number): number {
  if (s < -SAME * length || s > length * (1 + SAME)) return 0;
  const piece = pieces.find(({ to }) => s < to) ?? pieces.at(-1)!;
  return valueOfPiece(piece, s);
}

/** Places inside a piece where it turns. */
export function turnsOf({ from, to, coefficients }: InfluencePiece): number[] {
  return [...stationary(coefficients, 0, coefficients.length - 1, to - from)]
    .filter((t) => t > 0 && t < to - from)
    .map((t) => from + t);
}

/** The greatest and the least value; both sides of a jump count. Of equal ones the first. */
export function extremesOfLine({ pieces }: InfluenceLine): { readonly max: Ordinate; readonly min: Ordinate } {
  let [max, min]: [Ordinate, Ordinate] = [{ s: 0, value: -Infinity }, { s: 0, value: Infinity }]; // oxfmt-ignore
  for (const piece of pieces)
    for (const s of [piece.from, ...turnsOf(piece), piece.to]) {
      const value = valueOfPiece(piece, s);
      if (value > max.value) max = { s, value };
      if (value < min.value) min = { s, value };
    }
  return { max, min };
}

/** A stretch over which the line keeps its sign, and the area under it: what a uniform load of 1 N/m over it brings about. */
export interface Lobe {
  readonly from: number;
  readonly to: number;
  readonly area: number;
}

/** The line in stretches of one sign, in their order; where it is zero throughout there is none. */
export function lobesOf(line: InfluenceLine): Lobe[] {
  const { pieces } = line;
  const { max, min } = extremesOfLine(line);
  const size = Math.max(max.value, -min.value);
  const lobes: { from: number; to: number; area: number }[] = [];
  for (const piece of pieces) {
    const length = piece.to - piece.from;
    const stops = [0, ...signChanges(piece.coefficients, length), length];
    for (let i = 0; i + 1 < stops.length; i++) {
      const [from, to] = [stops[i]!, stops[i + 1]!];
      const area = integralOf(piece.coefficients, from, to);
      const last = lobes.at(-1);
      const follows = last !== undefined && piece.from + from - last.to <= SAME * line.length;
      // Rounding beside the rest is no lobe of its own; a speck belongs to what is before it.
      const isSpeck = to - from <= SAME * line.length;
      if (isSpeck ? !follows : Math.abs(area) <= 1e-12 * size * (to - from)) continue;
      if (follows && (isSpeck || last.area * area > 0)) {
        last.to = piece.from + to;
        last.area += area;
      } else lobes.push({ from: piece.from + from, to: piece.from + to, area });
    }
  }
  return lobes;
}

/** Where the line passes through zero, or jumps over it: between lobes of different signs. */
export function zerosOf(line: InfluenceLine): number[] {
  const lobes = lobesOf(line);
  return lobes.slice(1).flatMap(({ from, area }, i) => {
    const before = lobes[i]!;
    return area * before.area < 0 && from - before.to <= SAME * line.length ? [from] : [];
  });
}

function integralOf(c: Float64Array, from: number, to: number): number {
  let sum = 0;
  for (let k = c.length - 1; k >= 0; k--) sum += (c[k]! * (to ** (k + 1) - from ** (k + 1))) / (k + 1);
  return sum;
}

/** The sums of the areas above and below zero: a uniform load of 1 N/m wherever it hurts. */
export function areasOf(line: InfluenceLine): { readonly above: number; readonly below: number } {
  let [above, below] = [0, 0];
  for (const { area } of lobesOf(line)) {
    if (area > 0) above += area;
    else below += area;
  }
  return { above, below };
}

/** The line as one sees it from its other end. */
export function reversed({ length, pieces }: InfluenceLine): InfluenceLine {
  return {
    length,
    pieces: pieces.toReversed().map(({ from, to, coefficients }) => {
      const seen = new Float64Array(coefficients.length);
      addShifted({ coefficients, at: 0, degree: coefficients.length - 1 }, to - from, 1, seen, 0);
      return { from: length - to, to: length - from, coefficients: seen.map((c, k) => (k % 2 === 0 ? c : -c)) };
    }),
  };
}
