import type { Model } from '@rigid-beam/core/model/model';
import type { ResultRow } from '@rigid-beam/core/tables/results/lists';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { resultSchedule as WORDS } from './words';

/** Whose rows can be asked for: all, those of what is selected on the sheet, those of a group. */
export const whoseChoices = ({ groups = [] }: Pick<Model, 'groups'>): readonly { id: string; text: string }[] => [
  { id: 'all', text: WORDS.all },
  { id: 'selected', text: WORDS.selected },
  ...groups.map(({ id }) => ({ id: `group ${id}`, text: WORDS.group(id) })),
];

/** Whether a row is one of those; undefined where all are. A node is asked for by itself, or by a member that ends in it. */
export function whoseOf(
  { groups = [], members }: Pick<Model, 'groups' | 'members'>,
  selection: readonly Subject[],
  whose: string,
): ((row: ResultRow) => boolean) | undefined {
  if (whose === 'all') return undefined;
  const group = groups.find(({ id }) => whose === `group ${id}`);
  const chosen = (kind: 'node' | 'member'): readonly string[] =>
    whose === 'selected'
      ? selection.flatMap((one) =>
          one.kind === kind || (kind === 'node' && one.kind === 'support') ? [(one as { id: string }).id] : [],
        )
      : ((kind === 'node' ? group?.nodes : group?.members) ?? []);
  const own = new Set(chosen('member'));
  const ends = members.flatMap(({ id, start, end }) => (own.has(id) ? [start, end] : []));
  const nodes = new Set([...chosen('node'), ...ends]);
  return ({ node, member }) => (member !== undefined ? own.has(member) : node !== undefined && nodes.has(node));
}
