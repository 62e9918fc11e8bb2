import { writeFile } from 'node:fs/promises';
import { solve } from '@rigid-beam/core/analysis/session';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import { isQuantity, subjectOf } from '@rigid-beam/drawing/paper/subjects';
import type { Look } from '@rigid-beam/drawing/projection';
import { chapterNames, firstChapters, firstOutcomes, firstQuantities, type ChapterName } from '@rigid-beam/drawing/report/asked';
import { htmlReport } from '@rigid-beam/drawing/report/html-report';
import { pdfReport } from '@rigid-beam/drawing/report/pdf-report';
import { reportOf } from '@rigid-beam/drawing/report/report';
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
  const chapters = options.chapters === undefined ? firstChapters : listed(options.chapters);
  const unknown = chapters.find((name) => !(chapterNames as readonly string[]).includes(name));
  if (unknown !== undefined) return fail(`There is no chapter “${unknown}”. There are: ${chapterNames.join(', ')}.`);
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
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
    chapters: chapters as readonly ChapterName[],
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
