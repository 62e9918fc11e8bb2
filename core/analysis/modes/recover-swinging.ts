import type { Pieces } from '../../results/breakpoints';
import { addCubic, addParabola, addQuintic, type Derivatives } from '../../results/hermite';
import { offsetOf, pieceWidth, type LineQuantity } from '../../results/quantities';
import { recoverUnder } from '../../results/recover-cases';
import type { StructuralResponse } from '../../results/results';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import { endDisplacements } from '../../stiffness/transformation';
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

/** A quantity on a stretch, in ξ. */
interface Line {
  readonly quantity: LineQuantity;
  readonly stretch: number;
  readonly series: Series;
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
  swinging.multiply(vector, forces);
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
  const moved = swinging.members.map(({ strands, swinging: swings }, m) => {
    const [own, driven] = [new Float64Array(N), new Float64Array(N)];
    endDisplacements(s, m, matrices.transforms[m], nodes, own);
    endDisplacements(s, m, matrices.transforms[m], driveOfNodes, driven);
    let at = swinging.firsts[m]!;
    return strands.map(({ places, signs }, i) => {
      const swing = swings[i]!;
      const all = (outer: Float64Array, inner: Float64Array): Float64Array => {
        const amplitudes = new Float64Array(swing.outer + swing.inner);
        for (let p = 0; p < places.length; p++) amplitudes[p] = signs[p]! * outer[places[p]!]!;
        amplitudes.set(inner.subarray(at, at + swing.inner), swing.outer);
        return amplitudes;
      };
      const [amplitudes, against] = [all(own, vector), all(driven, drive)];
      at += swing.inner;
      holdEnds(swing, against, { places, signs, ends, at: N * m });
      return { amplitudes, against };
    });
  });
  let most = 0;
  for (let m = 0; m < moved.length; m++) for (const i of [4, 5, 10, 11]) most = Math.max(most, Math.abs(ends[N * m + i]!));
  const pieces = new GrowingPieces(pieceWidth(s));
  swinging.members.forEach(({ strands, swinging: swings }, m) => {
    const lines: Line[] = [];
    strands.forEach((strand, i) => {
      const start = strand.places.map((place, p) => strand.signs[p]! * ends[N * m + place]!);
      addLines(lines, strand, swings[i]!, { ...moved[m]![i]!, start });
    });
    pieces.add(s.lengths[m]!, swings[0]!.shapes(), lines, SMALL * most);
  });
  return { ...response, ends, ...pieces.whole() };
}

interface Ends {
  readonly places: readonly number[];
  readonly signs: readonly number[];
  readonly ends: Float64Array;
  readonly at: number;
}

/** Takes what M of the outer columns exerts from the forces at the ends: inertia bears that part of them. */
function holdEnds({ mass, outer, inner }: SwingingStrand, against: Float64Array, { places, signs, ends, at }: Ends): void {
  // oxfmt-ignore
  const width = outer + inner;
  for (let i = 0; i < outer; i++) {
    let sum = 0;
    for (let j = 0; j < width; j++) sum += mass[width * i + j]! * against[j]!;
    ends[at + places[i]!]! -= signs[i]! * sum;
  }
}

interface Swing {
  readonly amplitudes: Float64Array;
  /** What the node exerts on the start, by the strand's freedoms. */
  readonly start: readonly number[];
  /** Accelerations, in the place of the amplitudes. */
  readonly against: Float64Array;
}

/** By first freedom of a strand along or about the axis, or of a string across it: its movement and its force, and how inertia changes this. */
const STRAIGHT = [['u', 'N', -1], ['v', 'Vy', 1], ['w', 'Vz', 1], [undefined, 'T', -1]] as const; // oxfmt-ignore

/** Movements and forces along a strand: forces from the start on, less or more by what inertia there is, so that both ends balance. */
function addLines(lines: Line[], { places, moving }: Strand, swing: SwingingStrand, { amplitudes, start, against }: Swing): void {
  const shapes = swing.shapes();
  if (places.length === 2) {
    const [moves, force, sense] = STRAIGHT[places[0] as 0 | 1 | 2 | 3];
    let before = sense * start[0]!;
    shapes.forEach(({ point, lines: [fields, inert] }, stretch) => {
      const field = weightedSum(fields!, amplitudes, 1);
      if (moves) lines.push({ quantity: moves, stretch, series: field });
      const series = weightedSum(inert!, against, sense);
      series[0]! += before;
      lines.push({ quantity: force, stretch, series });
      before = atEnd(series) + (point === 0 ? 0 : sense * point * atEnd(weightedSum(fields!, against, 1)));
    });
    return;
  }
  for (let p = 0; p < moving; p++) {
    const [moves, across, bends] = places[2 * p] === 1 ? (['v', 'Vy', 'Mz'] as const) : (['w', 'Vz', 'My'] as const);
    let [shear, moment] = [start[2 * p]!, -start[2 * p + 1]!];
    shapes.forEach(({ h, point, lines: all }, stretch) => {
      const field = weightedSum(all[3 * p]!, amplitudes, 1);
      const V = weightedSum(all[3 * p + 1]!, against, 1);
      const M = weightedSum(all[3 * p + 2]!, against, 1);
      V[0]! += shear;
      M[0]! += moment + (shear * h) / 2;
      M[1]! += (shear * h) / 2;
      lines.push({ quantity: moves, stretch, series: field }, { quantity: across, stretch, series: V }, { quantity: bends, stretch, series: M }); // oxfmt-ignore
      shear = atEnd(V) + (point === 0 ? 0 : point * atEnd(weightedSum(all[3 * p]!, against, 1)));
      moment = atEnd(M);
    });
  }
}

