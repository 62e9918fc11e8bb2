import { maxNorm } from '../linear-algebra/max-norm';
import { atRightAngles } from '../linear-algebra/orthogonalise';
import type { ArtificialRestraint } from '../stiffness/assemble';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { endDisplacements } from '../stiffness/transformation';
import { isAtRest, ownEnds } from './own-ends';
import { symmetricEigen } from './symmetric-eigen';

/** Under this part of a member's movement its deformation is rounding. */
const ROUNDING = 1e-7;
/**
 * The same for a single node: members that lie across its motion but for 1e-6 leave it as good as free, however stiff they are. Only
 * more than that tells of something soft.
 */
const NEARLY_ACROSS = 1e-5;
/** A member that moves less than this part of the largest movement counts as moving so much: rounding may deform it. */
const LEAST = 1e-3;

/**
 * Whether a motion (6n, nodes' axes) deforms a member or a spring, however soft. Elimination takes a part for free when what holds it is
 * under rounding beside its own stiffness; this tells such a part from a true mechanism, which deforms nothing. Artificial restraints count
 * as springs.
 */
export function isStrained(
  s: Structure,
  matrices: MemberMatrices,
  artificialRestraints: readonly ArtificialRestraint[],
  motion: Float64Array,
  rounding = ROUNDING,
): boolean {
  return (
    movesRestraint(artificialRestraints, motion, rounding * maxNorm(motion)) ||
    strains(s, matrices, motion, { nodes: s.names.nodes.keys(), members: s.names.members.keys(), rounding })
  );
}

/** Whether a motion moves a artificial restraint by more than rounding: that would be a motion of the artificial restraintd node beside it. */
const movesRestraint = (artificialRestraints: readonly ArtificialRestraint[], motion: Float64Array, rounding: number): boolean =>
  artificialRestraints.some((artificialRestraint) => Math.abs(alongRestraint(artificialRestraint, motion)) > rounding);

function alongRestraint({ node, motion: loose }: ArtificialRestraint, motion: Float64Array): number {
  let along = 0;
  for (let k = 0; k < FREEDOMS; k++) along += loose[k]! * motion[FREEDOMS * node + k]!;
  return along;
}

/** The same of a motion of one node alone, with the members at it, which looks free by its own stiffness. */
export const isStrainedAlone = (
  s: Structure,
  matrices: MemberMatrices,
  motion: Float64Array,
  node: number,
  members: readonly number[],
): boolean => strains(s, matrices, motion, { nodes: [node], members, rounding: NEARLY_ACROSS });

/** Where a motion is looked at, and the part of a member's movement under which its deformation is rounding. */
interface Region {
  readonly nodes: Iterable<number>;
  readonly members: Iterable<number>;
  readonly rounding: number;
}

function strains(s: Structure, matrices: MemberMatrices, motion: Float64Array, { nodes, members, rounding }: Region): boolean {
  let largest = 0;
  let sprung = 0;
  for (const node of nodes)
    for (let f = FREEDOMS * node; f < FREEDOMS * (node + 1); f++) {
      const size = Math.abs(motion[f]!);
      largest = Math.max(largest, size);
      if (s.restraints[f]! > 0 && s.restraints[f]! < Infinity) sprung = Math.max(sprung, size);
    }
  const least = LEAST * largest;
  if (sprung > rounding * least) return true;
  for (const m of members) {
    const found = deformationsOf(s, matrices, m, motion);
    if (found && Math.max(...found.parts.map(Math.abs)) > rounding * Math.max(found.travel, least)) return true;
  }
  return false;
}

