import { addShifted, evaluate, isNowherePositive, signChanges, signedMean } from './polynomial';

/** A part of a piece on which one of some polynomials is the largest: metres from the piece's start, and the polynomial's index. */
export interface Largest {
  readonly from: number;
  readonly to: number;
  readonly by: number;
}

/**
 * Some polynomials on [0, length], `size` coefficients each: as those of Bernstein one after the other, yet to be multiplied by `side`, and one by
 * one as those of powers, which are asked for only where two of them may cross.
 */
export interface Contenders {
  readonly bernstein: Float64Array;
  readonly side: 1 | -1;
  readonly count: number;
  readonly size: number;
  readonly length: number;
  readonly powers: (by: number) => Float64Array;
}

/** So few are compared with each other, rather than on shorter parts of the piece. */
const FEW = 2;
/** Several that meet in one place are not told apart by halving. */
const HALVINGS = 6;

/** Those that may be the largest on a part of the piece, with their Bernstein coefficients on it. */
interface Part {
  bernstein: Float64Array;
  by: Int32Array;
  count: number;
}

/** By how often the piece was halved. Written over again and again, a hundred thousand times for all members of a structure; so is `kept`, those that are not dropped. */
const parts = Array.from({ length: HALVINGS + 1 }, (): Part => ({
  bernstein: new Float64Array(0),
  by: new Int32Array(0),
  count: 0,
}));
let kept = new Int32Array(0);

/**
 * Which of some polynomials is the largest, cut exactly where they cross; cuts closer than `slack` to the end of a part are none. Of equal ones the
 * first counts. The piece is halved until most of the polynomials certainly lie under another (Bernstein's coefficients enclose them, and those of
 * the halves are de Casteljau's means: Farouki, Computer Aided Geometric Design 29, 2012).
 */
export function largestOf(contenders: Contenders, slack: number): Largest[] {
  const { bernstein, side, count, size, length } = contenders;
  if (kept.length < count) kept = new Int32Array(count);
  for (const part of parts)
    if (part.by.length < count || part.bernstein.length < size * count) {
      part.by = new Int32Array(count);
      part.bernstein = new Float64Array(size * count);
    }
  const whole = parts[0]!;
  whole.count = count;
  for (let i = 0; i < count; i++) whole.by[i] = i;
  for (let i = 0; i < size * count; i++) whole.bernstein[i] = side * bernstein[i]!;
  const found: Writable[] = [];
  halved(contenders, 0, { from: 0, to: length }, slack, found);
  return found;
}

function halved(contenders: Contenders, depth: number, { from, to }: Span, slack: number, found: Writable[]): void {
  const { size } = contenders;
  const part = parts[depth]!;
  dropUnder(part, size);
  if (part.count === 1) return append(found, from, to, part.by[0]!);
  if (part.count <= FEW || depth === HALVINGS)
    return crossing(contenders, part.by.slice(0, part.count), { from, to }, slack, found);
  const middle = (from + to) / 2;
  // The upper half stays where the whole was: nobody asks for that any more.
  halve(part, size, parts[depth + 1]!);
  halved(contenders, depth + 1, { from, to: middle }, slack, found);
  const next = parts[depth + 1]!;
  next.count = part.count;
  for (let i = 0; i < part.count; i++) next.by[i] = part.by[i]!;
  for (let i = 0; i < size * part.count; i++) next.bernstein[i] = part.bernstein[i]!;
  halved(contenders, depth + 1, { from: middle, to }, slack, found);
}

/** What is found, while it may grow. */
type Writable = { -readonly [K in keyof Largest]: Largest[K] };

interface Span {
  readonly from: number;
  readonly to: number;
}

