import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { sameNumbers } from '../linear-algebra/same-numbers';
import type { Model } from '../model/model';
import { looseNodes, type LooseNodes } from '../kinematics/loose-nodes';
import { membersAt } from '../kinematics/mechanism';
import { assembleStiffness } from '../stiffness/assemble';
import { recompile } from '../stiffness/compile';
import { memberMatrices, type MemberMatrices } from '../stiffness/member-matrices';
import { numberFreedoms, type Numbering } from '../stiffness/numbering';
import { reassembleStiffness } from '../stiffness/reassemble';
import { memberCount, type Structure } from '../stiffness/structure';
import type { Progress } from './progress';

/** A structure with its numbered and assembled equations: everything that does not depend on its loads, ready to be factorised. */
export interface Prepared {
  readonly model: Model;
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  /** Members at each node. */
  readonly members: readonly (readonly number[])[];
  readonly loose: LooseNodes;
  readonly numbering: Numbering;
  readonly stiffness: SparseSymmetric;
}

/** What an edit left of a former structure. */
export interface Changes {
  /** Whether nothing but loads differs: the very same equations. */
  readonly sameStiffness: boolean;
  /** The members that differ in more than their loads; undefined where anything may differ. */
  readonly changed?: readonly number[] | undefined;
  /** The members whose loads may differ, all other loads being the same; undefined where any may differ. */
  readonly reloaded?: readonly number[] | undefined;
}

/** With more than so many members for each changed one, K is kept but for what they give to it. */
const MEMBERS_TO_A_CHANGE = 8;

/**
 * Compiles, numbers and assembles a sound and ready model. What a former one can lend is taken over: all of it when only loads differ, the
 * ordering when the same freedoms are joined in the same way, matrices of members that are as they were.
 */
export function prepare(model: Model, former?: Prepared, progress?: Progress): { prepared: Prepared; changes: Changes } {
  const { structure, changed, reloaded } = recompile(model, former);
  if (former && sameStiffness(former.structure, structure))
    return { prepared: { ...former, model, structure }, changes: { sameStiffness: true, changed, reloaded } };
  const prepared = assembled(model, { structure, changed }, former, progress);
  return { prepared, changes: { sameStiffness: false, changed, reloaded } };
}

/** The equations of a structure; `changed`: the members in which it differs from the former one, if that is known. */
export function assembled(
  model: Model,
  { structure, changed }: { readonly structure: Structure; readonly changed?: readonly number[] | undefined },
  former?: Prepared,
  progress?: Progress,
): Prepared {
  progress?.('stiffness', 0);
  const matrices = memberMatrices(structure, former && changed && { matrices: former.matrices, changed });
  const isJoinedAsBefore = former !== undefined && sameNumbers(former.structure.memberNodes, structure.memberNodes);
  const members = isJoinedAsBefore ? former.members : membersAt(structure);
  const touched = changed && isJoinedAsBefore ? { loose: former.loose, nodes: nodesOf(structure, changed) } : undefined;
  const loose = looseNodes(structure, matrices, members, touched);
  progress?.('ordering', 0);
  const numbering = numberFreedoms(structure, loose.absent, former?.numbering);
  const isLittle = changed !== undefined && MEMBERS_TO_A_CHANGE * changed.length < memberCount(structure);
  const isAlike =
    isJoinedAsBefore &&
    numbering === former.numbering &&
    loose.artificialRestraints.length + former.loose.artificialRestraints.length === 0;
  const stiffness =
    isLittle && isAlike
      ? reassembleStiffness(structure, matrices, numbering, { former: former.stiffness, changed, members })
      : assembleStiffness(structure, matrices, numbering, loose.artificialRestraints);
  return { model, structure, matrices, members, loose, numbering, stiffness };
}

/** Whether two structures differ in their loads at most. */
function sameStiffness(a: Structure, b: Structure): boolean {
  // What a motion is called hangs on the names of axes.
  if (a.up !== b.up) return false;
  const arrays = [
    'memberNodes',
    'coordinates',
    'restraints',
    'lengths',
    'axes',
    'endOffsets',
    'stiffnesses',
    'keepsLength',
    'bows',
    'releases',
  ] as const;
  if (a.active.length !== b.active.length || a.supportRotations.size !== b.supportRotations.size) return false;
  if (!arrays.every((key) => a[key] === b[key] || sameNumbers(a[key], b[key]))) return false;
  return [...a.supportRotations].every(([node, turn]) => {
    const other = b.supportRotations.get(node);
    return other !== undefined && sameNumbers(turn, other);
  });
}

/** The nodes at the ends of some members. */
const nodesOf = ({ memberNodes }: Structure, members: readonly number[]): ReadonlySet<number> =>
  new Set(members.flatMap((m) => [memberNodes[2 * m]!, memberNodes[2 * m + 1]!]));
