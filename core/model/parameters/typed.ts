import type { DimensionName } from '../../quantities/dimension';
import { namesIn, type Scope } from '../../quantities/expression';
import { parseQuantity } from '../../quantities/parse';

/** What was typed for a number: its value in SI, and where parameters are mentioned the expression that is to be kept. */
export type Typed =
  | { readonly ok: true; readonly value: number; readonly kept?: string }
  | { readonly ok: false; readonly reason: string };

export const mentionsAny = (text: string, scope: Scope): boolean => namesIn(text, (word) => scope.has(word)).length > 0;

/** An expression with the unit that it has where it stands; none where it has one of its own. */
export const keptText = (text: string, unit: string): string => (unit === '' ? text.trim() : `(${text.trim()}) ${unit}`);

/**
 * Reads what was typed where a number of this dimension stands, in this unit where none is written. What is kept means the same wherever
 * it is read: a number without a unit takes that of the field along.
 */
export function readTyped(text: string, dimension: DimensionName, unit: string, scope: Scope): Typed {
  const parsed = parseQuantity(text, dimension, unit === '' ? undefined : unit, scope);
  if (!parsed.ok || !mentionsAny(text, scope)) return parsed;
  return { ok: true, value: parsed.value, kept: keptText(text, parsed.hasUnit ? '' : unit) };
}
