import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Results } from '@rigid-beam/core/results/results';
import { solveKeeping } from '@rigid-beam/core/results/solve';
import type { System } from '@rigid-beam/core/results/system';
import { buffersOf } from './buffers';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
}

/** What the last solution left for the next: the ordering, and the factor while only loads change. */
let former: System | undefined;

const solver = {
  solve(model: Model): Solved {
    const begun = performance.now();
    const { results, system } = solveKeeping(model, [], { former });
    former = system;
    const solved = { results, milliseconds: performance.now() - begun };
    // The structure stays here for the next solution; what was found for it goes over whole.
    return Comlink.transfer(solved, buffersOf(results.solution?.linear));
  },
};

export type Solver = typeof solver;

Comlink.expose(solver);
