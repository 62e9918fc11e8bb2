import { writeFile } from 'node:fs/promises';
import { isRefusal } from '@rigid-beam/core/formats/made-file';
import { reportFile, reportKinds } from '@rigid-beam/drawing/files/report-file';
import { saidOf, type Said } from '@rigid-beam/drawing/paper/asked';
import type { Look } from '@rigid-beam/drawing/projection';
import { tools } from './draw';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { refused } from './refused';

export interface ReportOptions extends Said {
  readonly case?: string;
  readonly quantity?: string;
  readonly chapters?: string;
  readonly look: Look;
  readonly black?: true;
  readonly output: string;
}

/** Writes a calculation report of a model, as PDF or as HTML. */
export async function report(file: string, options: ReportOptions): Promise<number> {
  const { case: cases, quantity: quantities, chapters, look, black, output } = options;
  const kind = reportKinds.find((one) => output.toLowerCase().endsWith(`.${one}`));
  if (!kind) return refused({ words: `“${output}” is no report: name it .pdf or .html.` });
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  try {
    const asked = { kind, chapters, cases, quantities, look, said: saidOf(options) };
    const made = await reportFile(model, { ...asked, inks: black ? 'black' : 'colour' }, tools);
    if (isRefusal(made)) return refused(made);
    for (const note of made.notes) console.error(`Note: ${note}`);
    await writeFile(output, made.parts);
  } catch (error) {
    return refused({ words: `The report could not be written: ${(error as Error).message}.` });
  }
  return 0;
}