/** How member m and its end springs deform in a motion, and how far it moves, all as lengths; undefined where it is at rest. */
function deformationsOf(
  s: Structure,
  matrices: MemberMatrices,
  m: number,
  motion: Float64Array,
): { readonly parts: readonly number[]; readonly travel: number } | undefined {
  if (isAtRest(motion, s.memberNodes[2 * m]!) && isAtRest(motion, s.memberNodes[2 * m + 1]!)) return undefined;
  const L = s.lengths[m]!;
  const d = ownEnds(s, matrices, m, motion);
  const travel = d.reduce((max, x, i) => Math.max(max, Math.abs(x) * (i % FREEDOMS < 3 ? 1 : L)), 0);
  const [EA, GJ] = [s.stiffnesses[STIFFNESS_WIDTH * m]!, s.stiffnesses[STIFFNESS_WIDTH * m + 1]!];
  const [chordV, chordW] = [d[7]! - d[1]!, d[8]! - d[2]!];
  const parts = [EA > 0 ? d[6]! - d[0]! : 0, GJ > 0 ? L * (d[9]! - d[3]!) : 0, L * d[5]! - chordV, L * d[11]! - chordV];
  if (s.active.length === FREEDOMS) parts.push(L * d[4]! + chordW, L * d[10]! + chordW);
  return { parts: [...parts, ...springsOf(s, matrices, m, motion, d)], travel };
}

/** How far the end springs of a member open or turn, as lengths. */
function springsOf(s: Structure, matrices: MemberMatrices, m: number, motion: Float64Array, ends: Float64Array): number[] {
  if (!matrices.condensed[m]) return [];
  const nodes = new Float64Array(MEMBER_FREEDOMS);
  endDisplacements(s, m, matrices.transforms[m], motion, nodes);
  return Array.from(nodes, (x, r) => {
    const spring = s.releases[MEMBER_FREEDOMS * m + r]!;
    return spring === 0 || spring === Infinity ? 0 : (x - ends[r]!) * (r % FREEDOMS < 3 ? 1 : s.lengths[m]!);
  });
}

/** A structure with the restraints that were added to it. */
export interface StrainedStructure {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  readonly artificialRestraints: readonly ArtificialRestraint[];
}

/**
 * The combinations of some motions that deform nothing, though each alone may. They are sought among the principal axes of the
 * deformations, each member's beside its movement. `toNodes` lays a motion out at the nodes (6n, nodes' axes).
 */
export function unstrainedCombinations(
  { structure: s, matrices, artificialRestraints }: StrainedStructure,
  motions: readonly Float64Array[],
  toNodes: (motion: Float64Array) => Float64Array,
  rounding = ROUNDING,
): Float64Array[] {
  const scaled = atRightAngles(motions, DEPENDENT);
  const count = scaled.length;
  const atNodes = scaled.map(toNodes);
  const products = new Float64Array(count * count);
  /** One deformation, in each of the motions that have it. */
  const add = (row: readonly (readonly [motion: number, amount: number])[]): void => {
    for (const [i, a] of row) for (const [j, b] of row) products[i * count + j]! += a * b;
  };
  for (let m = 0; m < s.names.members.length; m++) {
    const found = atNodes.flatMap((motion, i) => {
      const one = deformationsOf(s, matrices, m, motion);
      return one ? [{ i, ...one }] : [];
    });
    const travel = found.reduce((max, one) => Math.max(max, one.travel), 0);
    const measure = Math.max(travel, LEAST);
    found[0]?.parts.forEach((_, k) => add(found.map(({ i, parts }) => [i, parts[k]! / measure] as const)));
  }
  s.restraints.forEach((spring, f) => {
    if (spring > 0 && spring < Infinity) add(atNodes.flatMap((motion, i) => (motion[f] === 0 ? [] : [[i, motion[f]!] as const])));
  });
  for (const artificialRestraint of artificialRestraints)
    add(atNodes.map((motion, i) => [i, alongRestraint(artificialRestraint, motion)] as const));
  const { vectors } = symmetricEigen(products, count);
  return scaled
    .map((_, e) => combined(scaled, (i) => vectors[i * count + e]!))
    .filter((one) => !isStrained(s, matrices, artificialRestraints, toNodes(one), rounding));
}

/** Of a vector less than this is left when others are taken out of it: it says nothing of its own. */
const DEPENDENT = 1e-4;

function combined(motions: readonly Float64Array[], weight: (i: number) => number): Float64Array {
  const sum = new Float64Array(motions[0]!.length);
  motions.forEach((motion, i) => {
    for (let f = 0; f < sum.length; f++) sum[f]! += weight(i) * motion[f]!;
  });
  return sum;
}
