import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { PieceLoads } from './piece-loads';
import type { AppliedLoads } from './resultants';

/** The loads of a case in every form that its solution needs. */
export interface CaseLoads {
  /** As the members' ends feel them. */
  readonly onMembers: MemberLoads;
  /** As the nodes feel them: 6n, nodes' axes. */
  readonly onNodes: Float64Array;
  /** Along the pieces of the members. */
  readonly along: PieceLoads;
  /** As they are applied to the members. */
  readonly applied: AppliedLoads;
}
