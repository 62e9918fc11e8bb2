import type { Opened } from '../opened';

/** A part of the editor's state that is about one thing. A new field is a line of `begin`, and of nothing else. */
export interface Slice<S extends object> {
  /**
   * When the sheet shows a change in it: at the end of what handles it, so that the next frame has it; in the next frame; or never, since
   * no drawing depends on it.
   */
  readonly redraws: 'at once' | 'next frame' | 'never';
  /** What each of its fields begins with, when a page opens a model at the place that its address names. */
  readonly begin: { readonly [K in keyof S]-?: (opened: Opened, search: string) => S[K] };
}
