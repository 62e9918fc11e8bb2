import { combine } from '../../linear-algebra/combine';
import type { Pieces } from '../../results/breakpoints';
import { evaluate } from '../../results/polynomial';
import { addCubic as putCubic, addQuintic as putQuintic } from '../../results/hermite';
import { offsetOf } from '../../results/quantities';
import type { StructuralResponse } from '../../results/results';
import { addOver, sumOfEquilibria } from '../../results/sums';
import { recoverEnds } from '../../stiffness/condensation';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { endDisplacements } from '../../stiffness/transformation';
import type { System } from '../factorise';
import type { Columns, Leaning, LeaningMember } from './leaning';
import type { BendingPlane } from './bending-planes';
import { movedChain } from './chain';
import { room } from './stretch';

const N = MEMBER_FREEDOMS;
/** Diagrams are cubics piece by piece: so near they keep to the true ones, beside the largest moment of the member; and as many pieces at most. */
const NEAR = 7e-7;
const MOST_PIECES = 64;

/** How a member moves beside the first order: its own ends (12, local), what holds them, and by plane of each bent the series of its stretches. */
interface Moved {
  readonly ends: readonly number[];
  readonly forces: readonly number[];
  readonly series: readonly (readonly number[][][] | undefined)[];
}

/** What the second order adds to the nodes (6n, nodes' axes), and the response of the first-order structure to all that drives it there. */
export interface Added {
  readonly displacements: Float64Array;
  readonly response: StructuralResponse;
}

/** The response of a displaced structure, and how the own ends of its members move beside the first order (12, local). */
export interface DisplacedResponse {
  readonly response: StructuralResponse;
  readonly endsOf: (m: number) => readonly number[];
}

/**
 * The whole response: that of the first order, and what is added beside it. Members that lean are cut into more pieces, on which cubics and quintics keep
 * the values and slopes of the exact series at both ends.
 */
export function recoverLeaning(
  { structure: s, matrices }: Pick<System, 'structure' | 'matrices'>,
  first: StructuralResponse,
  { columns, leaning, added }: { readonly columns: Columns; readonly leaning: Leaning; readonly added: Added },
): DisplacedResponse {
  const members = s.lengths.length;
  const moved = leaning.members.map(
    (member, m) => member && movedMember(s, matrices, columns, m, { member, nodes: added.displacements }),
  );
  const counts = leaning.members.map((member, m) => (member ? countsOf(first, columns, m, moved[m]!, member) : undefined));
  const pieces = cutPieces(first.pieces, counts);
  const width = first.pieceWidth;
  const coefficients = new Float64Array(width * pieces.from.length);
  const ends = first.ends.slice();
  for (let m = 0; m < members; m++) {
    const over = {
      from: pieces.from,
      to: pieces.to,
      first: pieces.first[m]!,
      end: pieces.first[m + 1]!,
      width,
      out: coefficients,
    };
    addOver(first, 1, m, over, coefficients);
    const member = leaning.members[m];
    if (!member) {
      addOver(added.response, 1, m, over, coefficients);
      if (s.stiffnesses[STIFFNESS_WIDTH * m] === 0) addSlack(s, matrices, m, added.displacements, over);
      for (let i = N * m; i < N * (m + 1); i++) ends[i]! += added.response.ends[i]!;
      continue;
    }
    const own = moved[m]!;
    for (let i = 0; i < N; i++) ends[N * m + i]! += own.forces[i]!;
    addStraight(s, m, own, over);
    columns.bendingsOf(m).forEach(({ planes }, b) => {
      const bases = member.chains[b]?.bases;
      if (bases) addBent(own.series[b]!, bases, planes, over);
      else addString(s.lengths[m]!, own, planes[0]!, over);
    });
  }
  const both = (key: 'displacements' | 'reactions'): Float64Array => combine([first[key], added.response[key]], [1, 1]);
  const response = {
    displacements: both('displacements'),
    reactions: both('reactions'),
    ends,
    coefficients,
    pieces,
    pieceWidth: width,
    equilibrium: sumOfEquilibria([{ part: first, factor: 1 }, { part: added.response, factor: 1 }]), // oxfmt-ignore
  };
  const endsOf = (m: number): readonly number[] => moved[m]?.ends ?? ownEnds(s, matrices, m, added.displacements);
  return { response, endsOf };
}

/** How the own ends of a member that leans on nothing move (12, local). */
function ownEnds(s: Structure, matrices: MemberMatrices, m: number, nodes: Float64Array): readonly number[] {
  endDisplacements(s, m, matrices.transforms[m], nodes, own);
  const condensed = matrices.condensed[m];
  if (condensed) recoverEnds(condensed, own, new Float64Array(N));
  return Array.from(own);
}

