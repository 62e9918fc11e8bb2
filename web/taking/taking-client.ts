import type { AskedTaking, TakingAnswers } from './asked';

/** The worker that reads files of tables, for as long as one is looked at. */
export class TakingClient {
  private readonly worker = new Worker(new URL('./taking.worker.ts', import.meta.url), { type: 'module' });
  private readonly waiting = new Map<number, { resolve: (found: never) => void; reject: (fault: Error) => void }>();
  private last = 0;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<{ id?: number; found?: unknown; fault?: string }>) => {
      const waits = this.waiting.get(data.id ?? 0);
      this.waiting.delete(data.id ?? 0);
      if (data.fault !== undefined) waits?.reject(new Error(data.fault));
      else waits?.resolve(data.found as never);
    });
    this.worker.addEventListener('error', () => {
      for (const { reject } of this.waiting.values()) reject(new Error('it has stopped'));
      this.waiting.clear();
    });
  }

  ask<A extends AskedTaking>(asked: A): Promise<TakingAnswers[A['do']]> {
    const id = ++this.last;
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject });
      this.worker.postMessage({ id, asked });
    });
  }

  close(): void {
    this.worker.terminate();
  }
}
