import * as Comlink from 'comlink';
import { sharedKernels } from '@rigid-beam/core/linear-algebra/shared-kernels';
import type { Model } from '@rigid-beam/core/model/model';
import type { Results } from '@rigid-beam/core/results/results';
import { solveKeeping } from '@rigid-beam/core/results/solve';
import type { Phase, System } from '@rigid-beam/core/results/system';
import { buffersOf } from './buffers';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
  /** Which dense kernels did the work. */
  readonly kernels: string;
}

/** How far a solution is that takes its time. */
export interface SolveProgress {
  readonly phase: Phase;
  /** 0 to 1. */
  readonly done: number;
}

/** Short solutions tell nothing; long ones at most this often, in milliseconds. */
const QUIET = 300;
const OFTEN = 100;

/** What the last solution left for the next: the ordering, and the factor while only loads change. */
let former: System | undefined;

const solver = {
  solve(model: Model, tell: (progress: SolveProgress) => void): Solved {
    const begun = performance.now();
    let told = begun + QUIET - OFTEN;
    const progress = (phase: Phase, done: number): void => {
      const now = performance.now();
      if (now - told < OFTEN) return;
      told = now;
      tell({ phase, done });
    };
    const { results, system } = solveKeeping(model, [], { former, progress });
    former = system;
    const solved = { results, milliseconds: performance.now() - begun, kernels: sharedKernels().name };
    // The structure stays here for the next solution; what was found for it goes over whole.
    return Comlink.transfer(solved, buffersOf(results.solution?.linear));
  },
};

export type Solver = typeof solver;

Comlink.expose(solver);
