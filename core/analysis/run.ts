import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { Results } from '../results/results';
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
}

/**
 * One analysis of a model, edit after edit. What acts in it (cases, or factored combinations), whether the structure can be solved, with respect to
 * which state it must balance, what is said of it and its results are its own.
 */
export interface Run {
  readonly update: (task: RunTask) => Results;
  /** The last results were given away: the next update leaves their memory alone. */
  readonly handOver: () => void;
}
