import { solve } from '@rigid-beam/core/analysis/session';
import { unsolved, type MadeFile, type Refusal } from '@rigid-beam/core/formats/made-file';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { resultsWithShear } from '@rigid-beam/core/results/with-shear';
import type { PaperInks, PaperKind, Said, SheetAsked } from '../paper/asked';
import { paperFile } from '../paper/files';
import { readRatio } from '../paper/ratios';
import { sheetsOf } from '../paper/sheets';
import type { Paper, PaperWay } from '../paper/sizes';
import { acts, isQuantity, projectionOf, subjectOf, viewOfSubject, type Subject } from '../paper/subjects';
import type { Look } from '../projection';
import type { View } from '../view';
import { listed, type Tools } from './tools';
import { fileWords as WORDS } from './words';

/** A drawing as somebody asks for it, in words. */
export interface DrawingAsked {
  readonly kind: PaperKind;
  /** What to draw, and of which cases and combinations, with commas between several. */
  readonly quantities: string;
  readonly cases?: string | undefined;
  readonly look: Look;
  readonly paper: Paper;
  readonly way: PaperWay;
  /** Such as 1:50; else the largest usual one at which all of it fits. */
  readonly scale?: string | undefined;
  readonly inks: PaperInks;
  readonly said: Said;
  /** Of a picture, to an inch. */
  readonly dots: number;
}

/** A model or its results on paper, to scale: of several cases or quantities a sheet each, as the pages of a PDF. */
export async function drawingFile(model: Model, asked: DrawingAsked, tools: Tools): Promise<MadeFile | Refusal> {
  const { kind, paper, way, inks, said, dots } = asked;
  const ratio = asked.scale === undefined ? undefined : readRatio(asked.scale);
  if (typeof ratio === 'string') return { words: ratio };
  const subjects: Subject[] = [];
  for (const text of listed(asked.quantities)) {
    const subject = subjectOf(text, model);
    if (typeof subject !== 'string') return { words: subject.refused };
    subjects.push(subject);
  }
  tools.told?.('solving');
  const results = resultsWithShear(solve(model), model, subjects.filter(isQuantity));
  if (!results.solution && subjects.some(acts)) return unsolved(results);
  tools.told?.('drawing');
  const views = viewsOf(model, results.solution, subjects, asked);
  if (typeof views === 'string') return { words: views };
  if (views.length > 1 && kind !== 'pdf') return { words: WORDS.pagesOfOne(views.length) };
  const family = await tools.family();
  const sheet: Omit<SheetAsked, 'place'> = { paper, way, inks, said, ...(ratio !== undefined && { ratio }) };
  const sheets = sheetsOf(model, results.solution, views, sheet, family.widthOf);
  if (typeof sheets === 'string') return { words: sheets };
  const notes = sheets.flatMap(({ figure: { leftOut } }, i) => (leftOut > 0 ? [WORDS.leftOut(i + 1, leftOut)] : []));
  tools.told?.('writing');
  const made = await paperFile(kind, sheets, 0, { family, title: model.title, dots, ready: tools.ready });
  return typeof made === 'string' ? { words: made } : { ...made, extension: `.${kind}`, notes };
}

/** A view for each subject, and where it depends on what acts for each of the cases and combinations that are asked for. */
function viewsOf(
  model: Model,
  solution: Solution | undefined,
  subjects: readonly Subject[],
  { cases, look }: DrawingAsked,
): View[] | string {
  const ids = solution?.outcomes.map(({ id }) => id) ?? [];
  const asked = cases === undefined ? ids.slice(0, 1) : listed(cases);
  const unknown = asked.find((id) => !ids.includes(id));
  if (solution && unknown !== undefined) return WORDS.noOutcome(unknown, ids.join(', '));
  const views: View[] = [];
  for (const subject of subjects)
    for (const outcome of acts(subject) ? asked.map((id) => ids.indexOf(id)) : [-1]) {
      const view = viewOfSubject(model, solution, { subject, outcome, projection: projectionOf(model, look) });
      if (typeof view === 'string') return view;
      views.push(view);
    }
  return views;
}
