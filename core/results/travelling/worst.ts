import { addShifted, evaluate, stationary } from '../polynomial';
import { areasOf, type InfluenceLine } from './line';
import type { Axles } from '../../model/train';

/** A train where an effect is worst: forwards its first axle is in front of the others along the path, backwards behind them. */
export interface Standing {
  readonly value: number;
  readonly way: 'forwards' | 'backwards';
  /** Metres along the path of each axle; those beside it do not count. */
  readonly axles: readonly number[];
}

/** The greatest and the least value that a train brings about; where no place makes it greater than zero, or less, it stands beside the path. */
export interface WorstOf {
  readonly max: Standing;
  readonly min: Standing;
}

/**
 * Exact: the sum of the axles is a cubic as long as none of them passes to another piece of the line, so that the worst place is where one stands at
 * the seam of two pieces, on either side of a jump, or where a cubic turns. Both ways. The uniform part lies on all that makes it worse.
 */
export function worstOf(line: InfluenceLine, train: Axles): WorstOf {
  const ahead = extremesOf(line, train, 1);
  const back = isSameBackwards(train) ? ahead : extremesOf(line, train, -1);
  const [uniform, impact] = [train.uniform ?? 0, train.impact ?? 1];
  const { above, below } = uniform === 0 ? { above: 0, below: 0 } : areasOf(line);
  const whole = ({ value, axles }: Placed, way: Standing['way'], area: number): Standing => ({ axles, way, value: impact * value + uniform * area }); // oxfmt-ignore
  return {
    max: back.max.value > ahead.max.value ? whole(back.max, 'backwards', above) : whole(ahead.max, 'forwards', above),
    min: back.min.value < ahead.min.value ? whole(back.min, 'backwards', below) : whole(ahead.min, 'forwards', below),
  };
}

/** A train that is the same from both ends goes both ways at once. */
const isSameBackwards = ({ axles, spacings, varies }: Axles): boolean =>
  !varies &&
  axles.every((force, i) => force === axles[axles.length - 1 - i]) &&
  spacings.every((gap, i) => gap === spacings[spacings.length - 1 - i]);

interface Placed {
  readonly value: number;
  readonly axles: readonly number[];
}

/** Greatest and least of a train whose first axle is in front along the path (sign 1), or behind the others (−1). */
function extremesOf(
  line: InfluenceLine,
  { axles: forces, spacings: gaps, varies }: Axles,
  sign: 1 | -1,
): { max: Placed; min: Placed } {
  const behind = [0];
  for (const gap of gaps) behind.push(behind.at(-1)! + sign * gap);
  if (!varies) return bounds(line, forces, behind);
  const front = varies.behind + 1;
  const least = gaps[varies.behind]!;
  const wider = (more: number): number[] => behind.map((s, i) => (i < front ? s : s + sign * more));
  // With the gap at its least and its greatest the whole is one train; between them both parts stand where each alone turns.
  let { max, min } = bounds(line, forces, behind);
  const meet = (one: Placed): void => {
    if (one.value > max.value) max = one;
    if (one.value < min.value) min = one;
  };
  const widest = bounds(line, forces, wider(varies.most - least));
  meet(widest.max);
  meet(widest.min);
  const some = turnsOf(line, forces.slice(0, front), behind.slice(0, front));
  const others = turnsOf(line, forces.slice(front), behind.slice(front));
  for (const a of some)
    for (const b of others) {
      const more = sign * (a.at - b.at);
      if (more < 0 || more > varies.most - least) continue;
      const places = behind.map((back, i) => (i < front ? a.at : b.at) - back);
      meet({ value: a.value + b.value, axles: places });
    }
  return { max, min };
}

/** Positions closer than this part of the whole are one. */
const SAME = 1e-12;

/** Scratch, which grows with the longest train seen: millions of positions are asked. */
let seams = new Float64Array(64);
let pieceOf = new Int32Array(16);
let [highs, lows] = [new Float64Array(64), new Float64Array(64)]; // oxfmt-ignore
const sum = new Float64Array(4);

/** Who is asked of each place: where the first axle stands, and the sum of all axles there. */
type Meet = (at: number, value: number) => void;

/**
 * Every place at which the sum of axles may be greatest or least: seams, on both sides, and turns. `behind`: metres from the first axle to each, against the path.
 * `mayPass`: whether a stretch is passed over on which the sum certainly lies between two values.
 */
