import type { IdStyle } from '../../model/edits/fresh-ids';
import type { Intent } from '../../model/edits/intent';
import type { Model } from '../../model/model';
import type { listed } from '../../sections/catalogue/listed';
import type { shapeCalled } from '../../sections/catalogue/search';
import type { Row, TypedColumn } from '../column';

/** The catalogue of standard shapes, where it is at hand: a page fetches it when it is first needed. */
export interface Catalogue {
  readonly shapeCalled: typeof shapeCalled;
  readonly listed: typeof listed;
}

/** A list of the model as a schedule: a table whose cells can be written. */
export interface ScheduleKind {
  readonly words: string;
  /** How new rows are named. */
  readonly names: IdStyle;
  readonly columns: (model: Model, catalogue?: Catalogue) => readonly TypedColumn[];
  readonly rows: (model: Model) => Row[];
  /** A new row under the others; what is not typed into it follows the last one. */
  readonly newRow: (model: Model, id: string) => Row;
  /** The edits that store a row; `old`: as it was, of one that is there already. */
  readonly put: (model: Model, row: Row, old: Row | undefined) => Intent[];
}
