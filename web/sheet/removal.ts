import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Subject } from '@rigid-beam/drawing/display-list';

/** The edits that remove a selection; loads first, since the others renumber them. */
export function removalOf(model: Model, selection: readonly Subject[]): Intent[] {
  const ids = (kind: 'node' | 'member' | 'support'): string[] => selection.flatMap((one) => (one.kind === kind ? [one.id] : []));
  const loads = selection.flatMap((one) => (one.kind === 'load' && one.index < model.loads.length ? [one.index] : []));
  const nodes = ids('node');
  // Members and supports that go with their nodes need no edit of their own.
  const members = ids('member').filter((id) => {
    const member = model.members.find((one) => one.id === id);
    return member && !nodes.includes(member.start) && !nodes.includes(member.end);
  });
  const supports = ids('support').filter((id) => !nodes.includes(id));
  return [
    ...(loads.length > 0 ? [{ type: 'removeLoads', at: loads } as const] : []),
    ...(supports.length > 0 ? [{ type: 'remove', list: 'supports', keys: supports } as const] : []),
    ...(members.length > 0 ? [{ type: 'remove', list: 'members', keys: members } as const] : []),
    ...(nodes.length > 0 ? [{ type: 'remove', list: 'nodes', keys: nodes } as const] : []),
  ];
}
