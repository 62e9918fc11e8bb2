import type { Draft } from 'immer';
import type { Load, Model } from '../model';
import { isCompound, kindOfLoad } from '../loads/compound';
import { isOnMember } from '../loads/primitive';
import { MISSING } from '../structures/measures';
import { followMembers } from './follow-members';
import type { KeyedList } from './keyed-lists';

/**
 * What cannot stay when entries are removed: the members, supports and loads of a node, the loads of a member, the loads of a case
 * and its part in combinations. Loads on several members stay on those that are left; `before`: the model with what is removed. Sections and materials in use are not removed with their members; the check refuses that instead.
 */
export function removeDependents(draft: Draft<Model>, before: Model, list: KeyedList, gone: ReadonlySet<string>): void {
  switch (list) {
    case 'nodes': {
      const members = new Set(
        draft.members.filter((member) => gone.has(member.start) || gone.has(member.end)).map((member) => member.id),
      );
      draft.members = draft.members.filter((member) => !members.has(member.id));
      draft.supports = draft.supports.filter((support) => !gone.has(support.node));
      followMembers(draft, before, { kind: 'gone', members });
      draft.loads = draft.loads.filter(
        (load) => !('node' in load ? gone.has(load.node) : isOnMember(load) ? members.has(load.member) : namesOneOf(load, gone)),
      );
      removeFromGroups(draft, 'nodes', gone);
      removeFromGroups(draft, 'members', members);
      return;
    }
    case 'members':
      followMembers(draft, before, { kind: 'gone', members: gone });
      draft.loads = draft.loads.filter((load) => !(isOnMember(load) && gone.has(load.member)));
      removeFromGroups(draft, 'members', gone);
      return;
    case 'supports':
      draft.loads = draft.loads.filter((load) => !(load.type === 'settlement' && gone.has(load.node)));
      return;
    case 'cases':
      draft.loads = draft.loads.filter((load) => !gone.has(load.case) && !(load.type === 'notional' && gone.has(load.of)));
      removeFromActions(draft, gone);
      removeFromCombinations(draft, gone);
      return;
    case 'actions':
      removeFromActions(draft, gone);
      removeFromCombinations(draft, gone);
      return;
    case 'combinations':
      removeFromCombinations(draft, gone);
      return;
    default:
      return;
  }
}

const namesOneOf = (load: Draft<Load>, gone: ReadonlySet<string>): boolean =>
  isCompound(load) &&
  kindOfLoad(load)
    .nodes(load)
    .some((node) => gone.has(node));

/** Structures remember where something of them is missing; one of which nothing is left goes. */
function removeFromStructures(draft: Draft<Model>, list: 'nodes' | 'members', gone: ReadonlySet<string>): void {
  if (!draft.structures?.some((one) => one[list].some((id) => gone.has(id)))) return;
  for (const one of draft.structures) one[list] = one[list].map((id) => (gone.has(id) ? MISSING : id));
  const left = draft.structures.filter(({ members }) => members.some((id) => id !== MISSING));
  if (left.length === 0) delete draft.structures;
  else if (left.length < draft.structures.length) draft.structures = left;
}

/** Takes ids out of all groups; a group left with nothing goes too. */
function removeFromGroups(draft: Draft<Model>, list: 'nodes' | 'members', gone: ReadonlySet<string>): void {
  removeFromStructures(draft, list, gone);
  if (!draft.groups) return;
  const isGone = (id: string): boolean => gone.has(id);
  for (const group of draft.groups) if (group[list]?.some(isGone)) group[list] = group[list].filter((id) => !gone.has(id));
  const isEmpty = ({ nodes = [], members = [] }: { nodes?: string[]; members?: string[] }): boolean =>
    nodes.length + members.length === 0;
  if (draft.groups.some(isEmpty)) draft.groups = draft.groups.filter((group) => !isEmpty(group));
}

/** Takes ids out of all actions; one left with nothing goes too, and so on. */
function removeFromActions(draft: Draft<Model>, gone: ReadonlySet<string>): void {
  if (!draft.actions?.some(({ of }) => of.some((id) => gone.has(id)))) return;
  for (const action of draft.actions) action.of = action.of.filter((id) => !gone.has(id));
  const emptied = new Set(draft.actions.filter(({ of }) => of.length === 0).map(({ id }) => id));
  draft.actions = draft.actions.filter(({ id }) => !emptied.has(id));
  if (emptied.size > 0) removeFromCombinations(draft, emptied);
  if (draft.actions.length === 0) delete draft.actions;
  else removeFromActions(draft, emptied);
}

/** Takes ids out of all combinations; a combination left with nothing goes too, and so on. */
function removeFromCombinations(draft: Draft<Model>, gone: ReadonlySet<string>): void {
  const emptied = new Set<string>();
  for (const combination of draft.combinations) {
    if (combination.type === 'sum') {
      combination.factors = Object.fromEntries(Object.entries(combination.factors).filter(([id]) => !gone.has(id)));
      if (Object.keys(combination.factors).length === 0) emptied.add(combination.id);
    } else {
      combination.of = combination.of.filter((id) => !gone.has(id));
      if (combination.of.length === 0) emptied.add(combination.id);
    }
  }
  if (emptied.size === 0) return;
  draft.combinations = draft.combinations.filter((combination) => !emptied.has(combination.id));
  removeFromCombinations(draft, emptied);
}
