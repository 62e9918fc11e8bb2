import { LuDecomposition, Matrix } from 'ml-matrix';
import type { Prepared } from '../analysis/prepare';
import { once } from '../once';
import type { StructuralResponse } from '../results/results';
import { BEND_WIDTH, bendingOf } from '../stiffness/bending';
import { condense, condenseLoads, recoverEnds, type Condensed } from '../stiffness/condensation';
import { memberStiffness } from '../stiffness/member-stiffness';
import {
  FREEDOMS,
  isPlane,
  meanLength,
  MEMBER_FREEDOMS,
  nodeCount,
  STIFFNESS_WIDTH,
  type Structure,
} from '../stiffness/structure';
import { endTransforms, toOwnAxes } from '../stiffness/transformation';
import { fixedEndsOf, type FixedEnds } from './fixed-ends';
import { numbered, type Numbered } from './freedoms';
import { picked, times, timesVector, transposed, zeros, type Dense } from './matrix';

const N = MEMBER_FREEDOMS;
/** Which freedoms of a member take part: u, v and θ of both ends in the plane, all in space. */
const IN_PLANE = [0, 1, 5, 6, 7, 11] as const;
const IN_SPACE = Array.from({ length: N }, (_, i) => i);

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
  /** Which freedoms of the member its matrices have, 0 to 11; and by those their places in the list of freedoms, −1 where nothing is stiffened. */
  readonly own: readonly number[];
  readonly places: readonly number[];
  /** Stiffness along its own axes, ends fixed to the nodes; then what releases leave of it. */
  readonly k: Dense;
  readonly condensations: readonly Condensation[];
  readonly condensed: Dense;
  /** Movements of its ends along its own axes by those of the nodes in theirs. */
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
  /** k·d + f of the ends. */
  readonly forces: readonly number[];
}

/** A part of an entry of K: a member's, or a spring's. */
export interface Contribution {
  readonly member: number | 'spring';
  readonly value: number;
}

export interface Worked {
  readonly structure: Structure;
  readonly numbered: Numbered;
  readonly members: readonly WorkedMember[];
  /** All freedoms, free ones first; springs of supports in it. */
  readonly K: Dense;
  /** Loads on the nodes themselves, what members hand on, and their sum; by freedom. */
  readonly direct: readonly number[];
  readonly equivalent: readonly number[];
  readonly loads: readonly number[];
  /** Movements that are imposed on held freedoms, and on the feet of springs. */
  readonly imposed: readonly number[];
  readonly inverse?: Dense;
  readonly displacements: readonly number[];
  /** Of supports, held and sprung; by freedom, 0 where there is none. */
  readonly reactions: readonly number[];
  /** What the solver found differently at most, beside the largest of its kind. */
  readonly differs: { readonly displacements: number; readonly ends: number; readonly reactions: number };
}

/** Free freedoms up to which K⁻¹ is shown. */
const INVERTIBLE = 12;

/** Cases that act, by place, with their factors. */
export type Acting = readonly (readonly [at: number, factor: number])[];

/** Workings that agree no better than this are none. */
const AGREES = 1e-6;

/**
 * A case or a sum of cases worked out step by step as the stiffness method is taught, each from the one before it, and compared with what the solver found. Where a motion is resisted
 * by nothing the solver holds it, and there are no workings: undefined.
 */
