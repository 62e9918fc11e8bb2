import { displayOf } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import type { WidthOf } from '../paper/painter';
import type { ChapterName, ReportChapter, ReportPicture } from '@rigid-beam/core/model/report';
import type { ReportAsked, Writing } from './asked';
import { heading, words, type Block } from './blocks';
import { ownWords } from './own-words';
import { checks } from './chapters/checks';
import { combinations } from './chapters/combinations';
import { loads } from './chapters/loads';
import { members } from './chapters/members';
import { model as modelFile } from './chapters/model';
import { results } from './chapters/results';
import { sections } from './chapters/sections';
import { structure } from './chapters/structure';
import { workings } from './chapters/workings';
import { reportWords as WORDS } from './words';

/** What each chapter says. A new one is entered here and under `chapterNames`, with its words. */
const CHAPTERS: Readonly<Record<Exclude<ChapterName, 'members'>, (writing: Writing) => Block[]>> = {
  structure,
  sections,
  loads,
  combinations,
  results,
  checks,
  workings,
  model: modelFile,
};

/** A report, whatever file it is put into. */
export interface Report {
  readonly title: string;
  readonly facts: readonly (readonly [name: string, value: string])[];
  readonly blocks: readonly Block[];
}

/** A calculation report of a model, or why there is none, in words. `told` hears what is being drawn, which takes the most time. */
export function reportOf(
  model: Model,
  solution: Solution | undefined,
  asked: ReportAsked,
  widthOf: WidthOf,
  told?: (what: string) => void,
): Report | string {
  const known = solution?.outcomes.map(({ id }) => id);
  const unknown = asked.outcomes.find((id) => known && !known.includes(id));
  if (unknown !== undefined) return WORDS.notThere(unknown, known!.join(', '));
  const writing: Writing = { model, solution, asked, display: displayOf(model), widthOf, told };
  const { project, number, date, revision } = asked.said;
  const facts = [
    [WORDS.facts.project, project],
    [WORDS.facts.number, number],
    [WORDS.facts.date, date],
    [WORDS.facts.revision, revision],
    [WORDS.facts.madeWith, 'Rigid Beam'],
  ] as const;
  const blocks: Block[] = [];
  for (const one of asked.chapters) {
    const said = chapterOf(one, writing);
    if (typeof said === 'string') return said;
    blocks.push(...said);
  }
  return {
    title: model.title || WORDS.title,
    facts: facts.flatMap(([name, value]) => (value ? [[name, value] as const] : [])),
    blocks,
  };
}

/** Whether a picture is one that paper takes; in the place of one that could not be read from where it is stored stands another kind. */
const isPainted = ({ image }: ReportPicture): boolean => /^data:image\/(png|jpeg);base64,/u.test(image);

/** How a chapter is headed. */
export const chapterTitle = (one: ReportChapter): string =>
  one.chapter === 'text' ? one.title?.trim() || WORDS.ownChapter : WORDS.chapters[one.chapter];

function chapterOf(one: ReportChapter, writing: Writing): readonly Block[] | string {
  const title = heading(1, chapterTitle(one));
  if (one.chapter !== 'text' && one.chapter !== 'members') return [title, ...CHAPTERS[one.chapter](writing)];
  const said = one.chapter === 'text' ? ownWords(one.text ?? '', writing) : members(writing, one.members);
  if (typeof said === 'string') return WORDS.inChapter(chapterTitle(one), said);
  const pictures = one.chapter === 'text' ? (one.pictures ?? []) : [];
  return [
    title,
    ...said,
    ...pictures.map((image): Block => (isPainted(image) ? { is: 'image', image } : words(WORDS.notToBeHad))),
  ];
}
