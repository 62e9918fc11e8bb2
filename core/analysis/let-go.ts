import { isPinEnded } from '../model/behaviour';
import type { OneSidedCase } from '../model/loads/one-sided';
import { withEnd } from '../model/member-ends';
import type { Member, Model, Support } from '../model/model';
import type { Notice } from '../model/notice';
import type { Results } from '../results/results';
import { diagnose, unstableResults } from './diagnosis';
import { inSystem } from './in-system';

/** What moves where some members let go of their axial force and some supports of what they hold, and all others act both ways; `notices` come first. */
export function motionWithout(model: Model, gone: readonly OneSidedCase[], notices: readonly Notice[]): Results {
  const slack = new Set(gone.flatMap((one) => (one.of === 'member' ? [one.member] : [])));
  const members = model.members.map(({ gaps: _, ...member }): Member => {
    const joints = gone.flatMap((one) => (one.of === 'joint' && one.member === member.id ? [one] : []));
    const opened = joints.reduce<Member>((one, { end, freedom }) => withEnd(one, end, freedom, 'free'), member);
    const both: Member = isPinEnded(member) ? { ...opened, behaviour: 'truss' } : opened;
    return slack.has(member.id)
      ? { ...both, releases: { ...both.releases, start: { ...both.releases?.start, ux: 'free' } } }
      : both;
  });
  const supports = model.supports.map(({ oneWay: _, gaps: __, ...support }): Support => {
    const lifted = gone.flatMap((one) =>
      one.of === 'support' && one.node === support.node ? [[one.along, 'free'] as const] : [],
    );
    return { ...support, ...Object.fromEntries(lifted) };
  });
  return inSystem({ ...model, members, supports }, (system, onNodes, onMembers) => {
    const diagnosis = diagnose(system, onNodes, onMembers);
    // What holds by its last digits is no mechanism, and no solution either.
    return diagnosis.isStable ? { status: 'invalid', notices, mechanisms: [] } : unstableResults(system, diagnosis, notices);
  });
}