export function worked(
  { structure: s, loose }: Pick<Prepared, 'structure' | 'loose'>,
  acting: Acting,
  response: StructuralResponse,
): Worked | undefined {
  if (loose.artificialRestraints.length > 0) return undefined;
  const places = numbered(s, loose);
  const own = isPlane(s) ? IN_PLANE : IN_SPACE;
  const begun = s.names.members.map((id, m) => stiffnessOf(s, m, id, own, places));
  const n = places.all.length;
  const K = zeros(n, n);
  for (const {
    stiff: { places: to, K: part },
  } of begun)
    // oxfmt-ignore
    to.forEach((i, a) => i >= 0 && to.forEach((j, b) => j >= 0 && (K[i]![j]! += part[a]![b]!)));
  places.all.forEach(({ spring }, i) => (K[i]![i]! += spring));
  const direct = new Array<number>(n).fill(0);
  eachActing(s, 'nodeLoads', acting, (f, value) => places.places[f]! >= 0 && (direct[places.places[f]!]! += value));
  const imposed = new Array<number>(n).fill(0);
  eachActing(s, 'settlements', acting, (f, value) => places.places[f]! >= 0 && (imposed[places.places[f]!]! += value));
  const loaded = begun.map((one) => loadsOf(s, one, acting));
  const equivalent = new Array<number>(n).fill(0);
  loaded.forEach(({ loaded: { joint } }, m) => begun[m]!.stiff.places.forEach((i, a) => i >= 0 && (equivalent[i]! += joint[a]!)));
  // A spring whose foot moves pushes.
  const loads = direct.map((one, i) => one + equivalent[i]! + places.all[i]!.spring * imposed[i]!);
  const displacements = solved(K, loads, imposed, places.free);
  if (!displacements) return undefined;
  const members = begun.map((one, m): WorkedMember => ({
    ...one.stiff,
    ...loaded[m]!.loaded,
    ...endsOf(one, loaded[m]!.sum, displacements),
  }));
  const sums = timesVector(K, displacements);
  const reactions = places.all.map(({ state, spring }, i) =>
    state === 'held' ? sums[i]! - loads[i]! : spring * (imposed[i]! - displacements[i]!),
  );
  const whole = { structure: s, numbered: places, members, K, direct, equivalent, loads, imposed, displacements, reactions };
  const differs = differencesOf(whole, response);
  if (!(Math.max(differs.displacements, differs.ends, differs.reactions) < AGREES)) return undefined;
  return { ...whole, ...(places.free <= INVERTIBLE && places.free > 0 && { inverse: inverseOf(K, places.free) }), differs };
}

type Stiff = Pick<WorkedMember, 'index' | 'id' | 'L' | 'own' | 'places' | 'k' | 'condensations' | 'condensed' | 'T' | 'K'>;
type Loaded = Pick<WorkedMember, 'loads' | 'fixed' | 'released' | 'joint'>;

/** A member on the way, with the way back to its own ends. */
interface Begun {
  readonly stiff: Stiff;
  readonly release: Condensed | undefined;
}

function stiffnessOf(s: Structure, m: number, id: string, own: readonly number[], { places }: Numbered): Begun {
  const o = STIFFNESS_WIDTH * m;
  const L = s.lengths[m]!;
  const bends = bendingOf(s, m, new Float64Array(BEND_WIDTH));
  const fixed = new Float64Array(N * N);
  memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L }, bends, 0, fixed);
  // One after the other, to see what each leaves.
  const condensations: Condensation[] = [];
  const released = new Float64Array(N).fill(Infinity);
  let left = fixed;
  let release: Condensed | undefined;
  for (let r = 0; r < N; r++) {
    const spring = s.releases[N * m + r]!;
    if (spring === Infinity) continue;
    released[r] = spring;
    left = fixed.slice();
    release = condense(left, released, 0);
    if (own.includes(r)) condensations.push({ freedom: r, spring, k: picked(left, N, own) });
  }
  const condensed = picked(left, N, own);
  const T = transformOf(s, m, own);
  const to = own.map((e) => places[FREEDOMS * s.memberNodes[2 * m + (e < 6 ? 0 : 1)]! + (e % 6)]!);
  const K = times(times(transposed(T), condensed), T);
  return { stiff: { index: m, id, L, own, places: to, k: picked(fixed, N, own), condensations, condensed, T, K }, release };
}

