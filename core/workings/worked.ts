import { LuDecomposition, Matrix } from 'ml-matrix';
import { once } from '../once';
import type { StructuralResponse } from '../results/results';
import {
  FREEDOMS,
  isPlane,
  keepsLengths,
  meanLength,
  MEMBER_FREEDOMS,
  nodeCount,
  STIFFNESS_WIDTH,
  type Structure,
} from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import type { Acting } from './acting';
import type { WorkedPart } from './part';
import { numbered, sharesOf, type Numbered } from './freedoms';
import { followingOf, type Following, type Share } from './following';
import { givenForces, lackOf, withKept } from './kept-forces';
import { endsOf, loadsOf, nodalFreedom, stiffnessOf, transformOf, type WorkedMember } from './worked-member';
import { timesVector, zeros, type Dense } from './matrix';

const N = MEMBER_FREEDOMS;
const NONE_GIVEN: ReadonlyMap<number, number> = new Map();
/** Which freedoms of a member take part: u, v and θ of both ends in the plane, all in space. */
const IN_PLANE = [0, 1, 5, 6, 7, 11] as const;
const IN_SPACE = Array.from({ length: N }, (_, i) => i);

/** A part of an entry of K: a member's, a spring's, or of what holds a motion that nothing resists. */
export interface Contribution {
  readonly member: number | 'spring' | 'holding';
  readonly value: number;
}

/** What resists a motion beside members: a spring whose freedom follows others, or what holds a motion of a node that nothing resists and nothing drives. */
export interface Beside {
  readonly is: 'spring' | 'holding';
  readonly shares: readonly (readonly [place: number, factor: number])[];
  readonly stiffness: number;
}

export interface Worked {
  readonly structure: Structure;
  readonly numbered: Numbered;
  readonly members: readonly WorkedMember[];
  /** All freedoms, free ones first; springs of supports in it. */
  readonly K: Dense;
  /** Loads on the nodes themselves, of all their freedoms (6n) in the axes of their supports. */
  readonly onNodes: Float64Array;
  /** Loads on the nodes themselves, what members hand on, and their sum; by freedom. */
  readonly direct: readonly number[];
  readonly equivalent: readonly number[];
  readonly loads: readonly number[];
  readonly besides: readonly Beside[];
  /** Movements that are imposed on held freedoms, and on the feet of springs; what these push with. */
  readonly imposed: readonly number[];
  readonly feet: readonly number[];
  /** Motions of nodes that nothing resists and nothing drives, each by its freedoms and its parts along them. */
  readonly holding: readonly (readonly Share[])[];
  readonly inverse?: Dense;
  readonly displacements: readonly number[];
  /** Of all freedoms of the nodes (6n), those that follow others as well. */
  readonly moved: Float64Array;
  /** Where it is a part of a larger structure. */
  readonly part?: Pick<WorkedPart, 'nodes' | 'isOuter' | 'chosen'>;
  /** Where members keep their lengths. */
  readonly following?: Following;
  /** Where something acts one way: members that are slack and nodes whose supports are lifted off, by their ids, and joints within their gaps; they are not in it. */
  readonly gone?: {
    readonly members: readonly string[];
    readonly supports: readonly string[];
    readonly joints: readonly string[];
  };
  /** Of supports, held and sprung; by freedom, 0 where there is none. */
  readonly reactions: readonly number[];
  /** Of springs whose freedoms follow others, by these (of 6n), with the movement of their feet. */
  readonly followed: ReadonlyMap<number, { readonly reaction: number; readonly foot: number }>;
  /** What the solver found differently at most, beside the largest of its kind. */
  readonly differs: { readonly displacements: number; readonly ends: number; readonly reactions: number };
}

/** Free freedoms up to which K⁻¹ is shown. */
const INVERTIBLE = 12;

/** Workings that agree no better than this are none. */
const AGREES = 1e-6;

/** A structure, or a part of one, whose loads on nodes and members are known. */
export interface WorkedOf {
  readonly structure: Structure;
  readonly loose: WorkedPart['loose'];
  readonly part?: Pick<WorkedPart, 'nodes' | 'isOuter' | 'chosen'>;
}

/**
 * A case or a sum of cases worked out step by step as the stiffness method is taught, each from the one before it, and compared with what the solver found.
 * Undefined where they do not agree with it: there are no such workings.
 */
