import { offsetOf } from '../../results/quantities';
import type { StructuralResponse } from '../../results/results';
import { BEND_FLEXIBILITY, BEND_WIDTH } from '../../stiffness/bending';
import { condense, condenseLoads, type Condensed } from '../../stiffness/condensation';
import { keptEntries } from '../../stiffness/kept-entries';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { memberStiffness } from '../../stiffness/member-stiffness';
import { BOWS_V, BOWS_W, isPlane, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { addToNodes, toNodes } from '../../stiffness/transformation';
import { chainOf, type Chain } from './chain';
import { reachOf, solveStretch, type SolvedStretch, type Stretch, type Yielding } from './stretch';

const N = MEMBER_FREEDOMS;
/** A member whose axial force is less than this part of what would buckle it leans on nothing. */
const NOTHING = 1e-15;
/** The longest stretch: kh. */
const REACH = 1;

/** The freedoms of a bending plane, the sign by which its slope is the rotation, and where its deflection stands among quantities. */
export interface BendingPlane {
  readonly across: 1 | 2;
  readonly turn: number;
  readonly sign: 1 | -1;
  readonly deflection: 'v' | 'w';
  readonly moment: 'Mz' | 'My';
  readonly shear: 'Vy' | 'Vz';
  readonly bow: number;
}
const PLANES: readonly BendingPlane[] = [
  { across: 1, turn: 5, sign: 1, deflection: 'v', moment: 'Mz', shear: 'Vy', bow: BOWS_V },
  { across: 2, turn: 4, sign: -1, deflection: 'w', moment: 'My', shear: 'Vz', bow: BOWS_W },
];

/** By which slope a member leans before anything acts, as a polynomial in x: along y and z, metres from its start. */
export interface Lean {
  readonly v: readonly [number, number];
  readonly w: readonly [number, number];
}
export const UPRIGHT: Lean = { v: [0, 0], w: [0, 0] };

/** A plane, or two that the section couples, in which a member bends; without a chain it is a string, whose ends alone are known. */
export interface Bent {
  readonly planes: readonly BendingPlane[];
  readonly chain?: Chain;
  /** By stretch: the piece of the first order that it belongs to, and where it begins. */
  readonly stretches: readonly { readonly piece: number; readonly from: number }[];
}

/** A member under its axial force, beside what the first order makes of it. */
export interface LeaningMember {
  readonly bent: readonly Bent[];
  /** What its own ends bear of the push, ends at rest (12, local). */
  readonly loads: Float64Array;
  /** 12 × 12 by rows, of its own ends. */
  readonly stiffness: Float64Array;
  readonly condensed: Condensed | undefined;
  /** ∫N dx, of the planes in which it is a string: across y, across z. */
  readonly pulls: readonly [number, number];
  /** In so many modes it buckles between nodes that stand still. */
  readonly negative: number;
}

/** The axial force along a member: that of a response, and one more that is the same all along. */
export interface AxialForce {
  readonly response: StructuralResponse;
  readonly more: number;
  /** The part of all of it that counts: a load factor. */
  readonly factor: number;
}

/** The member under its axial force; undefined where this is next to nothing; 'sheared' where shear alone would let it buckle. */
export function leaningMember(
  s: Structure,
  matrices: MemberMatrices,
  m: number,
  axial: AxialForce,
  lean: Lean,
): LeaningMember | 'sheared' | undefined {
  const o = STIFFNESS_WIDTH * m;
  const [L, bows] = [s.lengths[m]!, s.bows[m]!];
  const flexible = matrices.bends.subarray(BEND_WIDTH * m + BEND_FLEXIBILITY, BEND_WIDTH * m + BEND_FLEXIBILITY + 3);
  const most = largestAxial(axial, m);
  if (most === 0 || most * L * L * (flexible[0]! + flexible[2]! || 1 / 0) < NOTHING) return undefined;
  const k = new Float64Array(N * N);
  memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L }, matrices.bends, BEND_WIDTH * m, k);
  const loads = new Float64Array(N);
  const bent: Bent[] = [];
  const pulls: [number, number] = [0, 0];
  let negative = 0;
  const inSpace = !isPlane(s);
  const known = PLANES.filter(({ bow }) => bows & bow);
  const groups = known.length === 2 && flexible[1] !== 0 ? [known] : known.map((plane) => [plane]);
  for (const planes of groups) {
    const section = yielding(flexible, [1 / s.stiffnesses[o + 5]!, 1 / s.stiffnesses[o + 6]!], planes);
    const cut = stretchesOf(section, m, axial, lean, planes);
    const solved: SolvedStretch[] = [];
    for (const { stretch } of cut) {
      const one = solveStretch(section, stretch);
      if (!one) return 'sheared';
      solved.push(one);
    }
    const chain = chainOf(planes.length, solved);
    negative += chain.negative;
    writeChain(chain, planes, k, loads);
    bent.push({ planes, chain, stretches: cut });
  }
  for (const plane of PLANES)
    if (!(bows & plane.bow) && (inSpace || plane.across === 1)) {
      pulls[plane.across - 1] = pullString(s, m, axial, lean, plane, k, loads);
      bent.push({ planes: [plane], stretches: [] });
    }
  const condensed = condense(k, s.releases, N * m);
  const held = condensed?.eliminations.filter(({ pivot }) => pivot < 0).length ?? 0;
  return { bent, loads, pulls, stiffness: k, condensed, negative: negative + held };
}

