import { renameIn } from './rename-in-load';
import type { Draft } from 'immer';
import { freedoms, type Model, type Restraint, type Support } from '../model';
import type { Notice } from '../notice';
import { removeDependents } from './remove-dependents';
import { unfit } from './unfit';

/** A node that stays, and one that becomes part of it. */
export type MergePair = readonly [keep: string, drop: string];

/**
 * Makes one node of two: members, supports and loads of the dropped one go to the kept one, where the firmer restraint holds. A member
 * that would run from the node to itself goes, with its loads.
 */
export function mergeNodes(draft: Draft<Model>, model: Model, pairs: readonly MergePair[]): Notice | undefined {
  const nodes = new Set(model.nodes.map(({ id }) => id));
  const into = new Map<string, string>();
  const final = (id: string): string => {
    let now = id;
    while (into.has(now)) now = into.get(now)!;
    return now;
  };
  for (const [keep, drop] of pairs) {
    const missing = [keep, drop].find((id) => !nodes.has(id));
    if (missing !== undefined) return unfit('pairs', `There is no node “${missing}”`, 'Choose an existing node');
    const [a, b] = [final(keep), final(drop)];
    if (a !== b) into.set(b, a);
  }
  if (into.size === 0) return unfit('pairs', 'There is nothing to merge', 'Choose two different nodes');

  for (const member of draft.members) {
    member.start = final(member.start);
    member.end = final(member.end);
  }
  draft.loads.forEach((load, i) => {
    if ('node' in load) load.node = final(load.node);
    renameIn(draft.loads, i, { node: final, member: (id) => id });
  });
  const supports = new Map<string, Support>();
  for (const support of model.supports) {
    const node = final(support.node);
    const there = supports.get(node);
    supports.set(node, there ? firmer(there, support) : { ...support, node });
  }
  if (model.supports.some(({ node }) => into.has(node))) draft.supports = [...supports.values()] as never;
  for (const group of draft.groups ?? [])
    if (group.nodes?.some((id) => into.has(id))) group.nodes = [...new Set(group.nodes.map(final))];
  for (const structure of draft.structures ?? [])
    if (structure.nodes.some((id) => into.has(id))) structure.nodes = structure.nodes.map(final);
  draft.nodes = draft.nodes.filter(({ id }) => !into.has(id));
  const idle = new Set(draft.members.filter(({ start, end }) => start === end).map(({ id }) => id));
  if (idle.size > 0) {
    draft.members = draft.members.filter(({ id }) => !idle.has(id));
    removeDependents(draft, model, 'members', idle);
  }
  return undefined;
}

/** One support in the place of two, freedom by freedom the firmer: fixed, else the springs side by side. */
function firmer(a: Support, b: Support): Support {
  const firm = (p: Restraint = 'free', q: Restraint = 'free'): Restraint => {
    if (p === 'fixed' || q === 'fixed') return 'fixed';
    if (p === 'free') return q;
    return q === 'free' ? p : p + q;
  };
  const parts = freedoms.map((key) => [key, firm(a[key], b[key])] as const).filter(([, held]) => held !== 'free');
  return { ...a, ...Object.fromEntries(parts) };
}
