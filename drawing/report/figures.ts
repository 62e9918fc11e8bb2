import { readNow } from '@rigid-beam/core/results/read-now';
import { figureIn } from '../paper/figure';
import { ratioWords } from '../paper/ratios';
import { projectionOf, viewOfSubject, type Subject } from '../paper/subjects';
import type { Writing } from './asked';
import { words, type Block } from './blocks';
import { WIDE } from './flow';
import { reportWords as WORDS } from './words';

/** No figure in a report is higher, millimetres. */
const HIGHEST = 105;

/** A drawing of something with its caption: to a true scale, which the caption says. */
export function drawing(
  { model, solution, asked, widthOf, told }: Writing,
  { subject, outcome, caption }: { readonly subject: Subject; readonly outcome: number; readonly caption: string },
): Block {
  told?.(caption);
  const view = viewOfSubject(model, solution, { subject, outcome, projection: projectionOf(model, asked.look) });
  if (typeof view === 'string') return words(WORDS.noFigure(view));
  const read = solution && view.quantity !== 'none' ? readNow(solution, outcome, view.quantity) : solution;
  const field = { size: { width: WIDE, height: HIGHEST }, height: 'as drawn', inks: asked.inks } as const;
  const figure = figureIn(model, read, view, field, widthOf);
  if (typeof figure === 'string') return words(WORDS.noFigure(figure));
  const scale = WORDS.at(caption, ratioWords(figure.ratio));
  return { is: 'figure', figure, caption: figure.leftOut > 0 ? `${scale} · ${WORDS.leftOut(figure.leftOut)}` : scale };
}
