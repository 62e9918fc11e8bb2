import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import { extentOf } from '@rigid-beam/drawing/geometry';
import { changedSince } from '@rigid-beam/core/results/changed-since';
import { withDifference } from '@rigid-beam/core/results/difference';
import { once } from '@rigid-beam/core/once';
import type { Solution } from '@rigid-beam/core/results/results';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity, View } from '@rigid-beam/drawing/view';
import type { Opened } from './opened';
import type { Place } from './view-state';
import { documentSlice, type DocumentSlice } from './slices/document';
import { cutSlice, type CutSlice } from './slices/cut';
import { workingsSlice, type WorkingsSlice } from './slices/workings';
import { earlierSlice, type EarlierSlice } from './slices/earlier';
import { influenceSlice, type InfluenceSlice } from './slices/influence';
import { lookSlice, type LookSlice } from './slices/look';
import { pageSlice, type PageSlice } from './slices/page';
import { placeSlice } from './slices/place';
import type { Slice } from './slices/slice';
import { solutionSlice, type SolutionSlice } from './slices/solution';

/** All that one open model's page hangs on, a slice for each concern. */
export interface EditorState
  extends DocumentSlice, SolutionSlice, Place, LookSlice, InfluenceSlice, CutSlice, WorkingsSlice, EarlierSlice, PageSlice {}

const slices: readonly Slice<object>[] = [
  documentSlice,
  solutionSlice,
  placeSlice,
  lookSlice,
  influenceSlice,
  cutSlice,
  workingsSlice,
  earlierSlice,
  pageSlice,
];
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
export type Shown = PageSlice &
  Pick<
    EditorState,
    'diagramFactor' | 'scales' | 'style' | 'face' | 'hidden' | 'faded' | 'projectNumber' | 'worked' | 'traced' | 'lit'
  >;

/** Whether a part of a large structure is being dragged: then only members and diagrams move along, and the page waits. */
export const isHeld = ({ preview, proposal, model }: EditorState): boolean =>
  preview !== undefined && !proposal && model.members.length > LIVELY;

/** The quantity that is looked at: the chosen one, or what the structure suggests. */
/** Whether what acts is a shape of no particular size, so that nothing but itself is drawn of it. */
export const isShapeShown = (state: Pick<EditorState, 'drawn' | 'acting' | 'stage'>): boolean =>
  state.stage === 'results' && state.drawn.results?.solution?.outcomes[actingIndex(state)]?.kind === 'shape';

export const quantityOf = ({ quantity, suggestion }: Pick<EditorState, 'quantity' | 'suggestion'>): SheetQuantity =>
  quantity ?? suggestion?.quantity ?? 'Mz';

/** Whether an influence line is looked at in place of results. */
export const isInfluenceShown = ({ stage, influence }: Pick<EditorState, 'stage' | 'influence'>): boolean =>
  stage === 'results' && influence !== undefined;

/** Whether the structure is cut in place of results. */
export const isCutShown = ({ stage, cut }: Pick<EditorState, 'stage' | 'cut'>): boolean =>
  stage === 'results' && cut !== undefined;

/** Whether freedoms stand in place of results: while the workings of the model that is drawn are read. */
export const areFreedomsShown = ({ worked, drawn }: Pick<EditorState, 'worked' | 'drawn'>): boolean =>
  worked !== undefined && worked.model === drawn.model;

/** Index of what acts: the outcome that the address names, or else the first one. */
export function actingIndex({ drawn, acting }: Pick<EditorState, 'drawn' | 'acting'>): number {
  const all = drawn.results?.solution?.outcomes ?? [...drawn.model.cases, ...drawn.model.combinations];
  return Math.max(
    0,
    all.findIndex(({ id }) => id === acting),
  );
}

/** Of which state a drawing beside is one, and which of its drawings. */
const seenFrom = new WeakMap<EditorState, { readonly root: EditorState; readonly at: number }>();