function visit(
  { length, pieces }: InfluenceLine,
  forces: readonly number[],
  behind: readonly number[],
  meet: Meet,
  mayPass?: (low: number, high: number) => boolean,
): void {
  const count = seamsOf(pieces, behind);
  const slack = SAME * (seams[count - 1]! - seams[0]!);
  if (mayPass) boundPieces(pieces);
  // Axles go from piece to piece in their order: each is followed along the line.
  pieceOf.fill(0, 0, behind.length);
  let from = seams[0]!;
  for (let i = 1; i < count; i++) {
    const to = seams[i]!;
    if (to - from <= slack) continue;
    const start = from;
    from = to;
    let [low, high] = [0, 0];
    for (let k = 0; k < behind.length; k++) {
      const s = (start + to) / 2 - behind[k]!;
      if (s < 0 || s > length) continue;
      while (pieceOf[k]! + 1 < pieces.length && pieces[pieceOf[k]!]!.to <= s) pieceOf[k]!++;
      high += forces[k]! * highs[pieceOf[k]!]!;
      low += forces[k]! * lows[pieceOf[k]!]!;
    }
    if (mayPass?.(low, high)) continue;
    sum.fill(0);
    for (let k = 0; k < behind.length; k++) {
      const s = (start + to) / 2 - behind[k]!;
      if (s < 0 || s > length) continue;
      const piece = pieces[pieceOf[k]!]!;
      addShifted({ coefficients: piece.coefficients, at: 0, degree: 3 }, start - behind[k]! - piece.from, forces[k]!, sum, 0);
    }
    meet(start, sum[0]!);
    const turns = stationary(sum, 0, 3, to - start);
    for (let k = 0; k < turns.length; k++) {
      const t = turns[k]!;
      if (t > 0 && t < to - start) meet(start + t, evaluate(sum, 0, 3, t));
    }
    meet(to, evaluate(sum, 0, 3, to - start));
  }
}

/** Where the first axle stands when one of them is at a seam, ascending; returns how many there are. */
function seamsOf(pieces: InfluenceLine['pieces'], behind: readonly number[]): number {
  const most = behind.length * (pieces.length + 1);
  if (seams.length < most) seams = new Float64Array(2 * most);
  if (pieceOf.length < behind.length) pieceOf = new Int32Array(2 * behind.length);
  if (highs.length < pieces.length) [highs, lows] = [new Float64Array(2 * pieces.length), new Float64Array(2 * pieces.length)]; // oxfmt-ignore
  let count = 0;
  for (const back of behind) {
    seams[count++] = back;
    for (const { to } of pieces) seams[count++] = to + back;
  }
  seams.subarray(0, count).sort();
  return count;
}

/** Between which values each piece certainly lies: those of its coefficients in Bernstein's polynomials. */
function boundPieces(pieces: InfluenceLine['pieces']): void {
  pieces.forEach(({ from, to, coefficients: c }, i) => {
    const [b, d, e] = [c[1]! * (to - from), c[2]! * (to - from) ** 2, c[3]! * (to - from) ** 3]; // oxfmt-ignore
    const [one, two, end] = [c[0]! + b / 3, c[0]! + (2 * b + d) / 3, c[0]! + b + d + e];
    highs[i] = Math.max(c[0]!, one, two, end);
    lows[i] = Math.min(c[0]!, one, two, end);
  });
}

/** All those places; beside the path too, a metre before it, where there is nothing. */
function turnsOf(
  line: InfluenceLine,
  forces: readonly number[],
  behind: readonly number[],
): { readonly at: number; readonly value: number }[] {
  const found = [{ at: Math.min(...behind) - 1, value: 0 }];
  visit(line, forces, behind, (at, value) => found.push({ at, value }));
  return found;
}

/** Of equal values the first; the train beside the path comes before all others, and rounding is no more than it. */
function bounds(line: InfluenceLine, forces: readonly number[], behind: readonly number[]): { max: Placed; min: Placed } {
  const beside = Math.min(...behind) - 1;
  let [maxAt, minAt, high, low, slack] = [beside, beside, 0, 0, 0];
  visit(
    line,
    forces,
    behind,
    (at, value) => {
      slack = Math.max(slack, 1e-12 * Math.abs(value));
      if (value > high + slack) [maxAt, high] = [at, value];
      if (value < low - slack) [minAt, low] = [at, value];
    },
    (least, most) => most <= high && least >= low,
  );
  const placed = (at: number, value: number): Placed => ({ value, axles: behind.map((back) => at - back) });
  return { max: placed(maxAt, high), min: placed(minAt, low) };
}
