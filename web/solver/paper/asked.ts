import type { Solution } from '@rigid-beam/core/results/results';
import type { PaperKind, SheetAsked } from '@rigid-beam/drawing/paper/asked';
import type { Subject } from '@rigid-beam/drawing/paper/subjects';
import type { ReportAsked } from '@rigid-beam/drawing/report/asked';
import type { View } from '@rigid-beam/drawing/view';

/** What is on a sheet: a view as it is on the screen, or something by its name as a certain outcome has it, seen from where the screen does. */
export type OnSheet =
  | { readonly is: 'view'; readonly view: View }
  | { readonly is: 'subject'; readonly subject: Subject; readonly outcome: number };

export interface PaperAsked {
  readonly sheets: readonly OnSheet[];
  readonly projection: View['projection'];
  readonly asked: Omit<SheetAsked, 'place'>;
  /** A PDF has all sheets, whatever else only the one at this place; a preview is a picture of it. */
  readonly as: PaperKind | 'preview';
  readonly at: number;
  /** Of a picture, to an inch. */
  readonly dots: number;
  /** The fibres of its members, where shear on them is known, which is not found there. */
  readonly sheared: Solution['fibres'] | undefined;
}

export type PaperFound =
  | { readonly refused: string }
  | { readonly content: Blob; readonly ratio: number; readonly leftOut: number };

/** A calculation report, as a file, or one of its pages as a picture. */
export interface ReportWanted {
  readonly asked: Omit<ReportAsked, 'look'>;
  readonly as: 'pdf' | 'html' | 'preview';
  /** The page that is looked at, from 0, or the one on which a chapter begins, by its place among the chapters. */
  readonly at: number | { readonly chapter: number };
  readonly sheared: Solution['fibres'] | undefined;
}

export type ReportFound =
  | { readonly refused: string }
  | {
      readonly content: Blob;
      readonly pages: number;
      /** The page that is looked at, from 0. */
      readonly page: number;
    };
