import type { waysToAct } from '../../model/rule-fields';
import type { Category, LimitState } from '../../model/categories';

export type WayToAct = (typeof waysToAct)[number];

/** Some actions with their factor: that of the term, times a reduction value of the action's category where it names one. */
export interface Term {
  readonly of: readonly Category[];
  readonly acts: WayToAct;
  readonly factor: number;
  /** The symbol of a reduction value, such as ψ₀. */
  readonly value?: string;
  /** The factor of what acts always, where it helps: lines with either come of it. Its reduction value is left out. */
  readonly favourable?: number;
  readonly clause?: string;
}

/** A sum that a clause writes down. */
export interface Expression {
  readonly clause: string;
  readonly terms: readonly Term[];
}

/** What a standard calls a design situation or a combination: one or more expressions, each of which must be met. */
export interface Situation {
  readonly id: string;
  readonly title: string;
  /** Its lines are named with it and a number. */
  readonly letter: string;
  readonly limitState: LimitState;
  readonly expressions: readonly Expression[];
}

/** A reduction value of each category that has one. */
export interface ReductionValue {
  readonly clause: string;
  readonly of: { readonly [category in Category]?: number };
}

/** Actions of some categories that never act together with those of others. */
export interface Apart {
  readonly one: readonly Category[];
  readonly others: readonly Category[];
  readonly clause: string;
}

/** The rules of a standard by which cases are combined, as their file holds them. */
export interface RuleSet {
  readonly id: string;
  readonly title: string;
  readonly standard: string;
  /** Categories under a name of their own. */
  readonly lists: ReadonlyMap<string, readonly string[]>;
  readonly values: { readonly [symbol: string]: ReductionValue };
  readonly apart: readonly Apart[];
  readonly situations: readonly Situation[];
}
