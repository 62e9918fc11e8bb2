import { AnalysisSession } from '../analysis/session';
import { applyIntent } from '../model/edits/apply-intent';
import type { Model, Parameter } from '../model/model';
import { parameterPlace } from '../model/parameters/evaluate';
import { stepOfRange, type Range } from '../model/parameters/range';
import { setting } from '../model/parameters/set-parameters';
import type { Measure } from './measure';
import { neededFor } from './needed-for';
import { study as WORDS } from './words';

/** What is gone through: values of a parameter, for each of those of a second one where there is one, in an outcome by its id. */
export interface Study {
  readonly parameter: string;
  readonly values: readonly number[];
  readonly family?: { readonly parameter: string; readonly values: readonly number[] };
  readonly measures: readonly Measure[];
  readonly outcome: string;
}

/** What came of one step: values in SI, each undefined where there is none; `why` there is none at all. */
export interface StudyPoint {
  readonly at: number;
  readonly family?: number;
  readonly values: readonly (number | undefined)[];
  readonly why?: string;
}

/** Steps of one study. */
export const MOST_STEPS = 2000;

/** The values of a range, both ends among them. */
export function valuesOver(range: Range, about = 40): number[] {
  const step = stepOfRange(range, about);
  const count = Math.floor((range.to - range.from) / step + 1e-9);
  // Bounded before anything is made of it; whoever asks is told that it is too much.
  const values = Array.from({ length: Math.min(count, MOST_STEPS) + 1 }, (_, i) =>
    Number((range.from + i * step).toPrecision(12)),
  );
  if (values.at(-1)! < range.to - 1e-9 * Math.abs(step)) values.push(range.to);
  return values;
}

/** Why a study cannot be made of the model; undefined where it can. */
export function studyRefused(model: Model, { parameter, values, family, measures, outcome }: Study): string | undefined {
  const parameters = model.parameters ?? [];
  for (const name of [parameter, ...(family ? [family.parameter] : [])]) {
    if (parameters.every(({ id }) => id !== name)) return WORDS.noParameter(name, parameters.map(({ id }) => id).join(', '));
    if (model.formulas?.some(({ of }) => of === parameterPlace(name))) return WORDS.given(name);
  }
  const outcomes = [...model.cases, ...model.combinations];
  const acting = outcomes.find(({ id }) => id === outcome);
  if (!acting) return WORDS.noOutcome(outcome, outcomes.map(({ id }) => id).join(', '));
  if (measures.some(({ needsBuckling }) => needsBuckling) && 'type' in acting && acting.type === 'envelope') return WORDS.ofOne;
  const steps = values.length * (family?.values.length ?? 1);
  return steps > MOST_STEPS ? WORDS.tooMany(MOST_STEPS) : undefined;
}

/** Goes through a study step by step: the model follows the parameters and is solved anew each time. Whoever asks may stop between two steps. */
export function* studied(model: Model, study: Study): Generator<StudyPoint> {
  const solver = new Stepper(model, study);
  try {
    for (const family of study.family?.values ?? [undefined])
      for (const at of study.values) yield { at, ...(family !== undefined && { family }), ...solver.at(at, family) };
  } finally {
    solver.close();
  }
}

/** Solves a model with other values of its parameters, one after the other; what a step leaves as it was is not done again. */
export class Stepper {
  private readonly session = new AnalysisSession();
  private readonly model: Model;
  constructor(
    model: Model,
    private readonly study: Omit<Study, 'values'>,
  ) {
    const { buckling: _, ...analysis } = model.analysis ?? {};
    const buckles = study.measures.some(({ needsBuckling }) => needsBuckling);
    this.model = { ...model, analysis: { ...analysis, ...(buckles && { buckling: { of: [study.outcome], modes: 1 } }) } };
  }

  at(value: number, family?: number): Pick<StudyPoint, 'values' | 'why'> {
    const { parameter, family: second, measures, outcome } = this.study;
    const none = measures.map(() => undefined);
    let { model } = this;
    for (const [name, to] of [
      [second?.parameter, family],
      [parameter, value],
    ] as const) {
      const own = model.parameters?.find(({ id }) => id === name);
      if (own === undefined || to === undefined) continue;
      const applied = applyIntent(model, setting(model, within(own, to), to));
      if (!applied.ok) return { values: none, why: applied.faults[0]!.message };
      model = applied.model;
    }
    const { solution, notices, mechanisms } = this.session.update(neededFor(model, outcome), { notes: 'unread' }).now;
    if (!solution)
      return {
        values: none,
        why:
          notices.find(({ severity }) => severity === 'error')?.message ??
          (mechanisms.length > 0 ? WORDS.unstable : WORDS.unread),
      };
    const index = solution.outcomes.findIndex(({ id }) => id === outcome);
    if (index < 0) return { values: none, why: WORDS.unread };
    const read = measures.map((one) => one.read({ model, solution, outcome: index }) ?? { reason: WORDS.unread });
    const lacking = read.find((one) => typeof one !== 'number');
    return {
      values: read.map((one) => (typeof one === 'number' ? one : undefined)),
      ...(lacking !== undefined && { why: lacking.reason }),
    };
  }

  close(): void {
    this.session.close();
  }
}

/** A study may go beyond the range that a slider has. */
const within = (one: Parameter, value: number): Parameter => ({
  ...one,
  ...(one.from !== undefined && { from: Math.min(one.from, value) }),
  ...(one.to !== undefined && { to: Math.max(one.to, value) }),
});
