import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import type { Opened } from './opened';
import type { Pane, Place } from './view-state';
import { documentSlice, type DocumentSlice } from './slices/document';
import { lookSlice, type LookSlice } from './slices/look';
import { pageSlice, type PageSlice } from './slices/page';
import { placeSlice } from './slices/place';
import type { Slice } from './slices/slice';
import { solutionSlice, type SolutionSlice } from './slices/solution';

/** All that one open model's page hangs on, a slice for each concern. */
export interface EditorState extends DocumentSlice, SolutionSlice, Place, LookSlice, PageSlice {}

const slices: readonly Slice<object>[] = [documentSlice, solutionSlice, placeSlice, lookSlice, pageSlice];
const fieldsOf = ({ begin }: Slice<object>) =>
  Object.entries(begin) as [keyof EditorState, Slice<EditorState>['begin']['model']][];

/** What a page begins with: the stored model, at the place that the address names. */
export const beginning = (opened: Opened, search: string): EditorState =>
  Object.fromEntries(slices.flatMap(fieldsOf).map(([field, begin]) => [field, begin(opened, search)])) as never;

/** How soon the sheet has to show what has changed of a state. */
export function redrawOf(state: EditorState, before: EditorState): Slice<object>['redraws'] {
  const changed = (slice: Slice<object>): boolean => fieldsOf(slice).some(([field]) => state[field] !== before[field]);
  const [atOnce, nextFrame] = (['at once', 'next frame'] as const).map((when) =>
    slices.some((slice) => slice.redraws === when && changed(slice)),
  );
  return atOnce ? 'at once' : nextFrame ? 'next frame' : 'never';
}

/** What of the state only switches the view. */
export type Shown = PageSlice & Pick<EditorState, 'diagramFactor' | 'hidden' | 'projectNumber'>;

/** Whether a part of a large structure is being dragged: then only members and diagrams move along, and the page waits. */
export const isHeld = ({ preview, proposal, model }: EditorState): boolean =>
  preview !== undefined && !proposal && model.members.length > LIVELY;

/** The quantity that is looked at: the chosen one, or what the structure suggests. */
export const quantityOf = ({ quantity, suggestion }: Pick<EditorState, 'quantity' | 'suggestion'>): SheetQuantity =>
  quantity ?? suggestion?.quantity ?? 'Mz';

/** Index of what acts: the outcome that the address names, or else the first one. */
export function actingIndex({ drawn, acting }: Pick<EditorState, 'drawn' | 'acting'>): number {
  const all = drawn.results?.solution?.outcomes ?? [...drawn.model.cases, ...drawn.model.combinations];
  return Math.max(
    0,
    all.findIndex(({ id }) => id === acting),
  );
}

/**
 * The state as the drawing beside sees it: what that looks at stands where the first drawing has its own, and the other way round. Whoever
 * draws reads a state, and need not know which pane it draws.
 */
export function stateBeside<S extends Pane & Pick<Place, 'beside'>>(state: S): S {
  const { acting, quantity, switches, beside } = state;
  return beside ? { ...state, ...beside.pane, beside: { ...beside, pane: { acting, quantity, switches } } } : state;
}
