import { chapterNames, type ReportChapter } from '@rigid-beam/core/model/report';
import { chaptersOf } from '@rigid-beam/drawing/report/asked';
import { chapterTitle } from '@rigid-beam/drawing/report/report';
import { useEditor, useEditorState } from '../editor/use-editor';

/** A chapter in the list, under a key that is its own as long as the list stays. */
export interface ListedChapter {
  readonly key: string;
  readonly name: string;
  readonly chapter: ReportChapter;
}

/** Chapters with their keys: a name stands once, and those in one's own words are counted. */
export const listedChapters = (chapters: readonly ReportChapter[]): readonly ListedChapter[] =>
  chapters.map((chapter, i) => ({
    key: chapter.chapter === 'text' ? `text ${i}` : chapter.chapter,
    name: chapterTitle(chapter),
    chapter,
  }));

/** The chapters that are not in the report. */
export const chaptersLeft = (chapters: readonly ReportChapter[]): readonly ReportChapter[] =>
  chapterNames.filter((name) => !chapters.some(({ chapter }) => chapter === name)).map((chapter) => ({ chapter }));

/** The chapters of the model's report: they are part of the model, and a change of them is an edit like others. */
export function useChapters(): {
  readonly chapters: readonly ReportChapter[];
  readonly change: (chapters: readonly ReportChapter[]) => void;
} {
  const editor = useEditor();
  const report = useEditorState((state) => state.model.report);
  return {
    chapters: chaptersOf({ ...(report && { report }) }),
    change: (chapters) => void editor.edit({ type: 'set', settings: { report: { chapters } } }),
  };
}