export function worked(
  { structure: s, loose, part }: WorkedOf,
  acting: Acting,
  response: StructuralResponse,
): Worked | undefined {
  const own = ownOf(s);
  const isFree = freeIn(s, loose);
  const following = followingIn(s, loose, acting);
  const places = numbered(s, loose, following?.follows, part?.isOuter);
  const begun = s.names.members.map((id, m) => stiffnessOf(s, m, id, own, places));
  const n = places.all.length;
  const K = zeros(n, n);
  for (const {
    stiff: { places: to, K: part },
  } of begun)
    // oxfmt-ignore
    to.forEach((i, a) => i >= 0 && to.forEach((j, b) => j >= 0 && (K[i]![j]! += part[a]![b]!)));
  places.all.forEach(({ spring }, i) => (K[i]![i]! += spring));
  const holding = loose.artificialRestraints.map(({ node, motion }) =>
    [...motion].flatMap((part, k): Share[] => (Math.abs(part) > TRACE ? [[FREEDOMS * node + k, part]] : [])),
  );
  const besides = [...springsBeside(places), ...holding.map((motion, i): Beside => ({ is: 'holding', shares: togetherOf(places, motion), stiffness: loose.artificialRestraints[i]!.stiffness }))]; // oxfmt-ignore
  for (const { shares, stiffness } of besides)
    for (const [i, a] of shares) for (const [j, b] of shares) K[i]![j]! += stiffness * a * b;
  const direct = new Array<number>(n).fill(0);
  const onNodes = new Float64Array(FREEDOMS * nodeCount(s));
  eachActing(s, 'nodeLoads', acting, (f, value) => {
    onNodes[f]! += value;
    for (const [place, factor] of sharesOf(places, f)) direct[place]! += factor * value;
  });
  const imposed = new Array<number>(n).fill(0);
  const feetMoved = new Map<number, number>();
  eachActing(s, 'settlements', acting, (f, value) => {
    if (places.places[f]! >= 0) imposed[places.places[f]!]! += value;
    else feetMoved.set(f, value);
  });
  const loaded = begun.map((one) => loadsOf(s, one, acting));
  const equivalent = new Array<number>(n).fill(0);
  loaded.forEach(({ loaded: { joint } }, m) => begun[m]!.stiff.places.forEach((i, a) => i >= 0 && (equivalent[i]! += joint[a]!)));
  // A spring whose foot moves pushes.
  const feet = places.all.map(({ spring }, i) => spring * imposed[i]!);
  for (const [f, { spring, shares, besides: ahead }] of places.followers)
    for (const [place, factor] of shares) feet[place]! += factor * spring * ((feetMoved.get(f) ?? 0) - ahead);
  const loads = direct.map((one, i) => one + equivalent[i]! + feet[i]!);
  const displacements = solved(K, loads, imposed, places.free);
  if (!displacements) return undefined;
  const moved = movedOf(s, places, displacements);
  const bare = begun.map((one, m): WorkedMember => ({
    ...one.stiff,
    ...loaded[m]!.loaded,
    ...endsOf(one, loaded[m]!.sum, displacements),
  }));
  const sums = timesVector(K, displacements);
  const reactions = places.all.map(({ state, spring }, i) =>
    state === 'held' ? sums[i]! - loads[i]! : spring * (imposed[i]! - displacements[i]!),
  );
  const followed = new Map(
    [...places.followers].flatMap(([f, { spring }]) => {
      const foot = feetMoved.get(f) ?? 0;
      return spring > 0 ? [[f, { reaction: spring * (foot - moved[f]!), foot }] as const] : [];
    }),
  );
  const given = following ? givenForces(s, { following, isOuter: part?.isOuter, own }, bare, response) : NONE_GIVEN;
  const members = following
    ? withKept(s, { following, own, isFree, given }, bare, lackOf(s, { own, places, onNodes, reactions, followed }, bare))
    : bare;
  // What a member that tells nothing bears along it goes to the supports beside all else.
  for (const { member, shares } of following?.lengths ?? [])
    for (const [f, share] of shares)
      for (const [place, factor] of sharesOf(places, f))
        if (places.all[place]!.state === 'held') reactions[place]! += share * factor * (members[member]!.kept ?? 0);
  const whole = {
    ...{
      structure: s,
      numbered: places,
      members,
      K,
      onNodes,
      direct,
      equivalent,
      loads,
      besides,
      imposed,
      feet,
      holding,
      displacements,
      moved,
      reactions,
      followed,
    },
    ...(following && { following }),
    ...(part && { part }),
  };
  const differs = differencesOf(whole, response);
  if (!(Math.max(differs.displacements, differs.ends, differs.reactions) < AGREES)) return undefined;
  return { ...whole, ...(places.free <= INVERTIBLE && places.free > 0 && { inverse: inverseOf(K, places.free) }), differs };
}

const ownOf = (s: Structure): readonly number[] => (isPlane(s) ? IN_PLANE : IN_SPACE);
const freeIn =
  (s: Structure, { absent }: WorkedOf['loose']) =>
  (f: number): boolean =>
    !absent[f] && s.restraints[f] !== Infinity;

/** Parts of a motion below this are none. */
const TRACE = 1e-9;

/** What a motion of some freedoms (of 6n) moves among those that are numbered. */
function togetherOf(places: Numbered, motion: readonly Share[]): Beside['shares'] {
  const found = new Map<number, number>();
  for (const [f, part] of motion)
    for (const [place, factor] of sharesOf(places, f)) found.set(place, (found.get(place) ?? 0) + part * factor);
  return [...found];
}