const yielding = (flexible: Float64Array, shears: readonly [number, number], planes: readonly BendingPlane[]): Yielding => {
  const own = (plane: BendingPlane): number => flexible[plane.across === 1 ? 0 : 2]!;
  const shear = Float64Array.from(planes, ({ across }) => shears[across - 1]!);
  if (planes.length === 1) return { planes: 1, flexibility: Float64Array.of(own(planes[0]!)), shear };
  return { planes: 2, flexibility: Float64Array.of(flexible[0]!, flexible[1]!, flexible[1]!, flexible[2]!), shear };
};

/** The greatest size that an axial force may have along member m. */
function largestAxial({ response, more, factor }: AxialForce, m: number): number {
  const { pieces, coefficients, pieceWidth } = response;
  let most = 0;
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++)
    most = Math.max(most, sizeOn(coefficients, pieceWidth * k, more, pieces.to[k]! - pieces.from[k]!));
  return most * Math.abs(factor);
}

const sizeOn = (c: Float64Array, at: number, more: number, h: number): number =>
  Math.max(Math.abs(c[at]! + more), Math.abs(c[at]! + more + h * (c[at + 1]! + h * c[at + 2]!))) +
  (Math.abs(c[at + 2]!) * h * h) / 4;

/** The pieces of the first order, cut in two until their series converge well; with N and the push by t. */
function stretchesOf(
  section: Yielding,
  m: number,
  axial: AxialForce,
  lean: Lean,
  planes: readonly BendingPlane[],
): { readonly stretch: Stretch; readonly piece: number; readonly from: number }[] {
  const { response, more, factor } = axial;
  const { pieces, coefficients: c, pieceWidth } = response;
  const all: { stretch: Stretch; piece: number; from: number }[] = [];
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    const [at, length] = [pieceWidth * k, pieces.to[k]! - pieces.from[k]!];
    const reach = reachOf(section, Math.abs(factor) * sizeOn(c, at, more, length), length);
    const count = 2 ** Math.max(0, Math.ceil(Math.log2(reach / REACH)));
    const h = length / count;
    for (let i = 0; i < count; i++) {
      const from = i * h;
      const force = Float64Array.of(
        factor * (c[at]! + more + from * (c[at + 1]! + from * c[at + 2]!)),
        factor * (c[at + 1]! + 2 * from * c[at + 2]!) * h,
        factor * c[at + 2]! * h * h,
      );
      const x = pieces.from[k]! + from;
      const push = planes.map(({ deflection }) =>
        product(force, slopeOf(c, at + offsetOf(deflection), from, h, lean[deflection], x)),
      );
      all.push({ stretch: { h, axial: trimmed(force), push }, piece: k, from: x });
    }
  }
  return all;
}

/** Powers that are there at all: most axial forces are constant. */
const trimmed = (force: Float64Array): Float64Array =>
  force[2] !== 0 ? force : force[1] !== 0 ? force.subarray(0, 2) : force.subarray(0, 1);

/** The slope of a quintic at `at`, from `from` on, by t = x/h, with that by which the member leans at x before anything acts. */
function slopeOf(c: Float64Array, at: number, from: number, h: number, lean: readonly [number, number], x: number): Float64Array {
  const slope = new Float64Array(5);
  let power = 1;
  for (let n = 0; n < 5; n++) {
    let sum = 0;
    // The (n + 1)-th derivative at `from`, over n!.
    for (let j = 5; j > n; j--) sum = sum * from + c[at + j]! * j * binomial(j - 1, n);
    slope[n] = sum * power;
    power *= h;
  }
  slope[0]! += lean[0] + lean[1] * x;
  slope[1]! += lean[1] * h;
  return slope;
}