function weightedSum(columns: readonly Series[], amplitudes: Float64Array, factor: number): Series {
  const out = new Float64Array(columns[0]!.length);
  for (let j = 0; j < columns.length; j++) {
    const [series, part] = [columns[j]!, factor * amplitudes[j]!];
    if (part !== 0) for (let n = 0; n < series.length; n++) out[n]! += part * series[n]!;
  }
  return out;
}

function atEnd(f: Series): number {
  let sum = 0;
  for (let n = 0; n < f.length; n++) sum += f[n]!;
  return sum;
}

/** The pieces of one member after the other, with their diagrams. */
class GrowingPieces {
  private readonly first = [0];
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  private out = new Float64Array(1024);

  constructor(private readonly width: number) {}

  /** Every stretch so finely cut that cubics keep to its moments; those under `small` do not count. */
  add(L: number, stretches: readonly { readonly a: number; readonly h: number }[], lines: readonly Line[], small: number): void {
    let largest = small;
    for (const { quantity, series } of lines) if (quantity === 'Mz' || quantity === 'My') largest = Math.max(largest, sizeOf(series)); // oxfmt-ignore
    const begin = this.from.length;
    const firsts: number[] = [];
    stretches.forEach(({ a }, stretch) => {
      const b = stretches[stretch + 1]?.a ?? L;
      let parts = 1;
      for (const { quantity, series, stretch: of } of lines)
        if (of === stretch && (quantity === 'Mz' || quantity === 'My')) parts = Math.max(parts, partsOf(series, largest));
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
    for (const line of lines) {
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

  private addLine({ quantity, series }: Line, h: number, k: number, end: number): void {
    const { out, width } = this;
    const parts = end - k;
    const l = h / parts;
    const at = offsetOf(quantity);
    let before = derivatives(series, placesOf(parts, series.length)[0]!, h);
    for (let i = 0; i < parts; i++) {
      const after = derivatives(series, placesOf(parts, series.length)[i + 1]!, h);
      const target = { out, at: width * (k + i) + at };
      if (quantity === 'v' || quantity === 'w') addQuintic(before, after, l, target);
      else if (quantity === 'u' || quantity === 'Mz' || quantity === 'My') addCubic(before, after, l, target);
      else addParabola(before, after, l, target);
      before = after;
    }
  }

  private addTorque({ series }: Line, L: number, k: number, end: number): void {
    for (let i = k; i < end; i++)
      this.out[this.width * i + offsetOf('T')]! += derivatives(series, derivativesAt((this.from[i]! + this.to[i]!) / L - 1, series.length), L)[0]; // oxfmt-ignore
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

/** By x. */
function derivatives(series: Series, place: Float64Array, h: number): Derivatives {
  let [value, first, second] = [0, 0, 0];
  for (let n = 0, o = 0; n < series.length; n++, o += 3) {
    const part = series[n]!;
    value += part * place[o]!;
    first += part * place[o + 1]!;
    second += part * place[o + 2]!;
  }
  const r = 2 / h;
  return [value, first * r, second * r * r];
}

function sizeOf(f: Series): number {
  let sum = 0;
  for (let n = 0; n < f.length; n++) sum += Math.abs(f[n]!);
  return sum;
}

/** |P⁗ₙ| at most, at the ends: (n + 4)!/(n − 4)!/384. */
const FOURTH = Array.from({ length: 200 }, (_, n) => {
  let factor = n < 4 ? 0 : 1 / 384;
  for (let k = n - 3; k <= n + 4; k++) factor *= k;
  return factor;
});

/** What a cubic misses: a 384th of the fourth derivative times h⁴, which in ξ is 2⁴ of it. */
function partsOf(f: Series, largest: number): number {
  let left = 0;
  for (let n = 4; n < f.length; n++) left += Math.abs(f[n]!) * FOURTH[n]!;
  const parts = ((left * 16) / 384 / (NEAR * largest)) ** 0.25;
  return parts > 1 ? Math.min(MOST_PIECES, 2 ** Math.ceil(Math.log2(parts))) : 1;
}
