import { scaleOfDeflection } from '@rigid-beam/drawing/drawn-scale';
import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import { plainView } from '@rigid-beam/drawing/view';
import { actingIndex, togetherOf, type EditorState } from './editor-state';

/** How many times deflections are drawn larger than life: it holds while something is in hand, so that one sees what grows. */
export function heldDeflectionOf(state: EditorState): number | undefined {
  const { heldDeflection, preview, drawn, diagramFactor, scales } = state;
  const solution = drawn.results?.solution;
  if (preview) return heldDeflection;
  if (!solution || drawn.model.members.length > LIVELY) return undefined;
  const view = { ...plainView, outcome: actingIndex(state), diagramFactor, scales, together: togetherOf(state) };
  const factor = scaleOfDeflection(drawn.model, solution, view);
  return factor > 0 ? factor : undefined;
}
