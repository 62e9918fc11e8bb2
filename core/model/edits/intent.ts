import type { Patch } from 'immer';
import type { Member, Model, ModelNode, Underlay } from '../model';
import type { AxisName, Point } from '../point';
import type { Part } from './insert';
import type { MergePair } from './merge';
import type { Motion } from './motion';
import type { Repetition } from './repeat';
import { keyedLists, type KeyedList } from './keyed-lists';
import type { Cuts } from './split';

/** Settings of the model as a whole. */
export const settingKeys = ['title', 'gravity', 'analysis', 'display', 'grid', 'space'] as const;

/** A setting that is null is taken out of the model. */
export type Settings = { readonly [K in (typeof settingKeys)[number]]?: Model[K] | null };

export interface NodeMove {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly z?: number;
}

/** Everything that can be done to a model. Plain data: the sheet, the cards, the command field and the API all send the same. */
export type Intent =
  | { readonly type: 'put'; readonly list: KeyedList; readonly entry: Readonly<Record<string, unknown>>; readonly key?: string }
  | { readonly type: 'draw'; readonly nodes: readonly ModelNode[]; readonly members: readonly Member[] }
  | { readonly type: 'moveNodes'; readonly moves: readonly NodeMove[] }
  | {
      readonly type: 'stretch';
      readonly axis: AxisName;
      readonly beyond: number;
      readonly by: number;
      /** `beyond` (as when left out): everything there and further moves along. `line`: only what stands at that place. */
      readonly what?: 'beyond' | 'line';
    }
  | { readonly type: 'transform'; readonly nodes: readonly string[]; readonly motion: Motion }
  | ({ readonly type: 'repeat' } & Repetition)
  | { readonly type: 'split'; readonly cuts: readonly Cuts[] }
  | { readonly type: 'join'; readonly members: readonly string[] }
  | { readonly type: 'joints'; readonly members: readonly string[] }
  | { readonly type: 'removeDoubled' }
  | { readonly type: 'merge'; readonly pairs: readonly MergePair[] }
  | { readonly type: 'insert'; readonly part: Part; readonly at: Point; readonly name?: string }
  | { readonly type: 'rename'; readonly list: KeyedList; readonly names: Readonly<Record<string, string>> }
  | { readonly type: 'underlay'; readonly change: Partial<Underlay> | null }
  | { readonly type: 'batch'; readonly intents: readonly Intent[]; readonly label?: string }
  | { readonly type: 'remove'; readonly list: KeyedList; readonly keys: readonly string[] }
  | { readonly type: 'set'; readonly settings: Settings }
  | { readonly type: 'patch'; readonly patches: readonly Patch[] };

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
};

const MOTIONS: Record<Motion['kind'], string> = { move: 'Move', turn: 'Turn', mirror: 'Mirror' };

/** A few names, or how many there are. */
const listed = (word: string, ids: readonly string[]): string =>
  ids.length <= 4 ? `${word}${ids.length === 1 ? '' : 's'} ${ids.join(', ')}` : `${ids.length} ${word}s`;

/** The name of an entry that is put; a load that has none yet is given one. */
const nameOf = ({ list, entry, key }: Extract<Intent, { type: 'put' }>): string | undefined => {
  const name = key ?? entry[keyedLists[list]];
  return name === undefined ? undefined : String(name);
};

/** The edit in a few words, for undo and for the list of changes. */
export function describeIntent(intent: Intent): string {
  switch (intent.type) {
    case 'put':
      return nameOf(intent) === undefined ? `Add a ${words[intent.list]}` : `Set ${words[intent.list]} ${nameOf(intent)}`;
    case 'draw':
      return intent.members.length > 0
        ? `Draw ${listed(
            'member',
            intent.members.map(({ id }) => id),
          )}`
        : `Place ${listed(
            'node',
            intent.nodes.map(({ id }) => id),
          )}`;
    case 'moveNodes':
      return `Move ${listed(
        'node',
        intent.moves.map(({ id }) => id),
      )}`;
    case 'stretch':
      return 'Change a dimension';
    case 'remove':
      return intent.keys.length > 4
        ? `Remove ${intent.keys.length} ${intent.list}`
        : `Remove ${words[intent.list]} ${intent.keys.join(', ')}`;
    case 'set':
      return `Change ${Object.keys(intent.settings).join(', ')}`;
    case 'transform':
      return `${MOTIONS[intent.motion.kind]} ${listed('node', intent.nodes)}`;
    case 'repeat':
      return `${intent.times === 1 ? 'Copy' : `Repeat ${intent.times} times`}: ${listed('member', intent.members)}`;
    case 'split':
      return `Split ${listed(
        'member',
        intent.cuts.map(({ member }) => member),
      )}`;
    case 'join':
      return `Join ${listed('member', intent.members)}`;
    case 'joints':
      return `Make joints on ${listed('member', intent.members)}`;
    case 'removeDoubled':
      return 'Remove doubled members';
    case 'merge':
      return `Merge ${listed(
        'node',
        intent.pairs.map(([, drop]) => drop),
      )}`;
    case 'insert':
      return `Place ${intent.name ?? 'a part'}`;
    case 'rename':
      return `Rename ${listed(words[intent.list], Object.keys(intent.names))}`;
    case 'underlay':
      return intent.change === null ? 'Remove the underlay' : intent.change.image ? 'Put an underlay' : 'Change the underlay';
    case 'batch':
      return intent.label ?? (intent.intents[0] ? describeIntent(intent.intents[0]) : 'Change nothing');
    case 'patch':
      return 'Restore';
  }
}
