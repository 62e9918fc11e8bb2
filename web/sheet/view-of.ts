import type { SheetFreedom } from '@rigid-beam/core/workings/follow-words';
import { isFound } from '@rigid-beam/core/influence/asked';
import { worstOf } from '@rigid-beam/core/results/travelling/worst';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { showForce } from '@rigid-beam/core/quantities/show-load';
import { asTold, measureOf } from '@rigid-beam/core/tables/influence/measure';
import type { Item } from '@rigid-beam/drawing/display-list';
import type { Seen } from '@rigid-beam/drawing/geometry';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { quickItems } from '@rigid-beam/drawing/quick-items';
import { sheetSteps, type SheetPart } from '@rigid-beam/drawing/sheet-items';
import { finished, type Steps } from '@rigid-beam/core/steps';
import { once } from '@rigid-beam/core/once';
import { isOn, viewOfStage } from '@rigid-beam/drawing/stage-view';
import type { View } from '@rigid-beam/drawing/view';
import { SKETCHED, weightAt, withoutSmallTalk } from '@rigid-beam/drawing/level-of-detail';
import { cutOf } from '../editor/cut-of';
import {
  actingIndex,
  areFreedomsShown,
  isHeld,
  isShapeShown,
  quantityOf,
  togetherOf,
  type EditorState,
} from '../editor/editor-state';

const NONE: View['also'] = [];

/** What a drawing in hand leaves out. */
const HELD: Partial<View> = { values: 'none', kinks: false, governing: false, detail: 'outline', reactions: false, loads: 'none', resultant: false, dimensions: 'none', names: false, sections: false }; // oxfmt-ignore

/** Of a shape nothing is drawn but itself. */
const SHAPE: Partial<View> = { quantity: 'none', also: NONE, deflected: true, reactions: false, loads: 'none', resultant: false };

/** While the workings are read, the freedoms that they speak of. */
const WORKED: Partial<View> = { quantity: 'none', also: NONE, deflected: false, reactions: false, dimensions: 'none', resultant: false }; // oxfmt-ignore

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
    influence: influenceOn(state),
    cut: cutOf(state),
    plane: model.space === 'space' ? plane : undefined,
    outcome: actingIndex(state),
    quantity: isOn(stage, switches, 'diagram') ? quantityOf(state) : 'none',
    axial: state.suggestion?.axial ?? 'diagrams',
    diagramFactor: state.diagramFactor,
    scales: state.scales,
    style: state.style,
    face: state.face,
    faded: state.faded,
    also: (isOn(stage, switches, 'diagram') && state.also) || NONE,
    together: togetherOf(state),
    heldDeflection: state.heldDeflection,
    detail: 'whole',
    selection: state.selection,
    pointed: undefined,
    scale,
    weight: look === 'turning' ? 1 : weightAt(model, seen, scale),
    ...(isShapeShown(state) && SHAPE),
    ...(areFreedomsShown(state) && { ...WORKED, freedoms: litFreedoms(state.worked!.freedoms, state.lit) }),
    ...(isHeld(state) && HELD),
  };
}

/** Those that are pointed at in the workings are lit. */
const litFreedoms = (freedoms: readonly SheetFreedom[], lit: readonly string[]): readonly SheetFreedom[] =>
  lit.length === 0 ? freedoms : freedoms.map((one) => (lit.includes(one.label) ? { ...one, isLit: true } : one));

/** The influence line that is drawn: in its stage, and of this very model. */
function influenceOn({ stage, influence, drawn }: EditorState): View['influence'] {
  const { solution } = drawn.results ?? {};
  const { found, train } = influence ?? {};
  if (stage !== 'results' || !solution || found?.model !== drawn.model || !isFound(found.what)) return undefined;
  const display = displayOf(drawn.model);
  const told = asTold(found.what, solution.structure, display);
  const { effect, line } = told;
  const { unit, per, ordinate } = measureOf(effect, display);
  const own = drawn.model.trains?.find(({ id }) => id === train?.id);
  const standing = own && worstOf(line, own)[train!.side];
  const axles = standing?.axles.map((s, i) => ({ s, words: showForce(own!.axles[i]!, display) })) ?? [];
  return { ...told, told: { unit: per === unit ? '' : `${unit}/${per}`, factor: ordinate(1) }, axles };
}

/** The drawing of a view in parts: while a look turns only members, without figures where everything is small. */
export const partsIn = (...asked: Parameters<typeof partsInSteps>): readonly SheetPart[] => finished(partsInSteps(...asked));

/** The same in steps. */
export function* partsInSteps(drawn: EditorState['drawn'], view: View, look: 'turning' | 'still'): Steps<readonly SheetPart[]> {
  const parts =
    look === 'turning'
      ? [{ items: quickItems(drawn.model, view), isKept: false }]
      : yield* sheetSteps(drawn.model, drawn.results?.solution, view);
  if (view.weight >= SKETCHED) return parts;
  return parts.map(({ items, isKept }) => ({ items: isKept ? keptQuiet(items) : withoutSmallTalk(items), isKept }));
}
const keptQuiet = once((items: readonly Item[]) => withoutSmallTalk(items));
