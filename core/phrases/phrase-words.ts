import { axisKeys, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { inUnit, showNumber, showQuantity } from '../quantities/show';
import type { Point } from '../model/point';
import type { DimensionName } from '../quantities/dimension';
import { DIMENSION, SIDES, unitOfKind, WAYS, type LoadPhrase, type Measured, type PhraseKind, type ThermalPart } from './phrase';
import { textOfSize } from './sized-by';

/** Digits of a phrase that is read again: none that somebody typed is lost. */
export const ALL_DIGITS = 12;

/** How the numbers of a phrase are said: as such, or by the expressions that give them where there are such. */
type Said = 'numbers' | 'expressions';

/** A number of a phrase in words: read from it, and from the one with other values. */
type Sayer = (of: (one: LoadPhrase) => number, unit: string, dimension: DimensionName) => string;

function sayer(phrase: LoadPhrase, digits: number, said: Said): Sayer {
  const varied = said === 'expressions' ? phrase.varied : undefined;
  return (of, unit, dimension) => {
    const value = of(phrase);
    const other = varied && of(varied.phrase);
    const text = other === undefined || other === value ? undefined : textOfSize({ dimension, value, other }, varied!.sizes);
    return text ?? showQuantity(value, unit, digits);
  };
}

/** A load said back in the words in which it can be typed: what was understood, or with expressions what was meant. */
export function phraseWords(phrase: LoadPhrase, display: DisplayUnits, digits = 4, said: Said = 'numbers'): string {
  const say = sayer(phrase, digits, said);
  if (phrase.across) return thermalWords(phrase, phrase.across, say);
  const { kind, from, to, span, stations } = phrase;
  const unit = unitOfKind(kind, display);
  const sign = from + to < 0 ? -1 : 1;
  const size = (of: (one: LoadPhrase) => number): string => say((one) => sign * of(one) + 0, unit, DIMENSION[kind]);
  const length = (of: (one: LoadPhrase) => number): string => say(of, display.length, 'length');
  const begins = size((one) => one.from);
  const ends = size((one) => one.to);
  /** Numbers of which the last has the unit; where expressions give some, each says its own. */
  const each = (all: (one: LoadPhrase) => readonly number[], of: string, dimension: DimensionName): string => {
    const values = all(phrase);
    const words = values.map((_, i) => say((one) => all(one)[i]!, of, dimension));
    return words.every((text, i) => text === showQuantity(values[i]!, of, digits))
      ? stepped(values, of, digits)
      : words.join(', ');
  };
  const sizes = phrase.steps
    ? each((one) => one.steps!.sizes.map((size) => sign * size + 0), unit, DIMENSION[kind])
    : from === to && begins === ends
      ? begins
      : `${begins} to ${ends}`;
  const places = [
    phrase.steps ? `from ${each((one) => one.steps!.at, display.length, 'length')}` : '',
    span ? `between ${length((one) => one.span![0])} and ${length((one) => one.span![1])}` : '',
    stations && 'every' in stations ? `every ${length((one) => (one.stations as typeof stations).every)}` : '',
    stations && 'lengths' in stations
      ? `at ${stations.lengths.map((_, i) => length((one) => (one.stations as typeof stations).lengths[i]!)).join(' and ')}`
      : '',
    stations && 'ratios' in stations ? `at ${RATIOS[stations.ratios.length] ?? 'the middle'}` : '',
  ];
  return [
    sizes,
    wayWords(phrase, sign < 0 ? 'turned' : 'as it is', display, digits),
    measuredWords(phrase),
    phrase.spread && !phrase.onto ? 'one way' : '',
    phrase.width === undefined ? '' : `over ${length((one) => one.width!)}`,
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
function thermalWords({ from }: LoadPhrase, across: readonly ThermalPart[], say: Sayer): string {
  const warmth = (size: number, said: string, side = ''): string => `${said} ${size < 0 ? 'colder' : 'warmer'}${side}`;
  return [
    ...(from === 0
      ? []
      : [
          warmth(
            from,
            say((one) => Math.sign(from) * one.from, 'K', 'temperature'),
          ),
        ]),
    ...across.map(({ size, per, towards }, i) => {
      const of = (one: LoadPhrase): number => Math.sign(size) * (one.across?.[i]?.size ?? 0);
      const words = per === 'metre' ? say(of, 'K/m', 'gradient') : say(of, 'K', 'temperature');
      return warmth(size, words, ` ${sideWords(towards)}`);
    }),
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
