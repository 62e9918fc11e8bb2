import type { Model } from '../model/model';
import { recompile } from '../stiffness/compile';
import type { SolvedCases } from './solved-cases';
import { factorize, type Factor, type Watch } from '../linear-algebra/factor';
import type { Kernels } from '../linear-algebra/kernels';
import { sameNumbers } from '../linear-algebra/same-numbers';
import { nullVectors } from '../linear-algebra/solve';
import { looseNodes, type LooseNodes } from '../stability/loose-nodes';
import { membersAt } from '../stability/mechanism';
import { isStrained } from '../stability/strain';
import { assembleStiffness } from '../stiffness/assemble';
import { memberMatrices, type MemberMatrices } from '../stiffness/member-matrices';
import { numberFreedoms, type Numbering } from '../stiffness/numbering';
import type { Structure } from '../stiffness/structure';

/** Everything about a structure that does not depend on its loads, factored and ready for any right-hand side. */
export interface System {
  readonly model: Model;
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  /** Members at each node. */
  readonly members: readonly (readonly number[])[];
  readonly loose: LooseNodes;
  readonly numbering: Numbering;
  readonly factor: Factor;
  /** Motions of several nodes that cost no energy (6n each, nodes' axes): all of them, or the first MOST_MOTIONS. */
  readonly basis: readonly Float64Array[];
  /** Unknowns of motions that look like it, but strain a member or a spring: what holds them is lost in rounding. */
  readonly lost: readonly number[];
  /** The cases that were solved with it last. */
  readonly solved?: SolvedCases | undefined;
  /** The members that differ in more than their loads from those of the solved cases; undefined where anything may differ. */
  readonly changed?: readonly number[] | undefined;
}

/** So many motions are described; a structure with more is a heap of bars, and its null space would fill the memory. */
const MOST_MOTIONS = 100;

/** What a long computation tells while it runs: the phase, and how much of it is done, 0 to 1. May throw to give up. */
export type Progress = (phase: Phase, done: number) => void;
export type Phase = 'stiffness' | 'ordering' | 'factorization' | 'cases' | 'combinations';

/**
 * Builds and factors the system. What an earlier system can lend is taken over: all of it when only loads differ, the ordering
 * when the same freedoms are joined in the same way.
 */
export function buildSystem(model: Model, kernels: Kernels, former?: System, progress?: Progress): System {
  const { structure, changed } = recompile(model, former);
  const since = { solved: former?.solved, changed: former?.solved?.structure === former?.structure ? changed : undefined };
  if (former?.factor.isCurrent() && sameStiffness(former.structure, structure)) return { ...former, model, structure, ...since };
  progress?.('stiffness', 0);
  const matrices = memberMatrices(structure, former && changed && { matrices: former.matrices, changed });
  const isJoinedAsBefore = former !== undefined && sameNumbers(former.structure.memberNodes, structure.memberNodes);
  const members = isJoinedAsBefore ? former.members : membersAt(structure);
  const touched = changed && isJoinedAsBefore ? { loose: former.loose, nodes: nodesOf(structure, changed) } : undefined;
  const loose = looseNodes(structure, matrices, members, touched);
  progress?.('ordering', 0);
  const numbering = numberFreedoms(structure, loose.absent, former?.numbering);
  const stiffness = assembleStiffness(structure, matrices, numbering, loose.brakes);
  const watch: Watch | undefined = progress && ((done) => progress('factorization', done));
  const factor = factorize(numbering.analysis, stiffness, kernels, watch);
  const { unknowns } = numbering;
  const motions = nullVectors(factor, MOST_MOTIONS).map((v) =>
    Float64Array.from(unknowns, (unknown) => (unknown < 0 ? 0 : v[unknown]!)),
  );
  const strained = motions.map((motion) => isStrained(structure, matrices, motion));
  return {
    model,
    structure,
    matrices,
    members,
    loose,
    numbering,
    factor,
    basis: motions.filter((_, i) => !strained[i]),
    lost: factor.weak.filter((_, i) => strained[i]),
    ...since,
  };
}

/** Whether two structures differ in their loads at most. */
function sameStiffness(a: Structure, b: Structure): boolean {
  const arrays = [
    'memberNodes',
    'coordinates',
    'restraints',
    'lengths',
    'axes',
    'arms',
    'stiffnesses',
    'bows',
    'releases',
  ] as const;
  if (a.active.length !== b.active.length || a.turns.size !== b.turns.size) return false;
  if (!arrays.every((key) => a[key] === b[key] || sameNumbers(a[key], b[key]))) return false;
  return [...a.turns].every(([node, turn]) => {
    const other = b.turns.get(node);
    return other !== undefined && sameNumbers(turn, other);
  });
}

/** The nodes at the ends of some members. */
const nodesOf = ({ memberNodes }: Structure, members: readonly number[]): ReadonlySet<number> =>
  new Set(members.flatMap((m) => [memberNodes[2 * m]!, memberNodes[2 * m + 1]!]));
