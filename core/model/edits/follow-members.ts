import { current, isDraft, type Draft } from 'immer';
import { compoundKinds, isCompound, kindOfLoad, type CompoundLoad } from '../loads/compound';
import { changedMembers, type Bars, type MemberChange } from '../loads/compound-kind';
import { barsOf } from '../loads/bars';
import { partsOf } from '../loads/expand';
import type { Load, Model } from '../model';

/** Of loads in the place of another one the first keeps its id; the others are given theirs when the edit is done. */
export const inPlaceOf = ({ id }: Load, loads: readonly Load[]): Load[] =>
  loads.map((load, i) => (i === 0 ? { ...load, id } : withoutId(load)));

/** A load that is given an id when the edit is done. */
export function withoutId(load: Load): Load {
  const { id: _, ...rest } = load;
  return rest as Load;
}

/** Whether a load on several members lies on one of some. */
export const isOn = (load: Load, members: ReadonlySet<string>, bars: Bars): load is CompoundLoad =>
  isCompound(load) && compoundKinds[load.type].members(load, bars).some((member) => members.has(member));

/** Whether all nodes that a load names are copied, some of them to nodes that were not there: a deck and what stands on it. */
export function restsOn(load: Load, copies: ReadonlyMap<string, string>, before: ReadonlySet<string>): load is CompoundLoad {
  const own = isCompound(load)
    ? kindOfLoad(load)
        .nodes(load)
        .map((id) => copies.get(id))
    : [];
  return own.every((id) => id !== undefined) && own.some((id) => !before.has(id!));
}

/**
 * Loads on several members follow a change of members: as such where their kind knows how, otherwise as single loads. `before`: the
 * model with its members before the change. Returns that model with the loads as they then are.
 */
export const followMembers = (draft: Draft<Model>, before: Model, change: MemberChange): Model =>
  replaced(draft, before, changedMembers(change), (load, bars) => compoundKinds[load.type].follow?.(load, change, bars));

/** Loads on several members become single loads where they lie on one of some. */
export const dissolve = (draft: Draft<Model>, before: Model, members: ReadonlySet<string>): Model =>
  replaced(draft, before, members, () => undefined);

type Replace = (load: CompoundLoad, bars: Bars) => readonly Load[] | undefined;

function replaced(draft: Draft<Model>, before: Model, members: ReadonlySet<string>, replace: Replace): Model {
  if (!before.loads.some(isCompound)) return before;
  const bars = barsOf(before);
  if (!before.loads.some((load) => isOn(load, members, bars))) return before;
  const now = (isDraft(draft.loads) ? current(draft.loads) : draft.loads) as readonly Load[];
  const loads = now.flatMap((load) =>
    isOn(load, members, bars) ? inPlaceOf(load, replace(load, bars) ?? partsOf(load, bars)) : [load],
  );
  draft.loads = loads as Draft<Load>[];
  return { ...before, loads };
}
