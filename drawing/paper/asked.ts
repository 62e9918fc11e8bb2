import type { Paper, PaperWay } from './sizes';

/** Colours of paper, or black lines whose weights and hatches tell what colours would. */
export const paperInks = ['colour', 'black'] as const;
export type PaperInks = (typeof paperInks)[number];

/** What kinds of file sheets are put into. */
export const paperKinds = ['pdf', 'svg', 'png', 'dxf'] as const;
export type PaperKind = (typeof paperKinds)[number];

/** What the user says of a sheet: nothing of it is taken from the clock. */
export interface Said {
  readonly project?: string;
  readonly number?: string;
  readonly date?: string;
  readonly revision?: string;
}

/** Of options or a query what is said. */
export const saidOf = ({ project, number, date, revision }: { readonly [K in keyof Said]?: Said[K] | undefined }): Said => ({
  ...(project !== undefined && { project }),
  ...(number !== undefined && { number }),
  ...(date !== undefined && { date }),
  ...(revision !== undefined && { revision }),
});

/** How a view is put on paper. */
export interface SheetAsked {
  readonly paper: Paper;
  readonly way: PaperWay;
  /** 1 to so many; without it the largest of the usual ones at which all of the drawing fits. */
  readonly ratio?: number;
  readonly inks: PaperInks;
  readonly said: Said;
  /** Which of how many sheets it is. */
  readonly place: { readonly number: number; readonly count: number };
}
