import { writeFile } from 'node:fs/promises';
import { solve } from '@rigid-beam/core/analysis/session';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import { isQuantity, subjectOf } from '@rigid-beam/drawing/paper/subjects';
import type { Look } from '@rigid-beam/drawing/projection';
import type { Model } from '@rigid-beam/core/model/model';
import { chapterNames, type ReportChapter } from '@rigid-beam/core/model/report';
import { chaptersOf, firstOutcomes, firstQuantities } from '@rigid-beam/drawing/report/asked';
import { htmlReport } from '@rigid-beam/drawing/report/html-report';
import { pdfReport } from '@rigid-beam/drawing/report/pdf-report';
import { chapterTitle, reportOf } from '@rigid-beam/drawing/report/report';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { saidOf, type SaidOptions } from './draw';
import { exitCodes } from './exit-codes';
import { readFamily } from './family';
import { printNotices, readInput } from './input';

export interface ReportOptions extends SaidOptions {
  readonly case?: string;
  readonly quantity?: string;
  readonly chapters?: string;
  readonly look: Look;
  readonly black?: true;
  readonly output: string;
}

const listed = (text: string): string[] => text.split(',').map((one) => one.trim());

/** Writes a calculation report of a model, as PDF or as HTML. */
export async function report(file: string, options: ReportOptions): Promise<number> {
  const fail = (words: string): number => {
    console.error(`Fault: ${words}`);
    return exitCodes.invalid;
  };
  const kind = (['pdf', 'html'] as const).find((one) => options.output.toLowerCase().endsWith(`.${one}`));
  if (!kind) return fail(`“${options.output}” is no report: name it .pdf or .html.`);
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const chapters = chaptersAsked(model, options.chapters);
  if (typeof chapters === 'string') return fail(chapters);
  const quantities: SheetQuantity[] = [];
  for (const text of options.quantity === undefined ? firstQuantities(model.space) : listed(options.quantity)) {
    const subject = subjectOf(text, model);
    if (typeof subject !== 'string') return fail(subject.refused);
    if (!isQuantity(subject)) return fail(`“${text}” is no quantity: the chapters draw it where it belongs.`);
    quantities.push(subject);
  }
  const results = resultsWithShear(solve(model), model);
  if (!results.solution) printNotices(results.notices);
  const family = await readFamily();
  const asked = {
    chapters,
    outcomes: options.case === undefined ? firstOutcomes(model) : listed(options.case),
    ...{ quantities, look: options.look, said: saidOf(options) },
    inks: options.black ? ('black' as const) : ('colour' as const),
  };
  const made = reportOf(model, results.solution, asked, family.widthOf);
  if (typeof made === 'string') return fail(made);
  try {
    await writeFile(options.output, kind === 'pdf' ? await pdfReport(made, family) : htmlReport(made, family));
  } catch (error) {
    return fail(`The report could not be written: ${(error as Error).message}.`);
  }
  return 0;
}

/** The chapters by their names, those in the model's own words by their titles; all that the model's report has where none are said. */
function chaptersAsked(model: Pick<Model, 'report'>, said: string | undefined): readonly ReportChapter[] | string {
  if (said === undefined) return chaptersOf(model);
  const own = chaptersOf(model).filter(({ chapter }) => chapter === 'text');
  const all = [...chapterNames.map((chapter): ReportChapter => ({ chapter })), ...own];
  const nameOf = (one: ReportChapter): string => (one.chapter === 'text' ? chapterTitle(one) : one.chapter);
  const chapters: ReportChapter[] = [];
  for (const name of listed(said)) {
    const found = all.find((one) => nameOf(one).toLowerCase() === name.toLowerCase());
    if (!found) return `There is no chapter “${name}”. There are: ${all.map(nameOf).join(', ')}.`;
    chapters.push(found);
  }
  return chapters;
}
