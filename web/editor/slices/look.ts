import type { Subject } from '@rigid-beam/drawing/display-list';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import { keptView } from '../kept-view';
import type { DiagramStyle, MomentFace, Scales, SheetQuantity } from '@rigid-beam/drawing/view';
import type { Slice } from './slice';

export interface Suggestion {
  readonly quantity: SheetQuantity;
  readonly axial: 'bars' | 'diagrams';
}

/** How the drawing looks, beside what is chosen to be seen. */
export interface LookSlice {
  readonly selection: readonly Subject[];
  /** Keys of the nodes and members that are not shown. */
  readonly hidden: ReadonlySet<string>;
  /** Keys of the nodes and members that are only hinted at. */
  readonly faded: ReadonlySet<string>;
  readonly diagramFactor: number;
  readonly style: DiagramStyle;
  readonly face: MomentFace;
  /** Scales that were typed, by quantity. */
  readonly scales: Scales;
  /** The scale of deflections that holds while something is in hand. */
  readonly heldDeflection: number | undefined;
  /** What the structure suggests to look at: the quantity that it opens on, and how axial forces are drawn. */
  readonly suggestion: Suggestion | undefined;
  /** Of several motions that nothing resists, the place of the one that is drawn; the first one otherwise. */
  readonly shownMotion: number | 'held' | undefined;
}

export const lookSlice: Slice<LookSlice> = {
  redraws: 'next frame',
  begin: {
    selection: () => [],
    hidden: () => NOTHING_HIDDEN,
    faded: () => NOTHING_HIDDEN,
    diagramFactor: () => 1,
    style: ({ id }) => keptView(id).style ?? 'hatched',
    face: ({ id }) => keptView(id).face ?? 'tension',
    scales: ({ id }) => keptView(id).scales ?? {},
    heldDeflection: () => undefined,
    suggestion: () => undefined,
    shownMotion: () => undefined,
  },
};