const own = new Float64Array(N);

/** How a leaning member follows its nodes. */
function movedMember(
  s: Structure,
  matrices: MemberMatrices,
  columns: Columns,
  m: number,
  { member, nodes }: { readonly member: LeaningMember; readonly nodes: Float64Array },
): Moved {
  endDisplacements(s, m, matrices.transforms[m], nodes, own);
  if (member.condensed) recoverEnds(member.condensed, own, Float64Array.from(member.loads));
  const ends = Array.from(own);
  const forces = room(N);
  const o = STIFFNESS_WIDTH * m;
  const L = s.lengths[m]!;
  const along = (i: number, stiffness: number): void => {
    forces[i + 6] = (stiffness / L) * (ends[i + 6]! - ends[i]!);
    forces[i] = -forces[i + 6]!;
  };
  along(0, s.stiffnesses[o]!);
  along(3, s.stiffnesses[o + 1]!);
  const series = columns.bendingsOf(m).map(({ planes, places, signs }, b) => {
    const chain = member.chains[b]?.chain;
    if (!chain) {
      const i = planes[0]!.across;
      forces[i] = (member.pull / (L * L)) * (ends[i]! - ends[i + 6]!) - member.loads[i]!;
      forces[i + 6] = -forces[i]!;
      return undefined;
    }
    const moves = places.map((place, i) => signs[i]! * ends[place]!);
    const width = places.length + 1;
    places.forEach((place, i) => {
      let force = chain.forces[width * i + width - 1]!;
      for (let j = 0; j + 1 < width; j++) force += chain.forces[width * i + j]! * moves[j]!;
      forces[place] = signs[i]! * force;
    });
    return movedChain(chain, moves, (i) => columns.stretchOf(b, i, member));
  });
  return { ends, forces, series };
}

/** By piece of the first order: into how many equal ones it is cut, a power of two, so that cuts of several outcomes coincide. */
function countsOf(
  { pieces, coefficients, pieceWidth, ends }: StructuralResponse,
  columns: Columns,
  m: number,
  moved: Moved,
  { chains }: LeaningMember,
): number[] {
  const start = pieces.first[m]!;
  const counts = new Array<number>(pieces.first[m + 1]! - start).fill(1);
  columns.bendingsOf(m).forEach(({ planes }, b) => {
    const series = moved.series[b];
    if (!series) return;
    const { bases } = chains[b]!;
    const stretches = counts.map((_, k) => bases.filter(({ piece }) => piece === start + k).length);
    planes.forEach(({ moment, turn }, p) => {
      const at = offsetOf(moment);
      const atEnd = (end: number): number => Math.abs(ends[N * m + turn + end]! + moved.forces[turn + end]!);
      let most = Math.max(atEnd(0), atEnd(6));
      series.forEach((stretch, i) => {
        const { piece, from } = bases[i]!;
        const before = evaluate(coefficients, pieceWidth * piece + at, 3, from - pieces.from[piece]!);
        most = Math.max(most, Math.abs(before + stretch[3 * p + 2]![0]!));
      });
      series.forEach((stretch, i) => {
        const M = stretch[3 * p + 2]!;
        // What a cubic misses: a 384th of the fourth derivative, h⁴ times.
        let left = 0;
        for (let n = 4; n < M.length; n++) left += Math.abs(M[n]!) * n * (n - 1) * (n - 2) * (n - 3);
        const parts = (left / 384 / (NEAR * most)) ** 0.25;
        const k = bases[i]!.piece - start;
        const due = stretches[k]! * (parts > 1 ? 2 ** Math.ceil(Math.log2(parts)) : 1);
        counts[k] = Math.max(counts[k]!, Math.min(due, Math.max(MOST_PIECES, stretches[k]!)));
      });
    });
  });
  return counts;
}

function cutPieces(pieces: Pieces, counts: readonly (readonly number[] | undefined)[]): Pieces {
  const first = new Int32Array(pieces.first.length);
  const [from, to]: [number[], number[]] = [[], []];
  for (let m = 0; m < counts.length; m++) {
    const own = counts[m];
    for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
      const count = own?.[k - pieces.first[m]!] ?? 1;
      const [start, h] = [pieces.from[k]!, pieces.to[k]! - pieces.from[k]!];
      for (let i = 0; i < count; i++) {
        from.push(start + (h * i) / count);
        to.push(i + 1 === count ? pieces.to[k]! : start + (h * (i + 1)) / count);
      }
    }
    first[m + 1] = from.length;
  }
  return { first, from: Float64Array.from(from), to: Float64Array.from(to) };
}

