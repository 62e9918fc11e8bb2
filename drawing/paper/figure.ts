import type { Model } from '@rigid-beam/core/model/model';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { quantityWords } from '@rigid-beam/core/results/quantities';
import { isAwaited } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { boundsOf, type Box, type Camera } from '../camera';
import { governingValues } from '../diagram-scale';
import { VERTEX, type DisplayList } from '../display-list';
import { drawnNodes, NOTHING_HIDDEN } from '../geometry';
import { SKETCHED, weightAt, withoutSmallTalk } from '../level-of-detail';
import { placeLabels, TEXT_HEIGHT, type Measure, type PlacedLabel } from '../place-labels';
import { sheetItems } from '../sheet-items';
import type { View } from '../view';
import type { PaperInks } from './asked';
import type { Weight, WidthOf } from './painter';
import { ratios, ratioWords } from './ratios';
import type { Area, Size } from './sizes';
import { PIXEL } from './weights';
import { paperWords as WORDS } from './words';

/** A drawing to scale, to be put somewhere on paper. */
export interface Figure {
  readonly ratio: number;
  /** Millimetres. */
  readonly size: Size;
  /** Pixels of the drawing. */
  readonly camera: Camera;
  readonly list: DisplayList;
  readonly placed: readonly PlacedLabel[];
  /** Texts that found no place where they touch nothing. */
  readonly leftOut: number;
  readonly inks: PaperInks;
  /** What it shows, as it is on paper. */
  readonly view: View;
}

/** Where a figure goes: as large as its field, or only as high as what it shows. */
export interface Field {
  readonly size: Size;
  readonly height: 'whole' | 'as drawn';
  /** 1 to so many; without it the largest of the usual ones at which all of it fits. */
  readonly ratio?: number;
  readonly inks: PaperInks;
}

/** Millimetres between what is drawn and the edge of its field. */
const CLEAR = 6;

/**
 * A view of a model in a field, true to scale and all of it inside. `widthOf`: of the letters that it will be written in. Why it does not fit, in
 * words.
 */
export function figureIn(
  model: Model,
  solution: Solution | undefined,
  view: View,
  field: Field,
  widthOf: WidthOf,
): Figure | string {
  const room: Size = { width: field.size.width - 2 * CLEAR, height: field.size.height - 2 * CLEAR };
  const plain = onPaper(view, field.inks);
  const missing = whyMissing(model, solution, plain);
  if (missing !== undefined) return missing;
  const structure = boundsOf(drawnNodes(model, plain).values());
  if (!structure) return WORDS.nothing;
  const measure: Measure = (text, role) => TEXT_HEIGHT[role] * widthOf(text, weightOf(role));
  const at = (ratio: number): Drawn => drawnAt(model, solution, plain, ratio, measure);
  const wanted = field.ratio === undefined ? undefined : { ratio: field.ratio, drawn: at(field.ratio) };
  const found = wanted && fits(wanted.drawn.box, room) ? wanted : firstThatFits(structure, at, room);
  if (!found) return WORDS.tooBig;
  if (wanted && found !== wanted) {
    const needs = inMillimetres(wanted.drawn.box);
    return WORDS.tooLarge(ratioWords(wanted.ratio), needs, inMillimetres(room), ratioWords(found.ratio));
  }
  const { ratio, drawn } = found;
  const { scale } = drawn.view;
  const { list, box } = drawn;
  const size = field.height === 'whole' ? field.size : { ...field.size, height: box.height + 2 * CLEAR };
  const camera: Camera = {
    x: (box.left + box.width / 2) / PIXEL / scale,
    y: -(box.top + box.height / 2) / PIXEL / scale,
    scale,
    width: size.width / PIXEL,
    height: size.height / PIXEL,
  };
  const placed = placeLabels(list, camera, measure);
  const texts = list.filter(({ kind }) => kind === 'label').length;
  return { ratio, size, camera, list, placed, leftOut: texts - placed.length, inks: field.inks, view: drawn.view };
}

export const weightOf = (role: PlacedLabel['label']['role']): Weight => (role === 'extreme' ? 'strong' : 'regular');
const inMillimetres = ({ width, height }: Size): string => `${showNumber(width, 3)} × ${showNumber(height, 3)} mm`;

/** What is in hand, selected or pointed at belongs to the screen; without colours areas are hatched. */
const onPaper = (view: View, inks: PaperInks): View => ({
  ...view,
  faded: NOTHING_HIDDEN,
  selection: [],
  pointed: undefined,
  plane: undefined,
  solids: false,
  // Bodies on the screen leave a hint of the members under them.
  members: view.solids ? 'plain' : view.members,
  detail: 'whole',
  style: inks === 'black' && view.style !== 'line' ? 'hatched' : view.style,
});

/** Why the quantity of a view cannot be drawn: a sheet with its name and without it would tell that there is none. */
function whyMissing(model: Model, solution: Solution | undefined, { quantity, outcome }: View): string | undefined {
  if (quantity === 'none') return undefined;
  if (!solution?.outcomes[outcome]) return WORDS.notSolved;
  const { name } = quantityWords(model.space, quantity, displayOf(model));
  if (isAwaited(solution, outcome, quantity)) return WORDS.awaited(name);
  return governingValues(solution, outcome, quantity) ? undefined : WORDS.notKnown(name);
}

/** A drawing at a scale, and what it covers: millimetres from the origin of the model, y down. */
interface Drawn {
  readonly list: DisplayList;
  readonly view: View;
  readonly box: Area;
}

function drawnAt(model: Model, solution: Solution | undefined, view: View, ratio: number, measure: Measure): Drawn {
  const scale = 1000 / ratio / PIXEL;
  const seen: View = { ...view, scale, weight: weightAt(model, view, scale) };
  const items = sheetItems(model, solution, seen);
  const list = seen.weight < SKETCHED ? withoutSmallTalk(items) : items;
  return { list, view: seen, box: coveredBy(list, scale, measure) };
}

/** What a drawing covers: symbols, diagrams and what is written beside them stand out beyond the structure. */
function coveredBy(list: DisplayList, scale: number, measure: Measure): Area {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  const meet = (x: number, y: number): void => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  };
  for (const item of list) {
    if (item.kind === 'label') {
      // From its point to where it ends if it stands on the side that it prefers.
      const [x, y] = [item.x * scale + item.dx, -item.y * scale - item.dy];
      meet(x, y);
      if (!item.along) meet(x + item.away[0] * measure(item.text, item.role), y - item.away[1] * 1.2 * TEXT_HEIGHT[item.role]);
      continue;
    }
    const { vertices } = item;
    for (let i = 0; i < vertices.length; i += VERTEX)
      meet(vertices[i]! * scale + vertices[i + 2]!, -vertices[i + 1]! * scale - vertices[i + 3]!);
  }
  return { left: left * PIXEL, top: top * PIXEL, width: (right - left) * PIXEL, height: (bottom - top) * PIXEL };
}

/** The largest usual scale at which all fits; the structure without its symbols tells from where on to try. */
function firstThatFits(
  { right, left, top, bottom }: Box,
  at: (ratio: number) => Drawn,
  room: Size,
): { readonly ratio: number; readonly drawn: Drawn } | undefined {
  for (const ratio of ratios) {
    const metre = 1000 / ratio;
    if (metre * (right - left) > room.width || metre * (top - bottom) > room.height) continue;
    const drawn = at(ratio);
    if (fits(drawn.box, room)) return { ratio, drawn };
  }
  return undefined;
}

const fits = (box: Size, room: Size): boolean => box.width <= room.width && box.height <= room.height;
