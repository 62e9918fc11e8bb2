/** What a stored step did: an edit of its own, or one that was taken back or made again. */
export const revisionKinds = ['edit', 'undo', 'redo'] as const;
export type RevisionKind = (typeof revisionKinds)[number];
