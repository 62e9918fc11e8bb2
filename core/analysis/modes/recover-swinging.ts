import type { Pieces } from '../../results/breakpoints';
import { addCubic, addParabola, addQuintic } from '../../results/hermite';
import { offsetOf, pieceWidth, type LineQuantity } from '../../results/quantities';
import { recoverUnder } from '../../results/recover-cases';
import type { StructuralResponse } from '../../results/results';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import { endDisplacements } from '../../stiffness/transformation';
import { sumAtEnd, writeSum, type SummedSeries, type Weights } from './summed-series';
import { derivativesAt, type Series } from './legendre';
import type { Eigen } from './slowest';
import type { Strand } from './strands';
import type { Swinging } from './swinging';
import type { SwingingStrand } from './swinging-strand';

const N = MEMBER_FREEDOMS;
/** Diagrams are cubics piece by piece: so near they keep to the true ones, beside the largest moment of a member; and as many pieces of a stretch at most. */
const NEAR = 1e-5;
const MOST_PIECES = 64;
/** Moments under this part of the largest at any end are not worth more pieces. */
const SMALL = 1e-3;

/** A quantity on a stretch, in ξ: a series of so many terms. */
interface Line {
  quantity: LineQuantity;
  stretch: number;
  readonly series: Series;
  terms: number;
}

/** The lines of one member after the other, in the same room. */
class Lines {
  private readonly room: Line[] = [];
  count = 0;

  clear(): void {
    this.count = 0;
  }

  at(i: number): Line {
    return this.room[i]!;
  }

  /** A weighted sum of columns. */
  add(quantity: LineQuantity, stretch: number, columns: SummedSeries, weights: Weights, factor: number): Line {
    const { terms } = columns;
    let line = this.room[this.count];
    if (!line || line.series.length < terms)
      this.room[this.count] = line = { quantity, stretch, series: new Float64Array(Math.max(24, 2 * terms)), terms };
    this.count++;
    line.quantity = quantity;
    line.stretch = stretch;
    line.terms = terms;
    writeSum(columns, weights, factor, line.series);
    return line;
  }
}

/** How a structure moves, and how its masses are accelerated against that: fields of the nodes (6n, nodes' axes), and vectors whose inner parts count. */
export interface Driven {
  readonly moved: Float64Array;
  readonly drive: Float64Array;
  readonly driveOfNodes: Float64Array;
  /** What its inertia exerts on the nodes, 6n. */
  readonly forces: Float64Array;
}

/** The whole response of a structure that swings in a mode, at its furthest: its inertia forces, λ·M·x, act on it. */
export function recoverSwinging(swinging: Swinging, { value: λ, vector }: Eigen, supported: Uint8Array): StructuralResponse {
  const { structure: s } = swinging.system;
  const times = (numbers: Float64Array): Float64Array => numbers.map((one) => λ * one);
  const forces = new Float64Array(s.restraints.length);
  swinging.act(vector, forces);
  const nodes = swinging.displacementsOf(vector, new Float64Array(forces.length));
  return recoverDriven(
    swinging,
    { moved: vector, drive: times(vector), driveOfNodes: times(nodes), forces: times(forces) },
    supported,
  );
}

