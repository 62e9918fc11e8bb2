/** The chapters that a calculation report can have, in their usual order. */
export const chapterNames = [
  'structure',
  'sections',
  'loads',
  'combinations',
  'results',
  'members',
  'checks',
  'workings',
  'model',
] as const;
export type ChapterName = (typeof chapterNames)[number];

/** Letters of a chapter in the user's own words, and chapters of a report. */
export const CHAPTER_LETTERS = 20_000;
export const MOST_CHAPTERS = 60;
/** Pictures of one chapter. */
export const MOST_PICTURES = 10;

/** A picture of the user's own (PNG or JPEG as `data:` address) with its size in pixels, and what stands under it. */
export interface ReportPicture {
  readonly image: string;
  readonly width: number;
  readonly height: number;
  readonly caption?: string;
}

/** A chapter of a report: one by its name, or one in the user's own words, with fields for numbers (`docs/model-format.md`). */
export type ReportChapter =
  | { readonly chapter: Exclude<ChapterName, 'members'> }
  /** Members read closely: these, or those in which something governs. */
  | { readonly chapter: 'members'; readonly members?: readonly string[] }
  | { readonly chapter: 'text'; readonly title?: string; readonly text?: string; readonly pictures?: readonly ReportPicture[] };

/** What the report of a model says, in its order. */
export interface ReportSettings {
  readonly chapters: readonly ReportChapter[];
}
