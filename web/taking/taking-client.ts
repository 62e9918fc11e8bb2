import * as Comlink from 'comlink';
import type { TakingReader } from './taking.worker';
import { taking as WORDS } from './words';

/** The worker that reads files of tables and drawings, for as long as one is looked at. */
export class TakingClient {
  private readonly worker = new Worker(new URL('./taking.worker.ts', import.meta.url), { type: 'module' });
  private readonly reader = Comlink.wrap<TakingReader>(this.worker);
  /** Rejects when the worker dies: then no answer comes. */
  private readonly death: Promise<never>;

  constructor() {
    this.death = new Promise<never>((_, reject) => {
      this.worker.addEventListener('error', () => reject(new Error(WORDS.stopped)));
    });
    // Nobody may be asking it for anything when it dies.
    this.death.catch(() => undefined);
  }

  ask<T>(work: (reader: Comlink.Remote<TakingReader>) => Promise<T>): Promise<T> {
    return Promise.race([work(this.reader), this.death]);
  }

  close(): void {
    this.reader[Comlink.releaseProxy]();
    this.worker.terminate();
  }
}
