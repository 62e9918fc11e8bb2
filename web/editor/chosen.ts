import type { Chosen } from '@rigid-beam/core/model/selecting';
import type { Subject } from '@rigid-beam/drawing/display-list';
import type { Editor } from './editor';

/** The nodes and members that are selected; the node of a selected support counts too. */
export function chosenOf(selection: readonly Subject[]): Chosen {
  const ids = (...kinds: readonly Subject['kind'][]): string[] => [
    ...new Set(selection.flatMap((one) => (kinds.includes(one.kind) && 'id' in one ? [one.id] : []))),
  ];
  return { nodes: ids('node', 'support'), members: ids('member') };
}

export const subjectsOf = ({ nodes, members }: Chosen): Subject[] => [
  ...nodes.map((id): Subject => ({ kind: 'node', id })),
  ...members.map((id): Subject => ({ kind: 'member', id })),
];

export const selectChosen = (editor: Editor, chosen: Chosen): void => editor.select(subjectsOf(chosen));
