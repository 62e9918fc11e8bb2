import type { Refusal, Stage } from '@rigid-beam/core/formats/made-file';
import type { Model } from '@rigid-beam/core/model/model';
import type { AskedWork } from './asked-work';

/** What is sent to the thread that works: the file is written where it says. */
export interface WorkOrder {
  readonly model: Model;
  readonly work: AskedWork;
  readonly file: string;
}

/** Sent before there is any work. */
export const READY = 'make yourself ready';

/** What the thread says. */
export type WorkReport =
  | { readonly is: 'under way'; readonly stage: Stage; readonly bytes: number }
  | {
      readonly is: 'done';
      readonly mediaType: string;
      readonly extension: string;
      readonly notes: readonly string[];
      readonly bytes: number;
    }
  | { readonly is: 'refused'; readonly refusal: Refusal }
  | { readonly is: 'failed'; readonly message: string };
