import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Sought } from '@rigid-beam/core/study/seek';
import type { StudyPoint } from '@rigid-beam/core/study/study';
import type { AskedSeek, AskedStudy, StudyWorker } from './study.worker';
import { study as WORDS } from './words';

/** What is under way in a worker of its own; ending it gives it up. */
export interface UnderWay<T> {
  readonly result: Promise<T>;
  readonly end: () => void;
}

function begun<T>(ask: (worker: Comlink.Remote<StudyWorker>) => Promise<T>): UnderWay<T> {
  const worker = new Worker(new URL('./study.worker.ts', import.meta.url), { type: 'module' });
  const death = new Promise<never>((_, reject) => worker.addEventListener('error', () => reject(new Error(WORDS.stopped))));
  const end = (): void => worker.terminate();
  return { result: Promise.race([ask(Comlink.wrap<StudyWorker>(worker)), death]).finally(end), end };
}

export const studyOf = (model: Model, asked: AskedStudy, told: (points: readonly StudyPoint[]) => void): UnderWay<StudyPoint[]> =>
  begun((worker) => worker.study(model, asked, Comlink.proxy(told)) as Promise<StudyPoint[]>);

export const seekOf = (model: Model, asked: AskedSeek): UnderWay<Sought> =>
  begun((worker) => worker.seek(model, asked) as Promise<Sought>);
