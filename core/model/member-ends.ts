import type { EndFreedom, Member, MemberEnd, Restraint } from './model';

/** The member with one freedom of one end changed; what is fixed needs no entry. */
export function withEnd(member: Member, end: MemberEnd, freedom: EndFreedom, restraint: Restraint): Member {
  const { [freedom]: _, ...others } = member.releases?.[end] ?? {};
  const mine = restraint === 'fixed' ? others : { ...others, [freedom]: restraint };
  return { ...member, releases: { ...member.releases, [end]: mine } };
}
