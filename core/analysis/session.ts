import { giveBackKernels, takeKernels } from '../linear-algebra/kernel-pool';
import type { Kernels } from '../linear-algebra/kernels';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { keptResults } from '../results/kept-results';
import type { Results } from '../results/results';
import { keepsLengths } from '../stiffness/structure';
import { analysisFaults } from '../stiffness/analysis-checks';
import { analysisNotes } from '../stiffness/analysis-notes';
import { factorise, type System } from './factorise';
import { firstOrderAlone } from './first-order-only';
import { Lent } from './lent';
import { prepare } from './prepare';
import type { Progress } from './progress';
import type { Run, Share, SolvedShare } from './run';
import { actingRun, beginRun, runsOf, withShapes, type RunName } from './runs';

export interface AnalysisOptions {
  /** What was said of the model before: it comes first among the notices. */
  readonly notices?: readonly Notice[];
  readonly progress?: Progress | undefined;
  /** Runs that are made besides those that the model asks for. */
  readonly besides?: readonly RunName[];
  /** Notes on the model, which change no number, are left out where nobody reads them. */
  readonly notes?: 'unread';
  /** The share of the outcomes in second order that is solved here: their results are whole when the other shares have been joined. */
  readonly share?: Share | undefined;
}

/**
 * Analyses one model after the other, edit by edit: prepare, factorise, then the runs that the model asks for. What an edit leaves as it
 * was is not done again; results are the very numbers that a new session would find, but for rounding. A session owns its factor's
 * memory and lends its results: several may live side by side.
 */
export class AnalysisSession {
  private kernels: Kernels | undefined;
  private former: System | undefined;
  private readonly runs = new Map<RunName, Run>();
  private lent: Lent<Results> | undefined;
  /** Of the last results the share that was solved here, and the same with those of others. */
  private shared: { readonly own: SolvedShare; readonly joined: (others: readonly SolvedShare[]) => Results } | undefined;

  /**
   * Analyses a sound model (one that `checkModel` returned): every case, in every run. What keeps it from being solved comes back as faults
   * (`invalid`) or mechanisms (`unstable`); then there is no number at all. The results of the run that the model asks for hold those of the others, by name.
   */
  update(model: Model, options: AnalysisOptions = {}): Lent<Results> {
    this.lent?.end();
    return (this.lent = new Lent(this.analysed(model, options), keptResults));
  }

  /** What the last update solved of its share; undefined where there was nothing to share. */
  get ownShare(): SolvedShare | undefined {
    return this.shared?.own;
  }

  /** The results of the last update, with what others have solved of the same model; they take the place of those that it lent. Throws where a share is missing. */
  join(others: readonly SolvedShare[]): Lent<Results> {
    if (!this.shared) return this.lent!;
    this.lent!.end();
    return (this.lent = new Lent(this.shared.joined(others), keptResults));
  }

  private analysed(model: Model, { notices = [], progress, besides = [], notes, share }: AnalysisOptions): Results {
    this.shared = undefined;
    const faults = analysisFaults(model);
    if (faults.length > 0) return { status: 'invalid', notices: [...notices, ...faults], mechanisms: [] };
    const { former } = this;
    this.former = undefined;
    const { prepared, changes } = prepare(model, former, progress);
    const system =
      former && changes.sameStiffness
        ? { ...former, ...prepared }
        : factorise(prepared, (this.kernels ??= takeKernels()), progress);
    const task = {
      ...{ model, system, progress, share },
      changes: former && changes,
      notices: notes === 'unread' ? notices : [...notices, ...analysisNotes(model)],
    };
    const firstOrder = this.run('first-order').update(task);
    const others = [...new Set([...runsOf(model), ...besides])].filter((name) => name !== 'first-order');
    const isKept = keepsLengths(system.structure);
    const made = (name: RunName): Results =>
      isKept ? firstOrderAlone(firstOrder) : this.run(name).update({ ...task, firstOrder });
    const more = new Map<string, Results>(others.map((name) => [name, made(name)]));
    this.former = system;
    const acting = actingRun(model);
    const whole = (): Results => {
      const own = withShapes(model, more.get(acting) ?? firstOrder, more);
      const beside = new Map([...more, ['first-order', firstOrder] as const].filter(([name]) => name !== acting));
      return beside.size > 0 ? { ...own, others: beside } : own;
    };
    const run = this.run(acting);
    const joined = (shares: readonly SolvedShare[]): Results => {
      more.set(acting, run.joined!(shares));
      return whole();
    };
    this.shared = !isKept && run.ownShare ? { own: run.ownShare, joined } : undefined;
    return whole();
  }

  private run(name: RunName): Run {
    const run = this.runs.get(name) ?? beginRun(name);
    this.runs.set(name, run);
    return run;
  }

  /** The factorised equations of the last model that was analysed, for more right-hand sides; gone with the next update. */
  get system(): System | undefined {
    return this.former;
  }

  /** The last results are whose they were lent to: the next update leaves their memory alone, and solves all cases anew. */
  handOver(): Results {
    const results = this.lent!.now;
    this.lent = undefined;
    this.shared = undefined;
    for (const run of this.runs.values()) run.handOver();
    return results;
  }

  /** Gives back the memory of the factor; results stay. */
  close(): void {
    if (this.kernels) giveBackKernels(this.kernels);
    this.kernels = undefined;
    this.former = undefined;
    this.runs.clear();
    this.lent = undefined;
    this.shared = undefined;
  }
}

/** One model alone. */
export function solve(model: Model, notices: readonly Notice[] = [], besides: readonly RunName[] = []): Results {
  const session = new AnalysisSession();
  try {
    session.update(model, { notices, besides });
    return session.handOver();
  } finally {
    session.close();
  }
}
