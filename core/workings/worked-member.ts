import { BEND_WIDTH, bendingOf } from '../stiffness/bending';
import { condense, condenseLoads, recoverEnds, type Condensed } from '../stiffness/condensation';
import { memberStiffness } from '../stiffness/member-stiffness';
import { FREEDOMS, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { endTransforms } from '../stiffness/transformation';
import type { Acting } from './acting';
import { fixedEndsOf, type FixedEnds } from './fixed-ends';
import { betweenJoints, holdsLength } from './following';
import { sharesOf, type Numbered } from './freedoms';
import { picked, times, timesVector, transposed, type Dense } from './matrix';

const N = MEMBER_FREEDOMS;

/** One released freedom of a member's end, eliminated. */
export interface Condensation {
  /** Among the freedoms of the member, 0 to 11. */
  readonly freedom: number;
  readonly spring: number;
  /** What is left of the stiffness. */
  readonly k: Dense;
}

export interface WorkedMember {
  readonly index: number;
  readonly id: string;
  readonly L: number;
  /**
   * Which freedoms of the member its matrices have, 0 to 11; and by those their places in the list of freedoms, −1 where nothing is stiffened.
   * Where members keep their lengths: the places of those that it moves with.
   */
  readonly own: readonly number[];
  readonly places: readonly number[];
  /** Stiffness along its own axes, ends fixed to the nodes; then what releases leave of it. */
  readonly k: Dense;
  readonly condensations: readonly Condensation[];
  readonly condensed: Dense;
  /** Movements of its ends along its own axes by those of the nodes in theirs; where freedoms follow others, by those of `places`. */
  readonly T: Dense;
  /** Tᵀ·k·T. */
  readonly K: Dense;
  readonly loads: readonly FixedEnds[];
  /** The sum of fixed-end actions, and what releases leave of it. */
  readonly fixed: readonly number[];
  readonly released: readonly number[];
  /** −Tᵀ·f. */
  readonly joint: readonly number[];
  /** How its own ends move along its axes: otherwise than their nodes where something is released. */
  readonly ends: readonly number[];
  /** The axial force that keeps its length, N, where it does: neither k nor f tell it. */
  readonly kept?: number;
  /** k·d + f of the ends, and the axial force that keeps its length. */
  readonly forces: readonly number[];
}

/** The freedom of all nodes (of 6n) that a freedom of a member (0 to 11) belongs to. */
export const nodalFreedom = (s: Structure, m: number, e: number): number =>
  FREEDOMS * s.memberNodes[2 * m + (e < 6 ? 0 : 1)]! + (e % 6);

type Stiff = Pick<WorkedMember, 'index' | 'id' | 'L' | 'own' | 'places' | 'k' | 'condensations' | 'condensed' | 'T' | 'K'>;
type Loaded = Pick<WorkedMember, 'loads' | 'fixed' | 'released' | 'joint'>;

/** A member on the way, with the way back to its own ends. */
export interface Begun {
  readonly stiff: Stiff;
  readonly release: Condensed | undefined;
  /** What its ends feel of what they move beside the numbered freedoms, all twelve. */
  readonly besides: readonly number[] | undefined;
}

export function stiffnessOf(s: Structure, m: number, id: string, own: readonly number[], all: Numbered): Begun {
  const o = STIFFNESS_WIDTH * m;
  // What keeps its length has no stiffness along it.
  const L = s.lengths[m]!;
  const joints = betweenJoints(s, m);
  const EA = joints ? joints.stiffness * L : holdsLength(s, m) ? 0 : s.stiffnesses[o]!;
  const bends = bendingOf(s, m, new Float64Array(BEND_WIDTH));
  const fixed = new Float64Array(N * N);
  memberStiffness({ EA, GJ: s.stiffnesses[o + 1]!, L }, bends, 0, fixed);
  // One after the other, to see what each leaves.
  const condensations: Condensation[] = [];
  const released = new Float64Array(N).fill(Infinity);
  let left = fixed;
  let release: Condensed | undefined;
  for (let r = 0; r < N; r++) {
    const spring = s.releases[N * m + r]!;
    // Joints along a member that keeps its length are its stiffness already.
    if (spring === Infinity || (joints && r % FREEDOMS === 0)) continue;
    released[r] = spring;
    left = fixed.slice();
    release = condense(left, released, 0);
    if (own.includes(r)) condensations.push({ freedom: r, spring, k: picked(left, N, own) });
  }
  const condensed = picked(left, N, own);
  const byNodes = transformOf(s, m, own);
  const { to, T } = all.followers.size > 0 ? sharedBy(s, m, { own, all, byNodes }) : { to: own.map((e) => all.places[nodalFreedom(s, m, e)]!), T: byNodes }; // oxfmt-ignore
  const K = times(times(transposed(T), condensed), T);
  const besides = timesVector(byNodes, own.map((e) => all.followers.get(nodalFreedom(s, m, e))?.besides ?? 0)); // oxfmt-ignore
  const moved = new Float64Array(N);
  besides.forEach((one, a) => (moved[own[a]!] = one));
  const stiff = { index: m, id, L, own, places: to, k: picked(fixed, N, own), condensations, condensed, T, K };
  return { stiff, release, besides: besides.some((one) => one !== 0) ? timesFull(fixed, moved) : undefined };
}

/** k·d, all twelve. */
const timesFull = (k: Float64Array, d: Float64Array): readonly number[] =>
  Array.from(d, (_, i) => d.reduce((sum, value, j) => sum + k[N * i + j]! * value, 0));

interface ByNodes {
  readonly own: readonly number[];
  readonly all: Numbered;
  readonly byNodes: Dense;
}

/** Movements of a member’s ends by those of the freedoms that its nodes move with. */
function sharedBy(s: Structure, m: number, { own, all, byNodes }: ByNodes): { to: readonly number[]; T: Dense } {
  const shares = own.map((e) => sharesOf(all, nodalFreedom(s, m, e)));
  const to = [...new Set(shares.flatMap((some) => some.map(([place]) => place)))].sort((a, b) => a - b);
  const T = byNodes.map((row) =>
    to.map((place) => row.reduce((sum, value, j) => sum + value * (shares[j]!.find(([other]) => other === place)?.[1] ?? 0), 0)),
  );
  return { to, T: T.map((row) => row.map((value) => (Math.abs(value) < 1e-14 ? 0 : value))) };
}

/** Local movements of both ends by those of their nodes. */
export function transformOf(s: Structure, m: number, own: readonly number[]): Dense {
  const B = endTransforms(s, m);
  const R = s.axes.subarray(9 * m, 9 * m + 9);
  const entry = (i: number, j: number): number => {
    if (i < 6 !== j < 6) return 0;
    const [row, column] = [i % 6, j % 6];
    if (B) return B[36 * (i < 6 ? 0 : 1) + 6 * row + column]!;
    return row < 3 === column < 3 ? R[3 * (row % 3) + (column % 3)]! : 0;
  };
  return own.map((i) => own.map((j) => entry(i, j)));
}

/** Its loads, with the sum of their fixed-end actions, all twelve. */
export function loadsOf(
  s: Structure,
  { stiff, release, besides }: Begun,
  acting: Acting,
): { readonly loaded: Loaded; readonly sum: Float64Array } {
  const { index, own, T } = stiff;
  const loads = acting.flatMap(([at, factor]) => fixedEndsOf(s, index, at).map((one) => timesLoad(one, factor)));
  if (besides) loads.push({ formula: 'follows', axis: 0, a: 0, b: stiff.L, at: 0, to: 0, actions: besides });
  const sum = new Float64Array(N);
  for (const { actions } of loads) for (let i = 0; i < N; i++) sum[i]! += actions[i]!;
  const left = sum.map((one) => -one);
  if (release) condenseLoads(release, left);
  const handedOn = own.map((i) => left[i]!);
  const loaded = {
    ...{ loads, fixed: own.map((i) => sum[i]!), released: handedOn.map((one) => -one) },
    joint: timesVector(transposed(T), handedOn),
  };
  return { loaded, sum };
}

export function endsOf(
  { stiff: { own, places, T, k }, release }: Begun,
  sum: Float64Array,
  displacements: readonly number[],
): Pick<WorkedMember, 'ends' | 'forces'> {
  const moved = new Float64Array(N);
  timesVector(T, places.map((i) => (i < 0 ? 0 : displacements[i]!))).forEach((one, a) => (moved[own[a]!] = one)); // oxfmt-ignore
  if (release) recoverEnds(release, moved, sum.map((one) => -one)); // oxfmt-ignore
  const ends = own.map((i) => moved[i]!);
  return { ends, forces: timesVector(k, ends).map((one, a) => one + sum[own[a]!]!) };
}

const timesLoad = (one: FixedEnds, factor: number): FixedEnds =>
  factor === 1
    ? one
    : { ...one, at: factor * one.at, to: factor * one.to, actions: one.actions.map((action) => factor * action) };
