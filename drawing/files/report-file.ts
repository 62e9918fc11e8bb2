import { solve } from '@rigid-beam/core/analysis/session';
import type { MadeFile, Refusal } from '@rigid-beam/core/formats/made-file';
import type { Model } from '@rigid-beam/core/model/model';
import { chapterNames, type ReportChapter } from '@rigid-beam/core/model/report';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import type { PaperInks, Said } from '../paper/asked';
import { isQuantity, subjectOf } from '../paper/subjects';
import type { Look } from '../projection';
import { chaptersOf, firstOutcomes, firstQuantities } from '../report/asked';
import { htmlReport } from '../report/html-report';
import { pdfReport } from '../report/pdf-report';
import { chapterTitle, reportOf } from '../report/report';
import type { SheetQuantity } from '../view';
import { listed, type Tools } from './tools';
import { fileWords as WORDS } from './words';

export const reportKinds = ['pdf', 'html'] as const;
export type ReportKind = (typeof reportKinds)[number];

/** A report as somebody asks for it, in words: what is not said is as the model has it. */
export interface TypedReport {
  readonly kind: ReportKind;
  /** Their names in their order, cases and combinations, and symbols of quantities, with commas between several. */
  readonly chapters?: string | undefined;
  readonly cases?: string | undefined;
  readonly quantities?: string | undefined;
  readonly look: Look;
  readonly inks: PaperInks;
  readonly said: Said;
}

const MEDIA: Readonly<Record<ReportKind, string>> = { pdf: 'application/pdf', html: 'text/html; charset=utf-8' };

/** A calculation report of a model. One that cannot be solved is reported without results, and its notes say why. */
export async function reportFile(model: Model, asked: TypedReport, tools: Tools): Promise<MadeFile | Refusal> {
  const { kind, look, inks, said } = asked;
  const chapters = chaptersAsked(model, asked.chapters);
  if (typeof chapters === 'string') return { words: chapters };
  const quantities: SheetQuantity[] = [];
  for (const text of asked.quantities === undefined ? firstQuantities(model.space) : listed(asked.quantities)) {
    const subject = subjectOf(text, model);
    if (typeof subject !== 'string') return { words: subject.refused };
    if (!isQuantity(subject)) return { words: WORDS.noQuantity(text) };
    quantities.push(subject);
  }
  tools.told?.('solving');
  const results = resultsWithShear(solve(model), model);
  tools.told?.('drawing');
  const family = await tools.family();
  const outcomes = asked.cases === undefined ? firstOutcomes(model) : listed(asked.cases);
  const report = reportOf(model, results.solution, { chapters, outcomes, quantities, look, said, inks }, family.widthOf);
  if (typeof report === 'string') return { words: report };
  tools.told?.('writing');
  const notes = results.solution ? [] : results.notices.map(({ message }) => message);
  const parts = kind === 'pdf' ? await pdfReport(report, family) : htmlReport(report, family);
  return { mediaType: MEDIA[kind], extension: `.${kind}`, parts, notes };
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
    if (!found) return WORDS.noChapter(name, all.map(nameOf).join(', '));
    chapters.push(found);
  }
  return chapters;
}
