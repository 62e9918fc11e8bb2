import type { Underlay } from '@rigid-beam/core/model/model';
import { distance, type Point } from '@rigid-beam/core/model/point';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import type { SheetController } from '../sheet/controller';
import { PickTool } from '../sheet/tools/pick-tool';
import { prepareTrace } from '../underlay/trace';
import { apart, calibrated, levelled, moved, planeOf } from '../underlay/placing';
import { readPicture } from '../underlay/read-picture';
import { underlayActions as WORDS } from './words';

type Pair = readonly [Point, Point];

/** Metres that a new underlay is wide on the drawing before it is calibrated. */
const FIRST_WIDTH = 20;
export const UNDERLAY_FILES = '.pdf,.png,.jpg,.jpeg,.svg';

/** Lays a file behind the drawing, or puts it in the place of the one that is there. Throws an Error with words for the user. */
export async function putUnderlay(sheet: SheetController, file: File, page: number): Promise<void> {
  const { editor } = sheet;
  const { picture, left } = await readPicture(file, page);
  const isNew = !editor.state.model.underlay;
  const place = !isNew ? {} : { x: 0, y: 0, metresPerPixel: FIRST_WIDTH / picture.width, strength: 0.5 };
  if (!editor.edit({ type: 'underlay', change: { ...picture, name: file.name.slice(0, 200), ...place } })) return;
  prepareTrace(picture.image);
  sheet.view.showAll();
  // A new picture has no size yet: a known dimension gives it one. Escape leaves it for later.
  if (isNew) calibrate(sheet);
  if (left) sheet.say(left);
}

const change = (sheet: SheetController, part: Partial<Underlay>): boolean =>
  sheet.editor.edit({ type: 'underlay', change: part });

/** Two points of the picture, taken from its own plane; the grid does not catch them. */
function two(sheet: SheetController, first: string, second: string, done: (ends: Pair, underlay: Underlay) => void): void {
  const { underlay } = sheet.editor.state.model;
  if (!underlay) return;
  sheet.take(
    new PickTool(sheet, [first, second], (points) => done(points as unknown as Pair, underlay), {
      free: true,
      plane: planeOf(underlay),
    }),
  );
}

/** What two points that are one on the picture are answered with: no size follows from them. */
export const ONE_PLACE = WORDS.onePlace;

/** Two points, and then their true distance. */
export const calibrate = (sheet: SheetController): void =>
  two(sheet, WORDS.clickKnownDimension, WORDS.clickOtherEnd, (ends, underlay) => {
    const value = apart(underlay, ends);
    if (value === 0) {
      sheet.say(ONE_PLACE);
      return;
    }
    sheet.openField({
      label: WORDS.trueLengthBetweenThem,
      ...sheet.view.placeOf(ends[1]),
      value,
      dimension: 'length',
      unit: lengthUnit(sheet.editor.state.model),
      commit: (length) => {
        if (length > 0) change(sheet, calibrated(underlay, ends, length));
      },
    });
  });

/** Says how far two points lie apart. */
export const sayDistance = (sheet: SheetController, ends: Pair): void =>
  sheet.say(`Measured: ${showQuantity(distance(...ends), lengthUnit(sheet.editor.state.model), 5)}`);

/** The distance of two points of the underlay, or of the structure where there is none: a calibration is checked by another dimension. */
export function measure(sheet: SheetController): void {
  const asked = [WORDS.clickDimension, WORDS.clickOtherEnd] as const;
  if (sheet.editor.state.model.underlay) two(sheet, ...asked, (ends) => sayDistance(sheet, ends));
  else sheet.take(new PickTool(sheet, asked, (points) => sayDistance(sheet, points as unknown as Pair)));
}

export const move = (sheet: SheetController): void =>
  two(sheet, WORDS.clickPoint, WORDS.clickWhereItBelongs, (ends, underlay) => change(sheet, moved(underlay, ends)));

export const level = (sheet: SheetController): void =>
  two(sheet, WORDS.clickPointOnLine, WORDS.clickAnotherPointOnIt, (ends, underlay) => {
    if (apart(underlay, ends) === 0) sheet.say(ONE_PLACE);
    else change(sheet, levelled(underlay, ends));
  });

/** Hidden, or shown again. */
export const hideOrShow = (sheet: SheetController): boolean =>
  change(sheet, { strength: (sheet.editor.state.model.underlay?.strength ?? 0.5) > 0 ? 0 : 0.5 });
