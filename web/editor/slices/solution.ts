import type { RemediedMechanism } from '@rigid-beam/core/analysis/remedies';
import type { Model } from '@rigid-beam/core/model/model';
import type { Results } from '@rigid-beam/core/results/results';
import type { SolveProgress } from '../../solver/solver.worker';
import { editorState as WORDS } from '../words';
import type { Slice } from './slice';

/** A model and its own results: what the sheet draws. Results are absent while they are not ready. */
export interface Drawn {
  readonly model: Model;
  readonly results?: Results;
  readonly milliseconds?: number;
}

/** A model that could not be solved for a reason that lies in the program. */
export const unsolved = (model: Model, failure: string): Drawn => ({
  model,
  results: {
    status: 'invalid',
    notices: [{ code: 'program', severity: 'error', message: WORDS.nothingWasSolved(failure), subjects: [] }],
    mechanisms: [],
  },
});

/** Whether results are still to come: what is made without them is made again soon. */
export const isAwaited = ({ results }: Drawn, progress: SolutionSlice['progress']): boolean => !results && progress !== 'stopped';

/** Which sums govern anything, and of which model that was found. */
export interface Governing {
  readonly model: Model;
  readonly counts: ReadonlyMap<string, number>;
}

export interface SolutionSlice {
  readonly drawn: Drawn;
  /** The same for the rest of the page, which follows a drag only in structures small enough. */
  readonly settled: Drawn;
  /** How far the solution is, while it takes its time; `stopped` once it was given up by hand. */
  readonly progress: SolveProgress | 'stopped' | undefined;
  /** How far the reading of an envelope is, 0 to 1, while it is read. */
  readonly reading: number | undefined;
  /** Which sums govern anything, as it was found last. */
  readonly governing: Governing | undefined;
  /** What would stop the mechanisms of a model, once it is found. */
  readonly remedies: { readonly model: Model; readonly mechanisms: readonly RemediedMechanism[] } | undefined;
}

/** New results are drawn in the task in which they come (`LiveDrawing.follow`); how far something is, no drawing shows. */
export const solutionSlice: Slice<SolutionSlice> = {
  redraws: 'never',
  begin: {
    drawn: ({ model }) => ({ model }),
    settled: ({ model }) => ({ model }),
    progress: () => undefined,
    reading: () => undefined,
    governing: () => undefined,
    remedies: () => undefined,
  },
};
