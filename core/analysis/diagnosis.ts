import type { Notice } from '../model/notice';
import { memberMotions } from '../kinematics/member-motions';
import type { Found } from '../kinematics/mechanism';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { Results } from '../results/results';
import { countMotions, isLost, classifyMechanisms, mechanismNotices } from './classify-mechanisms';
import type { System } from './factorise';
import { lostNotices } from './trust';

/** So many motions come with what is needed to draw them. */
const MOST_DRAWN = 12;

/** What nothing resists in a system, under its loads. */
export interface Diagnosis {
  readonly found: readonly Found[];
  /** Faults where what holds a part is lost in rounding. */
  readonly lost: readonly Notice[];
  /** Whether the system can be solved: nothing moves that a load drives, or that is more than one node. */
  readonly isStable: boolean;
}

/** By case: loads on the nodes (6n, nodes' axes) and on the ends of members. */
export function diagnose(system: System, onNodes: readonly Float64Array[], onMembers: readonly MemberLoads[]): Diagnosis {
  const classified = classifyMechanisms(system, onNodes, onMembers);
  const found = classified.filter((one) => !isLost(one));
  return { found, lost: lostNotices(system, classified), isStable: found.every(({ mechanism }) => mechanism.harmless) };
}

/** The results of a model that can move: its mechanisms, and how the members move in the first of the harmful ones. */
export function unstableResults(system: System, { found, lost }: Diagnosis, notices: readonly Notice[]): Results {
  const harmful = found.filter(({ mechanism }) => !mechanism.harmless);
  const drawn = new Set(harmful.slice(0, MOST_DRAWN));
  return {
    status: 'unstable',
    notices: [...notices, ...mechanismNotices(harmful), ...untold(system), ...lost],
    mechanisms: found.map(({ mechanism }) => mechanism),
    motions: found.map((one) => (drawn.has(one) ? memberMotions(system.structure, system.matrices, one.motion) : undefined)),
  };
}

/** Says so when there are more motions than are described. */
function untold(system: System): Notice[] {
  const described = system.basis.length;
  const all = countMotions(system);
  if (all === described) return [];
  const message = `The structure can move in ${all} independent ways that involve several nodes; ${described} of them are described.`;
  return [{ code: 'many-mechanisms', severity: 'error', message, subjects: [] }];
}
