import { combine } from '../../linear-algebra/combine';
import type { Pieces } from '../../results/breakpoints';
import { evaluate } from '../../results/polynomial';
import { addCubic as putCubic, addQuintic as putQuintic } from '../../results/hermite';
import { offsetOf } from '../../results/quantities';
import type { StructuralResponse } from '../../results/results';
import { addOver, sumOfEquilibria } from '../../results/sums';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { endDisplacements } from '../../stiffness/transformation';
import type { System } from '../factorise';
import { room } from './along';
import type { BendingPlane } from './bending-planes';
import { moveChain, type Chain } from './chain';
import { pullOf, type Columns, type Leaning } from './leaning';
import type { Stretch } from './stretch';

const N = MEMBER_FREEDOMS;
/** Diagrams are cubics piece by piece: so near they keep to the true ones, beside the largest moment of the member; and as many pieces at most. */
const NEAR = 7e-7;
const MOST_PIECES = 64;

/** What the second order adds to the nodes (6n, nodes' axes), and the response of the first-order structure to all that drives it there. */
export interface Added {
  readonly displacements: Float64Array;
  readonly response: StructuralResponse;
}

/** The response of a displaced structure, and how the own ends of its members move beside the first order (12, local). */
export interface DisplacedResponse {
  readonly response: StructuralResponse;
  readonly endsOf: (m: number) => ArrayLike<number>;
}

/**
 * The whole response: that of the first order, and what is added beside it. Members that lean are cut into more pieces, on which cubics and quintics keep
 * the values and slopes of the exact series at both ends. `columns` are as `leaning` has left them.
 */
export function recoverLeaning(
  { structure: s, matrices }: Pick<System, 'structure' | 'matrices'>,
  first: StructuralResponse,
  { columns, leaning, added }: { readonly columns: Columns; readonly leaning: Leaning; readonly added: Added },
): DisplacedResponse {
  const members = s.lengths.length;
  const moves = new Float64Array(N * members);
  const forces = new Float64Array(N * members);
  const counts: (readonly number[] | undefined)[] = new Array<undefined>(members).fill(undefined);
  for (let m = 0; m < members; m++) {
    moves.set(columns.endsOf(leaning, m, added.displacements), N * m);
    if (leaning.leans[m] === 0) {
      for (let i = N * m; i < N * (m + 1); i++) forces[i] = added.response.ends[i]!;
      continue;
    }
    const moving = { chains: columns.chainsOf(m), moves, forces, own: leaning.own };
    moveMember(s, m, moving);
    counts[m] = countsOf(first, m, moving);
  }
  const pieces = cutPieces(first.pieces, counts);
  const width = first.pieceWidth;
  const out = new Float64Array(width * pieces.from.length);
  for (let m = 0; m < members; m++) {
    const over = { from: pieces.from, to: pieces.to, first: pieces.first[m]!, end: pieces.first[m + 1]!, width, out };
    addOver(first, 1, m, over, out);
    const straight = { moves, forces, at: N * m, L: s.lengths[m]! };
    if (leaning.leans[m] === 0) {
      addOver(added.response, 1, m, over, out);
      if (s.stiffnesses[STIFFNESS_WIDTH * m] === 0) addSlack(s, matrices, m, added.displacements, over);
      continue;
    }
    addStraight(straight, over);
    for (const { bending, stretches } of columns.chainsOf(m)) {
      if (bending.section) addBent(stretches, bending.planes, over);
      else addString(straight, bending.planes[0]!, over);
    }
  }
  const both = (key: 'displacements' | 'reactions'): Float64Array => combine([first[key], added.response[key]], [1, 1]);
  const response = {
    displacements: both('displacements'),
    reactions: both('reactions'),
    ends: combine([first.ends, forces], [1, 1]),
    coefficients: out,
    pieces,
    pieceWidth: width,
    equilibrium: sumOfEquilibria([{ part: first, factor: 1 }, { part: added.response, factor: 1 }]), // oxfmt-ignore
  };
  return { response, endsOf: (m) => moves.subarray(N * m, N * (m + 1)) };
}

/** A member that leans: its chains, and by all members how their own ends move beside the first order, what holds them, and what they bear at rest (12, local). */
interface Moving {
  readonly chains: readonly Chain[];
  readonly moves: Float64Array;
  readonly forces: Float64Array;
  readonly own: Float64Array;
}

