import type { Item } from '@rigid-beam/drawing/display-list';
import type { Seen } from '@rigid-beam/drawing/geometry';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { quickItems } from '@rigid-beam/drawing/quick-items';
import { sheetItems } from '@rigid-beam/drawing/sheet-items';
import { isOn, viewOfStage } from '@rigid-beam/drawing/stage-view';
import type { View } from '@rigid-beam/drawing/view';
import { SKETCHED, weightAt, withoutSmallTalk } from '@rigid-beam/drawing/level-of-detail';
import { actingIndex, isHeld, quantityOf, togetherOf, type EditorState } from '../editor/editor-state';

/** What a drawing in hand leaves out. */
const HELD: Partial<View> = { values: 'none', detail: 'outline', reactions: false, loads: 'none', resultant: false, dimensions: 'none', names: false, sections: false }; // oxfmt-ignore

/** What the sheet shows: what the stage is about and what the user switched, and of something large that is in hand only what is watched (docs/decisions/018). */
export function viewOf(
  state: EditorState,
  seen: Seen,
  plane: WorkPlane | undefined,
  scale: number,
  look: 'turning' | 'still',
): View {
  const { model } = state.drawn;
  const { stage, switches } = state;
  return {
    ...seen,
    ...viewOfStage(stage, switches),
    plane: model.space === 'space' ? plane : undefined,
    outcome: actingIndex(state),
    quantity: isOn(stage, switches, 'diagram') ? quantityOf(state) : 'none',
    axial: state.suggestion?.axial ?? 'diagrams',
    diagramFactor: state.diagramFactor,
    together: togetherOf(state),
    heldDeflection: state.heldDeflection,
    detail: 'whole',
    selection: state.selection,
    pointed: undefined,
    scale,
    weight: look === 'turning' ? 1 : weightAt(model, seen, scale),
    ...(isHeld(state) && HELD),
  };
}

/** The display list of a view: while a look turns only members, without figures where everything is small. */
export function itemsIn({ drawn }: EditorState, view: View, look: 'turning' | 'still'): Item[] {
  const items = look === 'turning' ? quickItems(drawn.model, view) : sheetItems(drawn.model, drawn.results?.solution, view);
  return view.weight < SKETCHED ? withoutSmallTalk(items) : items;
}
