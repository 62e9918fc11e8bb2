import type { Patch } from 'immer';
import type { Member, Model, ModelNode } from '../model';

/** Lists of the model whose entries are found by a key of their own. Loads have none and are found by their place. */
export const keyedLists = {
  materials: 'id',
  sections: 'id',
  nodes: 'id',
  members: 'id',
  supports: 'node',
  cases: 'id',
  combinations: 'id',
} as const;
export type KeyedList = keyof typeof keyedLists;

/** Settings of the model as a whole. */
export const settingKeys = ['title', 'gravity', 'analysis', 'display'] as const;

/** Everything that can be done to a model. Plain data: the sheet, the cards, the command field and the API all send the same. */
export type Intent =
  | { readonly type: 'put'; readonly list: KeyedList; readonly entry: Readonly<Record<string, unknown>>; readonly key?: string }
  | { readonly type: 'putLoad'; readonly load: Readonly<Record<string, unknown>>; readonly at?: number }
  | { readonly type: 'draw'; readonly nodes: readonly ModelNode[]; readonly members: readonly Member[] }
  | { readonly type: 'moveNodes'; readonly moves: readonly { readonly id: string; readonly x: number; readonly y: number }[] }
  | { readonly type: 'stretch'; readonly axis: 'x' | 'y'; readonly beyond: number; readonly by: number }
  | { readonly type: 'remove'; readonly list: KeyedList; readonly keys: readonly string[] }
  | { readonly type: 'removeLoads'; readonly at: readonly number[] }
  | { readonly type: 'set'; readonly settings: Partial<Pick<Model, (typeof settingKeys)[number]>> }
  | { readonly type: 'patch'; readonly patches: readonly Patch[] };

const words: Record<KeyedList, string> = {
  materials: 'material',
  sections: 'section',
  nodes: 'node',
  members: 'member',
  supports: 'support of node',
  cases: 'case',
  combinations: 'combination',
};

/** The edit in a few words, for undo and for the list of changes. */
export function describeIntent(intent: Intent): string {
  switch (intent.type) {
    case 'put':
      return `Set ${words[intent.list]} ${String(intent.key ?? intent.entry[keyedLists[intent.list]] ?? '')}`.trim();
    case 'putLoad':
      return intent.at === undefined ? 'Add a load' : 'Change a load';
    case 'draw':
      return intent.members.length > 0
        ? `Draw member ${intent.members.map(({ id }) => id).join(', ')}`
        : `Place node ${intent.nodes.map(({ id }) => id).join(', ')}`;
    case 'moveNodes':
      return `Move node ${intent.moves.map(({ id }) => id).join(', ')}`;
    case 'stretch':
      return 'Change a dimension';
    case 'remove':
      return `Remove ${words[intent.list]} ${intent.keys.join(', ')}`;
    case 'removeLoads':
      return intent.at.length === 1 ? 'Remove a load' : `Remove ${intent.at.length} loads`;
    case 'set':
      return `Change ${Object.keys(intent.settings).join(', ')}`;
    case 'patch':
      return 'Restore';
  }
}
