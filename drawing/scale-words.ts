import type { Model } from '@rigid-beam/core/model/model';
import { displayOf, drawnUnit, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { symbolOf, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { colouredOf } from './coloured-items';
import { governingValues, largestOf } from './diagram-scale';
import { scaleOfDeflection, scaleOfDiagram } from './drawn-scale';
import { isBars, isDeflection, type SheetQuantity, type View } from './view';

/** The scales of what is drawn; nothing is said of what is not there. */
export interface Scales {
  /** Of members in the colour of a quantity: from nothing to its largest value. */
  readonly colours?: { readonly least: string; readonly most: string };
  /** What a length of the drawing stands for, of all that is drawn to scale. */
  readonly words: string;
  /** What can be given a scale of its own, and the one that it has. */
  readonly own?: { readonly quantity: SheetQuantity; readonly words: string };
  /** Whatever is drawn to scale. */
  readonly drawn: readonly SheetQuantity[];
}

/** A length of the drawing, as it is called, and how many metres of the structure it is. */
export interface DrawnLength {
  readonly words: string;
  readonly metres: number;
}

/** One of the things that are drawn to scale. */
interface Scaled {
  readonly quantity: SheetQuantity;
  readonly scale: string;
  readonly words: string;
}

/** The scales of what a view draws, per `length` of the drawing; undefined where nothing is drawn to scale. */
export function scalesIn(
  model: Model,
  solution: Solution,
  view: View,
  length: DrawnLength = unitLength(displayOf(model)),
): Scales | undefined {
  const { quantity, outcome } = view;
  const coloured = colouredOf(solution, view);
  const of = (one: View, how: 'shown' | 'besides'): readonly Scaled[] => scaled(model, solution, one, how, length);
  const diagram = coloured || isBars(view) ? [] : of(view, 'shown');
  const besides =
    quantity === 'none'
      ? []
      : view.also.filter((one) => one !== quantity).flatMap((one) => of({ ...view, quantity: one, together: [] }, 'besides'));
  const deflected = view.deflected && !isDeflection(quantity) ? deflectionScaled(model, solution, view) : [];
  const all = [...diagram, ...besides, ...deflected];
  const own = quantity === 'none' ? deflected[0] : diagram[0];
  const largest = coloured && quantity !== 'none' ? largestOf(governingValues(solution, outcome, quantity)) : 0;
  if (all.length === 0 && largest === 0) return undefined;
  return {
    ...(largest > 0 &&
      quantity !== 'none' && {
        colours: { least: '0', most: showQuantity(largest, unitOfQuantity(quantity, displayOf(model)), 3) },
      }),
    words: all.map(({ words }) => words).join(' · '),
    ...(own && { own: { quantity: own.quantity, words: own.scale } }),
    drawn: all.map((one) => one.quantity),
  };
}

/** The chosen quantity, or one that is drawn besides and so is named by its symbol. */
function scaled(model: Model, solution: Solution, view: View, how: 'shown' | 'besides', length: DrawnLength): readonly Scaled[] {
  const { quantity } = view;
  if (quantity === 'none') return [];
  const { perMetre } = scaleOfDiagram(model, solution, view);
  if (!(perMetre > 0)) return [];
  const display = displayOf(model);
  const scale = isDeflection(quantity) ? timesWords(1 / perMetre) : lengthWords(perMetre, quantity, display, length);
  const symbol = how === 'besides' ? symbolOf(model.space, quantity, display) : isDeflection(quantity) ? DEFLECTIONS : '';
  return [{ quantity, scale, words: `${symbol} ${scale}`.trim() }];
}

/** The line that members take, where it is shown besides. */
function deflectionScaled(model: Model, solution: Solution, view: View): readonly Scaled[] {
  const factor = scaleOfDeflection(model, solution, view);
  if (!(factor > 0)) return [];
  return [{ quantity: 'v', scale: timesWords(factor), words: `${DEFLECTIONS} ${timesWords(factor)}` }];
}

const DEFLECTIONS = 'deflections';
const timesWords = (factor: number): string => `× ${showNumber(factor, 3)}`;

/** A unit of length of the structure, as the model is drawn in. */
function unitLength(display: DisplayUnits): DrawnLength {
  const unit = drawnUnit(display);
  return { words: `1 ${unit}`, metres: unitFactor(unit) };
}

/** What a length of the drawing stands for, with so many units of the quantity to a metre. */
export function lengthWords(
  perMetre: number,
  quantity: SheetQuantity,
  display: DisplayUnits,
  { words, metres }: DrawnLength = unitLength(display),
): string {
  const unit = unitOfQuantity(quantity, display);
  return `${words} = ${showNumber((perMetre * metres) / unitFactor(unit), 3)} ${unit}`;
}
