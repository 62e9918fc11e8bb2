import { applyPatches, enablePatches, type Patch } from 'immer';
import type { Model } from '../model';

enablePatches();

/** The model after some revisions, from the patches of each in order. */
export const replayed = (model: Model, revisions: readonly (readonly Patch[])[]): Model =>
  revisions.reduce((state, patches) => applyPatches(state, [...patches]), model);