/**
 * The state as a drawing beside sees it: what that looks at stands where the first drawing has its own, and the other way round. Whoever
 * draws reads a state, and need not know which pane it draws.
 */
export function stateBeside(state: EditorState, at = 0): EditorState {
  const { acting, quantity, also, switches, beside } = state;
  const pane = beside?.panes[at];
  if (!pane) return state;
  const panes = beside.panes.map((one, i) => (i === at ? { acting, quantity, also, switches } : one));
  const turned = lookedAt({ ...state, also: undefined, ...pane, beside: { ...beside, panes } }, state, at);
  seenFrom.set(turned, { root: state, at });
  return turned;
}

/** All drawings beside the first. */
export const statesBeside = (state: EditorState): readonly EditorState[] =>
  (state.beside?.panes ?? []).map((_, at) => stateBeside(state, at));

function lookedAt(turned: EditorState, state: EditorState, at: number): EditorState {
  const { earlier } = state;
  if (!earlier) return state.beside!.panes[at]!.less ? lessFirst(turned, state) : turned;
  const change = changeBeside(state, at);
  if (typeof change === 'object') {
    const drawn = differenceDrawn(change, state.drawn);
    const settled = state.settled.model === state.drawn.model ? drawn : turned.settled;
    return { ...turned, drawn, settled, acting: change.outcomes.at(-1)!.id };
  }
  // The other model with its own results; nothing in hand changes it.
  const { drawn } = earlier;
  return {
    ...turned,
    ...{
      drawn,
      settled: drawn,
      model: drawn.model,
      preview: undefined,
      proposal: undefined,
      cut: undefined,
      influence: undefined,
    },
    earlier: { ...earlier, drawn: state.drawn },
  };
}

/** What has changed since the earlier state beside, where that is looked at; why that is not told; nothing where it is not asked for, or nothing is solved. */
export function changeBeside({ beside, earlier, drawn, acting }: EditorState, at: number): Solution | string | undefined {
  const [now, then] = [drawn.results?.solution, earlier?.drawn.results?.solution];
  const pane = beside?.panes[at];
  if (!pane?.less || !now || !then) return undefined;
  const id = pane.acting ?? acting ?? now.outcomes[0]!.id;
  return changedSince(now, then, id);
}

/** The second pane as it looks at the difference of what acts in both; as it is where there is none. */
function lessFirst(turned: EditorState, first: EditorState): EditorState {
  const { results, model } = first.drawn;
  const solution = results?.solution && withDifference(results.solution, actingIndex(turned), actingIndex(first));
  if (!solution) return turned;
  const drawn = differenceDrawn(solution, first.drawn);
  const settled = first.settled.model === model ? drawn : turned.settled;
  return { ...turned, drawn, settled, acting: solution.outcomes.at(-1)!.id };
}

/** One for each solution, so that whoever draws can tell that nothing has changed. */
const differenceDrawn = once((solution: Solution, drawn: EditorState['drawn']): EditorState['drawn'] => ({
  ...drawn,
  results: { ...drawn.results!, solution },
}));

const ALONE: View['together'] = [];

/** What is drawn beside: all share a scale. */
export function togetherOf(state: EditorState): View['together'] {
  const { root, at } = seenFrom.get(state) ?? { root: state, at: undefined };
  const others = [...(at === undefined ? [] : [root]), ...statesBeside(root).filter((_, i) => i !== at)];
  if (others.length === 0) return ALONE;
  return others.flatMap((other) => {
    const hasDiagram = isOn(other.stage, other.switches, 'diagram');
    const isOther = other.drawn !== state.drawn;
    const solution = isOther ? other.drawn.results?.solution : undefined;
    if (isOther && !solution) return [];
    return [
      {
        outcome: actingIndex(other),
        quantity: hasDiagram ? quantityOf(other) : 'none',
        ...(solution && { solution, extent: extentOf(other.drawn.model) }),
      },
    ];
  });
}
