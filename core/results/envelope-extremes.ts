import { combiner } from '../linear-algebra/combine';
import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { commonCuts } from './breakpoints';
import type { Diagram } from './diagram';
import { extremesIn, type Extremes } from './extremes';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { AT_ENDS, partsOf } from './read';
import type { Solution } from './results';
import { addOver } from './sums';

/** The largest and the smallest value of some quantities on every member, over all parts of an envelope, with the part that governs. */
export type EnvelopeExtremes = ReadonlyMap<LineQuantity, readonly Extremes[]>;

/** Members that are added together: what the cases have of them stays in the processor's cache while all sums pass over it. */
const BLOCK = 48;

/**
 * Exact extremes of an outcome on all members, block by block of members: of each part of an envelope first only how far a quantity may
 * reach, and its extremes where that is beyond what is known. Nothing but one block is ever held. Yields the part of the work that is
 * done.
 */
export function* envelopeExtremes(
  solution: Solution,
  outcome: number,
  quantities: readonly LineQuantity[],
): Generator<number, EnvelopeExtremes> {
  const parts = partsOf(solution, outcome);
  const found = quantities.map((): Extremes[] => []);
  const members = solution.structure.names.members.length;
  for (let from = 0; from < members; from += BLOCK) {
    const to = Math.min(from + BLOCK, members);
    const block = blockOf(solution, from, to);
    const sumOf = combiner(block.cases);
    const known = quantities.map((quantity) => new Known(quantity, block));
    for (const part of parts) {
      const sum = sumOf(weightsOf(solution, part));
      for (const one of known) one.meet(sum, part);
    }
    known.forEach((one, q) => found[q]!.push(...one.extremes));
    yield to / members;
  }
  return new Map(quantities.map((quantity, q) => [quantity, found[q]!]));
}

/** What is known of one quantity on the members of a block. */
class Known {
  readonly extremes: Extremes[] = [];
  private readonly max: Float64Array;
  private readonly min: Float64Array;
  private readonly offset: number;
  private readonly degree: number;
  private readonly rule: (typeof AT_ENDS)[LineQuantity];
  private readonly isStored: boolean;

  constructor(
    private readonly quantity: LineQuantity,
    private readonly block: Block,
  ) {
    this.max = new Float64Array(block.lengths.length).fill(-Infinity);
    this.min = new Float64Array(block.lengths.length).fill(Infinity);
    this.offset = offsetOf(quantity);
    this.degree = degreeOf(quantity);
    this.rule = AT_ENDS[quantity];
    this.isStored = isStored(block.width, quantity);
  }

  /** Looks at one more part, whose numbers are the sum at hand. */
  meet(sum: Float64Array, part: number): void {
    const { max, min, rule, degree, offset } = this;
    const { first, from, to, width, numbers } = this.block;
    for (let m = 0; m < max.length; m++) {
      reach[0] = -Infinity;
      reach[1] = Infinity;
      const end = first[m + 1]!;
      if (this.isStored) for (let k = first[m]!; k < end; k++) widen(sum, k * width + offset, degree, to[k]! - from[k]!);
      else widen(ZERO, 0, 0, 0);
      if (rule) {
        const ends = numbers + MEMBER_FREEDOMS * m;
        widenTo(rule[1] * sum[ends + rule[0]]!);
        widenTo(rule[3] * sum[ends + rule[2]]!);
      }
      if (reach[0]! > max[m]! || reach[1]! < min[m]!) this.learn(m, extremesIn(this.diagram(sum, m), this.quantity, part));
    }
  }

  private diagram(sum: Float64Array, m: number): Diagram {
    const { first, from, to, width, numbers, lengths } = this.block;
    const ends = numbers + MEMBER_FREEDOMS * m;
    const [begin, end] = [first[m]!, first[m + 1]!];
    return { length: lengths[m]!, first: begin, end, from, to, coefficients: sum, width, ends: sum, endsAt: ends };
  }

  /** Of equal values the part that came first stays. */
  private learn(m: number, next: Extremes): void {
    const before = this.extremes[m];
    const max = before && before.max.value >= next.max.value ? before.max : next.max;
    const min = before && before.min.value <= next.min.value ? before.min : next.min;
    this.extremes[m] = { max, min };
    this.max[m] = max.value;
    this.min[m] = min.value;
  }
}

/** How far the quantity at hand may reach: up, and down. */
const reach = new Float64Array(2);
const ZERO = new Float64Array(1);
const SAMPLES = 8;

function widenTo(value: number): void {
  if (value > reach[0]!) reach[0] = value;
  if (value < reach[1]!) reach[1] = value;
}

