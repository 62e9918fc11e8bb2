import { listed, type Listed } from '@rigid-beam/core/combinations/listed';
import { once } from '@rigid-beam/core/once';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { actingIndex, type EditorState } from '../editor/editor-state';
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

/** So many outcomes on each side of the acting one: about as many as stand in view with it. */
const BESIDE = 4;

/** What may be looked at next, the likeliest first: what is pointed at, and what stands beside the acting outcome in the strip, the nearest first. */
export function likelyNext(state: EditorState): readonly Partial<Pane>[] {
  const { stage, switches, drawn, governing, unlisted, pointedAt, beside } = state;
  if (beside || !(isOn(stage, switches, 'diagram') || isOn(stage, switches, 'loads'))) return [];
  const { cases, combinations } = drawn.model;
  const acting = actingIndex(state);
  const all = shownIn(listedIn(cases, combinations, governing?.counts, drawn.results?.solution?.outcomes), unlisted, acting);
  const at = all.findIndex(({ outcome }) => outcome === acting);
  const near = Array.from({ length: 2 * BESIDE }, (_, i) => all[at + (i % 2 === 0 ? 1 + i / 2 : -(1 + i) / 2)]);
  const nearby = near.flatMap((one) => (one ? [{ acting: one.id }] : []));
  return pointedAt ? [pointedAt, ...nearby] : nearby;
}
