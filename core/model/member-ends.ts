import { isPinEnded } from './behaviour';
import { endFreedoms, memberEnds, type EndFreedom, type EndGaps, type Member, type MemberEnd, type Restraint } from './model';

/** The member with one freedom of one end changed; what is fixed needs no entry. */
export function withEnd(member: Member, end: MemberEnd, freedom: EndFreedom, restraint: Restraint): Member {
  const { [freedom]: _, ...others } = member.releases?.[end] ?? {};
  const mine = restraint === 'fixed' ? others : { ...others, [freedom]: restraint };
  return keepingGaps({ ...member, releases: { ...member.releases, [end]: mine } });
}

/** The member with a gap before the spring of one freedom of one end; without one where it is nothing. */
export function withGap(member: Member, end: MemberEnd, freedom: EndFreedom, gap: number | undefined): Member {
  const { [freedom]: _, ...others } = member.gaps?.[end] ?? {};
  return keepingGaps({ ...member, gaps: { ...member.gaps, [end]: gap ? { ...others, [freedom]: gap } : others } });
}

/** The spring that an end of a member has in a freedom, N/m or N·m/rad; nothing where it is held, free or hinged. */
export function springAt(member: Member, end: MemberEnd, freedom: EndFreedom): number | undefined {
  const restraint = isPinEnded(member) && freedom.startsWith('m') ? undefined : member.releases?.[end]?.[freedom];
  return typeof restraint === 'number' && restraint > 0 ? restraint : undefined;
}

/** The member with those of its gaps that still have a spring behind them. */
export function keepingGaps(member: Member): Member {
  const { gaps, ...rest } = member;
  if (!gaps) return member;
  const kept = memberEnds.flatMap((end): [MemberEnd, EndGaps][] => {
    const own = endFreedoms.flatMap((freedom) => {
      const gap = gaps[end]?.[freedom];
      return gap !== undefined && springAt(member, end, freedom) !== undefined ? [[freedom, gap] as const] : [];
    });
    return own.length > 0 ? [[end, Object.fromEntries(own)]] : [];
  });
  return kept.length > 0 ? { ...rest, gaps: Object.fromEntries(kept) } : rest;
}

/** Which of the twelve freedoms of a member's ends one is: those of the start first. */
export const endFreedomAt = (end: MemberEnd, freedom: EndFreedom): number =>
  endFreedoms.length * memberEnds.indexOf(end) + endFreedoms.indexOf(freedom);

/** A sprung joint of a member with a gap. */
export interface GappedJoint {
  readonly end: MemberEnd;
  readonly freedom: EndFreedom;
  readonly gap: number;
  readonly spring: number;
}

/** The joints of a member whose springs have gaps. */
export const gappedJoints = (member: Member): readonly GappedJoint[] =>
  member.gaps
    ? memberEnds.flatMap((end) =>
        endFreedoms.flatMap((freedom): GappedJoint[] => {
          const [gap, spring] = [member.gaps?.[end]?.[freedom], springAt(member, end, freedom)];
          return gap && spring ? [{ end, freedom, gap, spring }] : [];
        }),
      )
    : [];
