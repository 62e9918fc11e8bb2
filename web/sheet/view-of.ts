import type { Item } from '@rigid-beam/drawing/display-list';
import type { Seen } from '@rigid-beam/drawing/geometry';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { quickItems } from '@rigid-beam/drawing/quick-items';
import { sheetItems } from '@rigid-beam/drawing/sheet-items';
import type { View } from '@rigid-beam/drawing/view';
import { SKETCHED, weightAt, withoutSmallTalk } from '@rigid-beam/drawing/weight';
import { isHeld, type EditorState } from '../session/editor-state';
import { actingIndex } from '../session/editor-state';

/** What the sheet shows: what the user chose, and of something large that is in hand only what is watched (docs/decisions/018). */
export function viewOf(
  state: EditorState,
  seen: Seen,
  plane: WorkPlane | undefined,
  scale: number,
  look: 'turning' | 'still',
): View {
  const { model } = state.drawn;
  const held = isHeld(state);
  return {
    ...seen,
    localAxes: state.localAxes,
    plane: model.space === 'space' ? plane : undefined,
    outcome: actingIndex(state),
    quantity: state.quantity,
    diagramFactor: state.diagramFactor,
    values: state.values && !held,
    deflected: state.deflected,
    ordinates: !held,
    reactions: !held,
    loads: !held,
    dimensions: state.dimensions && !held,
    names: (state.names || state.stage === 'geometry') && !held,
    selection: state.selection,
    scale,
    weight: look === 'turning' ? 1 : weightAt(model, seen, scale),
  };
}

/** The display list of a view: while a look turns only members, without figures where everything is small. */
export function itemsIn({ drawn }: EditorState, view: View, look: 'turning' | 'still'): Item[] {
  const items = look === 'turning' ? quickItems(drawn.model, view) : sheetItems(drawn.model, drawn.results?.solution, view);
  return view.weight < SKETCHED ? withoutSmallTalk(items) : items;
}
