import * as Comlink from 'comlink';
import { sharedKernels } from '@rigid-beam/core/linear-algebra/shared-kernels';
import type { Model } from '@rigid-beam/core/model/model';
import type { LinearOutcome, Results } from '@rigid-beam/core/results/results';
import { solveKeeping } from '@rigid-beam/core/results/solve';
import type { Phase, System } from '@rigid-beam/core/results/system';
import { buffersOf, withLinear } from './buffers';
import { assembled, type ModelParts } from './model-parts';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
  /** Which dense kernels did the work. */
  readonly kernels: string;
  /** By outcome: it is the very one that was sent before, and is left out here. */
  readonly unchanged: readonly boolean[];
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

/** What the last solution left for the next: the ordering, and while only loads change the factor and the cases that stay as they are. */
let former: System | undefined;
let current: Model | undefined;
/** The outcomes that the page has. */
let sent: readonly (LinearOutcome | undefined)[] = [];

/** Numbers in the outcomes of a solution up to which they are kept here and copied to the page. */
const KEPT = 4e6;
const numbersIn = (linear: readonly (LinearOutcome | undefined)[]): number =>
  linear.reduce((sum, outcome) => sum + (outcome ? outcome.coefficients.length + outcome.ends.length : 0), 0);

const solver = {
  solve(parts: ModelParts, tell: (progress: SolveProgress) => void): Solved {
    const model = assembled(parts, current);
    current = model;
    const begun = performance.now();
    let told = begun + QUIET - OFTEN;
    const progress = (phase: Phase, done: number): void => {
      const now = performance.now();
      if (now - told < OFTEN) return;
      told = now;
      tell({ phase, done });
    };
    const { results, system } = solveKeeping(model, [], { former, progress, recycle: true });
    const milliseconds = performance.now() - begun;
    const kernels = sharedKernels().name;
    const linear = results.solution?.linear ?? [];
    if (numbersIn(linear) > KEPT) {
      // Too much to have twice: it goes over whole, and the next solution starts its cases anew.
      former = system && { ...system, solved: undefined };
      sent = [];
      const solved = { results, milliseconds, kernels, unchanged: linear.map(() => false) };
      return Comlink.transfer(solved, buffersOf(linear));
    }
    former = system;
    const unchanged = linear.map((outcome, i) => outcome !== undefined && outcome === sent[i]);
    sent = linear;
    const news = linear.map((outcome, i) => (unchanged[i] ? undefined : outcome));
    return { results: withLinear(results, news), milliseconds, kernels, unchanged };
  },
};

export type Solver = typeof solver;

// Compiled while the page still sends the model, not when it waits for the answer.
sharedKernels();
Comlink.expose(solver);
