import { once } from '@rigid-beam/core/once';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import { placesOfCut, type AskedCut } from '@rigid-beam/core/results/bodies/asked';
import { bodyBalance, freeBody, type FreeBody } from '@rigid-beam/core/results/bodies/cut';
import type { Solution } from '@rigid-beam/core/results/results';
import type { DrawnCut } from '@rigid-beam/drawing/drawn-cut';
import { actingIndex, isCutShown, type EditorState } from './editor-state';

/** The body that a cut frees in a solution; undefined where it meets nothing. */
const bodyOf = once((solution: Solution, cut: AskedCut) => {
  const places = placesOfCut(solution.structure, cut);
  return places.length > 0 ? freeBody(solution.structure, places) : undefined;
});

/** What a cut frees, with what goes through it in an outcome; undefined where it meets nothing. */
export function cutIn(solution: Solution, cut: AskedCut, outcome: number): DrawnCut | undefined {
  const body = bodyOf(solution, cut);
  if (!body) return undefined;
  const known = found(body);
  if (!known.has(outcome))
    known.set(outcome, {
      structure: solution.structure,
      body,
      ...(!isRange(solution.outcomes[outcome]!) && { balance: bodyBalance(solution, outcome, body) }),
      ...(cut.kind === 'line' && { line: [cut.from, cut.to] as const }),
    });
  return known.get(outcome);
}

/** Of a body, which belongs to one solution, by outcome: drawing and tables ask for the same. */
const found = once((_: FreeBody) => new Map<number, DrawnCut>());

/** The cut that is looked at; undefined where nothing is cut. */
export function cutOf(state: EditorState): DrawnCut | undefined {
  const { cut, drawn } = state;
  const { solution } = drawn.results ?? {};
  return cut && solution && isCutShown(state) ? cutIn(solution, cut, actingIndex(state)) : undefined;
}
