import type { Model } from '@rigid-beam/core/model/model';
import { chapterNames, type ReportChapter } from '@rigid-beam/core/model/report';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Solution } from '@rigid-beam/core/results/results';
import type { PaperInks, Said } from '../paper/asked';
import type { WidthOf } from '../paper/painter';
import type { Look } from '../projection';
import type { SheetQuantity } from '../view';

/** What a report is to say of a model. */
export interface ReportAsked {
  /** By their names, in the order in which they come. */
  readonly chapters: readonly ReportChapter[];
  /** Ids of the cases and combinations whose results are reported. */
  readonly outcomes: readonly string[];
  /** What is drawn of them. */
  readonly quantities: readonly SheetQuantity[];
  readonly inks: PaperInks;
  /** From where a model in space is seen. */
  readonly look: Look;
  readonly said: Said;
}

/** The chapters of a report unless others are asked for: all but the workings and the model file, which are long. */
export const firstChapters: readonly ReportChapter[] = chapterNames
  .filter((name) => name !== 'model' && name !== 'workings')
  .map((chapter) => ({ chapter }));

/** The chapters that a model's report has. */
export const chaptersOf = ({ report }: Pick<Model, 'report'>): readonly ReportChapter[] => report?.chapters ?? firstChapters;

/** What is reported unless something else is asked for: envelopes where there are some, else sums, else cases; with forces, moments and movement. */
export function firstOutcomes({ cases, combinations: all }: Pick<Model, 'cases' | 'combinations'>): readonly string[] {
  const envelopes = all.filter(({ type }) => type === 'envelope');
  const chosen = envelopes.length > 0 ? envelopes : all.length > 0 ? all : cases;
  return chosen.map(({ id }) => id);
}

/** What is drawn of results unless something else is asked for: in space the moments about both axes. */
export const firstQuantities = (space: Model['space']): readonly SheetQuantity[] =>
  space === 'plane' ? ['N', 'Vy', 'Mz', 'v'] : ['N', 'Mz', 'My', 'v'];

/** What a chapter is written of. */
export interface Writing {
  readonly model: Model;
  readonly solution: Solution | undefined;
  readonly asked: ReportAsked;
  readonly display: DisplayUnits;
  readonly widthOf: WidthOf;
  /** Hears what is being drawn. */
  readonly told?: ((what: string) => void) | undefined;
}