/** Moves the chains of a leaning member as its ends do, and writes what holds these. */
function moveMember(s: Structure, m: number, { chains, moves, forces, own }: Moving): void {
  const at = N * m;
  const L = s.lengths[m]!;
  for (let i = 0; i < 2; i++) {
    const [start, end] = [at + 3 * i, at + 3 * i + 6];
    forces[end] = (s.stiffnesses[STIFFNESS_WIDTH * m + i]! / L) * (moves[end]! - moves[start]!);
    forces[start] = -forces[end]!;
  }
  for (const chain of chains) {
    const { bending, stretches } = chain;
    const { places, signs, section, planes } = bending;
    if (!section) {
      const i = at + planes[0]!.across;
      forces[i] = (pullOf(stretches) / (L * L)) * (moves[i]! - moves[i + 6]!) - own[i]!;
      forces[i + 6] = -forces[i]!;
      continue;
    }
    const count = places.length;
    for (let i = 0; i < count; i++) ends[i] = signs[i]! * moves[at + places[i]!]!;
    for (let i = 0, from = 0; i < count; i++, from++) {
      let force = 0;
      for (let j = 0; j < count; j++) force += chain.forces[from++]! * ends[j]!;
      forces[at + places[i]!] = signs[i]! * (force + chain.forces[from]!);
    }
    moveChain(section, chain, ends);
  }
}
const ends = room(8);

/** n·(n − 1)·(n − 2)·(n − 3) over 384: what a cubic misses is a 384th of the fourth derivative, h⁴ times. */
const MISSED = Float64Array.from({ length: 100 }, (_, n) => (n * (n - 1) * (n - 2) * (n - 3)) / 384);

/** By piece of the first order: into how many equal ones it is cut, a power of two, so that cuts of several outcomes coincide. */
function countsOf(
  { pieces, coefficients, pieceWidth, ends: before }: StructuralResponse,
  m: number,
  { chains, forces }: Moving,
): number[] {
  const start = pieces.first[m]!;
  const counts = new Array<number>(pieces.first[m + 1]! - start).fill(1);
  for (const { bending, stretches } of chains) {
    if (!bending.section) continue;
    for (let p = 0; p < bending.planes.length; p++) {
      const { moment, turn } = bending.planes[p]!;
      const at = offsetOf(moment);
      let most = 0;
      for (let i = N * m + turn; i < N * (m + 1); i += 6) most = Math.max(most, Math.abs(before[i]! + forces[i]!));
      for (const { piece, from, moved } of stretches) {
        const M = evaluate(coefficients, pieceWidth * piece + at, 3, from - pieces.from[piece]!);
        most = Math.max(most, Math.abs(M + moved[3 * p + 2]![0]!));
      }
      for (const { piece, h, moved, terms } of stretches) {
        const M = moved[3 * p + 2]!;
        let left = 0;
        for (let n = 4; n < terms; n++) left += Math.abs(M[n]!) * MISSED[n]!;
        const parts = (left / (NEAR * most)) ** 0.25;
        const inPiece = Math.round((pieces.to[piece]! - pieces.from[piece]!) / h);
        const due = inPiece * (parts > 1 ? 2 ** Math.ceil(Math.log2(parts)) : 1);
        counts[piece - start] = Math.max(counts[piece - start]!, Math.min(due, Math.max(MOST_PIECES, inPiece)));
      }
    }
  }
  return counts;
}

function cutPieces(pieces: Pieces, counts: readonly (readonly number[] | undefined)[]): Pieces {
  const first = new Int32Array(pieces.first.length);
  for (let m = 0; m < counts.length; m++) {
    const whole = pieces.first[m + 1]! - pieces.first[m]!;
    first[m + 1] = first[m]! + (counts[m]?.reduce((sum, count) => sum + count, 0) ?? whole);
  }
  const [from, to] = [new Float64Array(first.at(-1)!), new Float64Array(first.at(-1)!)];
  let next = 0;
  for (let m = 0; m < counts.length; m++) {
    const own = counts[m];
    for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
      const count = own?.[k - pieces.first[m]!] ?? 1;
      const [start, h] = [pieces.from[k]!, pieces.to[k]! - pieces.from[k]!];
      for (let i = 0; i < count; i++, next++) {
        from[next] = start + (h * i) / count;
        to[next] = i + 1 === count ? pieces.to[k]! : start + (h * (i + 1)) / count;
      }
    }
  }
  return { first, from, to };
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
function addBent(stretches: readonly Stretch[], planes: readonly BendingPlane[], over: Over): void {
  for (let p = 0; p < planes.length; p++) {
    const at = [offsetOf(planes[p]!.deflection), offsetOf(planes[p]!.moment)] as const;
    let k = over.first;
    for (const stretch of stretches) k = addStretch(stretch, p, at, k, over);
  }
}

