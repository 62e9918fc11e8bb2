import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { SolveProgress, Solved, Solver } from './solver.worker';

export type SolveOutcome =
  { readonly model: Model; readonly solved: Solved } | { readonly model: Model; readonly failure: string };

/** A solution that has run for so long (milliseconds) is given up when a newer model waits. */
const TOO_LONG = 500;

/**
 * Solves the newest model in a worker: while one is being solved, only the latest of those that follow is kept. A long solution that
 * nobody waits for any more is stopped with its worker, and a new worker takes over.
 */
export class SolvingClient {
  private worker!: Worker;
  private solver!: Comlink.Remote<Solver>;
  private waiting: Model | undefined;
  private since = 0;
  private impatience: ReturnType<typeof setTimeout> | undefined;
  /** Counts the workers: an answer of one that was stopped is not waited for. */
  private generation = 0;

  constructor(
    private readonly report: (outcome: SolveOutcome) => void,
    private readonly tell: (progress: SolveProgress | undefined) => void,
  ) {
    this.hire();
  }

  solve(model: Model): void {
    this.waiting = model;
    if (this.since === 0) void this.run();
    else {
      clearTimeout(this.impatience);
      this.impatience = setTimeout(() => this.replace(), Math.max(0, this.since + TOO_LONG - performance.now()));
    }
  }

  /** Gives up what is being solved. */
  stop(): void {
    this.waiting = undefined;
    if (this.since > 0) this.replace();
  }

  close(): void {
    clearTimeout(this.impatience);
    this.dismiss();
  }

  private hire(): void {
    this.worker = new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' });
    this.solver = Comlink.wrap<Solver>(this.worker);
    this.generation++;
    this.since = 0;
  }

  private dismiss(): void {
    this.solver[Comlink.releaseProxy]();
    this.worker.terminate();
  }

  private replace(): void {
    this.dismiss();
    this.hire();
    this.tell(undefined);
    void this.run();
  }

  private async run(): Promise<void> {
    const { generation } = this;
    while (this.waiting && generation === this.generation) {
      const model = this.waiting;
      this.waiting = undefined;
      this.since = performance.now();
      const tell = Comlink.proxy((progress: SolveProgress) => {
        if (generation === this.generation) this.tell(progress);
      });
      const outcome = await this.solver.solve(model, tell).then(
        (solved): SolveOutcome => ({ model, solved }),
        (error: Error): SolveOutcome => ({ model, failure: error.message }),
      );
      if (generation !== this.generation) return;
      this.since = 0;
      clearTimeout(this.impatience);
      this.tell(undefined);
      this.report(outcome);
    }
  }
}
