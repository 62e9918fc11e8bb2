import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { symbolOf } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { carriesAxially } from '../opens-on';
import { ELEVATION, lookFrom, LOOKS, type Look, type Projection } from '../projection';
import { viewOfStage, type Switches } from '../stage-view';
import { plainView, quantitiesDrawn, type SheetQuantity, type View } from '../view';
import { paperWords as WORDS } from './words';

interface About {
  readonly stage: string;
  readonly switches: Switches;
  /** Whether it is another for each case and combination, and for an envelope too. */
  readonly acts: 'no' | 'of any' | 'of one value';
}

/** What a sheet can be about besides a quantity: the stage that draws it, and what is shown of it there. A new one is entered here. */
const SUBJECTS = {
  geometry: { stage: 'geometry', switches: { dimensions: true, names: true }, acts: 'no' },
  sections: { stage: 'sections', switches: {}, acts: 'no' },
  supports: { stage: 'supports', switches: { reactions: false }, acts: 'no' },
  reactions: { stage: 'supports', switches: { reactions: true }, acts: 'of any' },
  loads: { stage: 'loads', switches: {}, acts: 'of one value' },
  deflected: {
    stage: 'results',
    switches: { diagram: false, deflected: true, reactions: false, loads: false },
    acts: 'of one value',
  },
} as const satisfies Record<string, About>;
/** Of a quantity. */
const DIAGRAM: About = { stage: 'results', switches: { loads: false, reactions: false, governing: false }, acts: 'of any' };

export type Subject = keyof typeof SUBJECTS | SheetQuantity;
export const otherSubjects = Object.keys(SUBJECTS) as (keyof typeof SUBJECTS)[];
const isOther = (subject: Subject): subject is keyof typeof SUBJECTS => subject in SUBJECTS;

export const isQuantity = (subject: Subject): subject is SheetQuantity => !isOther(subject);

const aboutOf = (subject: Subject): About => (isOther(subject) ? SUBJECTS[subject] : DIAGRAM);

/** Whether a sheet about this is another for each case and combination. */
export const acts = (subject: Subject): boolean => aboutOf(subject).acts !== 'no';

/** A subject by its name, a quantity by its symbol as the sheet has it; or what there is. */
export function subjectOf(text: string, model: Model): Subject | { readonly refused: string } {
  const display = displayOf(model);
  const found = quantitiesDrawn(model.space).find((id) => id === text || symbolOf(model.space, id, display) === text);
  if (found) return found;
  if (text in SUBJECTS) return text as Subject;
  const symbols = quantitiesDrawn(model.space).map((id) => symbolOf(model.space, id, display));
  return { refused: WORDS.noSubject(text, [...otherSubjects, ...symbols].join(', ')) };
}

/** From where a model is seen on paper: one in the plane straight on. */
export function projectionOf({ space }: Pick<Model, 'space'>, look: Look): Projection {
  const { round, height } = LOOKS[look];
  return space === 'plane' ? ELEVATION : lookFrom(round, height);
}

/**
 * How a sheet about something looks: what the stage shows that is about it. `outcome`: its place among those of the solution, or of a case that
 * is not solved among the cases. Why there is nothing to draw, in words.
 */
export function viewOfSubject(
  model: Model,
  solution: Solution | undefined,
  { subject, outcome, projection }: { readonly subject: Subject; readonly outcome: number; readonly projection: Projection },
): View | string {
  const { stage, switches, acts: how } = aboutOf(subject);
  const one = solution?.outcomes[outcome];
  const isCase = subject === 'loads' && outcome >= 0 && outcome < model.cases.length;
  if (how !== 'no' && !one && !isCase) return WORDS.notSolved;
  if (one && isRange(one) && (subject === 'loads' || subject === 'deflected')) return WORDS.noOneValue[subject];
  if (one?.kind === 'shape' && how !== 'no' && subject !== 'deflected') return WORDS.ofAShape(one.id);
  return {
    ...plainView,
    ...viewOfStage(stage, switches),
    ...{ projection, outcome },
    quantity: isOther(subject) ? 'none' : subject,
    axial: carriesAxially(model, solution) ? 'bars' : 'diagrams',
  };
}
