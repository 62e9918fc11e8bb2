import type { Underlay } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { chooseFile } from '../browser/choose-file';
import type { SheetController } from '../sheet/controller';
import {
  calibrate,
  hideOrShow,
  level,
  measure,
  move,
  ONE_PLACE,
  putUnderlay,
  sayDistance,
  UNDERLAY_FILES,
} from './underlay-actions';
import { apart, calibrated } from '../underlay/placing';
import { make, type Command } from './command';
import { readVector } from './motions';

const unit = (sheet: SheetController): string => lengthUnit(sheet.editor.state.model);
const hasUnderlay = (sheet: SheetController): boolean => sheet.editor.state.model.underlay !== undefined;

/** Two places with a comma between them, `0 by 0, 5.2 by 0`, and what follows behind another. */
function readPlaces(text: string, unit: string): { readonly ends: readonly [Point, Point]; readonly rest: string[] } | string {
  const [first, second, ...rest] = text.split(',');
  if (second === undefined) return 'Write two places: 0 by 0, 5.2 by 0';
  const ends = [first!, second].map((part) => readVector(part, unit));
  const fault = ends.find((end) => typeof end === 'string');
  return fault === undefined ? { ends: ends as unknown as [Point, Point], rest } : (fault as string);
}

/** The chosen file is laid behind the drawing as soon as it is read. */
const layBehind = (sheet: SheetController, page: number): void =>
  chooseFile(UNDERLAY_FILES, (file) => {
    putUnderlay(sheet, file, page).catch((fault: unknown) => {
      const message = fault instanceof Error ? fault.message : String(fault);
      sheet.editor.refuse(message);
    });
  });

/** Nothing typed: it is shown on the sheet. Otherwise what was typed is read into a change of the underlay. */
const shownOrTyped =
  (
    show: (sheet: SheetController) => void,
    read: (underlay: Underlay, text: string, unit: string) => Partial<Underlay> | string,
  ) =>
  (sheet: SheetController, text: string): string | undefined => {
    const { underlay } = sheet.editor.state.model;
    if (text === '' || !underlay) {
      show(sheet);
      return undefined;
    }
    const change = read(underlay, text, unit(sheet));
    return typeof change === 'string' ? change : make(sheet, { type: 'underlay', change });
  };

export const underlayCommands: readonly Command[] = [
  {
    name: 'Put an underlay behind',
    notation: 'the page of a PDF, if it is not the first',
    run: (sheet, text) => {
      const page = text === '' ? 1 : Number(text);
      if (!Number.isInteger(page) || page < 1) return `“${text}” is no page: write its number, or nothing.`;
      layBehind(sheet, page);
      return undefined;
    },
  },
  {
    name: 'Calibrate the underlay',
    changes: true,
    notation: 'two places and their true distance: 0 by 0, 5.2 by 0, 6 · or nothing, and show them',
    fits: hasUnderlay,
    run: shownOrTyped(calibrate, (underlay, text, lengths) => {
      const places = readPlaces(text, lengths);
      if (typeof places === 'string') return places;
      const length = parseQuantity(places.rest[0] ?? '', 'length', lengths);
      if (!length.ok || !(length.value > 0)) return 'Write the true distance behind the places: 0 by 0, 5.2 by 0, 6';
      if (apart(underlay, places.ends) === 0) return ONE_PLACE;
      return calibrated(underlay, places.ends, length.value);
    }),
  },
  {
    name: 'Measure a distance',
    notation: 'two places: 0 by 0, 5.2 by 0 · or nothing, and show them',
    run: (sheet, text) => {
      if (text === '') {
        measure(sheet);
        return undefined;
      }
      const places = readPlaces(text, unit(sheet));
      if (typeof places === 'string') return places;
      sayDistance(sheet, places.ends);
      return undefined;
    },
  },
  {
    name: 'Move the underlay',
    changes: true,
    notation: 'right by up · or nothing, and show from where to where',
    fits: hasUnderlay,
    run: shownOrTyped(move, (underlay, text, lengths) => {
      const by = readVector(text, lengths);
      return typeof by === 'string' ? by : { x: underlay.x + by[0], y: underlay.y + by[1] };
    }),
  },
  {
    name: 'Turn the underlay',
    changes: true,
    notation: 'degrees, anticlockwise',
    fits: hasUnderlay,
    run: (sheet, text) => {
      const turn = parseQuantity(text, 'number');
      if (!turn.ok) return `“${text}” is not an angle: ${turn.reason}`;
      return make(sheet, {
        type: 'underlay',
        change: { angle: (sheet.editor.state.model.underlay?.angle ?? 0) + turn.value },
      });
    },
  },
  {
    name: 'Level the underlay',
    changes: true,
    fits: hasUnderlay,
    run: (sheet) => {
      level(sheet);
      return undefined;
    },
  },
  {
    name: 'Dim the underlay',
    changes: true,
    notation: 'percent of its strength: 40',
    fits: hasUnderlay,
    run: (sheet, text) => {
      const part = parseQuantity(text.replace('%', ''), 'number');
      if (!part.ok || part.value < 0 || part.value > 100) return 'Write a number from 0 to 100.';
      return make(sheet, { type: 'underlay', change: { strength: part.value / 100 } });
    },
  },
  {
    name: 'Show or hide the underlay',
    changes: true,
    fits: hasUnderlay,
    run: (sheet) => {
      hideOrShow(sheet);
      return undefined;
    },
  },
  {
    name: 'Take the underlay away',
    changes: true,
    fits: hasUnderlay,
    run: (sheet) => make(sheet, { type: 'underlay', change: null }),
  },
];
