import type { AskedCut } from '@rigid-beam/core/results/bodies/asked';
import type { Slice } from './slice';

export interface CutSlice {
  /** Where the structure is cut, to look at what goes through in place of results. */
  readonly cut: AskedCut | undefined;
}

export const cutSlice: Slice<CutSlice> = { redraws: 'next frame', begin: { cut: () => undefined } };
