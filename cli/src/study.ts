import { writeFileSync } from 'node:fs';
import type { Model } from '@rigid-beam/core/model/model';
import { readRange, type Range } from '@rigid-beam/core/model/parameters/range';
import { parseIn } from '@rigid-beam/core/quantities/parse';
import { fromUnit, showQuantity } from '@rigid-beam/core/quantities/show';
import { readMeasure, type Measure } from '@rigid-beam/core/study/measure';
import { sought } from '@rigid-beam/core/study/seek';
import { studied, studyRefused, valuesOver, type Study } from '@rigid-beam/core/study/study';
import { studyTable } from '@rigid-beam/core/study/study-table';
import { csvParts, type DecimalMark } from '@rigid-beam/core/tables/files/csv';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface StudyOptions {
  readonly parameter: readonly string[];
  readonly result: readonly string[];
  readonly case?: string;
  readonly output?: string;
  readonly decimal: DecimalMark;
}

export interface SeekOptions extends Pick<StudyOptions, 'case'> {
  readonly parameter: string;
  readonly result: string;
  readonly bound: string;
}

class Refusal extends Error {}
const refuse = (words: string): never => {
  throw new Refusal(words);
};

/** Prints what becomes of results while one parameter goes over its range, or two as a family of curves, as CSV. */
export const study = (file: string, options: StudyOptions): Promise<number> =>
  asked(file, async (model) => {
    const [first, second, third] = options.parameter.map((text) => rangeIn(text, model));
    if (!first || third) return refuse('Name one parameter, or two for a family of curves');
    const of: Study = {
      parameter: first.name,
      values: valuesOver(first.range),
      ...(second && { family: { parameter: second.name, values: valuesOver(second.range, 5) } }),
      measures: options.result.map((text) => measureIn(text, model)),
      outcome: options.case ?? firstOf(model),
    };
    const refused = studyRefused(model, of);
    if (refused !== undefined) return refuse(refused);
    const points = [...studied(model, of)];
    const parts = [...csvParts(studyTable(model, of, points), options.decimal)];
    if (options.output === undefined) await print(parts);
    else writeFileSync(options.output, parts.join(''));
    for (const { at, why } of points)
      if (why !== undefined) console.error(`Note: at ${first.name} = ${shown(model, first.name, at)} there is no result: ${why}`);
    return exitCodes.solved;
  });

/** Prints at which value of a parameter a result reaches a bound, and what was tried. */
export const seek = (file: string, options: SeekOptions): Promise<number> =>
  asked(file, async (model) => {
    const { name, range } = rangeIn(options.parameter, model);
    const measure = measureIn(options.result, model);
    const outcome = options.case ?? firstOf(model);
    const refused = studyRefused(model, { parameter: name, values: [range.from], measures: [measure], outcome });
    if (refused !== undefined) return refuse(refused);
    const bound = parseIn(options.bound, measure.unit);
    if (!bound.ok) return refuse(`${options.bound}: ${bound.reason}`);
    const { tried, found, why } = sought(model, {
      parameter: name,
      range,
      measure,
      outcome,
      bound: fromUnit(bound.value, measure.unit),
    });
    for (const { at, values } of tried)
      console.error(
        `Tried: ${name} = ${shown(model, name, at)}: ${values[0] === undefined ? 'no result' : showQuantity(values[0], measure.unit, 6)}`,
      );
    if (found === undefined) return refuse(why!);
    await print([`${name} = ${shown(model, name, found)}\n`]);
    return exitCodes.solved;
  });

async function asked(file: string, answer: (model: Model) => Promise<number>): Promise<number> {
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  try {
    return await answer(model);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    console.error(`Fault: ${error.message}.`);
    return exitCodes.invalid;
  }
}

/** `rise=2m..5m/0.25m`; the range that the model has where none is written. */
function rangeIn(text: string, model: Model): { name: string; range: Range } {
  const [name, ...rest] = text.split('=').map((part) => part.trim());
  const parameter = model.parameters?.find(({ id }) => id === name);
  if (!parameter)
    return refuse(
      `There is no parameter “${name}”: ${(model.parameters ?? []).map(({ id }) => id).join(', ') || 'the model has none'}`,
    );
  if (rest.length === 0) {
    const { from, to, step } = parameter;
    if (from === undefined || to === undefined) return refuse(`“${name}” has no range: write ${name}=2..5`);
    return { name: name!, range: { from, to, ...(step !== undefined && { step }) } };
  }
  const read = readRange(rest.join('='), parameter);
  return read.ok ? { name: name!, range: read.range } : refuse(`${text}: ${read.reason}`);
}

function measureIn(text: string, model: Model): Measure {
  const read = readMeasure(text, model);
  return 'reason' in read ? refuse(read.reason) : read;
}

const shown = (model: Model, name: string, value: number): string =>
  showQuantity(value, model.parameters!.find(({ id }) => id === name)!.unit ?? '', 7);

/** The first combination, or the first case where there are none. */
const firstOf = ({ cases, combinations }: Model): string => (combinations[0] ?? cases[0])?.id ?? '';
