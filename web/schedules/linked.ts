import type { Model } from '@rigid-beam/core/model/model';
import type { ScheduleList } from '@rigid-beam/core/tables/schedules/lists';
import type { Subject } from '@rigid-beam/drawing/display-list';

/** What the rows of a schedule stand for on the sheet. */
interface Linked {
  /** What of the drawing a row stands for. */
  readonly subjects: (model: Model, id: string) => Subject[];
  /** The rows that stand for what is selected. */
  readonly selected: (model: Model, selection: readonly Subject[]) => ReadonlySet<string>;
}

/** Rows of things of the drawing themselves: of the first kind named, selected by any of them. */
const things = (kind: 'node' | 'member' | 'load', ...also: readonly Subject['kind'][]): Linked => ({
  subjects: (_, id) => [{ kind, id }],
  selected: (_, selection) =>
    new Set(selection.flatMap((one) => ('id' in one && (one.kind === kind || also.includes(one.kind)) ? [one.id] : []))),
});

/** Rows of what members are made of: they stand for the members that have it. */
const madeOf = (key: 'section' | 'material'): Linked => ({
  subjects: ({ members }, id) =>
    members.filter((member) => member[key] === id).map((member) => ({ kind: 'member', id: member.id })),
  selected: ({ members }, selection) => {
    const chosen = new Set(selection.flatMap((one) => (one.kind === 'member' ? [one.id] : [])));
    return chosen.size === 0 ? chosen : new Set(members.flatMap((member) => (chosen.has(member.id) ? [member[key]] : [])));
  },
});

export const linked: Readonly<Record<ScheduleList, Linked>> = {
  nodes: things('node'),
  members: things('member'),
  sections: madeOf('section'),
  materials: madeOf('material'),
  supports: things('node', 'support'),
  loads: things('load'),
  // What acts stands for nothing that could be selected.
  combinations: { subjects: () => [], selected: () => new Set() },
};
