import type { Patch } from 'immer';
import type { Member, Model, ModelNode, Underlay } from '../model';
import type { AxisName, Point } from '../point';
import type { Part } from './insert';
import type { MergePair } from './merge';
import type { Motion } from './motion';
import type { Repetition } from './repeat';
import type { KeyedList } from './keyed-lists';
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
  | { readonly type: 'turnRound'; readonly members: readonly string[] }
  | { readonly type: 'removeDoubled' }
  | { readonly type: 'merge'; readonly pairs: readonly MergePair[] }
  | { readonly type: 'insert'; readonly part: Part; readonly at: Point; readonly name?: string }
  | { readonly type: 'rename'; readonly list: KeyedList; readonly names: Readonly<Record<string, string>> }
  | { readonly type: 'underlay'; readonly change: Partial<Underlay> | null }
  | { readonly type: 'batch'; readonly intents: readonly Intent[]; readonly label?: string }
  | { readonly type: 'remove'; readonly list: KeyedList; readonly keys: readonly string[] }
  | { readonly type: 'order'; readonly list: KeyedList; readonly keys: readonly string[] }
  | { readonly type: 'set'; readonly settings: Settings }
  | { readonly type: 'patch'; readonly patches: readonly Patch[] };
