import type { Model } from '../model/model';
import { recompile } from '../stiffness/compile';
import type { SolvedCases } from './solved-cases';
import type { Watch } from '../linear-algebra/factor';
import type { Kernels } from '../linear-algebra/kernels';
import { sameNumbers } from '../linear-algebra/same-numbers';
import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { looseNodes, type LooseNodes } from '../stability/loose-nodes';
import { membersAt } from '../stability/mechanism';
import { freeMotions, type FreeMotions } from '../stability/free-motions';
import { assembleStiffness } from '../stiffness/assemble';
import { memberMatrices, type MemberMatrices } from '../stiffness/member-matrices';
import { numberFreedoms, type Numbering } from '../stiffness/numbering';
import { reassembleStiffness } from '../stiffness/reassemble';
import { memberCount, type Structure } from '../stiffness/structure';

/** Everything about a structure that does not depend on its loads, factored and ready for any right-hand side. */
export interface System extends FreeMotions {
  readonly model: Model;
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  /** Members at each node. */
  readonly members: readonly (readonly number[])[];
  readonly loose: LooseNodes;
  readonly numbering: Numbering;
  readonly stiffness: SparseSymmetric;
  /** The cases that were solved with it last. */
  readonly solved?: SolvedCases | undefined;
  /** The members that differ in more than their loads from those of the solved cases; undefined where anything may differ. */
  readonly changed?: readonly number[] | undefined;
  /** The members whose loads may differ from theirs, all other loads being the same; undefined where any may differ. */
  readonly reloaded?: readonly number[] | undefined;
}

/** With more than so many members for each changed one, K is kept but for what they give to it. */
const MEMBERS_TO_A_CHANGE = 8;

/** What a long computation tells while it runs: the phase, and how much of it is done, 0 to 1. May throw to give up. */
export type Progress = (phase: Phase, done: number) => void;
export type Phase = 'stiffness' | 'ordering' | 'factorization' | 'cases' | 'combinations';

/**
 * Builds and factors the system. What an earlier system can lend is taken over: all of it when only loads differ, the ordering
 * when the same freedoms are joined in the same way.
 */
export function buildSystem(model: Model, kernels: Kernels, former?: System, progress?: Progress): System {
  const { structure, changed, reloaded } = recompile(model, former);
  const isLast = former?.solved?.structure === former?.structure;
  const since = { solved: former?.solved, ...(isLast ? { changed, reloaded } : { changed: undefined, reloaded: undefined }) };
  if (former?.factor.isCurrent() && sameStiffness(former.structure, structure)) return { ...former, model, structure, ...since };
  progress?.('stiffness', 0);
  const matrices = memberMatrices(structure, former && changed && { matrices: former.matrices, changed });
  const isJoinedAsBefore = former !== undefined && sameNumbers(former.structure.memberNodes, structure.memberNodes);
  const members = isJoinedAsBefore ? former.members : membersAt(structure);
  const touched = changed && isJoinedAsBefore ? { loose: former.loose, nodes: nodesOf(structure, changed) } : undefined;
  const loose = looseNodes(structure, matrices, members, touched);
  progress?.('ordering', 0);
  const numbering = numberFreedoms(structure, loose.absent, former?.numbering);
  const isLittle = changed !== undefined && MEMBERS_TO_A_CHANGE * changed.length < memberCount(structure);
  const isAlike = isJoinedAsBefore && numbering === former.numbering && loose.brakes.length + former.loose.brakes.length === 0;
  const stiffness =
    isLittle && isAlike
      ? reassembleStiffness(structure, matrices, numbering, former.stiffness, changed, members)
      : assembleStiffness(structure, matrices, numbering, loose.brakes);
  const watch: Watch | undefined = progress && ((done) => progress('factorization', done));
  const motions = freeMotions({ structure, matrices, members, brakes: loose.brakes, numbering }, stiffness, kernels, watch);
  return {
    model,
    structure,
    matrices,
    members,
    loose,
    numbering,
    stiffness,
    ...motions,
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
