import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Subject } from '@rigid-beam/drawing/display-list';
import type { Column, Row } from './column';

/** A list of the model as a schedule shows it. */
export interface ScheduleKind {
  readonly words: string;
  /** How new rows are named. */
  readonly names: 'numbers' | 'letters';
  readonly columns: (model: Model) => readonly Column[];
  readonly rows: (model: Model) => Row[];
  /** A new row under the others; what is not typed into it follows the last one. */
  readonly newRow: (model: Model, id: string) => Row;
  /** The edits that store a row; `old`: as it was, of one that is there already. */
  readonly put: (model: Model, row: Row, old: Row | undefined) => Intent[];
  /** What of the drawing a row stands for. */
  readonly subjects: (model: Model, id: string) => Subject[];
  /** The rows that stand for what is selected. */
  readonly selected: (model: Model, selection: readonly Subject[]) => ReadonlySet<string>;
}

/** Rows of things of the drawing themselves. */
export const ofThings = (kind: 'node' | 'member'): Pick<ScheduleKind, 'subjects' | 'selected'> => ({
  subjects: (_, id) => [{ kind, id }],
  selected: (_, selection) => new Set(selection.flatMap((one) => (one.kind === kind ? [one.id] : []))),
});

/** Rows of what members are made of: they stand for the members that have it. */
export const ofMembers = (key: 'section' | 'material'): Pick<ScheduleKind, 'subjects' | 'selected'> => ({
  subjects: ({ members }, id) =>
    members.filter((member) => member[key] === id).map((member) => ({ kind: 'member', id: member.id })),
  selected: ({ members }, selection) => {
    const chosen = new Set(selection.flatMap((one) => (one.kind === 'member' ? [one.id] : [])));
    return chosen.size === 0 ? chosen : new Set(members.flatMap((member) => (chosen.has(member.id) ? [member[key]] : [])));
  },
});
