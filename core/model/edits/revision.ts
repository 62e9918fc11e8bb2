import { applyPatches, enablePatches, type Patch } from 'immer';
import type { Model } from '../model';

/** What a stored step did: an edit of its own, or one that was taken back or made again. */
export const revisionKinds = ['edit', 'undo', 'redo'] as const;
export type RevisionKind = (typeof revisionKinds)[number];

/** Whether there is something to undo or to redo after some revisions, told from the newest back. */
export function mayRetrace(kind: 'undo' | 'redo', newestFirst: readonly RevisionKind[]): boolean {
  // A new edit clears what could be redone.
  const lastEdit = newestFirst.indexOf('edit');
  const since = kind === 'redo' && lastEdit >= 0 ? newestFirst.slice(0, lastEdit) : newestFirst;
  const undone = since.reduce((sum, one) => sum + (one === 'undo' ? 1 : -1), 0);
  return kind === 'redo' ? undone > 0 : undone < 0;
}

enablePatches();

/** The model after some revisions, from the patches of each in order. */
export const replayed = (model: Model, revisions: readonly (readonly Patch[])[]): Model =>
  revisions.reduce((state, patches) => applyPatches(state, [...patches]), model);
