import type { Draft } from 'immer';
import type { Model } from '../model';
import { isOnMember } from './carry';
import { removeDependents } from './remove-dependents';
import { pairOf } from './repeat';

/** Of members between the same nodes the first stays; the loads of the others go to it, where they run the same way. */
export function removeDoubled(draft: Draft<Model>, model: Model): undefined {
  const first = new Map<string, Model['members'][number]>();
  const gone = new Set<string>();
  for (const member of model.members) {
    const there = first.get(pairOf(member));
    if (!there) first.set(pairOf(member), member);
    else {
      gone.add(member.id);
      if (there.start !== member.start) continue;
      for (const load of draft.loads) if (isOnMember(load) && load.member === member.id) load.member = there.id;
    }
  }
  draft.members = draft.members.filter(({ id }) => !gone.has(id));
  removeDependents(draft, 'members', gone);
}
