import { keyedLists } from './keyed-lists';
import type { Intent } from './intent';

/**
 * What an argument of an edit must be, before the model's own check looks at what it says. `keys`: one name at least. `row`: an object of arguments; `rows`: a list of
 * them; `kinds`: an object whose `kind` tells which arguments it has; `edits`: a list of edits.
 */
export type Argument = { readonly optional?: true } & (
  | { readonly is: 'name' | 'names' | 'keys' | 'words' | 'number' | 'numbers' | 'count' | 'point' }
  | { readonly is: 'object' | 'objects' | 'objectOrNull' | 'lists' | 'edits' }
  | { readonly is: 'choice'; readonly of: readonly string[] }
  | { readonly is: 'row' | 'rows'; readonly of: Arguments }
  | { readonly is: 'kinds'; readonly of: { readonly [kind: string]: Arguments } }
);
export type Arguments = { readonly [name: string]: Argument };

/** The entries that a list of an edit may have at most, and the letters of its words. */
export const MANY = 100_000;
export const LONGEST = 200;

const list = { is: 'choice', of: Object.keys(keyedLists) } as const;
const axis = { is: 'choice', of: ['x', 'y', 'z'] } as const;
const taken = { is: 'choice', of: ['copied', 'left'] } as const;
const names = { is: 'names' } as const;
const point = { is: 'point' } as const;
const number = { is: 'number' } as const;
const motion = {
  is: 'kinds',
  of: { move: { by: point }, turn: { about: point, axis, degrees: number }, mirror: { at: point, normal: point } },
} as const;

const entries = { is: 'objects', optional: true } as const;
const part = {
  nodes: { is: 'objects' },
  members: { is: 'objects' },
  supports: entries,
  loads: entries,
  groups: entries,
} as const;

/** Every edit by its type, with its arguments. What one sends is checked against this, wherever it comes from. A new edit is a row here. */
export const intentArguments: { readonly [type in Intent['type']]: Arguments } = {
  put: { list, entry: { is: 'object' }, key: { is: 'name', optional: true } },
  draw: { nodes: { is: 'objects' }, members: { is: 'objects' } },
  moveNodes: {
    moves: { is: 'rows', of: { id: { is: 'name' }, x: number, y: number, z: { is: 'number', optional: true } } },
  },
  stretch: { axis, beyond: number, by: number, what: { is: 'choice', of: ['beyond', 'line'], optional: true } },
  transform: { nodes: names, motion },
  repeat: {
    nodes: names,
    members: names,
    motion,
    times: { is: 'count' },
    link: { is: 'row', of: { section: { is: 'name' }, material: { is: 'name' } }, optional: true },
    supports: taken,
    loads: taken,
  },
  split: { cuts: { is: 'rows', of: { member: { is: 'name' }, at: { is: 'numbers' } } } },
  join: { members: names },
  joints: { members: names },
  turnRound: { members: names },
  removeDoubled: {},
  merge: { pairs: { is: 'lists' } },
  insert: { part: { is: 'row', of: part }, at: point, name: { is: 'words', optional: true } },
  rename: { list, names: { is: 'object' } },
  underlay: { change: { is: 'objectOrNull' } },
  batch: { intents: { is: 'edits' }, label: { is: 'words', optional: true } },
  remove: { list, keys: { is: 'keys' } },
  order: { list, keys: { is: 'keys' } },
  set: { settings: { is: 'object' } },
  patch: { patches: { is: 'objects' } },
};
