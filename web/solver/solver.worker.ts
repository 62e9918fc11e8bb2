import * as Comlink from 'comlink';
import type { Phase } from '@rigid-beam/core/analysis/progress';
import { mechanismsWithRemedies, type RemediedMechanism } from '@rigid-beam/core/analysis/remedies';
import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import { warmUp } from '@rigid-beam/core/analysis/warm-up';
import { formatOf } from '@rigid-beam/core/formats/registry';
import { warmUpKernels } from '@rigid-beam/core/linear-algebra/kernel-pool';
import type { Model } from '@rigid-beam/core/model/model';
import type { LinearOutcome, Results } from '@rigid-beam/core/results/results';
import { buffersOf, withCases } from './buffers';
import { assembled, type ModelParts } from './model-parts';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
  /** Which dense kernels did the work. */
  readonly kernels: string;
  /** By case: it is the very one that was sent before, and is left out here. */
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

const session = new AnalysisSession();
const kernels = warmUpKernels();
let current: Model | undefined;
/** The cases that the page has. */
let sent: readonly LinearOutcome[] = [];

/** Numbers in the cases of a solution up to which they are kept here and copied to the page. */
const KEPT = 4e6;
const numbersIn = (cases: readonly LinearOutcome[]): number =>
  cases.reduce((sum, { coefficients, ends }) => sum + coefficients.length + ends.length, 0);

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
    const results = session.update(model, { progress });
    const milliseconds = performance.now() - begun;
    const cases = results.solution?.cases ?? [];
    if (numbersIn(cases) > KEPT) {
      // Too much to have twice: it goes over whole, and the next solution starts its cases anew.
      session.handOver();
      sent = [];
      return Comlink.transfer({ results, milliseconds, kernels, unchanged: cases.map(() => false) }, buffersOf(cases));
    }
    const unchanged = cases.map((one, c) => one === sent[c]);
    sent = cases;
    const news = cases.map((one, c) => (unchanged[c] ? undefined : one));
    return { results: withCases(results, news), milliseconds, kernels, unchanged };
  },

  /** The text of a file that takes an analysis, of the model that was solved last. */
  write(format: string): string | undefined {
    return current && formatOf(format)?.write(current);
  },

  /** What would stop the mechanisms of the model that was solved last. */
  remedies(): RemediedMechanism[] {
    return current ? mechanismsWithRemedies(current) : [];
  },
};

export type Solver = typeof solver;

// Compiled while the page still sends the model, not when it waits for the answer.
warmUp();
Comlink.expose(solver);
