import { condense, type Condensed } from './condensation';
import { memberStiffness } from './member-stiffness';
import { memberCount, type Structure } from './structure';
import { congruence, memberTransformation } from './transformation';

/** Everything about one member that does not depend on the loads. */
export interface MemberMatrices {
  readonly condensed: Condensed;
  readonly transformation: Float64Array;
  /** Condensed stiffness in the axes of the two nodes. */
  readonly nodal: Float64Array;
}

/** Stiffness, condensation and transformation of every member. */
export function memberMatrices(s: Structure): MemberMatrices[] {
  return Array.from({ length: memberCount(s) }, (_, m) => {
    const [EA, EI, GA] = [s.stiffnesses[4 * m]!, s.stiffnesses[4 * m + 1]!, s.stiffnesses[4 * m + 2]!];
    const local = memberStiffness(EA, EI, GA, s.lengths[m]!);
    const condensed = condense(local, s.releases.subarray(6 * m, 6 * m + 6));
    const transformation = memberTransformation(s, m);
    return { condensed, transformation, nodal: congruence(transformation, condensed.stiffness) };
  });
}
