import { maxNorm } from '../linear-algebra/max-norm';
import { atRightAngles, orthogonalise } from '../linear-algebra/orthogonalise';
import type { ArtificialRestraint } from '../stiffness/assemble';
import { memberMatrices, nodalEntry, type MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { unitStiffness } from './unit-stiffness';
import { separated } from './null-space';
import { isStrainedAlone } from './strain';
import { symmetricEigen } from './symmetric-eigen';

const TOLERANCE = 1e-12;
/** Where the block resists a motion by less than this, what it does not resist at all comes out with a trace of it. */
const CLOSE = 1e-7;
/** Less than this part of a motion is such a trace. */
const TRACE = 1e-7;
/** Above this the block is safely regular, and its eigenvalues need not be found. */
const SAFE = 1e-6;

const FREE = 1;
export const SOFT = 2;

/** A artificial restraint, and whether something resists the motion by itself, but so softly that it is lost in rounding. */
export interface NodeRestraint extends ArtificialRestraint {
  readonly isSoft: boolean;
}

/** Motions of single nodes that nothing resists. */
export interface LooseNodes {
  /** 6n: FREE where nothing stiffens a freedom, SOFT where what does is lost in rounding; both are left out of the system. */
  readonly absent: Uint8Array;
  /** Motions along no single freedom, and translations: held by a artificial restraint. */
  readonly artificialRestraints: readonly NodeRestraint[];
}

/** The loose nodes of a structure that differs in nothing but what concerns some nodes. */
export interface FormerLoose {
  readonly loose: LooseNodes;
  readonly nodes: ReadonlySet<number>;
}

/**
 * The null vectors of each node's own block of the stiffness matrix. Since K is positive semidefinite, such a vector alone is also a
 * null vector of the whole. The judgement does not depend on how the axes lie: translations share one scale, rotations another.
 * `members`: those at each node. What `former` has of other nodes than its own is taken over.
 */
export function looseNodes(
  s: Structure,
  matrices: MemberMatrices,
  members: readonly (readonly number[])[],
  former?: FormerLoose,
): LooseNodes {
  const absent = former?.loose.absent.slice() ?? new Uint8Array(FREEDOMS * nodeCount(s));
  const artificialRestraints = former?.loose.artificialRestraints.filter(({ node }) => !former.nodes.has(node)) ?? [];
  let all: Float64Array | undefined;
  const isSoft = (node: number, motion: ArrayLike<number>): boolean => {
    all ??= new Float64Array(absent.length);
    all.set(motion, FREEDOMS * node);
    const strained = isStrainedAlone(s, matrices, all, node, members[node]!);
    all.fill(0, FREEDOMS * node, FREEDOMS * (node + 1));
    return strained;
  };
  let even: ReturnType<typeof evenlyStiffMembers> | undefined;
  const block = new Float64Array(FREEDOMS * FREEDOMS);
  const look = (node: number): void => {
    writeBlock(s, matrices, node, members[node]!, block);
    const free = s.active.filter((k) => s.restraints[FREEDOMS * node + k] !== Infinity);
    const scales = scalesOf(s, block, free);
    const stiff = free.filter((k, i) => {
      const isStiff = block[7 * k]! > TOLERANCE * scales[i]!;
      const resists = !isStiff && block[7 * k]! > 0 && isSoft(node, unit(k));
      absent[FREEDOMS * node + k] = isStiff ? 0 : resists ? SOFT : FREE;
      return isStiff;
    });
    if (stiff.length === 0 || isRegular(block, stiff)) return;
    const { motions, next } = looseMotions(s, stiff, block);
    if (motions.length === 0) return;
    const stiffness = Math.max(...scalesOf(s, block, stiff));
    let told = motions.map((motion) => ({ motion, isSoft: false }));
    if (next < CLOSE || motions.some((motion) => isSoft(node, motion))) {
      even ??= evenlyStiffMembers(s);
      writeBlock(even.s, even.matrices, node, members[node]!, block);
      told = toldApart(motions, looseMotions(s, stiff, block).motions);
    }
    artificialRestraints.push(...told.map((one) => ({ node, stiffness, ...one })));
  };
  if (former) former.nodes.forEach(look);
  else for (let node = 0; node < nodeCount(s); node++) look(node);
  return { absent, artificialRestraints: former ? artificialRestraints.sort((a, b) => a.node - b.node) : artificialRestraints };
}

/** A movement of 1 along freedom k of a node. */
function unit(k: number): Float64Array {
  const motion = new Float64Array(FREEDOMS);
  motion[k] = 1;
  return motion;
}

/** The diagonal block of a node (36), sprung supports included. */
function writeBlock(s: Structure, matrices: MemberMatrices, node: number, members: readonly number[], block: Float64Array): void {
  block.fill(0);
  for (const m of members) {
    const end = s.memberNodes[2 * m] === node ? 0 : FREEDOMS;
    for (const i of s.active) for (const j of s.active) block[FREEDOMS * i + j]! += nodalEntry(s, matrices, m, end + i, end + j);
  }
  for (const k of s.active) {
    const spring = s.restraints[FREEDOMS * node + k]!;
    if (spring !== Infinity) block[7 * k]! += spring;
  }
}

/** The scale of some freedoms of a node: the largest diagonal entry of their kind, fixed freedoms included. */
function scalesOf(s: Structure, block: Float64Array, some: readonly number[]): number[] {
  const largest = (kind: readonly number[]): number => kind.reduce((max, k) => Math.max(max, block[7 * k]!), 0);
  const translation = largest(s.active.filter((k) => k < 3));
  const rotation = largest(s.active.filter((k) => k >= 3));
  return some.map((k) => (k >= 3 ? rotation : translation));
}

/** Whether Cholesky's pivots, each beside its diagonal, stay well above rounding. */
function isRegular(block: Float64Array, free: readonly number[]): boolean {
  const n = free.length;
  const L = new Float64Array(n * n);
  for (let j = 0; j < n; j++) {
    const diagonal = block[7 * free[j]!]!;
    let pivot = diagonal;
    for (let l = 0; l < j; l++) pivot -= L[j * n + l]! ** 2;
    if (!(pivot > SAFE * diagonal)) return false;
    L[j * n + j] = Math.sqrt(pivot);
    for (let i = j + 1; i < n; i++) {
      let sum = block[6 * free[i]! + free[j]!]!;
      for (let l = 0; l < j; l++) sum -= L[i * n + l]! * L[j * n + l]!;
      L[i * n + j] = sum / L[j * n + j]!;
    }
  }
  return true;
}

/** With members and springs all as stiff as each other: it tells what is free from what is soft. */
function evenlyStiffMembers(of: Structure): { readonly s: Structure; readonly matrices: MemberMatrices } {
  const s = unitStiffness(of);
  return { s, matrices: memberMatrices(s) };
}

/** Motions that look free, by those among them that are: the others are soft. At right angles to each other. */
function toldApart(motions: readonly Float64Array[], free: readonly Float64Array[]): Pick<NodeRestraint, 'motion' | 'isSoft'>[] {
  const told = free.map((motion) => ({ motion, isSoft: false }));
  const rest = motions.map((motion) => motion.slice());
  while (told.length < motions.length) {
    for (const one of rest) for (const { motion } of told) orthogonalise(one, motion);
    rest.sort((a, b) => maxNorm(b) - maxNorm(a));
    told.push({ motion: cleaned(rest.shift()!), isSoft: true });
  }
  return told;
}

/**
 * Motions of a node that its block does not resist (6 each), at right angles to each other. `next`: how far it resists the others, beside
 * its stiffest ones.
 */
function looseMotions(
  s: Structure,
  free: readonly number[],
  block: Float64Array,
): { readonly motions: Float64Array[]; readonly next: number } {
  const scale = scalesOf(s, block, free);
  const size = free.length;
  const scaled = new Float64Array(size * size);
  free.forEach((k, i) => free.forEach((l, j) => (scaled[i * size + j] = block[6 * k + l]! / Math.sqrt(scale[i]! * scale[j]!))));
  const { values, vectors } = symmetricEigen(scaled, size);
  const motions = Array.from(values.keys())
    .filter((e) => values[e]! <= TOLERANCE)
    .map((e) => {
      const motion = new Float64Array(FREEDOMS);
      free.forEach((k, i) => (motion[k] = vectors[i * size + e]! / Math.sqrt(scale[i]!)));
      return motion;
    });
  const next = values.reduce((least, value) => (value > TOLERANCE ? Math.min(least, value) : least), Infinity);
  return { motions: atRightAngles(separated([], motions)).map(cleaned), next };
}

/** Largest amount 1, rounding cleared. */
function cleaned(motion: Float64Array): Float64Array {
  const largest = maxNorm(motion);
  return motion.map((part) => (Math.abs(part) < TRACE * largest ? 0 : part / largest));
}