const springsBeside = ({ followers }: Numbered): readonly Beside[] =>
  [...followers.values()].flatMap(({ spring, shares }) =>
    spring > 0 ? [{ is: 'spring' as const, shares, stiffness: spring }] : [],
  );

/** Which freedoms follow others; undefined where no member keeps its length. */
const followingIn = (s: Structure, loose: WorkedOf['loose'], acting: Acting): Following | undefined =>
  keepsLengths(s) ? followingOf(s, acting, (m) => lengtheningOf(s, m, ownOf(s)), freeIn(s, loose)) : undefined;

/** The lengthening of a member by its nodes. */
function lengtheningOf(s: Structure, m: number, own: readonly number[]): readonly Share[] {
  const T = transformOf(s, m, own);
  const [start, end] = [own.indexOf(0), own.indexOf(FREEDOMS)];
  return own.map((e, j): Share => [nodalFreedom(s, m, e), T[end]![j]! - T[start]![j]!]);
}

/** Movements of all freedoms of the nodes. */
function movedOf(s: Structure, places: Numbered, displacements: readonly number[]): Float64Array {
  const moved = new Float64Array(FREEDOMS * nodeCount(s));
  for (let f = 0; f < moved.length; f++)
    moved[f] = sharesOf(places, f).reduce(
      (sum, [place, factor]) => sum + factor * displacements[place]!,
      places.followers.get(f)?.besides ?? 0,
    );
  return moved;
}

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
export function contributionsTo({ members, numbered: { all }, besides }: Worked, i: number, j: number): readonly Contribution[] {
  const found = membersAt(members, all.length)[i]!.flatMap(({ index, places, K }): Contribution[] => {
    let value = 0;
    places.forEach((row, a) => row === i && places.forEach((column, b) => column === j && (value += K[a]![b]!)));
    return value === 0 ? [] : [{ member: index, value }];
  });
  const { spring } = all[i]!;
  if (i === j && spring > 0) found.push({ member: 'spring', value: spring });
  for (const { is, shares, stiffness } of besides) {
    const at = (place: number): number => shares.find(([one]) => one === place)?.[1] ?? 0;
    const value = stiffness * at(i) * at(j);
    if (value !== 0) found.push({ member: is, value });
  }
  return found;
}

function differencesOf(
  {
    structure: s,
    numbered: { all, places, followers },
    members,
    moved: ours,
    reactions,
    followed,
  }: Omit<Worked, 'differs' | 'inverse'>,
  response: StructuralResponse,
): Worked['differs'] {
  const [moved, held] = [response.displacements.slice(), response.reactions.slice()];
  for (const vectors of [moved, held]) toOwnAxes(s, vectors);
  const arm = meanLength(s);
  /** What turns beside what moves, an arm away. */
  const most = (pairs: readonly Pair[], ofTurns: number, least = 0): number => {
    const scaled = pairs.map(
      ({ ours, theirs, turns }) => (turns ? [ours * ofTurns, theirs * ofTurns] : [ours, theirs]) as readonly [number, number],
    );
    const size = scaled.reduce((max, [, one]) => Math.max(max, Math.abs(one)), least);
    return size === 0 ? 0 : scaled.reduce((max, [one, other]) => Math.max(max, Math.abs(one - other)), 0) / size;
  };
  const nodal = (ours: readonly number[], theirs: Float64Array): readonly Pair[] =>
    all.flatMap(({ node, component, given }, i) =>
      given
        ? []
        : [
            {
              ours: ours[i]!,
              theirs: theirs[FREEDOMS * node + component]!,
              turns: component >= 3,
            },
          ],
    );
  const movements = [...ours.keys()].flatMap((f): Pair[] =>
    places[f]! >= 0 || followers.has(f) ? [{ ours: ours[f]!, theirs: moved[f]!, turns: f % FREEDOMS >= 3 }] : [],
  );
  const sprung = Array.from(followed, ([f, { reaction }]): Pair => ({ ours: reaction, theirs: held[f]!, turns: f % FREEDOMS >= 3 })); // oxfmt-ignore
  const ends = members.flatMap(({ index, own, forces }) =>
    own.map((e, a): Pair => ({ ours: forces[a]!, theirs: response.ends[N * index + e]!, turns: e % 6 >= 3 })),
  );
  return {
    displacements: most(movements, arm, lengtheningLeftOut(s, members)),
    ends: most(ends, 1 / arm),
    reactions: most([...nodal(reactions, held), ...sprung], 1 / arm),
  };
}

/** By how much the member would lengthen most that keeps its length: where nothing else moves, this is what rounding is small beside. */
function lengtheningLeftOut(s: Structure, members: readonly WorkedMember[]): number {
  const each = members.map(({ index, L, kept = 0 }) => (Math.abs(kept) * L) / s.stiffnesses[STIFFNESS_WIDTH * index]!);
  return Math.max(0, ...each.filter(Number.isFinite));
}

interface Pair {
  readonly ours: number;
  readonly theirs: number;
  readonly turns: boolean;
}