/** The whole response to inertia forces, those that act between the nodes among them. */
export function recoverDriven(
  swinging: Swinging,
  { moved: vector, drive, driveOfNodes, forces }: Driven,
  supported: Uint8Array,
): StructuralResponse {
  const { structure: s, matrices } = swinging.system;
  const nodes = swinging.displacementsOf(vector, new Float64Array(forces.length));
  const response = recoverUnder(s, matrices, supported, { displacements: nodes.slice(), forces, residual: 0 });
  const { ends } = response;
  // All that moves, strand by strand, and what holds the ends.
  let columns = 0;
  for (const { swinging: swings } of swinging.members) for (const { outer, inner } of swings) columns += outer + inner;
  const [amplitudes, against] = [new Float64Array(columns), new Float64Array(columns)];
  const [own, driven] = [new Float64Array(N), new Float64Array(N)];
  let most = 0;
  for (let m = 0, from = 0; m < swinging.members.length; m++) {
    const { strands, swinging: swings } = swinging.members[m]!;
    endDisplacements(s, m, matrices.transforms[m], nodes, own);
    endDisplacements(s, m, matrices.transforms[m], driveOfNodes, driven);
    let at = swinging.firsts[m]!;
    for (let i = 0; i < strands.length; i++) {
      const { places, signs } = strands[i]!;
      const swing = swings[i]!;
      for (let p = 0; p < places.length; p++) {
        amplitudes[from + p] = signs[p]! * own[places[p]!]!;
        against[from + p] = signs[p]! * driven[places[p]!]!;
      }
      for (let j = 0; j < swing.inner; j++) {
        amplitudes[from + swing.outer + j] = vector[at + j]!;
        against[from + swing.outer + j] = drive[at + j]!;
      }
      holdEnds(swing, { weights: against, from }, { places, signs, ends, at: N * m });
      at += swing.inner;
      from += swing.outer + swing.inner;
    }
    for (const i of [4, 5, 10, 11]) most = Math.max(most, Math.abs(ends[N * m + i]!));
  }
  const pieces = new GrowingPieces(pieceWidth(s), 4 * swinging.members.length);
  const lines = new Lines();
  const swing = { amplitudes: { weights: amplitudes, from: 0 }, against: { weights: against, from: 0 }, start: [] as number[] };
  for (let m = 0, from = 0; m < swinging.members.length; m++) {
    const { strands, swinging: swings } = swinging.members[m]!;
    lines.clear();
    for (let i = 0; i < strands.length; i++) {
      const { places, signs } = strands[i]!;
      for (let p = 0; p < places.length; p++) swing.start[p] = signs[p]! * ends[N * m + places[p]!]!;
      swing.amplitudes.from = swing.against.from = from;
      addLines(lines, strands[i]!, swings[i]!, swing);
      from += swings[i]!.outer + swings[i]!.inner;
    }
    pieces.add(s.lengths[m]!, swings[0]!.shapes(), lines, SMALL * most);
  }
  return { ...response, ends, ...pieces.whole() };
}

interface Ends {
  readonly places: readonly number[];
  readonly signs: readonly number[];
  readonly ends: Float64Array;
  readonly at: number;
}

/** Takes what M of the outer columns exerts from the forces at the ends: inertia bears that part of them. */
function holdEnds({ mass, outer, inner }: SwingingStrand, { weights, from }: Weights, { places, signs, ends, at }: Ends): void {
  // oxfmt-ignore
  const width = outer + inner;
  for (let i = 0; i < outer; i++) {
    let sum = 0;
    for (let j = 0; j < width; j++) sum += mass[width * i + j]! * weights[from + j]!;
    ends[at + places[i]!]! -= signs[i]! * sum;
  }
}

interface Swing {
  readonly amplitudes: Weights;
  /** What the node exerts on the start, by the strand's freedoms. */
  readonly start: readonly number[];
  /** Accelerations, in the place of the amplitudes. */
  readonly against: Weights;
}

/** By first freedom of a strand along or about the axis, or of a string across it: its movement and its force, and how inertia changes this. */
const STRAIGHT = [['u', 'N', -1], ['v', 'Vy', 1], ['w', 'Vz', 1], [undefined, 'T', -1]] as const; // oxfmt-ignore

