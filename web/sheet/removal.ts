import { counted } from '@rigid-beam/core/counted';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { removal as WORDS } from './words';

/** The edit that removes a selection, in one step; loads first, since some go with the others. Undefined when there is nothing. */
export function removalOf(model: Model, selection: readonly Subject[]): Intent | undefined {
  const ids = (kind: 'node' | 'member' | 'support' | 'load'): string[] =>
    selection.flatMap((one) => (one.kind === kind ? [one.id] : []));
  const known = new Set(model.loads.map(({ id }) => id));
  const loads = ids('load').filter((id) => known.has(id));
  const nodes = ids('node');
  // Members and supports that go with their nodes need no edit of their own.
  const members = ids('member').filter((id) => {
    const member = model.members.find((one) => one.id === id);
    return member && !nodes.includes(member.start) && !nodes.includes(member.end);
  });
  const supports = ids('support').filter((id) => !nodes.includes(id));
  const intents: Intent[] = [
    ...(loads.length > 0 ? [{ type: 'remove', list: 'loads', keys: loads } as const] : []),
    ...(supports.length > 0 ? [{ type: 'remove', list: 'supports', keys: supports } as const] : []),
    ...(members.length > 0 ? [{ type: 'remove', list: 'members', keys: members } as const] : []),
    ...(nodes.length > 0 ? [{ type: 'remove', list: 'nodes', keys: nodes } as const] : []),
  ];
  if (intents.length < 2) return intents[0];
  return { type: 'batch', intents, label: WORDS.removeThings(selection.length) };
}

/** What else goes when a selection is removed, in words: members of nodes, supports, loads. Empty where nothing else does. */
export function removalWords(model: Model, selection: readonly Subject[]): string {
  const intent = removalOf(model, selection);
  // Nothing is kept of it: what goes is counted, whether or not it may.
  const applied = intent && applyIntent(model, intent, 'trust');
  if (!applied?.ok) return '';
  const chosen = new Set(selection.map((one) => one.kind));
  const after = applied.model;
  const lost = (list: 'members' | 'supports' | 'loads', word: string, kind: Subject['kind']): string => {
    const own = selection.filter((one) => one.kind === kind).length;
    const count = model[list].length - after[list].length - (chosen.has(kind) ? own : 0);
    return count > 0 ? counted(count, word) : '';
  };
  return [lost('members', 'member', 'member'), lost('supports', 'support', 'support'), lost('loads', 'load', 'load')]
    .filter(Boolean)
    .join(', ');
}
