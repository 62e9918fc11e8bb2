import { carriesAxially, opensOn } from '@rigid-beam/drawing/opens-on';
import type { EditorState } from './editor-state';
import type { Suggestion } from './slices/look';
import type { Drawn } from './slices/solution';

/** What to look at first in a structure; asked again when members came or went. */
export function suggestionFor(
  { model, results }: Drawn,
  before: Pick<EditorState, 'suggestion' | 'drawn'>,
): Suggestion | undefined {
  const solution = results?.solution;
  const { suggestion, drawn } = before;
  if (!solution || (suggestion && drawn.model.members.length === model.members.length)) return suggestion;
  return { quantity: opensOn(model, solution), axial: carriesAxially(model, solution) ? 'bars' : 'diagrams' };
}
