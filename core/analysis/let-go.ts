import { isPinEnded } from '../model/behaviour';
import type { Member, Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { Results } from '../results/results';
import { diagnose, unstableResults } from './diagnosis';
import { inSystem } from './in-system';

/** What moves where some members let go of their axial force, and all others act both ways; `notices` come first. */
export function motionWithout(model: Model, members: readonly number[], notices: readonly Notice[]): Results {
  const gone = new Set(members);
  const acting = model.members.map((member, m): Member => {
    const both: Member = isPinEnded(member) ? { ...member, behaviour: 'truss' } : member;
    return gone.has(m) ? { ...both, releases: { ...both.releases, start: { ...both.releases?.start, ux: 'free' } } } : both;
  });
  return inSystem({ ...model, members: acting }, (system, onNodes, onMembers) => {
    const diagnosis = diagnose(system, onNodes, onMembers);
    // What holds by its last digits is no mechanism, and no solution either.
    return diagnosis.isStable ? { status: 'invalid', notices, mechanisms: [] } : unstableResults(system, diagnosis, notices);
  });
}