/** Where the diagrams of a member go: its pieces among all, and their coefficients. */
interface Over {
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly first: number;
  readonly end: number;
  readonly width: number;
  readonly out: Float64Array;
}

/** What a chain adds: deflections and moments in its planes. */
function addBent(
  series: readonly (readonly number[][])[],
  bases: readonly { readonly from: number; readonly h: number }[],
  planes: readonly BendingPlane[],
  over: Over,
): void {
  for (let p = 0; p < planes.length; p++) {
    const [deflection, moment] = [offsetOf(planes[p]!.deflection), offsetOf(planes[p]!.moment)];
    let k = over.first;
    for (let i = 0; i < series.length; i++)
      k = addStretch([series[i]![3 * p]!, series[i]![3 * p + 2]!], bases[i]!, { k, deflection, moment }, over);
  }
}

/** The same of one stretch in one plane, from piece k on; returns the piece behind it. */
function addStretch(
  [y, M]: readonly [readonly number[], readonly number[]],
  { from: begin, h }: { readonly from: number; readonly h: number },
  { k: first, deflection, moment }: { readonly k: number; readonly deflection: number; readonly moment: number },
  { from, to, end, width, out }: Over,
): number {
  let k = first;
  // Where one piece ends the next begins.
  let [bend, turn] = [bends.start, turns.start];
  let [nextBend, nextTurn] = [bends.stop, turns.stop];
  let known = NaN;
  for (; k < end && from[k]! < begin + h * (1 - 1e-9); k++) {
    const [a, b] = [(from[k]! - begin) / h, (Math.min(to[k]!, begin + h) - begin) / h];
    if (!(Math.abs(known - a) < 1e-12)) {
      derivativesAt(y, a, h, bend);
      derivativesAt(M, a, h, turn);
    }
    derivativesAt(y, b, h, nextBend);
    derivativesAt(M, b, h, nextTurn);
    putQuintic(bend, nextBend, (b - a) * h, { out, at: width * k + deflection });
    putCubic(turn, nextTurn, (b - a) * h, { out, at: width * k + moment });
    [bend, nextBend] = [nextBend, bend];
    [turn, nextTurn] = [nextTurn, turn];
    known = b;
  }
  return k;
}
type Room = [value: number, first: number, second: number];
const bends: { readonly start: Room; readonly stop: Room } = { start: [-0, -0, -0], stop: [-0, -0, -0] };
const turns: { readonly start: Room; readonly stop: Room } = { start: [-0, -0, -0], stop: [-0, -0, -0] };

/** What is added along and about the axis, and the transverse forces, which are the same all along. */
function addStraight(s: Structure, m: number, { ends, forces }: Moved, { from, first, end, width, out }: Over): void {
  const strain = (ends[6]! - ends[0]!) / s.lengths[m]!;
  for (let k = first; k < end; k++) {
    const at = width * k;
    out[at + offsetOf('N')]! += forces[6]!;
    out[at + offsetOf('u')]! += ends[0]! + strain * from[k]!;
    out[at + offsetOf('u') + 1]! += strain;
    out[at + offsetOf('Vy')]! += forces[1]!;
    if (offsetOf('Vz') >= width) continue;
    out[at + offsetOf('Vz')]! += forces[2]!;
    out[at + offsetOf('T')]! += forces[9]!;
  }
}

/** A slack member becomes longer as its ends move, without a force that would tell it. */
function addSlack(s: Structure, { transforms }: MemberMatrices, m: number, nodes: Float64Array, over: Over): void {
  const { from, first, end, width, out } = over;
  const ends = new Float64Array(N);
  endDisplacements(s, m, transforms[m], nodes, ends);
  const strain = (ends[6]! - ends[0]!) / s.lengths[m]!;
  for (let k = first; k < end; k++) {
    out[width * k + offsetOf('u')]! += strain * from[k]!;
    out[width * k + offsetOf('u') + 1]! += strain;
  }
}

function addString(
  L: number,
  { ends }: Moved,
  { across, deflection }: BendingPlane,
  { from, first, end, width, out }: Over,
): void {
  const slope = (ends[across + 6]! - ends[across]!) / L;
  for (let k = first; k < end; k++) {
    const at = width * k + offsetOf(deflection);
    out[at]! += ends[across]! + slope * from[k]!;
    out[at + 1]! += slope;
  }
}

/** Value and derivatives by x of a series in t = x/h at t. */
function derivativesAt(c: readonly number[], t: number, h: number, into: Room): void {
  let [value, first, second] = [0, 0, 0];
  for (let n = c.length - 1; n >= 0; n--) {
    second = second * t + 2 * first;
    first = first * t + value;
    value = value * t + c[n]!;
  }
  into[0] = value;
  into[1] = first / h;
  into[2] = second / (h * h);
}
