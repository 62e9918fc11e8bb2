import { existsSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { LOADED } from './answering';
import { log } from './log';

/** Milliseconds in which a thread must be loaded. */
const LOADING = 120_000;

interface Work {
  /** Its bundle in `web/dist`, built by `scripts/build-command.mjs`. */
  readonly bundle: string;
  /** Milliseconds after which an answer is given up, counted from when the thread is loaded: a slow machine is no reason to refuse work. */
  readonly limit: number;
  /** Megabytes that it may take. */
  readonly memory: number;
}

/**
 * Work that takes as long as what is sent to it asks for, in a thread of its own: one piece after the other, each ended when it takes too long
 * or too much, and nobody else waits meanwhile.
 */
export class Thread<Asked, Answer> {
  private worker: Worker | undefined;
  private isLoaded = false;
  private last: Promise<unknown> = Promise.resolve();
  private isStopped = false;

  constructor(private readonly work: Work) {}

  /** Whether its bundle was built: it is not where tests run before the build. */
  get isThere(): boolean {
    return existsSync(this.file);
  }

  /** The answer; nothing where it took too long, too much memory, or failed. */
  ask(asked: Asked): Promise<Answer | undefined> {
    const next = this.last.then(() => (this.isStopped ? undefined : this.one(asked)));
    this.last = next.catch(() => undefined);
    return next;
  }

  async stop(): Promise<void> {
    this.isStopped = true;
    await this.worker?.terminate();
  }

  // Built beside the application and found when it runs: the bundler must leave it alone.
  private get file(): string {
    return [process.cwd(), 'dist', this.work.bundle].join(path.sep);
  }

  /** It is heard for as long as it lives: what fails unheard, idle or already given up, would end the server. */
  private begun(): Worker {
    this.isLoaded = false;
    const worker = new Worker(/* turbopackIgnore: true */ this.file, {
      resourceLimits: { maxOldGenerationSizeMb: this.work.memory },
    });
    worker.on('error', (error) => {
      log.error({ err: error, bundle: this.work.bundle }, 'A thread failed');
      if (this.worker === worker) this.worker = undefined;
    });
    worker.unref();
    return worker;
  }

  private one(asked: Asked): Promise<Answer | undefined> {
    const worker = (this.worker ??= this.begun());
    return new Promise((resolve) => {
      const end = (answer: Answer | undefined): void => {
        clearTimeout(timer);
        worker.off('message', hear).off('error', giveUp);
        resolve(answer);
      };
      const giveUp = (): void => {
        if (this.worker === worker) this.worker = undefined;
        void worker.terminate();
        end(undefined);
      };
      const hear = (said: Answer | typeof LOADED): void => {
        if (said !== LOADED) return end(said);
        this.isLoaded = true;
        clearTimeout(timer);
        timer = setTimeout(giveUp, this.work.limit);
      };
      let timer = setTimeout(giveUp, this.isLoaded ? this.work.limit : LOADING);
      worker.on('message', hear).on('error', giveUp);
      worker.postMessage(asked);
    });
  }
}
