import type { Draft } from 'immer';
import type { Model } from '../model';
import { isOnMember } from '../loads/primitive';
import { dissolve } from './follow-members';
import { removeDependents } from './remove-dependents';
import { pairOf } from './repeat';

/** Of members between the same nodes the first stays; the loads of the others go to it, where they run the same way. */
export function removeDoubled(draft: Draft<Model>, model: Model): undefined {
  const first = new Map<string, Model['members'][number]>();
  const gone = new Map<string, Model['members'][number]>();
  for (const member of model.members) {
    const there = first.get(pairOf(member));
    if (!there) first.set(pairOf(member), member);
    else gone.set(member.id, there.start === member.start ? there : member);
  }
  const { loads } = dissolve(draft, model, new Set(gone.keys()));
  draft.loads = loads.map((load) =>
    isOnMember(load) && gone.has(load.member) ? { ...load, member: gone.get(load.member)!.id } : load,
  ) as never;
  draft.members = draft.members.filter(({ id }) => !gone.has(id));
  removeDependents(draft, model, 'members', new Set(gone.keys()));
}
