import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Refusal, Stage } from '@rigid-beam/core/formats/made-file';
import type { Model } from '@rigid-beam/core/model/model';
import { log } from '../log';
import { newId } from '../new-id';
import type { AskedWork } from './asked-work';
import { READY, type WorkOrder, type WorkReport } from './order';

export const jobStates = ['waiting', 'running', 'done', 'refused', 'failed', 'cancelled'] as const;
export type JobState = (typeof jobStates)[number];

/** A file of a model that is being made, or was. */
export interface Job {
  readonly id: string;
  readonly model: string;
  readonly title: string;
  readonly revision: number;
  readonly what: AskedWork['what'];
  readonly state: JobState;
  /** While it runs: what it does, and how much of the file is written. */
  readonly stage?: Stage;
  readonly bytes: number;
  readonly refusal?: Refusal;
  /** Once it is done. */
  readonly file?: {
    readonly path: string;
    readonly mediaType: string;
    readonly extension: string;
    readonly notes: readonly string[];
  };
}

/** Jobs that wait, done ones that are kept, and for how many milliseconds. */
export const MOST_WAITING = 20;
const MOST_KEPT = 20;
const KEPT = 15 * 60_000;
/** A job in one of these is the answer to whoever asks for the same; what was refused may go another time, as on a quieter machine. */
const ASKED_ONCE: readonly JobState[] = ['waiting', 'running', 'done'];
/** What one job may take: milliseconds, and megabytes of its thread. */
const LIMIT = 10 * 60_000;
const MEMORY = 800;

interface Running extends Job {
  readonly key: string;
  readonly path: string;
  /** Until it has ended. */
  readonly order?: WorkOrder;
  readonly waiters: Set<() => void>;
  ended?: number;
}

/** Makes files in a thread of its own, one after the other; the same file of the same revision is made once. */
export class Jobs {
  private readonly all = new Map<string, Running>();
  private worker: Worker | undefined;
  private running: string | undefined;
  private folder: string | undefined;
  private isStopped = false;

  constructor(private readonly bundle = [process.cwd(), 'dist', 'work-worker.mjs'].join(path.sep)) {}

  /** Begins a job, or finds the one that makes or made the same; nothing where too many wait. */
  begin(model: { readonly id: string; readonly revision: number; readonly content: Model }, work: AskedWork): Job | undefined {
    this.sweep();
    const key = JSON.stringify([model.id, model.revision, work]);
    const same = [...this.all.values()].find((one) => one.key === key && ASKED_ONCE.includes(one.state));
    if (same) return same;
    if ([...this.all.values()].filter(({ state }) => state === 'waiting').length >= MOST_WAITING) return undefined;
    const id = newId();
    this.folder ??= mkdtempSync(path.join(tmpdir(), 'rigid-beam-jobs-'));
    const file = path.join(this.folder, id);
    this.put({
      ...{ id, key, path: file, model: model.id, title: model.content.title, revision: model.revision, what: work.what },
      ...{ state: 'waiting', bytes: 0, waiters: new Set() },
      order: { model: model.content, work, file },
    });
    this.next();
    return this.find(id);
  }

  /** Lets the thread make itself ready, so that whoever is about to ask for a file waits for that no longer. */
  warm(): void {
    if (!this.worker && !this.isStopped) this.thread().postMessage(READY);
  }

  find(id: string): Job | undefined {
    this.sweep();
    return this.all.get(id);
  }

  /** Waits until a job has ended, but no longer than some milliseconds. */
  async ended(id: string, milliseconds: number): Promise<Job | undefined> {
    const job = this.all.get(id);
    if (job && job.ended === undefined && milliseconds > 0)
      await new Promise<void>((resolve) => {
        const done = (): void => {
          clearTimeout(timer);
          job.waiters.delete(done);
          resolve();
        };
        const timer = setTimeout(done, milliseconds);
        job.waiters.add(done);
      });
    return this.find(id);
  }

  /** Ends a job that waits or runs, and forgets one that is done with its file; whether there was one. */
  cancel(id: string): boolean {
    const job = this.all.get(id);
    if (!job) return false;
    if (job.ended !== undefined) this.forget(job);
    else {
      if (this.running === id) this.drop();
      this.end(id, { state: 'cancelled' });
    }
    return true;
  }