/**
 * Widens the reach by a polynomial on [0, length]: exactly up to degree three, beyond that by values at some places and by what can lie
 * between two of them at most. Written out, since this runs for every member, quantity and sum.
 */
function widen(c: Float64Array, at: number, degree: number, length: number): void {
  if (degree > 3 && (c[at + 4] !== 0 || c[at + 5] !== 0)) {
    widenByPlaces(c, at, length);
    return;
  }
  const a = c[at]!;
  let [high, low] = [a, a];
  if (degree > 0) {
    const b = c[at + 1]!;
    const d = c[at + 2]!;
    const e = degree > 2 ? c[at + 3]! : 0;
    const end = a + length * (b + length * (d + length * e));
    if (end > high) high = end;
    else low = end;
    // Between ends and middle of its Bernstein polygon the slope lies; all of one sign, nothing turns inside.
    const middle = b + d * length;
    const last = b + length * (2 * d + 3 * e * length);
    if (!((b >= 0 && middle >= 0 && last >= 0) || (b <= 0 && middle <= 0 && last <= 0))) {
      const root = Math.sqrt(Math.max(0, d * d - 3 * b * e));
      const q = -(d + (d < 0 ? -root : root));
      for (let i = 0; i < 2; i++) {
        const s = i === 0 ? b / q : q / (3 * e);
        if (!(s > 0 && s < length)) continue;
        const value = a + s * (b + s * (d + s * e));
        if (value > high) high = value;
        if (value < low) low = value;
      }
    }
  }
  widenTo(high);
  widenTo(low);
}

/** The same of a polynomial of degree four or five; δ²/8 times the second derivative bounds what lies between two places δ apart. */
function widenByPlaces(c: Float64Array, at: number, length: number): void {
  const [a, b, d, e, f, g] = [c[at]!, c[at + 1]!, c[at + 2]!, c[at + 3]!, c[at + 4]!, c[at + 5]!];
  let [high, low] = [a, a];
  for (let i = 1; i <= SAMPLES; i++) {
    const s = (length * i) / SAMPLES;
    const value = a + s * (b + s * (d + s * (e + s * (f + s * g))));
    if (value > high) high = value;
    if (value < low) low = value;
  }
  // Bernstein coefficients of the second derivative, between which it lies; where it curves upwards, nothing rises above its neighbours.
  const p0 = 2 * d;
  const p1 = p0 + 2 * e * length;
  const p2 = p0 + length * (4 * e + 4 * f * length);
  const p3 = p0 + length * (6 * e + length * (12 * f + 20 * g * length));
  const eighth = (length / SAMPLES) ** 2 / 8;
  high -= eighth * Math.min(0, p0, p1, p2, p3);
  low -= eighth * Math.max(0, p0, p1, p2, p3);
  widenTo(high);
  widenTo(low);
}

/** What the cases have of a block of members, over pieces that they share: `numbers` coefficients, then the end forces. */
interface Block {
  readonly lengths: Float64Array;
  readonly width: number;
  readonly first: Int32Array;
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly numbers: number;
  readonly cases: readonly Float64Array[];
}

function blockOf(solution: Solution, from: number, to: number): Block {
  const { cases, structure } = solution;
  const pieces = cases.map((one) => one.pieces);
  const first = new Int32Array(to - from + 1);
  const [starts, stops]: [number[], number[]] = [[], []];
  for (let m = from; m < to; m++) {
    const cuts = commonCuts(pieces, m, structure.lengths[m]!);
    starts.push(...cuts.from);
    stops.push(...cuts.to);
    first[m - from + 1] = starts.length;
  }
  const over = Float64Array.from(starts);
  const width = cases[0]!.pieceWidth;
  const numbers = width * starts.length;
  const own = cases.map((one) => {
    const all = new Float64Array(numbers + MEMBER_FREEDOMS * (to - from));
    for (let m = from; m < to; m++) addOver(one, 1, m, { from: over, first: first[m - from]!, end: first[m - from + 1]! }, all);
    all.set(one.ends.subarray(MEMBER_FREEDOMS * from, MEMBER_FREEDOMS * to), numbers);
    return all;
  });
  const lengths = structure.lengths.subarray(from, to);
  return { lengths, width, first, from: over, to: Float64Array.from(stops), numbers, cases: own };
}

function weightsOf(solution: Solution, part: number): ArrayLike<number> {
  const one = solution.outcomes[part]!;
  return one.kind === 'sum' ? one.factors : solution.cases.map((_, c) => (c === part ? 1 : 0));
}
