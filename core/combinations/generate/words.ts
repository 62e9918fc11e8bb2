import { GENERATED_LINES } from '../../limits';
import { categoryOf } from '../../model/categories';
import type { Action } from '../actions';
import type { RuleSet } from '../rules/rule-set';
import type { Generated } from './generate';

const count = (n: number): string => (n < 1e15 ? n.toLocaleString('en-GB') : 'more than 10¹⁵');

/** Why nothing was made: how many lines it would be, and what makes the most. */
export function tooManyWords({ count: all, by }: Generated & { readonly isTooMany: true }): string {
  const [most] = by;
  const of = most ? `; ${count(most.count)} of them by ${most.situation.title.toLowerCase()} (${most.clause})` : '';
  return `These rules would make ${count(all)} combinations${of}. At most ${count(GENERATED_LINES)} are made: group cases that take turns or act only together, or choose fewer situations.`;
}

/** Of actions that stand in no line, since the rules say nothing of their kind. */
export const untoldWords = ({ title }: RuleSet, untold: readonly Action[]): string[] =>
  untold.map(
    ({ id, category }) =>
      `${title} says nothing here of ${categoryOf(category).title.toLowerCase()}: ${id} stands in no combination.`,
  );
