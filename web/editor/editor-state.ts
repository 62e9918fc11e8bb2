import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity, View } from '@rigid-beam/drawing/view';
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
const fieldsBy = (when: Slice<object>['redraws']) =>
  slices.filter(({ redraws }) => redraws === when).flatMap((slice) => fieldsOf(slice).map(([field]) => field));
const AT_ONCE = fieldsBy('at once');
const NEXT_FRAME = fieldsBy('next frame');

/** What a page begins with: the stored model, at the place that the address names. */
export const beginning = (opened: Opened, search: string): EditorState =>
  Object.fromEntries(slices.flatMap(fieldsOf).map(([field, begin]) => [field, begin(opened, search)])) as never;

/** How soon the sheet has to show what has changed of a state. */
export function redrawOf(state: EditorState, before: EditorState): Slice<object>['redraws'] {
  const changed = (field: keyof EditorState): boolean => state[field] !== before[field];
  return AT_ONCE.some(changed) ? 'at once' : NEXT_FRAME.some(changed) ? 'next frame' : 'never';
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

/** What is drawn beside: both share a scale. */
export function togetherOf(state: EditorState): View['together'] {
  if (!state.beside) return [];
  const other = stateBeside(state);
  const hasDiagram = isOn(other.stage, other.switches, 'diagram');
  return [{ outcome: actingIndex(other), quantity: hasDiagram ? quantityOf(other) : 'none' }];
}
