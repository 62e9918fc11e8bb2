import { factorize, type Factor, type Watch } from '../linear-algebra/factor';
import type { Kernels } from '../linear-algebra/kernels';
import { maxNorm } from '../linear-algebra/max-norm';
import { heldVectors, nullVectors, solveInPlace } from '../linear-algebra/solve';
import { diagonal, type SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { assembleStiffness, type ArtificialRestraint } from '../stiffness/assemble';
import { memberMatrices, type MemberMatrices } from '../stiffness/member-matrices';
import type { Numbering } from '../stiffness/numbering';
import type { Structure } from '../stiffness/structure';
import { restraintsAmong, unitStiffness } from './unit-stiffness';
import { separated } from './null-space';
import { isStrained, unstrainedCombinations } from './strain';

/** A factored system, with what its factor says of motions of several nodes. */
export interface FreeMotions {
  readonly factor: Factor;
  /** Motions that cost no energy (6n each, nodes' axes): all of them, or the first MOST_MOTIONS. */
  readonly basis: readonly Float64Array[];
  /** Unknowns whose stiffness is there, but lost in rounding. */
  readonly lost: readonly number[];
}

/** So many motions are described; a structure with more is a heap of bars, and its null space would fill the memory. */
const MOST_MOTIONS = 100;

/** A pivot under this part of its diagonal stands for nothing, or for something soft: what its motion deforms tells which. */
const DOUBTFUL = 1e-8;
/** Behind pivots as small as this, rounding in a pivot that should be zero can come out larger than DOUBTFUL. */
const UNSURE = 1e-4;
/** So many soft motions are sought at a time, and so often brought nearer. */
const PROBES = 4;
const ITERATIONS = 3;
/** Softest motions that deform by less than this part of their movement may hide one that deforms nothing. */
const HARDLY = 1e-4;
/** Each round finds some motions more. One that neither stays nor goes by then counts as lost in rounding. */
const MOST_ROUNDS = 40;

/** Where free motions are sought. */
export interface Search {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  /** Members at each node. */
  readonly members: readonly (readonly number[])[];
  readonly artificialRestraints: readonly ArtificialRestraint[];
  readonly numbering: Numbering;
}

/**
 * Factors K, and finds the motions that cost no energy. Where no pivot is small there are none. Else they are sought in the structure with
 * all stiffnesses alike (`unitStiffness`), and K is factored anew with nothing held but where they move most.
 */
export function freeMotions(search: Search, K: SparseSymmetric, kernels: Kernels, watch?: Watch): FreeMotions {
  const { analysis } = search.numbering;
  const factor = factorize(analysis, K, kernels, { watch, tolerance: DOUBTFUL });
  if (factor.weak.length + factor.negative.length === 0 && (factor.smallestRatio > UNSURE || !hidesMotion(search, factor, K)))
    return { factor, basis: [], lost: [] };
  const { free, others } = motionsOfGeometry(search, kernels, watch);
  const held = new Set([...placesOf(free), ...others]);
  const last = factorize(analysis, K, kernels, { watch, held: [...held] });
  // A stiffness gives way in no direction: a negative pivot is rounding as well.
  const lost = [...last.weak.filter((unknown) => !held.has(unknown)), ...last.negative];
  return { factor: last, basis: free.map(toNodes(search)), lost };
}

/** Lays a motion of the unknowns out at the nodes (6n, nodes' axes). */
const toNodes =
  ({ numbering: { unknowns } }: Search) =>
  (v: Float64Array): Float64Array => {
    const motion = new Float64Array(unknowns.length);
    for (let f = 0; f < unknowns.length; f++) if (unknowns[f]! >= 0) motion[f] = v[unknowns[f]!]!;
    return motion;
  };

/** Whether a combination of the softest motions deforms so little that one which deforms nothing may be among them. */
function hidesMotion(search: Search, factor: Factor, K: SparseSymmetric): boolean {
  return unstrainedCombinations(search, softest(factor, K), toNodes(search), HARDLY).length > 0;
}

/**
 * The motions that deform nothing, by unknown, and the weak unknowns beyond the first MOST_MOTIONS. Usually small pivots tell them. Where
 * others are small as well, the softest motions are sought by inverse iteration, those combinations that deform nothing are taken for
 * free, and the matrix is factored anew with nothing held but where these move most, until no more are found (Rayleigh and Ritz, by
 * deformations, which rounding leaves alone).
 */
function motionsOfGeometry(
  search: Search,
  kernels: Kernels,
  watch: Watch | undefined,
): { readonly free: readonly Float64Array[]; readonly others: readonly number[] } {
  const { numbering, members } = search;
  const s = unitStiffness(search.structure);
  const matrices = memberMatrices(s);
  const artificialRestraints = restraintsAmong(s, matrices, search.artificialRestraints, members);
  const atNodes = toNodes(search);
  const K = assembleStiffness(s, matrices, numbering, artificialRestraints);
  let factor = factorize(numbering.analysis, K, kernels, { watch, tolerance: DOUBTFUL });
  const described = factor.weak.slice(0, MOST_MOTIONS);
  const others = factor.weak.slice(MOST_MOTIONS);
  const isFree = (motion: Float64Array): boolean => !isStrained(s, matrices, artificialRestraints, atNodes(motion));
  const first = nullVectors(factor, described);
  if (factor.smallestRatio > UNSURE && first.every(isFree)) return { free: separated([], first), others };

  // Held where they move most, motions leave the rest as stiff as it can be, and come out as exact as they can.
  const hold = (motions: readonly Float64Array[]): number[] => {
    const held = placesOf(motions);
    factor = factorize(numbering.analysis, K, kernels, { watch, held: [...held, ...others] });
    return held;
  };
  let held = described.length > 0 ? hold(separated([], heldVectors(factor, K, described))) : [];
  for (let round = 0; ; round++) {
    const soft = heldVectors(factor, K, factor.weak.slice(0, MOST_MOTIONS));
    const sure = soft.filter(isFree);
    const doubtful = [...soft.filter((one) => !sure.includes(one)), ...softest(factor, K)];
    const more = unstrainedCombinations({ structure: s, matrices, artificialRestraints }, doubtful, atNodes);
    const free = separated([], [...sure, ...more]).slice(0, MOST_MOTIONS);
    if (free.length === held.length || round === MOST_ROUNDS) return { free: free.slice(0, held.length), others };
    held = hold(free);
  }
}

/** Of separated motions, the unknown of each in which it is 1 and the others are at rest. */
const placesOf = (motions: readonly Float64Array[]): number[] =>
  motions.map((one) => one.findIndex((x, i) => x === 1 && motions.every((other) => other === one || other[i] === 0)));

/** The softest motions beside those that are held, by unknown: inverse iteration from loads of no particular kind. */
function softest(factor: Factor, K: SparseSymmetric): Float64Array[] {
  const scale = diagonal(K);
  const motions = Array.from({ length: PROBES }, (_, c) => scale.map((stiffness, i) => stiffness * Math.sin((c + 1) * (i + 1))));
  for (let pass = 0; pass < ITERATIONS; pass++) {
    solveInPlace(factor, motions);
    for (const motion of motions) {
      const largest = maxNorm(motion) || 1;
      const isLast = pass === ITERATIONS - 1;
      motion.forEach((x, i) => (motion[i] = (x / largest) * (isLast ? 1 : scale[i]!)));
    }
  }
  return motions;
}
