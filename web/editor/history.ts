import type { Patch } from 'immer';
import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';

/** An edit that can be undone: what it did, and the patches back and forth. Long ones lie on the server, under the number of its revision. */
export interface Step {
  readonly label: string;
  readonly number?: number;
  readonly patches: readonly Patch[] | null;
  readonly inverse: readonly Patch[] | null;
}

export interface History {
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
}

export const emptyHistory: History = { undo: [], redo: [] };

/** The history after one more revision. Undo and redo are revisions too: they move a step from one pile to the other. */
export function afterRevision(history: History, kind: RevisionKind, step: Step): History {
  switch (kind) {
    case 'edit':
      return { undo: [...history.undo, step], redo: [] };
    case 'undo': {
      const undone = history.undo[history.undo.length - 1];
      // Older than what was loaded: the step itself, turned round, is what redo needs.
      const back = undone ?? { label: step.label, patches: step.inverse, inverse: step.patches };
      return { undo: history.undo.slice(0, -1), redo: [...history.redo, back] };
    }
    case 'redo': {
      const redone = history.redo[history.redo.length - 1];
      return { undo: [...history.undo, redone ?? step], redo: history.redo.slice(0, -1) };
    }
  }
}

/** Undo and redo as they stood, rebuilt from the stored revisions, oldest first. */
export const historyOf = (revisions: readonly (Step & { readonly kind: RevisionKind })[]): History =>
  revisions.reduce((history, revision) => afterRevision(history, revision.kind, revision), emptyHistory);