/** The same of one stretch in plane p, from piece k on; returns the piece behind it. */
function addStretch(
  { from: begin, h, moved, terms }: Stretch,
  p: number,
  [deflection, moment]: readonly [number, number],
  k: number,
  { from, to, end, width, out }: Over,
): number {
  const [y, M] = [moved[3 * p]!, moved[3 * p + 2]!];
  // Where one piece ends the next begins.
  let [bend, turn] = [bends.start, turns.start];
  let [nextBend, nextTurn] = [bends.stop, turns.stop];
  let known = NaN;
  for (; k < end && from[k]! < begin + h * (1 - 1e-9); k++) {
    const [a, b] = [(from[k]! - begin) / h, (Math.min(to[k]!, begin + h) - begin) / h];
    if (!(Math.abs(known - a) < 1e-12)) {
      derivativesAt(y, terms, a, h, bend);
      derivativesAt(M, terms, a, h, turn);
    }
    derivativesAt(y, terms, b, h, nextBend);
    derivativesAt(M, terms, b, h, nextTurn);
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

/** A member L metres long by how its ends move and what holds them, among all from `at` on. */
interface Straight {
  readonly moves: Float64Array;
  readonly forces: Float64Array;
  readonly at: number;
  readonly L: number;
}

const [OF_N, OF_U, OF_VY, OF_VZ, OF_T] = (['N', 'u', 'Vy', 'Vz', 'T'] as const).map(offsetOf) as [number, number, number, number, number]; // oxfmt-ignore

/** What is added along and about the axis, and the transverse forces, which are the same all along. */
function addStraight({ moves, forces, at, L }: Straight, { from, first, end, width, out }: Over): void {
  const strain = (moves[at + 6]! - moves[at]!) / L;
  for (let k = first; k < end; k++) {
    const to = width * k;
    out[to + OF_N]! += forces[at + 6]!;
    out[to + OF_U]! += moves[at]! + strain * from[k]!;
    out[to + OF_U + 1]! += strain;
    out[to + OF_VY]! += forces[at + 1]!;
    if (OF_VZ >= width) continue;
    out[to + OF_VZ]! += forces[at + 2]!;
    out[to + OF_T]! += forces[at + 9]!;
  }
}

/** A slack member becomes longer as its nodes move, without a force that would tell it. */
function addSlack(s: Structure, { transforms }: MemberMatrices, m: number, nodes: Float64Array, over: Over): void {
  const { from, first, end, width, out } = over;
  const moved = new Float64Array(N);
  endDisplacements(s, m, transforms[m], nodes, moved);
  const strain = (moved[6]! - moved[0]!) / s.lengths[m]!;
  for (let k = first; k < end; k++) {
    out[width * k + OF_U]! += strain * from[k]!;
    out[width * k + OF_U + 1]! += strain;
  }
}

function addString(
  { moves, at: own, L }: Straight,
  { across, deflection }: BendingPlane,
  { from, first, end, width, out }: Over,
): void {
  const slope = (moves[own + across + 6]! - moves[own + across]!) / L;
  for (let k = first; k < end; k++) {
    const at = width * k + offsetOf(deflection);
    out[at]! += moves[own + across]! + slope * from[k]!;
    out[at + 1]! += slope;
  }
}

/** Value and derivatives by x of a series in t = x/h at t. */
function derivativesAt(c: readonly number[], terms: number, t: number, h: number, into: Room): void {
  let [value, first, second] = [0, 0, 0];
  for (let n = terms - 1; n >= 0; n--) {
    second = second * t + 2 * first;
    first = first * t + value;
    value = value * t + c[n]!;
  }
  into[0] = value;
  into[1] = first / h;
  into[2] = second / (h * h);
}
