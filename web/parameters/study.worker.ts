import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Range } from '@rigid-beam/core/model/parameters/range';
import { readMeasure, type Measure } from '@rigid-beam/core/study/measure';
import { sought, type Sought } from '@rigid-beam/core/study/seek';
import { studied, type Study, type StudyPoint } from '@rigid-beam/core/study/study';

// Solves a model again and again beside the page.

/** What is asked, with results as they are written. */
export type AskedStudy = Omit<Study, 'measures'> & { readonly measure: string };
export interface AskedSeek {
  readonly parameter: string;
  readonly range: Range;
  readonly measure: string;
  readonly outcome: string;
  readonly bound: number;
}

/** Milliseconds after which the page is told what there is so far, and asked whether it is to go on. */
const TELL = 120;

/** Takes what there is so far; whether more is wanted. */
type Told = (points: readonly StudyPoint[]) => boolean | Promise<boolean>;

/** What the page has sent meanwhile is taken. */
const answersIn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const measureOf = (text: string, model: Model): Measure => {
  const read = readMeasure(text, model);
  if ('reason' in read) throw new Error(read.reason);
  return read;
};

const worker = {
  async study(model: Model, { measure, ...asked }: AskedStudy, told: Told): Promise<StudyPoint[]> {
    const points: StudyPoint[] = [];
    let [isWanted, isTold] = [true, true];
    let last = performance.now();
    for (const point of studied(model, { ...asked, measures: [measureOf(measure, model)] })) {
      points.push(point);
      if (performance.now() - last < TELL) continue;
      // It goes on while the page draws: the answer comes in when it is there.
      if (isTold) {
        isTold = false;
        void Promise.resolve(told(points)).then((answer) => ([isWanted, isTold] = [answer, true]));
      }
      await answersIn();
      if (!isWanted) break;
      last = performance.now();
    }
    return points;
  },

  seek: (model: Model, { measure, ...asked }: AskedSeek): Sought =>
    sought(model, { ...asked, measure: measureOf(measure, model) }),
};

export type StudyWorker = typeof worker;
Comlink.expose(worker);
