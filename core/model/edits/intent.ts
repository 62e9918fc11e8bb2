import type { Patch } from 'immer';
import type { Group, Load, Member, Model, ModelNode, Support, Underlay } from '../model';
import type { AxisName, Point } from '../point';
import type { PlacedMeasures } from '../structures/measures';
import { keyedLists, type KeyedList } from './keyed-lists';
import type { MergePair } from './merge';

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

/** What the program takes an argument for, where its check alone does not say it: the model's own check looks at the rest. */
interface Means<T> {
  readonly means?: T;
}
const meaning = <T, const A extends Argument>(argument: A): A & Means<T> => argument;

const list = meaning<KeyedList, { is: 'choice'; of: string[] }>({ is: 'choice', of: Object.keys(keyedLists) });
const axis = { is: 'choice', of: ['x', 'y', 'z'] satisfies AxisName[] } as const;
const taken = { is: 'choice', of: ['copied', 'left'] } as const;
const names = { is: 'names' } as const;
const point = { is: 'point' } as const;
const number = { is: 'number' } as const;
const name = { is: 'name' } as const;
const nodes = meaning<readonly ModelNode[], { is: 'objects' }>({ is: 'objects' });
const members = meaning<readonly Member[], { is: 'objects' }>({ is: 'objects' });
const some = <T>() => meaning<readonly T[], { is: 'objects'; optional: true }>({ is: 'objects', optional: true });
const motion = {
  is: 'kinds',
  of: { move: { by: point }, turn: { about: point, axis, degrees: number }, mirror: { at: point, normal: point } },
} as const;

/** Settings of the model as a whole; one that is null is taken out of it. */
export const settingKeys = ['title', 'gravity', 'analysis', 'display', 'grid', 'space', 'combining', 'report'] as const;
export type Settings = { readonly [K in (typeof settingKeys)[number]]?: Model[K] | null };

/**
 * Every edit by its type, with its arguments: the one description of what an edit is. Its type (`Intent`) and the check of what is sent follow.
 * A new edit is a row here.
 */
export const intentArguments = {
  put: {
    list,
    entry: meaning<Readonly<Record<string, unknown>>, { is: 'object' }>({ is: 'object' }),
    key: { is: 'name', optional: true },
  },
  draw: { nodes, members },
  moveNodes: { moves: { is: 'rows', of: { id: name, x: number, y: number, z: { is: 'number', optional: true } } } },
  /** `beyond` (as when left out): everything there and further moves along. `line`: only what stands at that place. */
  stretch: { axis, beyond: number, by: number, what: { is: 'choice', of: ['beyond', 'line'], optional: true } },
  transform: { nodes: names, motion },
  repeat: {
    nodes: names,
    members: names,
    motion,
    times: { is: 'count' },
    /** Section and material of new members that link each node to its copy, but for the feet: where a support stands nothing is linked. Without them there are none. */
    link: { is: 'row', of: { section: name, material: name }, optional: true },
    supports: taken,
    loads: taken,
  },
  split: { cuts: { is: 'rows', of: { member: name, at: { is: 'numbers' } } } },
  join: { members: names },
  joints: { members: names },
  turnRound: { members: names },
  removeDoubled: {},
  merge: { pairs: meaning<readonly MergePair[], { is: 'lists' }>({ is: 'lists' }) },
  insert: {
    part: { is: 'row', of: { nodes, members, supports: some<Support>(), loads: some<Load>(), groups: some<Group>() } },
    at: point,
    name: { is: 'words', optional: true },
    /** The typical structure that the part is: its name, its type and its measures. */
    structure: meaning<PlacedMeasures, { is: 'object'; optional: true }>({ is: 'object', optional: true }),
  },
  rename: { list, names: meaning<Readonly<Record<string, string>>, { is: 'object' }>({ is: 'object' }) },
  underlay: { change: meaning<Partial<Underlay> | null, { is: 'objectOrNull' }>({ is: 'objectOrNull' }) },
  batch: { intents: { is: 'edits' }, label: { is: 'words', optional: true } },
  remove: { list, keys: { is: 'keys' } },
  order: { list, keys: { is: 'keys' } },
  set: { settings: meaning<Settings, { is: 'object' }>({ is: 'object' }) },
  patch: { patches: meaning<readonly Patch[], { is: 'objects' }>({ is: 'objects' }) },
} as const satisfies { readonly [type: string]: Arguments };

type Optional<A> = { [K in keyof A]: A[K] extends { readonly optional: true } ? K : never }[keyof A];

/** An object with these arguments. */
export type Given<A> = { readonly [K in Exclude<keyof A, Optional<A>>]: Meant<A[K]> } & {
  readonly [K in Optional<A>]?: Meant<A[K]>;
};

type ByCheck = {
  readonly name: string;
  readonly words: string;
  readonly names: readonly string[];
  readonly keys: readonly string[];
  readonly number: number;
  readonly count: number;
  readonly numbers: readonly number[];
  readonly point: Point;
};

type Meant<A> =
  A extends Means<infer T extends object | string | null>
    ? T
    : A extends { readonly is: 'choice'; readonly of: readonly (infer Word)[] }
      ? Word
      : A extends { readonly is: 'row'; readonly of: infer Row }
        ? Given<Row>
        : A extends { readonly is: 'rows'; readonly of: infer Row }
          ? readonly Given<Row>[]
          : A extends { readonly is: 'kinds'; readonly of: infer Kinds }
            ? { [K in keyof Kinds]: { readonly kind: K } & Given<Kinds[K]> }[keyof Kinds]
            : A extends { readonly is: 'edits' }
              ? readonly Intent[]
              : A extends { readonly is: infer Is extends keyof ByCheck }
                ? ByCheck[Is]
                : never;

/** Everything that can be done to a model. Plain data: the sheet, the cards, the command field and the API all send the same. */
export type Intent = {
  [T in keyof typeof intentArguments]: { readonly type: T } & Given<(typeof intentArguments)[T]>;
}[keyof typeof intentArguments];

/** The arguments of one kind of edit. */
export type IntentOf<T extends Intent['type']> = Extract<Intent, { readonly type: T }>;
export type NodeMove = IntentOf<'moveNodes'>['moves'][number];