  async stop(): Promise<void> {
    this.isStopped = true;
    await this.worker?.terminate();
    if (this.folder) rmSync(this.folder, { recursive: true, force: true });
  }

  private put(job: Running): void {
    this.all.set(job.id, job);
  }

  private change(id: string, part: Partial<Job>): void {
    const job = this.all.get(id);
    if (job) this.put({ ...job, ...part });
  }

  private end(id: string, part: Partial<Job>): void {
    const job = this.all.get(id);
    if (!job || job.ended !== undefined) return;
    // The model is needed no longer.
    const { stage: _, order: __, ...rest } = job;
    this.put({ ...rest, ...part, ended: Date.now() });
    if (part.state !== 'done') rmSync(job.path, { force: true });
    for (const tell of job.waiters) tell();
    if (this.running === id) this.running = undefined;
    this.next();
  }

  private next(): void {
    if (this.running !== undefined || this.isStopped) return;
    const job = [...this.all.values()].find(({ state }) => state === 'waiting');
    if (!job) return;
    this.running = job.id;
    this.change(job.id, { state: 'running' });
    const timer = setTimeout(() => {
      this.drop();
      this.end(job.id, {
        state: 'refused',
        refusal: { words: `It was not done within ${LIMIT / 60_000} minutes, and is given up.` },
      });
    }, LIMIT);
    timer.unref();
    this.all.get(job.id)!.waiters.add(() => clearTimeout(timer));
    this.thread().postMessage(job.order!);
  }

  /** The thread, warm from one job to the next. */
  private thread(): Worker {
    if (this.worker) return this.worker;
    // Built beside the application and found when it runs: the bundler must leave it alone.
    const worker = new Worker(/* turbopackIgnore: true */ this.bundle, { resourceLimits: { maxOldGenerationSizeMb: MEMORY } });
    worker.on('message', (report: WorkReport) => this.worker === worker && this.hear(report));
    worker.on('error', (error) => {
      log.error({ err: error }, 'A job failed');
      if (this.worker !== worker) return;
      this.worker = undefined;
      const isMemory = (error as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY';
      const words = `It takes more than ${MEMORY} MB: ask for fewer results at once.`;
      if (this.running) this.end(this.running, isMemory ? { state: 'refused', refusal: { words } } : { state: 'failed' });
    });
    worker.unref();
    return (this.worker = worker);
  }

  private drop(): void {
    const { worker } = this;
    this.worker = undefined;
    void worker?.terminate();
  }

  private hear(report: WorkReport): void {
    const id = this.running;
    if (id === undefined) return;
    switch (report.is) {
      case 'under way':
        return this.change(id, { stage: report.stage, bytes: report.bytes });
      case 'refused':
        return this.end(id, { state: 'refused', refusal: report.refusal });
      case 'failed':
        log.error({ job: id, message: report.message }, 'A job failed');
        return this.end(id, { state: 'failed' });
      case 'done': {
        const { bytes, mediaType, extension, notes } = report;
        const file = { path: this.all.get(id)!.path, mediaType, extension, notes };
        return this.end(id, { state: 'done', bytes, file });
      }
    }
  }

  /** What is done is kept for a while. */
  private sweep(): void {
    const done = [...this.all.values()].filter(({ ended }) => ended !== undefined).sort((a, b) => a.ended! - b.ended!);
    done.forEach((job, i) => {
      if (Date.now() - job.ended! > KEPT || i < done.length - MOST_KEPT) this.forget(job);
    });
  }

  private forget({ id, path: file }: Running): void {
    this.all.delete(id);
    rmSync(file, { force: true });
  }
}

/** One for the whole process: Next bundles this module more than once. */
const shared = globalThis as typeof globalThis & { rigidBeamJobs?: Jobs };
export const jobs = (): Jobs => (shared.rigidBeamJobs ??= new Jobs());
export const stopJobs = async (): Promise<void> => shared.rigidBeamJobs?.stop();
