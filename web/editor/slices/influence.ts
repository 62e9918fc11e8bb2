import type { InfluenceAsked, InfluenceFound } from '@rigid-beam/core/influence/asked';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { Slice } from './slice';

/** The influence line that is looked at in place of results. */
export interface LookedInfluence {
  readonly asked: InfluenceAsked;
  /** What was found of it, or why nothing was, and of which model. */
  readonly found?: { readonly model: Model; readonly what: InfluenceFound | readonly Notice[] };
  /** The train that stands on the sheet, and where: at its greatest or its least value. */
  readonly train?: { readonly id: string; readonly side: 'max' | 'min' };
}

export interface InfluenceSlice {
  readonly influence: LookedInfluence | undefined;
}

export const influenceSlice: Slice<InfluenceSlice> = { redraws: 'next frame', begin: { influence: () => undefined } };