/** Movements and forces along a strand: forces from the start on, less or more by what inertia there is, so that both ends balance. */
function addLines(lines: Lines, { places, moving }: Strand, swing: SwingingStrand, { amplitudes, start, against }: Swing): void {
  const shapes = swing.shapes();
  if (places.length === 2) {
    const [moves, force, sense] = STRAIGHT[places[0] as 0 | 1 | 2 | 3];
    let before = sense * start[0]!;
    for (let stretch = 0; stretch < shapes.length; stretch++) {
      const { point, lines: all } = shapes[stretch]!;
      const [fields, inert] = [all[0]!, all[1]!];
      if (moves) lines.add(moves, stretch, fields, amplitudes, 1);
      const line = lines.add(force, stretch, inert, against, sense);
      line.series[0]! += before;
      before = atEnd(line) + (point === 0 ? 0 : sense * point * sumAtEnd(fields, against));
    }
    return;
  }
  for (let p = 0; p < moving; p++) {
    const [moves, across, bends] = places[2 * p] === 1 ? IN_V : IN_W;
    let [shear, moment] = [start[2 * p]!, -start[2 * p + 1]!];
    for (let stretch = 0; stretch < shapes.length; stretch++) {
      const { h, point, lines: all } = shapes[stretch]!;
      lines.add(moves, stretch, all[3 * p]!, amplitudes, 1);
      const V = lines.add(across, stretch, all[3 * p + 1]!, against, 1);
      const M = lines.add(bends, stretch, all[3 * p + 2]!, against, 1);
      V.series[0]! += shear;
      M.series[0]! += moment + (shear * h) / 2;
      M.series[1]! += (shear * h) / 2;
      shear = atEnd(V) + (point === 0 ? 0 : point * sumAtEnd(all[3 * p]!, against));
      moment = atEnd(M);
    }
  }
}
const IN_V = ['v', 'Vy', 'Mz'] as const;
const IN_W = ['w', 'Vz', 'My'] as const;

function atEnd({ series, terms }: Line): number {
  let sum = 0;
  for (let n = 0; n < terms; n++) sum += series[n]!;
  return sum;
}

/** The pieces of one member after the other, with their diagrams. */
class GrowingPieces {
  private readonly first = [0];
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private out: Float64Array;
  private readonly before = new Float64Array(3);
  private readonly after = new Float64Array(3);
  private readonly target: { out: Float64Array; at: number };

  /** `count`: about so many there will be. */
  constructor(
    private readonly width: number,
    count: number,
  ) {
    this.out = new Float64Array(width * count);
    this.target = { out: this.out, at: 0 };
  }

  /** Every stretch so finely cut that cubics keep to its moments; those under `small` do not count. */
  add(L: number, stretches: readonly { readonly a: number; readonly h: number }[], lines: Lines, small: number): void {
    let largest = small;
    for (let i = 0; i < lines.count; i++) if (isMoment(lines.at(i))) largest = Math.max(largest, sizeOf(lines.at(i)));
    const begin = this.from.length;
    const firsts: number[] = [];
    stretches.forEach(({ a }, stretch) => {
      const b = stretches[stretch + 1]?.a ?? L;
      let parts = 1;
      for (let i = 0; i < lines.count; i++) {
        const line = lines.at(i);
        if (line.stretch === stretch && isMoment(line)) parts = Math.max(parts, partsOf(line, largest));
      }
      firsts.push(this.from.length);
      for (let k = 0; k < parts; k++) {
        this.from.push(a + ((b - a) * k) / parts);
        this.to.push(k + 1 === parts ? b : a + ((b - a) * (k + 1)) / parts);
      }
    });
    const end = this.from.length;
    firsts.push(end);
    this.first.push(end);
    this.grow(end);
    for (let i = 0; i < lines.count; i++) {
      const line = lines.at(i);
      // What has no stretches of its own goes over all of them.
      const isWhole = line.quantity === 'T';
      const [k, last] = isWhole ? [begin, end] : [firsts[line.stretch]!, firsts[line.stretch + 1]!];
      if (isWhole) this.addTorque(line, L, k, last);
      else this.addLine(line, stretches[line.stretch]!.h, k, last);
    }
  }

  private grow(pieces: number): void {
    if (this.width * pieces <= this.out.length) return;
    const out = new Float64Array(2 * this.width * pieces);
    out.set(this.out);
    this.out = out;
  }

