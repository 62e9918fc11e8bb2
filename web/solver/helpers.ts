import * as Comlink from 'comlink';
import type { Share, SolvedShare } from '@rigid-beam/core/analysis/run';
import { actingRun } from '@rigid-beam/core/analysis/runs';
import type { Model } from '@rigid-beam/core/model/model';
import { partsOf, type ModelParts } from './model-parts';
import type { ShareSolver } from './share.worker';

/** Members times outcomes in second order from which on it takes longer to solve them than to share them. */
const WORTH = 2000;
/** So many share one model at most. */
const MOST = 4;

/** Solves shares, and knows the last model that it was given. */
export interface Helper {
  readonly solve: (parts: ModelParts, share: Share) => Promise<SolvedShare | undefined>;
  readonly end: () => void;
  known?: Model;
}

const hired = (): Helper => {
  const worker = new Worker(new URL('./share.worker.ts', import.meta.url), { type: 'module' });
  const remote = Comlink.wrap<ShareSolver>(worker);
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error('a helper has died'))),
  );
  failed.catch(() => undefined);
  return { solve: (parts, share) => Promise.race([remote.solve(parts, share), failed]), end: () => worker.terminate() };
};

/** What is being solved elsewhere of a model, and what of it is one's own. */
export interface Shared {
  readonly own: Share;
  /** Undefined where one of them has failed, or found nothing to share: all of it is one's own then. */
  readonly others: Promise<readonly SolvedShare[] | undefined>;
}

/**
 * Where nothing can be superposed, each outcome is a solution of its own: some of them are solved by helpers, one for each further processor, each with the equations of
 * its own. They end with the worker that hires them.
 */
export class Helpers {
  private helpers: readonly Helper[] = [];

  constructor(
    private readonly processors: number,
    private readonly hire: () => Helper = hired,
  ) {}

  /** Begins to solve a model with helpers; undefined where that is not worth its while. */
  begin(model: Model): Shared | undefined {
    const outcomes = model.cases.length + model.combinations.length;
    if (actingRun(model) !== 'second-order' || outcomes * model.members.length < WORTH) return undefined;
    const count = Math.min(this.processors, MOST, outcomes);
    if (count < 2) return undefined;
    while (this.helpers.length < count - 1) this.helpers = [...this.helpers, this.hire()];
    const all = this.helpers.slice(0, count - 1).map((helper, i) => {
      const parts = partsOf(model, helper.known);
      helper.known = model;
      return helper.solve(parts, { at: i + 1, of: count });
    });
    const others = Promise.all(all).then(
      (shares) => (shares.every((share) => share !== undefined) ? shares : undefined),
      () => {
        // Nobody knows what a helper that has failed still knows.
        for (const helper of this.helpers) helper.end();
        this.helpers = [];
        return undefined;
      },
    );
    return { own: { at: 0, of: count }, others };
  }
}
