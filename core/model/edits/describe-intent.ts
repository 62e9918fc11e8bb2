import { counted, nounFor } from '../../counted';
import { placeSaid } from '../parameters/words';
import { keyedLists, type KeyedList } from './keyed-lists';
import type { Intent } from './intent';
import type { Motion } from './motion';

const words: Record<KeyedList, string> = {
  materials: 'material',
  sections: 'section',
  nodes: 'node',
  members: 'member',
  supports: 'support of node',
  cases: 'case',
  loads: 'load',
  combinations: 'combination',
  groups: 'group',
  actions: 'action',
  trains: 'train',
  expected: 'expected value',
  ruleSets: 'set of rules',
  parameters: 'parameter',
  formulas: 'expression of',
  structures: 'structure',
};

const MOTIONS: Record<Motion['kind'], string> = { move: 'Move', turn: 'Turn', mirror: 'Mirror' };

/** A few names, or how many there are. */
const listed = (word: string, ids: readonly string[]): string =>
  ids.length <= 4 ? `${nounFor(ids.length, word)} ${ids.join(', ')}` : counted(ids.length, word);
const idsOf = (all: readonly { readonly id: string }[]): string[] => all.map(({ id }) => id);

/** The name of an entry that is put; a load that has none yet is given one. */
const nameOf = ({ list, entry, key }: Of<'put'>): string | undefined => {
  const name = key ?? entry[keyedLists[list]];
  return name === undefined ? undefined : String(name);
};

type Of<T extends Intent['type']> = Extract<Intent, { type: T }>;

/** Every edit in a few words. */
const labels: { readonly [T in Intent['type']]: (intent: Of<T>) => string } = {
  put: (intent) =>
    intent.list === 'formulas'
      ? `Set ${placeSaid({}, String(intent.entry.of))} = ${String(intent.entry.is)}`
      : nameOf(intent) === undefined
        ? `Add a ${words[intent.list]}`
        : `Set ${words[intent.list]} ${nameOf(intent)}`,
  draw: ({ nodes, members }) =>
    members.length > 0 ? `Draw ${listed('member', idsOf(members))}` : `Place ${listed('node', idsOf(nodes))}`,
  moveNodes: ({ moves }) => `Move ${listed('node', idsOf(moves))}`,
  stretch: () => 'Change a dimension',
  transform: ({ motion, nodes }) => `${MOTIONS[motion.kind]} ${listed('node', nodes)}`,
  repeat: ({ times, members }) => `${times === 1 ? 'Copy' : `Repeat ${times} times`}: ${listed('member', members)}`,
  split: ({ cuts }) => `Split ${listed('member', cuts.map(({ member }) => member))}`, // oxfmt-ignore
  join: ({ members }) => `Join ${listed('member', members)}`,
  turnRound: ({ members }) => `Mirror ${listed('member', members)}`,
  joints: ({ members }) => `Make joints on ${listed('member', members)}`,
  removeDoubled: () => 'Remove doubled members',
  merge: ({ pairs }) => `Merge ${listed('node', pairs.map(([, drop]) => drop))}`, // oxfmt-ignore
  insert: ({ name }) => `Place ${name ?? 'a part'}`,
  rename: ({ list, names }) => `Rename ${listed(words[list], Object.keys(names))}`,
  underlay: ({ change }) => (change === null ? 'Remove the underlay' : change.image ? 'Put an underlay' : 'Change the underlay'),
  batch: ({ label, intents: [first] }) => label ?? (first ? describeIntent(first) : 'Change nothing'),
  remove: ({ list, keys }) => (keys.length > 4 ? `Remove ${keys.length} ${list}` : `Remove ${words[list]} ${keys.join(', ')}`),
  order: ({ list }) => `Change the order of the ${list}`,
  set: ({ settings }) => `Change ${Object.keys(settings).join(', ')}`,
  patch: () => 'Restore',
};

/** The edit in a few words, for undo and for the list of changes. */
export const describeIntent = (intent: Intent): string => (labels[intent.type] as (intent: Intent) => string)(intent);
