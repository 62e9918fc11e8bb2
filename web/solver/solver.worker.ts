import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Results } from '@rigid-beam/core/results/results';
import { solve } from '@rigid-beam/core/results/solve';
import { buffersOf } from './buffers';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
}

const solver = {
  solve(model: Model): Solved {
    const begun = performance.now();
    const results = solve(model);
    const solved = { results, milliseconds: performance.now() - begun };
    return Comlink.transfer(solved, buffersOf(solved));
  },
};

export type Solver = typeof solver;

Comlink.expose(solver);
