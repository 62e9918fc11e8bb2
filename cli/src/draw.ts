import { readFile, writeFile } from 'node:fs/promises';
import { solve } from '@rigid-beam/core/analysis/session';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { paperKinds, type Said, type SheetAsked } from '@rigid-beam/drawing/paper/asked';
import { paperFile } from '@rigid-beam/drawing/paper/files';
import { readRatio } from '@rigid-beam/drawing/paper/ratios';
import { sheetsOf } from '@rigid-beam/drawing/paper/sheets';
import type { Paper, PaperWay } from '@rigid-beam/drawing/paper/sizes';
import { acts, projectionOf, subjectOf, viewOfSubject, type Subject } from '@rigid-beam/drawing/paper/subjects';
import type { Look } from '@rigid-beam/drawing/projection';
import type { View } from '@rigid-beam/drawing/view';
import { initWasm } from '@resvg/resvg-wasm';
import { exitCodes } from './exit-codes';
import { packages, readFamily } from './family';
import { printNotices, readInput } from './input';

/** What is said of a project, as options. */
export interface SaidOptions {
  readonly project?: string;
  readonly number?: string;
  readonly date?: string;
  readonly revision?: string;
}
export const saidOf = ({ project, number, date, revision }: SaidOptions): Said => ({
  ...(project !== undefined && { project }),
  ...(number !== undefined && { number }),
  ...(date !== undefined && { date }),
  ...(revision !== undefined && { revision }),
});

export interface DrawOptions extends SaidOptions {
  readonly case?: string;
  readonly quantity: string;
  readonly look: Look;
  readonly paper: Paper;
  readonly way: PaperWay;
  readonly scale?: string;
  readonly black?: true;
  readonly dots: number;
  readonly output: string;
}

/** Draws a model or its results on paper, to scale: of several cases or quantities a sheet each, as the pages of a PDF. */
export async function draw(file: string, options: DrawOptions): Promise<number> {
  const fail = (words: string): number => {
    console.error(`Fault: ${words}`);
    return exitCodes.invalid;
  };
  const kind = paperKinds.find((one) => options.output.toLowerCase().endsWith(`.${one}`));
  if (!kind) return fail(`“${options.output}” is no drawing: name it .pdf, .svg, .png or .dxf.`);
  const ratio = options.scale === undefined ? undefined : readRatio(options.scale);
  if (typeof ratio === 'string') return fail(ratio);
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const subjects: Subject[] = [];
  for (const text of options.quantity.split(',')) {
    const subject = subjectOf(text.trim(), model);
    if (typeof subject !== 'string') return fail(subject.refused);
    subjects.push(subject);
  }
  const results = resultsWithShear(solve(model), model);
  if (!results.solution && subjects.some(acts)) {
    printNotices(results.notices);
    return exitCodes[results.status];
  }
  const views = viewsOf(model, results.solution, subjects, options);
  if (typeof views === 'string') return fail(views);
  if (views.length > 1 && kind !== 'pdf') return fail(`${views.length} sheets are pages of one file: name it .pdf.`);
  const family = await readFamily();
  const { paper, way, black } = options;
  const asked: Omit<SheetAsked, 'place'> = {
    ...{ paper, way, inks: black ? 'black' : 'colour', said: saidOf(options) },
    ...(ratio !== undefined && { ratio }),
  };
  const sheets = sheetsOf(model, results.solution, views, asked, family.widthOf);
  if (typeof sheets === 'string') return fail(sheets);
  sheets.forEach(({ figure: { leftOut } }, i) => {
    if (leftOut > 0)
      console.error(`Note: on sheet ${i + 1} no room was found for ${leftOut} of its texts. A larger scale has more.`);
  });
  const how = { family, title: model.title, dots: options.dots, ready: readyForPictures };
  try {
    const made = await paperFile(kind, sheets, 0, how);
    if (typeof made === 'string') return fail(made);
    await writeFile(options.output, made.parts);
  } catch (error) {
    return fail(`The drawing could not be written: ${(error as Error).message}.`);
  }
  return 0;
}

const readyForPictures = async (): Promise<void> => initWasm(await readFile(packages.resolve('@resvg/resvg-wasm/index_bg.wasm')));

/** A view for each subject, and where it depends on what acts for each of the cases and combinations that are asked for. */
function viewsOf(
  model: Model,
  solution: Solution | undefined,
  subjects: readonly Subject[],
  options: DrawOptions,
): View[] | string {
  const { case: wanted, look } = options;
  const ids = solution?.outcomes.map(({ id }) => id) ?? [];
  const asked = wanted === undefined ? ids.slice(0, 1) : wanted.split(',').map((id) => id.trim());
  const unknown = asked.find((id) => !ids.includes(id));
  if (solution && unknown !== undefined) return `There is no case or combination “${unknown}”. There are: ${ids.join(', ')}.`;
  const views: View[] = [];
  for (const subject of subjects)
    for (const outcome of acts(subject) ? asked.map((id) => ids.indexOf(id)) : [-1]) {
      const view = viewOfSubject(model, solution, { subject, outcome, projection: projectionOf(model, look) });
      if (typeof view === 'string') return view;
      views.push(view);
    }
  return views;
}
