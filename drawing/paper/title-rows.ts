import { capital } from '@rigid-beam/core/capital';
import type { Model } from '@rigid-beam/core/model/model';
import { nameOf } from '@rigid-beam/core/model/named';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { quantityWords } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { ruleOf } from '../rule-words';
import { scalesIn } from '../scale-words';
import type { View } from '../view';
import type { SheetAsked } from './asked';
import { ratioWords } from './ratios';
import type { TitleField } from './title-block';
import { paperWords as WORDS } from './words';

/** Millimetres of paper that the scale of a diagram is told by. */
const FULL = 10;
export const TITLE_ROWS = 4;

/** What the title block of a sheet says. */
export function titleRows(
  model: Model,
  solution: Solution | undefined,
  view: View,
  { paper, said, place }: SheetAsked,
  ratio: number,
): TitleField[][] {
  const field = (name: string, text: string | undefined, share = 1): TitleField => ({ name, text: text ?? '', share });
  const display = displayOf(model);
  const { quantity } = view;
  // In place of diagrams: neither has a rule or a scale of theirs.
  const isOther = view.influence !== undefined || view.cut !== undefined;
  const scales = solution && !isOther && scalesIn(model, solution, view, { words: `${FULL} mm`, metres: (FULL * ratio) / 1000 });
  const scaleText = [scales ? scales.words : '', scales && scales.colours && `${scales.colours.least} to ${scales.colours.most}`].filter(Boolean).join(' · '); // oxfmt-ignore
  return [
    [field(WORDS.project, said.project, 3), field(WORDS.number, said.number)],
    [field(WORDS.structure, model.title, 2), field(WORDS.outcome, actingWords(model, solution, view), 2)],
    [
      field(WORDS.drawn, drawnWords(model, view), 2),
      field(WORDS.rule, quantity === 'none' || isOther ? '' : ruleOf(quantity, view, display), 1.2),
      field(WORDS.scales, scaleText, 1.4),
    ],
    [
      field(WORDS.scale, `${ratioWords(ratio)} · ${paper}`),
      field(WORDS.date, said.date),
      field(WORDS.revision, said.revision),
      field(WORDS.sheet, WORDS.ofSheets(place.number, place.count)),
    ],
  ];
}

/** What a view is about, as one would call the drawing. */
function drawnWords(model: Model, view: View): string {
  const { quantity } = view;
  const display = displayOf(model);
  const name = (one: Exclude<View['quantity'], 'none'>): string => quantityWords(model.space, one, display).name;
  if (view.influence) return WORDS.influence;
  if (view.cut) return WORDS.cut;
  if (quantity !== 'none') return capital([name(quantity), ...view.also.filter((one) => one !== quantity).map(name)].join(', '));
  if (view.deflected) return WORDS.deflected;
  if (view.loads !== 'none') return WORDS.loads;
  if (view.reactions) return WORDS.reactions;
  if (view.supports === 'said') return WORDS.supports;
  return view.sections ? WORDS.sections : WORDS.geometry;
}

/** Which case or combination acts, where anything of it is drawn: by its name and title. */
function actingWords({ cases }: Model, solution: Solution | undefined, view: View): string {
  const isDrawn = view.quantity !== 'none' || view.deflected || view.reactions || view.loads !== 'none';
  const acts = solution ? solution.outcomes[view.outcome] : cases[view.outcome];
  if (!acts || !isDrawn || view.influence) return '';
  return nameOf(acts);
}