/** Local movements of both ends by those of their nodes. */
function transformOf(s: Structure, m: number, own: readonly number[]): Dense {
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
function loadsOf(
  s: Structure,
  { stiff, release }: Begun,
  acting: Acting,
): { readonly loaded: Loaded; readonly sum: Float64Array } {
  const { index, own, T } = stiff;
  const loads = acting.flatMap(([at, factor]) => fixedEndsOf(s, index, at).map((one) => timesLoad(one, factor)));
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

function endsOf(
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

function eachActing(
  s: Structure,
  table: 'nodeLoads' | 'settlements',
  acting: Acting,
  take: (freedom: number, value: number) => void,
): void {
  const { first, nodes, values } = s[table];
  const all = new Float64Array(FREEDOMS * nodeCount(s));
  for (const [at, factor] of acting)
    for (let i = first[at]!; i < first[at + 1]!; i++)
      for (let k = 0; k < FREEDOMS; k++) all[FREEDOMS * nodes[i]! + k]! += factor * values[FREEDOMS * i + k]!;
  if (table === 'nodeLoads') toOwnAxes(s, all);
  all.forEach((value, f) => value !== 0 && take(f, value));
}

/** K of the free freedoms solved, those that are held moving as is imposed on them; undefined where it is singular. */
function solved(K: Dense, loads: readonly number[], imposed: readonly number[], free: number): readonly number[] | undefined {
  const moved = K.map((_, i) => (i < free ? 0 : imposed[i]!));
  if (free === 0) return moved;
  const side = loads.slice(0, free).map((load, i) => moved.reduce((sum, one, j) => sum - K[i]![j]! * one, load));
  const A = new Matrix(K.slice(0, free).map((row) => row.slice(0, free)));
  const factor = new LuDecomposition(A);
  if (factor.isSingular()) return undefined;
  const right = Matrix.columnVector(side);
  const x = factor.solve(right);
  // Once refined: what the elimination lost comes back.
  x.add(factor.solve(Matrix.sub(right, A.mmul(x))));
  return moved.map((one, i) => (i < free ? x.get(i, 0) : one));
}

const inverseOf = (K: Dense, free: number): Dense =>
  new LuDecomposition(new Matrix(K.slice(0, free).map((row) => row.slice(0, free)))).solve(Matrix.eye(free)).to2DArray();

/** By freedom the members that it belongs to. */
const membersAt = once((members: readonly WorkedMember[], freedoms: number): readonly (readonly WorkedMember[])[] => {
  const found: WorkedMember[][] = Array.from({ length: freedoms }, () => []);
  for (const one of members) for (const place of new Set(one.places)) if (place >= 0) found[place]!.push(one);
  return found;
});

/** Where an entry of K comes from. */
export function contributionsTo({ members, numbered: { all } }: Worked, i: number, j: number): readonly Contribution[] {
  const found = membersAt(members, all.length)[i]!.flatMap(({ index, places, K }): Contribution[] => {
    let value = 0;
    places.forEach((row, a) => row === i && places.forEach((column, b) => column === j && (value += K[a]![b]!)));
    return value === 0 ? [] : [{ member: index, value }];
  });
  const { spring } = all[i]!;
  return i === j && spring > 0 ? [...found, { member: 'spring', value: spring }] : found;
}

function differencesOf(
  { structure: s, numbered: { all }, members, displacements, reactions }: Omit<Worked, 'differs' | 'inverse'>,
  response: StructuralResponse,
): Worked['differs'] {
  const [moved, held] = [response.displacements.slice(), response.reactions.slice()];
  for (const vectors of [moved, held]) toOwnAxes(s, vectors);
  const arm = meanLength(s);
  /** What turns beside what moves, an arm away. */
  const most = (pairs: readonly Pair[], ofTurns: number): number => {
    const scaled = pairs.map(
      ({ ours, theirs, turns }) => (turns ? [ours * ofTurns, theirs * ofTurns] : [ours, theirs]) as readonly [number, number],
    );
    const size = scaled.reduce((max, [, one]) => Math.max(max, Math.abs(one)), 0);
    return size === 0 ? 0 : scaled.reduce((max, [one, other]) => Math.max(max, Math.abs(one - other)), 0) / size;
  };
  const nodal = (ours: readonly number[], theirs: Float64Array): readonly Pair[] =>
    all.map(({ node, component }, i) => ({
      ours: ours[i]!,
      theirs: theirs[FREEDOMS * node + component]!,
      turns: component >= 3,
    }));
  const ends = members.flatMap(({ index, own, forces }) =>
    own.map((e, a): Pair => ({ ours: forces[a]!, theirs: response.ends[N * index + e]!, turns: e % 6 >= 3 })),
  );
  return {
    displacements: most(nodal(displacements, moved), arm),
    ends: most(ends, 1 / arm),
    reactions: most(nodal(reactions, held), 1 / arm),
  };
}

interface Pair {
  readonly ours: number;
  readonly theirs: number;
  readonly turns: boolean;
}
