import { pressureOf } from '../model/loads/compound';
import type { Load, Model } from '../model/model';
import type { PhraseTarget } from './phrase-loads';

const LISTS = /^(nodes?|members?|run|panel)\s+(.+)$/i;

/**
 * What a load is put on, as it is said: `node 3`, `nodes 1, 2` and `members a, b` (each of them), `run a, b` (as one line), `panel 1, 2, 3, 4`
 * (corners in their order around it), or a name alone where only a node or only a member has it. A reason where nothing is meant.
 */
export function readTargets(text: string, model: Model): readonly PhraseTarget[] | string {
  const isNode = (id: string): boolean => model.nodes.some((node) => node.id === id);
  const isMember = (id: string): boolean => model.members.some((member) => member.id === id);
  const said = text.trim();
  const [, kind, list] = LISTS.exec(said) ?? [];
  if (kind === undefined || list === undefined) {
    if (isNode(said) && isMember(said)) return `a node and a member are named “${said}”: write node ${said} or member ${said}`;
    if (isMember(said)) return [{ member: said }];
    if (isNode(said)) return [{ node: said }];
    return `“${said}” is no place: write node 3, members a, b, run a, b for one line along them, or panel 1, 2, 3, 4`;
  }
  const names = list.split(',').map((name) => name.trim());
  const first = kind[0]!.toLowerCase();
  const areMembers = first === 'm' || first === 'r';
  const missing = names.find((name) => !(areMembers ? isMember(name) : isNode(name)));
  if (missing !== undefined) return `there is no ${areMembers ? 'member' : 'node'} “${missing}”`;
  if (first === 'r') return names.length === 1 ? [{ member: names[0]! }] : [{ run: names }];
  if (first === 'p') return [{ panel: names }];
  return names.map((id) => (areMembers ? { member: id } : { node: id }));
}

/** A target in the words in which it is read again. */
export function targetWords(target: PhraseTarget): string {
  if ('node' in target) return `node ${target.node}`;
  if ('member' in target) return `member ${target.member}`;
  if ('run' in target) return `run ${target.run.join(', ')}`;
  return `panel ${target.panel.join(', ')}`;
}

/** Where a load acts, as a phrase is put there; undefined for what has no such place. */
export function targetOfLoad(load: Load): PhraseTarget | undefined {
  if ('node' in load) return { node: load.node };
  if ('member' in load) return { member: load.member };
  if ('members' in load && load.members) return load.members.length === 1 ? { member: load.members[0]! } : { run: load.members };
  const corners = pressureOf(load)?.nodes;
  return corners && { panel: corners };
}
