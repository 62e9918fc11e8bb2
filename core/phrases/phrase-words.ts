import { axisKeys, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { inUnit, showNumber, showQuantity } from '../quantities/show';
import type { Point } from '../model/point';
import { SIDES, unitOfKind, WAYS, type LoadPhrase, type Measured, type PhraseKind, type ThermalPart } from './phrase';

/** Digits of a phrase that is read again: none that somebody typed is lost. */
export const ALL_DIGITS = 12;

/** A load said back in the words in which it can be typed: what was understood. */
export function phraseWords(phrase: LoadPhrase, display: DisplayUnits, digits = 4): string {
  if (phrase.across) return thermalWords(phrase, phrase.across, digits);
  const { kind, from, to, span, stations } = phrase;
  const unit = unitOfKind(kind, display);
  const isTurned = from + to < 0;
  const show = (value: number): string => showQuantity(isTurned ? -value : value, unit, digits);
  const sizes = phrase.steps
    ? stepped(
        phrase.steps.sizes.map((size) => (isTurned ? -size : size)),
        unit,
        digits,
      )
    : from === to
      ? show(from)
      : `${show(from)} to ${show(to)}`;
  const length = (value: number): string => showQuantity(value, display.length, digits);
  const places = [
    phrase.steps ? `from ${stepped(phrase.steps.at, display.length, digits)}` : '',
    span ? `between ${length(span[0])} and ${length(span[1])}` : '',
    stations && 'every' in stations ? `every ${length(stations.every)}` : '',
    stations && 'lengths' in stations ? `at ${stations.lengths.map(length).join(' and ')}` : '',
    stations && 'ratios' in stations ? `at ${RATIOS[stations.ratios.length] ?? 'the middle'}` : '',
  ];
  return [
    sizes,
    wayWords(phrase, isTurned ? 'turned' : 'as it is', display, digits),
    measuredWords(phrase),
    phrase.spread && !phrase.onto ? 'one way' : '',
    phrase.width === undefined ? '' : `over ${length(phrase.width)}`,
    ...places,
    phrase.openings ? `leaving out ${phrase.openings.map((corners) => corners.join(', ')).join(' and ')}` : '',
    phrase.onto ? `onto ${phrase.onto.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Wind from a side presses square to what it meets and cannot do otherwise: that needs no word. */
function measuredWords({ kind, measured, direction }: LoadPhrase): string {
  if (kind === 'area' && direction[1] === 0) return '';
  return kind === 'line' || kind === 'area' ? MEASURED[measured] : '';
}

/** What the whole member gets, then what is warmer towards its sides. */
function thermalWords({ from }: LoadPhrase, across: readonly ThermalPart[], digits: number): string {
  const part = (size: number, unit: string, side = ''): string =>
    `${showQuantity(Math.abs(size), unit, digits)} ${size < 0 ? 'colder' : 'warmer'}${side}`;
  return [
    ...(from === 0 ? [] : [part(from, 'K')]),
    ...across.map(({ size, per, towards }) => part(size, per === 'metre' ? 'K/m' : 'K', ` ${sideWords(towards)}`)),
  ].join(' and ');
}

const sideWords = (towards: Point): string =>
  Object.keys(SIDES).find((side) => WAYS[SIDES[side]!]!.every((part, k) => Math.abs(part - towards[k]!) < 1e-9))!;

/** Numbers of which the last has the unit. */
const stepped = (values: readonly number[], unit: string, digits: number): string =>
  values
    .map((value, i) => (i === values.length - 1 ? showQuantity(value, unit, digits) : showNumber(inUnit(value, unit), digits)))
    .join(', ');

const RATIOS: Readonly<Record<number, string>> = { 1: 'the middle', 2: 'thirds', 3: 'quarters' };
const MEASURED: Readonly<Record<Measured, string>> = { member: '', plan: 'on plan', across: 'across' };

/** For what has no direction: the words for a greater and a smaller size. */
const SENSES: Readonly<Partial<Record<PhraseKind, readonly [string, string]>>> = {
  couple: ['anticlockwise', 'clockwise'],
  temperature: ['warmer', 'colder'],
  fit: ['too long', 'too short'],
};

function wayWords({ kind, direction }: LoadPhrase, sense: 'turned' | 'as it is', display: DisplayUnits, digits: number): string {
  const sign = sense === 'turned' ? -1 : 1;
  const senses = SENSES[kind];
  if (senses) {
    const axis = kind === 'couple' ? axisKeys[direction.findIndex((part) => part !== 0)] : undefined;
    // About the axis that leads to the front a couple turns as it is seen.
    const about = axis && axis !== 'z' ? ` about ${structureAxis(display, axis).letter.toLowerCase()}` : '';
    return `${senses[(sense === 'turned') === (axis === undefined || direction[axisKeys.indexOf(axis)]! > 0) ? 1 : 0]}${about}`;
  }
  const own = direction.map((part) => sign * part + 0);
  const named = Object.entries(WAYS).find(([, way]) => way.every((part, k) => Math.abs(part - own[k]!) < 1e-9));
  return named ? named[0] : `at ${showNumber((Math.atan2(own[1]!, own[0]!) * 180) / Math.PI, digits)}°`;
}
