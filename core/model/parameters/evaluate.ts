import { dimensions, dimensionWords, sameDimension, type Dimension } from '../../quantities/dimension';
import { namesIn, readExpression, type Scope } from '../../quantities/expression';
import type { Measured } from '../../quantities/functions';
import { ParseFault } from '../../quantities/parse-fault';
import type { Formula, Parameter } from '../model';
import { placeText, type PlaceKind } from './place';

/** What of a parameter can be given by an expression. */
export const parameterPlace = (id: string): string => placeText('parameters', id, 'value');

/** A number that an expression gives, or why it gives none. */
export type Given = { readonly value: number } | { readonly reason: string };

/** What parameters stand for, and of those that stand for nothing why not. */
export interface Named {
  readonly scope: Scope;
  readonly reasons: ReadonlyMap<string, string>;
}

/** The dimension of a parameter by its unit; a plain number has none. Undefined where the unit is none. */
export function dimensionOfUnit(unit: string | undefined): Dimension | undefined {
  if (unit === undefined || unit === '') return dimensions.number;
  try {
    const { dimension, hasUnit } = readExpression(unit);
    return hasUnit ? dimension : undefined;
  } catch (fault) {
    if (fault instanceof ParseFault) return undefined;
    throw fault;
  }
}

/** Reads parameters in an order in which each comes after those that it mentions; one that mentions itself in a circle is told, and those that hang on it. */
export function namedBy(parameters: readonly Parameter[], formulas: readonly Formula[]): Named {
  const byId = new Map(parameters.map((one) => [one.id, one]));
  const texts = new Map(formulas.map(({ of, is }) => [of, is]));
  const scope = new Map<string, Measured>();
  const reasons = new Map<string, string>();
  const open: string[] = [];
  const isName = (word: string): boolean => byId.has(word);

  const read = (id: string): void => {
    if (scope.has(id) || reasons.has(id)) return;
    if (open.includes(id)) {
      const circle = [...open.slice(open.indexOf(id)), id].join(' → ');
      for (const one of open.slice(open.indexOf(id))) reasons.set(one, `it depends on itself: ${circle}`);
      return;
    }
    const { unit, value } = byId.get(id)!;
    const dimension = dimensionOfUnit(unit);
    const text = texts.get(parameterPlace(id));
    if (!dimension) return void reasons.set(id, `“${unit}” is no unit`);
    if (text === undefined) return void scope.set(id, { value, dimension });
    open.push(id);
    const mentioned = new Set(namesIn(text, isName).map((token) => token.text));
    for (const name of mentioned) read(name);
    open.pop();
    if (reasons.has(id)) return;
    const lacking = [...mentioned].find((name) => !scope.has(name));
    const given = lacking === undefined ? evaluated(text, dimension, scope) : { reason: `“${lacking}” has no value` };
    if ('reason' in given) reasons.set(id, given.reason);
    else scope.set(id, { value: given.value, dimension });
  };
  for (const { id } of parameters) read(id);
  return { scope, reasons };
}

function evaluated(text: string, dimension: Dimension, scope: Scope): Given {
  try {
    const result = readExpression(text, scope);
    if (sameDimension(result.dimension, dimension)) return { value: result.value };
    return { reason: `its unit is not that of ${wordsOf(dimension)}` };
  } catch (fault) {
    if (fault instanceof ParseFault) return { reason: fault.message };
    throw fault;
  }
}

const wordsOf = (dimension: Dimension): string => {
  const name = (Object.keys(dimensions) as (keyof typeof dimensions)[]).find((one) => sameDimension(dimensions[one], dimension));
  return name ? dimensionWords[name] : 'what is asked for';
};

/** The number that an expression gives at a place, in the unit in which the file keeps it. */
export function given(text: string, { dimension, degrees }: PlaceKind, { scope, reasons }: Named): Given {
  const unread = reasons.size > 0 ? namesIn(text, (word) => reasons.has(word))[0] : undefined;
  if (unread) return { reason: `“${unread.text}” has no value: ${reasons.get(unread.text)}` };
  const read = evaluated(text, dimensions[dimension], scope);
  return degrees && 'value' in read ? { value: (read.value * 180) / Math.PI } : read;
}

/** Whether two numbers are the same but for what other programs round away. */
export const isSameNumber = (a: number, b: number): boolean =>
  a === b || Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b));
