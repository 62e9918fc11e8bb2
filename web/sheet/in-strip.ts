import { listed, type Listed } from '@rigid-beam/core/combinations/listed';
import { once } from '@rigid-beam/core/once';
import { isLine } from '@rigid-beam/core/results/quantities';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { quantitiesDrawn, type View } from '@rigid-beam/drawing/view';
import { actingIndex, quantityOf, type EditorState } from '../editor/editor-state';
import { isAwaited } from '../editor/slices/solution';
import type { Pane } from '../editor/view-state';

/** All that the strip may list, in its order; `counts`: how many results each sum governs, where that is known. */
export const listedIn = once(
  (
    cases: EditorState['model']['cases'],
    combinations: EditorState['model']['combinations'],
    ...[counts, outcomes]: [counts: Parameters<typeof listed>[1], outcomes: Parameters<typeof listed>[2]]
  ): readonly Listed[] => listed({ cases, combinations }, counts, outcomes),
);

/** What the strip shows of it: what acts is there, whatever is left out. */
export const shownIn = (all: readonly Listed[], unlisted: EditorState['unlisted'], acting: number): readonly Listed[] =>
  unlisted.size === 0
    ? all
    : all.filter(
        ({ kind, governs, outcome }) => outcome === acting || !(unlisted.has(kind) || (governs === 0 && unlisted.has('idle'))),
      );

/** So many outcomes about the acting one: a few more than stand in view with it; and those beside it. */
const [ABOUT, BESIDE] = [12, 4];

/** What somebody goes through, one after the other. */
export type Goes = 'outcomes' | 'quantities';

/** What the reader goes through who looked at one view and looks at another now; where neither outcome nor quantity changed, the same as before. */
export const goesThrough = (before: View | undefined, now: View, goes: Goes): Goes =>
  before && before.outcome !== now.outcome ? 'outcomes' : before && before.quantity !== now.quantity ? 'quantities' : goes;

/**
 * What may be looked at next, nothing while results are awaited, the likeliest first: what is pointed at, what stands beside the acting outcome in the strip, and then the other
 * quantities, those that are derived last, before or after what stands further off in the strip.
 */
export function likelyNext(state: EditorState, goes: Goes = 'quantities'): readonly Partial<Pane>[] {
  const { stage, switches, drawn, governing, unlisted, pointedAt, beside, progress } = state;
  if (beside || isAwaited(drawn, progress) || !(isOn(stage, switches, 'diagram') || isOn(stage, switches, 'loads'))) return [];
  const { cases, combinations } = drawn.model;
  const acting = actingIndex(state);
  const all = shownIn(listedIn(cases, combinations, governing?.counts, drawn.results?.solution?.outcomes), unlisted, acting);
  const at = all.findIndex(({ outcome }) => outcome === acting);
  const near = Array.from({ length: 2 * ABOUT }, (_, i) => all[at + (i % 2 === 0 ? 1 + i / 2 : -(1 + i) / 2)]);
  const about = near.flatMap((one) => (one ? [{ acting: one.id }] : [])).slice(0, ABOUT);
  const quantities = isOn(stage, switches, 'diagram')
    ? quantitiesDrawn(drawn.model.space).filter((one) => one !== quantityOf(state))
    : [];
  const [lines, derived] = [true, false].map((is) =>
    quantities.flatMap((quantity) => (isLine(quantity) === is ? { quantity } : [])),
  );
  const further = about.slice(BESIDE);
  const then = goes === 'outcomes' ? [...further, ...lines!, ...derived!] : [...lines!, ...derived!, ...further];
  return [...(pointedAt ? [pointedAt] : []), ...about.slice(0, BESIDE), ...then];
}