/** Writes the Bernstein coefficients of the lower half of each polynomial to another part, and leaves those of the upper. */
function halve({ bernstein, by, count }: Part, size: number, lower: Part): void {
  const below = lower.bernstein;
  lower.count = count;
  for (let i = 0; i < count; i++) {
    const at = size * i;
    lower.by[i] = by[i]!;
    for (let k = 0; k < size; k++) {
      below[at + k] = bernstein[at]!;
      for (let j = at; j < at + size - 1 - k; j++) bernstein[j] = (bernstein[j]! + bernstein[j + 1]!) / 2;
    }
  }
}

/**
 * Drops those that certainly lie under the greatest at the start, at the end or in the mean, which stay; the others keep their order. Of equal ones
 * the first stays: each of the greatest is the first of those equal to it.
 */
function dropUnder(part: Part, size: number): void {
  const { bernstein: all, by, count } = part;
  const last = size - 1;
  let [atStart, atEnd, inMean] = [0, 0, 0];
  let most = -Infinity;
  for (let at = 0; at < size * count; at += size) {
    let mean = 0;
    for (let k = 0; k < size; k++) mean += all[at + k]!;
    if (mean > most) {
      most = mean;
      inMean = at;
    }
    if (all[at]! > all[atStart]!) atStart = at;
    if (all[at + last]! > all[atEnd + last]!) atEnd = at;
  }
  let high = 0;
  for (let i = 0; i < count; i++) {
    const at = size * i;
    if (!isUnder(all, at, inMean, size) && !isUnder(all, at, atStart, size) && !isUnder(all, at, atEnd, size)) kept[high++] = i;
  }
  part.count = high;
  if (high < count)
    for (let i = 0; i < high; i++) {
      const one = kept[i]!;
      by[i] = by[one]!;
      for (let k = 0; k < size; k++) all[size * i + k] = all[size * one + k]!;
    }
}

function isUnder(all: Float64Array, one: number, other: number, size: number): boolean {
  if (one === other) return false;
  for (let k = 0; k < size; k++) if (all[one + k]! > all[other + k]!) return false;
  return true;
}

/** The same of few polynomials on a part of the piece, each compared with the others. The one that is the largest in the middle is asked first. */
function crossing({ powers, size }: Contenders, by: Int32Array, { from, to }: Span, slack: number, found: Writable[]): void {
  const degree = size - 1;
  const all = Array.from(by, powers);
  const middle = all.map((one) => evaluate(one, 0, degree, (from + to) / 2));
  const champion = middle.indexOf(Math.max(...middle));
  let current: Writable[] = [{ from, to, by: champion }];
  for (let i = 0; i < all.length; i++) {
    if (i === champion) continue;
    const next: Writable[] = [];
    for (const stretch of current) {
      const long = stretch.to - stretch.from;
      const difference = differenceSeen(all[i]!, all[stretch.by]!, stretch.from);
      const cuts = isNowherePositive(difference, long) ? [] : signChanges(difference, long);
      let begin = 0;
      for (const x of [...cuts, long]) {
        if (x < long && !(x > slack && x < long - slack)) continue;
        const gains = signedMean(difference, begin, x) > 0;
        append(next, stretch.from + begin, x === long ? stretch.to : stretch.from + x, gains ? i : stretch.by);
        begin = x;
      }
    }
    current = next;
  }
  for (const one of current) append(found, one.from, one.to, by[one.by]!);
}

/** By how much one polynomial is larger than another, seen from a place. */
function differenceSeen(one: Float64Array, other: Float64Array, from: number): Float64Array {
  const difference = new Float64Array(one.length);
  for (let k = 0; k < one.length; k++) difference[k] = one[k]! - other[k]!;
  if (from === 0) return difference;
  const seen = new Float64Array(one.length);
  addShifted({ coefficients: difference, at: 0, degree: one.length - 1 }, from, 1, seen, 0);
  return seen;
}

/** What one governs on both sides of a cut is one part. */
function append(found: Writable[], from: number, to: number, by: number): void {
  const last = found.at(-1);
  if (last?.by === by) last.to = to;
  else found.push({ from, to, by });
}
