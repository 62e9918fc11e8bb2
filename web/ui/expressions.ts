import type { Scope } from '@rigid-beam/core/quantities/expression';
import { createContext } from 'react';

/** What lets a field take expressions of the model’s parameters in place of a number, and keep what was typed. */
export interface Expressions {
  /** What names stand for now. */
  readonly scope: Scope;
  /** The expression that gives the number at a place of the model. */
  readonly textAt: (place: string) => string | undefined;
  /** Keeps an expression at a place; without one its number stays as it is. */
  readonly express: (place: string, text: string | undefined) => void;
}

const NONE: Expressions = { scope: new Map(), textAt: () => undefined, express: () => undefined };
export const ExpressionsContext = createContext<Expressions>(NONE);

/** An expression for the same number counted the other way. */
export const turnedRound = (text: string): string => {
  const inner = /^-\(([^()]*)\)$/.exec(text)?.[1] ?? /^-([\p{L}_][\p{L}\p{Nd}_]*)$/u.exec(text)?.[1];
  if (inner !== undefined) return inner;
  return /^[\p{L}_][\p{L}\p{Nd}_]*$/u.test(text) ? `-${text}` : `-(${text})`;
};