const BINOMIALS = [[1], [1, 1], [1, 2, 1], [1, 3, 3, 1], [1, 4, 6, 4, 1]];
const binomial = (n: number, k: number): number => BINOMIALS[n]![k]!;

function product(a: Float64Array, b: Float64Array): Float64Array {
  const c = new Float64Array(a.length + b.length - 1);
  for (let i = 0; i < a.length; i++) if (a[i] !== 0) for (let j = 0; j < b.length; j++) c[i + j]! += a[i]! * b[j]!;
  return c;
}

/** Puts what holds a chain in place of the first order's bending, and its push among the loads. */
function writeChain({ forces }: Chain, planes: readonly BendingPlane[], k: Float64Array, loads: Float64Array): void {
  const P = planes.length;
  const width = 4 * P + 1;
  const places = [0, 6].flatMap((end) => planes.flatMap(({ across, turn, sign }) => [[end + across, 1], [end + turn, sign]] as const)); // oxfmt-ignore
  places.forEach(([row, sign], i) => {
    places.forEach(([column, other], j) => (k[N * row + column] = sign * other * forces[width * i + j]!));
    loads[row]! -= sign * forces[width * i + 4 * P]!;
  });
}

/** A member whose own bow is not known leans as its ends do: a string (Przemieniecki, Theory of Matrix Structural Analysis, 1968, section 15.1). */
function pullString(
  s: Structure,
  m: number,
  axial: AxialForce,
  lean: Lean,
  plane: BendingPlane,
  k: Float64Array,
  loads: Float64Array,
): number {
  const { response, more, factor } = axial;
  const { pieces, coefficients: c, pieceWidth } = response;
  const L = s.lengths[m]!;
  let [pull, push] = [0, 0];
  for (let piece = pieces.first[m]!; piece < pieces.first[m + 1]!; piece++) {
    const [at, h] = [pieceWidth * piece, pieces.to[piece]! - pieces.from[piece]!];
    const force = Float64Array.of(factor * (c[at]! + more), factor * c[at + 1]! * h, factor * c[at + 2]! * h * h);
    pull += h * integral(force);
    const slope = slopeOf(c, at + offsetOf(plane.deflection), 0, h, lean[plane.deflection], pieces.from[piece]!);
    push += h * integral(product(force, slope));
  }
  const i = plane.across;
  const stiffness = pull / (L * L);
  for (const [row, column, sign] of [[i, i, 1], [i + 6, i + 6, 1], [i, i + 6, -1], [i + 6, i, -1]] as const) k[N * row + column]! += sign * stiffness; // oxfmt-ignore
  loads[i]! += push / L;
  loads[i + 6]! -= push / L;
  return pull;
}

/** ∫ p(t) dt over 0…1. */
const integral = (p: Float64Array): number => p.reduce((sum, one, n) => sum + one / (n + 1), 0);

/** What all members give to their nodes: the stiffness as `MemberMatrices.nodal`, the loads (6n, nodes' axes), and by member how it leans. */
export interface Leaning {
  readonly nodal: Float64Array;
  readonly loads: Float64Array;
  readonly members: readonly (LeaningMember | undefined)[];
  readonly negative: number;
}

/** All members under their axial forces; the member that shear alone would let buckle, where there is one. */
export function leaning(
  s: Structure,
  matrices: MemberMatrices,
  axialOf: (m: number) => AxialForce,
  leanOf: (m: number) => Lean,
): Leaning | number {
  const { width, origins } = keptEntries(s);
  const nodal = matrices.nodal.slice();
  const loads = new Float64Array(s.restraints.length);
  const joined = { structure: s, transforms: matrices.transforms };
  const whole = new Float64Array(N * N);
  let negative = 0;
  const members: (LeaningMember | undefined)[] = [];
  for (let m = 0; m < s.lengths.length; m++) {
    const member = leaningMember(s, matrices, m, axialOf(m), leanOf(m));
    if (member === 'sheared') return m;
    members.push(member);
    if (!member) continue;
    toNodes(s, m, matrices.transforms[m], member.stiffness, whole);
    for (let e = 0; e < width; e++) nodal[width * m + e] = whole[origins[e]!]!;
    const own = member.loads.slice();
    if (member.condensed) condenseLoads(member.condensed, own);
    addToNodes(joined, m, { values: own, at: 0 }, loads);
    negative += member.negative;
  }
  return { nodal, loads, members, negative };
}
