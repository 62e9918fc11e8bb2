import type { DimensionName } from '../../quantities/dimension';
import type { Fields } from '../fields';
import type { Point } from '../point';
import type { Entity } from '../findings';
import type { RuleContext } from '../rules/context';
import type { Intensity, PrimitiveLoad } from './primitive';

/** A member as loads see it: its nodes, and its length between the offset ends in metres. */
export interface Bar {
  readonly start: string;
  readonly end: string;
  /** Where it begins and ends, offsets included. */
  readonly from: Point;
  readonly to: Point;
  readonly length: number;
  readonly hasArms: boolean;
}
/** Members by id, where nodes stand, and the members that meet in one. */
export interface Bars {
  (id: string): Bar;
  readonly places: ReadonlyMap<string, Point>;
  readonly at: (node: string) => readonly { readonly id: string; readonly start: string; readonly end: string }[];
}

/** A place at which a value of a load is written: metres from the member's start, and the intensity there. */
export interface Handle {
  readonly member: string;
  readonly at: number;
  /** Which of its ends the value is of; both where it is the same all along. */
  readonly end?: 'from' | 'to';
  readonly beside: Intensity;
}

export interface LoadAmount {
  readonly steps: number;
  readonly loads: number;
}

/** What things are called afterwards. */
export interface Renaming {
  readonly node: (id: string) => string;
  readonly member: (id: string) => string;
}

/** A pressure (Pa), and the corners of the panel on which it lies, or the width (m) that its members carry. */
export interface Pressure {
  readonly pressure: number;
  readonly direction?: 'down' | 'plan' | 'normal';
  readonly spread?: 'twoWay' | 'oneWay';
  readonly nodes?: readonly string[];
  readonly width?: number;
}

/** What a motion does to directions: a mirror has no hand of 1. */
export interface Turn {
  readonly hand: number;
  readonly direction: (vector: Point) => Point;
}

/** What a motion carries: members by their names before, and, where these are copies, the nodes in the place of others. */
export interface Carrying {
  readonly turn: Turn;
  readonly members: ReadonlyMap<string, { readonly id: string }>;
  readonly nodes?: ReadonlyMap<string, string> | undefined;
  /** Before the motion. */
  readonly bars: Bars;
  /** Whether what is not carried stays, or is no part of the copy. */
  readonly others: 'stay' | 'leave out';
}

/** What happens to members that a load lies on. */
export type MemberChange =
  | { readonly kind: 'gone'; readonly members: ReadonlySet<string> }
  /** By member its pieces from its start to its end; the first keeps the member's name. */
  | { readonly kind: 'split'; readonly pieces: ReadonlyMap<string, readonly string[]> }
  /** `members` in their order from the start to the end of the joined one. */
  | { readonly kind: 'joined'; readonly members: readonly string[]; readonly into: string };

/** The members that a change concerns. */
export const changedMembers = (change: MemberChange): ReadonlySet<string> =>
  change.kind === 'gone' ? change.members : new Set(change.kind === 'split' ? change.pieces.keys() : change.members);

/**
 * A load that stands for several loads on single members or nodes. A new kind is one of these, entered in `compound.ts`: reading, checking,
 * compiling, drawing, editing and words follow from it.
 */
export interface CompoundKind<L> {
  readonly type: string;
  /** What the file holds of it, beside its id and case. */
  readonly fields: Fields;
  /** Rules between the load and the rest of the model; the fields themselves are checked already. */
  readonly check: (context: RuleContext, load: Entity, path: string) => void;
  /** How many steps dividing it takes and how many loads it stands for, at the most; from what is written alone, before it is checked. */
  readonly amount: (load: Entity, membersAt: (node: unknown) => number) => LoadAmount;
  /** The loads that it stands for. The model must be sound. */
  readonly expand: (load: L, bars: Bars) => readonly PrimitiveLoad[];
  readonly handles: (load: L, bars: Bars) => readonly Handle[];
  /** The one number by which it is known: what that is called, of what kind it is, and the load with another one, in its own direction. */
  readonly value: {
    readonly words: string;
    readonly dimension: DimensionName;
    readonly of: (load: L) => number;
    readonly resized: (load: L, value: number) => L;
  };
  /** The members that carry it. */
  readonly members: (load: L, bars: Bars) => readonly string[];
  /** The nodes that it names, without which it cannot be. */
  readonly nodes: (load: L) => readonly string[];
  /** The same load where nodes and members are called otherwise. */
  readonly renamed: (load: L, names: Renaming) => L;
  /** Its keys that say where it lies: a change of its size or direction is made to others without them. */
  readonly places: readonly string[];
  /** The pressure that it is, where it is one. */
  readonly pressure?: (load: L) => Pressure;
  /**
   * The loads that say the same once a motion has carried what it lies on. Where a kind does not tell, its single loads are carried, and
   * said as a whole again where one of its `variants` means the very same.
   */
  readonly carried?: (load: L, carrying: Carrying) => readonly L[];
  /** What the load may be after a motion: itself, where nothing else is told. */
  readonly variants?: (load: L, turn: Turn) => readonly L[];
  /**
   * The loads that say the same after a change of members; `bars` are those before it. Where it is undefined or says nothing, the
   * single loads take the load's place.
   */
  readonly follow?: (load: L, change: MemberChange, bars: Bars) => readonly L[] | undefined;
}
