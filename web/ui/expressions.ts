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
  /** Makes an edit; why it was refused, where it was: the field that made it says so, and nobody else. */
  readonly refusedBy: (edit: () => void) => string | undefined;
}

const NONE: Expressions = {
  scope: new Map(),
  textAt: () => undefined,
  express: () => undefined,
  refusedBy: (edit) => void edit(),
};
export const ExpressionsContext = createContext<Expressions>(NONE);
