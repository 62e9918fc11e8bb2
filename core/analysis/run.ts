import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { DisplacedOutcome, LetGo, Results, StructuralResponse } from '../results/results';
import type { System } from './factorise';
import type { Changes } from './prepare';
import type { Progress } from './progress';

/** What a run begins with: a sound model, and its first-order equations, factorised. */
export interface RunTask {
  readonly model: Model;
  readonly system: System;
  /** What has changed since the task before; undefined where anything may have. */
  readonly changes?: Changes | undefined;
  /** What was said of the model before: it comes first among the notices. */
  readonly notices: readonly Notice[];
  readonly progress?: Progress | undefined;
  /** What the first order found of the same model; every other run is made after it. */
  readonly firstOrder?: Results;
  /** Of outcomes that are solved each on its own only so many: others solve the rest beside it. */
  readonly share?: Share | undefined;
}

/** Every so-many-th of all outcomes, from one of them on. */
export interface Share {
  readonly at: number;
  readonly of: number;
}

/** An outcome that was solved on its own, or why it has no solution. */
export type SolvedOutcome =
  | { readonly response: StructuralResponse; readonly displaced: DisplacedOutcome; readonly letGo?: LetGo }
  | { readonly fault: Notice };

/** What was solved of a share, by the places of its outcomes; plain data, which goes from one thread to another. */
export type SolvedShare = ReadonlyMap<number, SolvedOutcome>;

/**
 * One analysis of a model, edit after edit. What acts in it (cases, or factored combinations), whether the structure can be solved, with respect to
 * which state it must balance, what is said of it and its results are its own.
 */
export interface Run {
  readonly update: (task: RunTask) => Results;
  /** The last results were given away: the next update leaves their memory alone. */
  readonly handOver: () => void;
  /** What the last update has solved of its share; undefined where it came to none. */
  readonly ownShare?: SolvedShare | undefined;
  /** The results that this makes with the other shares. */
  readonly joined?: (others: readonly SolvedShare[]) => Results;
}
