import type { ListKind } from '@rigid-beam/core/combinations/listed';
import type { ScheduleList } from '@rigid-beam/core/tables/schedules/lists';
import type { ResultList } from '@rigid-beam/core/tables/results/lists';
import type { Pane } from '../view-state';
import type { Slice } from './slice';

/** A window in which the panel would lie over the sheet: there it comes when it is called. */
export const NARROW = '(max-width: 52rem)';
const isNarrow = (): boolean => typeof window !== 'undefined' && window.matchMedia(NARROW).matches;

/** What stands beside the sheet. */
export interface PageSlice {
  /** What the drawer under the sheet shows: a schedule, or the diagrams of a member at a size that can be read. */
  readonly drawer: ScheduleList | ResultList | 'charts' | 'workings' | 'parameters' | undefined;
  /** Whether the side panel and the sketches of the cases are open or folded away. */
  readonly panel: 'open' | 'folded';
  readonly strip: 'open' | 'folded';
  /** What the strip leaves out: kinds of cases and combinations, and sums that govern nothing. */
  readonly unlisted: ReadonlySet<ListKind | 'idle'>;
  /** What lies over the page until it is closed. */
  readonly dialog: 'paper' | { readonly file: File } | undefined;
  /** While something is selected the panel shows its card; the bench can be called back over it. */
  readonly side: 'card' | 'bench';
  /** The typical structure that is being measured out, to be placed. */
  readonly typical: string | undefined;
  /** The structure of the model whose measures are shown. */
  readonly placed: string | undefined;
  /** The member that is pointed at on the sheet while workings are read: its matrices are lit. */
  readonly litMember: string | undefined;
  /** The choice that the pointer is over: it may be looked at next. */
  readonly pointedAt: Partial<Pick<Pane, 'acting' | 'quantity'>> | undefined;
}

export const pageSlice: Slice<PageSlice> = {
  redraws: 'never',
  begin: {
    drawer: () => undefined,
    panel: () => (isNarrow() ? 'folded' : 'open'),
    strip: () => 'open',
    unlisted: () => new Set(),
    dialog: () => undefined,
    side: () => 'card',
    typical: () => undefined,
    placed: () => undefined,
    litMember: () => undefined,
    pointedAt: () => undefined,
  },
};
