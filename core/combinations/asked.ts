import type { LimitState } from '../model/categories';
import type { Combining, Model } from '../model/model';
import { differenceOf, isDifferent, type Difference } from './generate/difference';
import { generated, type Generated } from './generate/generate';
import type { RuleSet } from './rules/rule-set';

/** What rules ask for, beside what a model has. */
export interface Answer {
  readonly rules: RuleSet;
  readonly combining: Combining;
  readonly made: Generated;
  /** Where not too many are asked for. */
  readonly difference?: Difference;
  readonly isDifferent: boolean;
}

type Combined = Pick<Model, 'cases' | 'actions' | 'combinations'>;

/** What a way to combine asks for; nothing where its set of rules is not among those that are known. */
export function answerOf(model: Combined, combining: Combining, known: readonly RuleSet[]): Answer | undefined {
  const rules = known.find(({ id }) => id === combining.rules);
  if (!rules) return undefined;
  const { situations, permanent } = combining;
  const made = generated(model, { rules, ...(situations && { situations }), ...(permanent && { permanent }) });
  if (made.isTooMany) return { rules, combining, made, isDifferent: true };
  const difference = differenceOf(model, rules.id, made.lines);
  return { rules, combining, made, difference, isDifferent: isDifferent(difference) };
}

/** The limit states for which a set of rules has situations. */
export const limitStatesOf = ({ situations }: RuleSet): readonly LimitState[] => [
  ...new Set(situations.map(({ limitState }) => limitState)),
];

/** The limit states that are asked for. */
export const limitStatesIn = (rules: RuleSet, { situations }: Combining): readonly LimitState[] =>
  limitStatesOf({ ...rules, situations: rules.situations.filter(({ id }) => situations?.includes(id) ?? true) });

/** The same, asked for these limit states only; all situations where it is for all of them. */
export function askedFor(rules: RuleSet, { situations: _, ...combining }: Combining, states: readonly LimitState[]): Combining {
  const some = rules.situations.filter(({ limitState }) => states.includes(limitState));
  return some.length === rules.situations.length ? combining : { ...combining, situations: some.map(({ id }) => id) };
}
