import type { Model } from '@rigid-beam/core/model/model';
import type { SheetFreedom } from '@rigid-beam/core/workings/follow-words';
import type { Slice } from './slice';

export interface WorkingsSlice {
  /** While the workings of a model are read: its freedoms as they number them, which stand on the sheet. */
  readonly worked: { readonly model: Model; readonly freedoms: readonly SheetFreedom[] } | undefined;
  /** The number whose chain is read in them, as it is written: `b:Mz@2.4m`, `3.fy`, `3.uy`. */
  readonly traced: string | undefined;
  /** Freedoms by their numbers that stand in the row that is pointed at: they are lit on the sheet. */
  readonly lit: readonly string[];
}

const NONE: readonly string[] = [];

export const workingsSlice: Slice<WorkingsSlice> = {
  redraws: 'next frame',
  begin: { worked: () => undefined, traced: () => undefined, lit: () => NONE },
};
