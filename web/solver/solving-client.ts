import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solved, Solver } from './solver.worker';

export type SolveOutcome =
  { readonly model: Model; readonly solved: Solved } | { readonly model: Model; readonly failure: string };

/** Solves the newest model in a worker: while one is being solved, only the latest of those that follow is kept. */
export class SolvingClient {
  private readonly worker = new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' });
  private readonly solver = Comlink.wrap<Solver>(this.worker);
  private waiting: Model | undefined;
  private busy = false;

  constructor(private readonly report: (outcome: SolveOutcome) => void) {}

  solve(model: Model): void {
    this.waiting = model;
    if (!this.busy) void this.run();
  }

  close(): void {
    this.solver[Comlink.releaseProxy]();
    this.worker.terminate();
  }

  private async run(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const model = this.waiting;
      this.waiting = undefined;
      try {
        this.report({ model, solved: await this.solver.solve(model) });
      } catch (error) {
        this.report({ model, failure: (error as Error).message });
      }
    }
    this.busy = false;
  }
}
