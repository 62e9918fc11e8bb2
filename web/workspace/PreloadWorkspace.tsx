'use client';

// What the page of a model runs is fetched, and its solver started, while the model itself is still on its way.
if (typeof window !== 'undefined') void import('./Workspace');

/** Stands in the page so that its script comes with the first part of it. */
export function PreloadWorkspace() {
  return null;
}
