import * as Comlink from 'comlink';
import type { Model } from '@rigid-beam/core/model/model';
import type { Range } from '@rigid-beam/core/model/parameters/range';
import { readMeasure, type Measure } from '@rigid-beam/core/study/measure';
import { sought, type Sought } from '@rigid-beam/core/study/seek';
import { studied, type Study, type StudyPoint } from '@rigid-beam/core/study/study';

// Solves a model again and again beside the page; it is given up by ending it.

/** What is asked, with results as they are written. */
export type AskedStudy = Omit<Study, 'measures'> & { readonly measure: string };
export interface AskedSeek {
  readonly parameter: string;
  readonly range: Range;
  readonly measure: string;
  readonly outcome: string;
  readonly bound: number;
}

/** Milliseconds after which the page is told what there is so far. */
const TELL = 60;

const measureOf = (text: string, model: Model): Measure => {
  const read = readMeasure(text, model);
  if ('reason' in read) throw new Error(read.reason);
  return read;
};

const worker = {
  study(model: Model, { measure, ...asked }: AskedStudy, told: (points: readonly StudyPoint[]) => void): StudyPoint[] {
    const points: StudyPoint[] = [];
    let last = performance.now();
    for (const point of studied(model, { ...asked, measures: [measureOf(measure, model)] })) {
      points.push(point);
      if (performance.now() - last < TELL) continue;
      last = performance.now();
      told(points);
    }
    return points;
  },

  seek: (model: Model, { measure, ...asked }: AskedSeek): Sought =>
    sought(model, { ...asked, measure: measureOf(measure, model) }),
};

export type StudyWorker = typeof worker;
Comlink.expose(worker);