  private addLine(line: Line, h: number, k: number, end: number): void {
    const { quantity, terms } = line;
    const { out, width } = this;
    const parts = end - k;
    const l = h / parts;
    const at = offsetOf(quantity);
    const places = placesOf(parts, terms);
    const across = isAcross(quantity);
    const isCubic = quantity === 'u' || isMoment(line);
    let { before, after } = this;
    const { target } = this;
    target.out = out;
    writeSlope(line, places[0]!, h, before);
    if (across) writeCurvature(line, places[0]!, h, before);
    for (let i = 0; i < parts; i++) {
      writeSlope(line, places[i + 1]!, h, after);
      if (across) writeCurvature(line, places[i + 1]!, h, after);
      target.at = width * (k + i) + at;
      if (across) addQuintic(before, after, l, target);
      else if (isCubic) addCubic(before, after, l, target);
      else addParabola(before, after, l, target);
      [before, after] = [after, before];
    }
  }

  private addTorque(line: Line, L: number, k: number, end: number): void {
    for (let i = k; i < end; i++)
      this.out[this.width * i + offsetOf('T')]! += valueAt(line, (this.from[i]! + this.to[i]!) / L - 1);
  }

  whole(): { readonly pieces: Pieces; readonly coefficients: Float64Array } {
    const pieces = { first: Int32Array.from(this.first), from: Float64Array.from(this.from), to: Float64Array.from(this.to) };
    return { pieces, coefficients: this.out.slice(0, this.width * this.from.length) };
  }
}

/** The places where so many equal parts of a stretch meet, for series of so many terms at most. */
const known = new Map<number, readonly Float64Array[]>();
function placesOf(parts: number, terms: number): readonly Float64Array[] {
  let places = known.get(parts);
  if (!places || places[0]!.length < 3 * terms) {
    places = Array.from({ length: parts + 1 }, (_, i) => derivativesAt((2 * i) / parts - 1, Math.max(terms, 24)));
    known.set(parts, places);
  }
  return places;
}

/** The value and, by x, its slope. */
function writeSlope({ series, terms }: Line, place: Float64Array, h: number, to: Float64Array): void {
  let value = 0;
  let first = 0;
  for (let n = 0, o = 0; n < terms; n++, o += 3) {
    const part = series[n]!;
    value += part * place[o]!;
    first += part * place[o + 1]!;
  }
  const r = 2 / h;
  to[0] = value;
  to[1] = first * r;
}

function writeCurvature({ series, terms }: Line, place: Float64Array, h: number, to: Float64Array): void {
  let second = 0;
  for (let n = 2, o = 8; n < terms; n++, o += 3) second += series[n]! * place[o]!;
  to[2] = (second * 4) / (h * h);
}

/** The value at ξ. */
function valueAt({ series, terms }: Line, ξ: number): number {
  let [value, last, next] = [series[0]!, 0, 1];
  for (let n = 1; n < terms; n++) {
    const one = ((2 * n - 1) * ξ * next - (n - 1) * last) / n;
    value += series[n]! * one;
    [last, next] = [next, one];
  }
  return value;
}

const isAcross = (quantity: LineQuantity): boolean => quantity === 'v' || quantity === 'w';
const isMoment = ({ quantity }: Line): boolean => quantity === 'Mz' || quantity === 'My';

function sizeOf({ series, terms }: Line): number {
  let sum = 0;
  for (let n = 0; n < terms; n++) sum += Math.abs(series[n]!);
  return sum;
}

/** |P⁗ₙ| at most, at the ends: (n + 4)!/(n − 4)!/384. */
const FOURTH = Array.from({ length: 200 }, (_, n) => {
  let factor = n < 4 ? 0 : 1 / 384;
  for (let k = n - 3; k <= n + 4; k++) factor *= k;
  return factor;
});

/** What a cubic misses: a 384th of the fourth derivative times h⁴, which in ξ is 2⁴ of it. */
function partsOf({ series, terms }: Line, largest: number): number {
  let left = 0;
  for (let n = 4; n < terms; n++) left += Math.abs(series[n]!) * FOURTH[n]!;
  const parts = ((left * 16) / 384 / (NEAR * largest)) ** 0.25;
  return parts > 1 ? Math.min(MOST_PIECES, 2 ** Math.ceil(Math.log2(parts))) : 1;
}
