import { keptStates, type KeptState } from '../earlier-states';
import type { Step } from '../history';
import type { Drawn } from './solution';
import type { Slice } from './slice';

/** An earlier state that stands beside the model as it is now, with its own results once they are found. */
export interface EarlierState {
  /** The kept state, or the edit before which it was. */
  readonly of: KeptState | Step;
  readonly name: string;
  readonly drawn: Drawn;
}

export interface EarlierSlice {
  readonly earlier: EarlierState | undefined;
  readonly keptStates: readonly KeptState[];
}

export const earlierSlice: Slice<EarlierSlice> = {
  redraws: 'next frame',
  begin: { earlier: () => undefined, keptStates: ({ id }) => keptStates(id) },
};
