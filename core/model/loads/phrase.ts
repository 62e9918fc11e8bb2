import { pressureUnit, unitOf, type DisplayUnits } from '../../quantities/display';
import { dimensions, type DimensionName } from '../../quantities/dimension';
import { parseQuantity } from '../../quantities/parse';
import { cosineAndSine } from '../local-axes';
import type { Model } from '../model';
import type { Point } from '../point';

/** What a phrase can put on a structure, told by the unit of its size: kN/m, kN, kN·m, kN/m², K and mm. */
export const phraseKinds = ['line', 'force', 'couple', 'area', 'temperature', 'fit', 'settlement'] as const;
export type PhraseKind = (typeof phraseKinds)[number];

/** On what an intensity is measured: along the member, on plan, or square to the member. */
export type Measured = 'member' | 'plan' | 'across';

/** Where on a member forces act. */
export type Stations =
  | { readonly ratios: readonly number[] }
  /** Metres from the start. */
  | { readonly lengths: readonly number[] }
  /** Metres from the start to the first and from one to the next; none stands at an end. */
  | { readonly every: number };

/** A load as engineers say it: size and direction, on what it is measured, and where. SI. */
export interface LoadPhrase {
  readonly kind: PhraseKind;
  /** Sizes at the beginning and at the end; the same but for a line load that grows or shrinks. */
  readonly from: number;
  readonly to: number;
  /** Of length one; the axis about which a couple turns, right-handed. Temperatures and lacks of fit have none. */
  readonly direction: Point;
  readonly measured: Measured;
  /** Metres from the member's start between which a line load acts; the whole member where it is left out. */
  readonly span?: readonly [number, number];
  readonly stations?: Stations;
  /** Steps of a line load: one size between each station and the next, metres from the member's start; `from` and `to` are the first and the last. */
  readonly steps?: { readonly sizes: readonly number[]; readonly at: readonly number[] };
  /** Of a pressure: only to the members that carry it one way, and the width from which members of a line get it (metres). */
  readonly spread?: 'oneWay';
  readonly width?: number;
}

export type ReadPhrase = { readonly ok: true; readonly phrase: LoadPhrase } | { readonly ok: false; readonly reason: string };

/** What decides how a phrase is read. */
export interface PhraseSetting {
  readonly display: DisplayUnits;
  readonly space: Model['space'];
  /** What a size without a unit is. */
  readonly bare: PhraseKind;
}

export const WAYS: Readonly<Record<string, Point>> = {
  down: [0, -1, 0],
  up: [0, 1, 0],
  right: [1, 0, 0],
  left: [-1, 0, 0],
  forward: [0, 0, 1],
  back: [0, 0, -1],
};

const DIMENSION: Readonly<Record<PhraseKind, DimensionName>> = {
  line: 'intensity',
  force: 'force',
  couple: 'moment',
  area: 'stress',
  temperature: 'temperature',
  fit: 'length',
  settlement: 'length',
};

/** The unit in which a project shows the size of a kind. */
export const unitOfKind = (kind: PhraseKind, display: DisplayUnits): string =>
  kind === 'fit' || kind === 'settlement'
    ? display.deflection
    : kind === 'temperature'
      ? 'K'
      : kind === 'area'
        ? pressureUnit(display)
        : unitOf(DIMENSION[kind], display);

class PhraseFault extends Error {}

/**
 * Reads a load as it is said: `8 kN/m down`, `8 to 4 kN/m down on plan between 1 m and 3 m`, `12 kN at 30` (degrees from the right,
 * anticlockwise), `5 kN/m2 * 3.6 m down`, `10 kN down at thirds`, `4 kN down every 1.2 m`, `15 kN·m clockwise`, `20 K warmer`,
 * `3 mm too long`, `10 mm down`, `5 kN/m2 down one way`, `0.8 kN/m2 down on plan over 5 m`,
 * `8, 4, 2 kN/m down from 0, 1, 3, 6 m`. Without a direction loads act down. The unit tells what it is; a bare number is what `bare` says.
 */
export function readLoadPhrase(text: string, setting: PhraseSetting): ReadPhrase {
  try {
    return { ok: true, phrase: read(text, setting) };
  } catch (fault) {
    if (fault instanceof PhraseFault) return { ok: false, reason: fault.message };
    throw fault;
  }
}

/** A part of a phrase behind its size, and what it says. */
interface Said {
  direction?: Point;
  /** Radians, where the direction is told by one. */
  angle?: number;
  /** Words that belong to one kind alone. */
  sense?: 'clockwise' | 'anticlockwise' | 'warmer' | 'colder' | 'too long' | 'too short';
  axis?: Point;
  measured?: Measured;
  span?: readonly [number, number];
  stations?: Stations;
  spread?: 'oneWay';
  width?: number;
  /** Places between which the sizes of steps act. */
  places?: readonly number[];
}

const AXES: Readonly<Record<string, Point>> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };
const STATIONS: Readonly<Record<string, readonly number[]>> = {
  'the middle': [1 / 2],
  thirds: [1 / 3, 2 / 3],
  quarters: [1 / 4, 1 / 2, 3 / 4],
};

function read(text: string, setting: PhraseSetting): LoadPhrase {
  const said: Said = {};
  let rest = ` ${lowered(text)} `;
  const take = (pattern: RegExp, use: (...groups: string[]) => void): void => {
    const match = pattern.exec(rest);
    if (!match) return;
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
    use(...match.slice(1));
  };
  const length = (part: string): number => sizeOf(part, 'length', setting.display.length, 'a length');
  take(/\bbetween (.+?) and (.+?)(?= (?:down|up|left|right|forward|back|on|across|at|square)\b| $)/, (from, to) => {
    said.span = [length(from!), length(to!)];
    if (said.span[0] >= said.span[1])
      throw new PhraseFault('between a place and one further on: the first is not before the second');
  });
  take(/\bfrom ([^,]+(?:,[^,]+)+?)(?= (?:down|up|left|right|forward|back|on|across|square)\b| $)/, (list) => {
    const parts = list!.split(',');
    said.places = parts.map((part) => length(withUnit(part, parts.at(-1)!)));
    if (said.places.some((place, i) => i > 0 && place <= said.places![i - 1]!))
      throw new PhraseFault('stations follow each other from the start of the member on');
  });
  take(/\bone way\b/, () => (said.spread = 'oneWay'));
  take(/\btwo ways?\b/, () => undefined);
  take(
    /\bover (.+?)(?= (?:down|up|left|right|forward|back|on|across|square)\b| $)/,
    (width) => (said.width = positive(length(width!))),
  );
  take(/\bon plan\b/, () => (said.measured = 'plan'));
  take(/\b(?:across|square to (?:it|the member|the panel))\b/, () => (said.measured = 'across'));
  take(/\balong the member\b/, () => (said.measured = 'member'));
  take(
    /\bevery (.+?)(?= (?:down|up|left|right|forward|back)\b| $)/,
    (step) => (said.stations = { every: positive(length(step!)) }),
  );
  take(/\bat (the middle|thirds|quarters)\b/, (where) => (said.stations = { ratios: STATIONS[where!]! }));
  take(
    /\b(clockwise|anticlockwise|warmer|colder|too long|too short)\b/,
    (sense) => (said.sense = sense as NonNullable<Said['sense']>),
  );
  take(/\babout (x|y|z)\b/, (axis) => (said.axis = AXES[axis!]!));
  let isFromRight = false;
  take(/ from the right(?= |$)/, () => (isFromRight = true));
  take(
    /\b(?:to the )?(down|up|left|right|forward|front|back)\b/,
    (way) => (said.direction = WAYS[way === 'front' ? 'forward' : way!]!),
  );
  take(/\bat (.+?)\s*$/, (place) => tell(said, place!, setting));
  // Angles are told from there anyway; without one it would mean nothing.
  if (isFromRight && said.angle === undefined)
    throw new PhraseFault('“from the right” goes with an angle: write, for example, “12 kN at 30 from the right”');
  const sizes = said.places ? rest.trim().split(',') : rest.trim().split(/\bto\b/);
  if (said.places && sizes.length !== said.places.length - 1)
    throw new PhraseFault(
      `between ${said.places.length} stations there are ${said.places.length - 1} steps: ${sizes.length} sizes are told`,
    );
  if (!said.places && sizes.length > 2) throw new PhraseFault('a load goes from one size to another: write “8 to 4 kN/m”');
  if (sizes.some((one) => one.trim() === '')) throw new PhraseFault('its size is missing: write, for example, “8 kN/m down”');
  const kind = kindOf(sizes.at(-1)!, said, setting);
  const unit = unitOfKind(kind, setting.display);
  const [from, to] = [sizes[0]!, sizes.at(-1)!].map((one) =>
    sizeOf(withUnit(one, sizes.at(-1)!), DIMENSION[kind], unit, 'a size'),
  ) as [number, number];
  if (said.places && kind !== 'line') throw new PhraseFault('only a load per length acts in steps');
  if (kind !== 'line' && sizes.length > 1) throw new PhraseFault('only a load per length goes from one size to another');
  check(kind, said, setting);
  const steps = said.places && {
    sizes: sizes.map((one) => sizeOf(withUnit(one, sizes.at(-1)!), DIMENSION[kind], unit, 'a size')),
    at: said.places,
  };
  return { ...finished(kind, from, to, said), ...(steps && { steps }) };
}

/** Words in small letters; units keep theirs, since MN is not mN. */
const lowered = (text: string): string =>
  text.replace(
    /\b(?:Down|Up|Left|Right|Forward|Front|Back|To|The|At|On|Plan|Across|Between|And|Every|Clockwise|Anticlockwise|Warmer|Colder|Too|Long|Short|About|Square|It|Member|Along|Middle|Thirds|Quarters|From|One|Two|Way|Ways|Over|Panel)\b/g,
    (word) => word.toLowerCase(),
  );

function sizeOf(text: string, dimension: DimensionName, unit: string, what: string): number {
  const parsed = parseQuantity(text, dimension, unit);
  if (!parsed.ok) throw new PhraseFault(`“${text.trim()}” is not ${what}: ${parsed.reason}`);
  return parsed.value;
}

function positive(length: number): number {
  if (!(length > 0)) throw new PhraseFault('forces follow each other at a distance greater than 0');
  return length;
}

/** In `8 to 4 kN/m` the unit stands for both. */
function withUnit(one: string, last: string): string {
  // Behind all numbers, of which 1e3 is one.
  const unit = /^(?:\d[\d.]*(?:e[+-]?\d+)?|[\s+\-−*/()·×])*([a-z°].*)$/i.exec(last)?.[1] ?? '';
  return /[a-z°]/i.test(one) ? one : `(${one}) ${unit}`;
}

/** What follows “at”: degrees, or a place along the member. */
function tell(said: Said, place: string, { display, space }: PhraseSetting): void {
  const angle = parseQuantity(place, 'angle', 'deg');
  const isLength = parseQuantity(place, 'length');
  if (isLength.ok) {
    said.stations = { lengths: [isLength.value] };
    return;
  }
  if (!angle.ok)
    throw new PhraseFault(`“${place.trim()}” is neither an angle nor a place along the member, such as 1.2 ${display.length}`);
  if (space === 'space') throw new PhraseFault('an angle is told in the plane only: say down, up, left, right, forward or back');
  said.angle = angle.value;
  const [c, s] = cosineAndSine((angle.value * 180) / Math.PI);
  said.direction = [c, s, 0];
}

const KIND_OF_SENSE: Readonly<Record<NonNullable<Said['sense']>, PhraseKind>> = {
  clockwise: 'couple',
  anticlockwise: 'couple',
  warmer: 'temperature',
  colder: 'temperature',
  'too long': 'fit',
  'too short': 'fit',
};

function kindOf(size: string, { sense }: Said, { bare }: PhraseSetting): PhraseKind {
  if (sense) return KIND_OF_SENSE[sense];
  const found = (['line', 'force', 'couple', 'area', 'temperature', 'settlement'] as const).find(
    (kind) => parseQuantity(size, DIMENSION[kind]).ok,
  );
  if (found) return found;
  const plain = parseQuantity(size, 'number');
  if (plain.ok) return bare;
  const names = (Object.keys(dimensions) as DimensionName[]).filter((name) => parseQuantity(size, name).ok);
  throw new PhraseFault(
    names.length > 0
      ? `“${size.trim()}” is no load: write a size in kN/m, kN, kN·m, kN/m², K or mm`
      : `“${size.trim()}” is not a size: ${plain.reason}`,
  );
}

/** Words that do not go with the kind are refused: nothing that is said is passed over. */
function check(
  kind: PhraseKind,
  { direction, sense, axis, measured, span, stations, spread, width }: Said,
  { space }: PhraseSetting,
): void {
  const isOnly = (what: string, kinds: readonly PhraseKind[]): void => {
    if (!kinds.includes(kind)) throw new PhraseFault(`${what} does not go with ${KIND_WORDS[kind]}`);
  };
  if (direction) isOnly('a direction', ['line', 'force', 'settlement', 'area']);
  if (spread) isOnly('“one way”', ['area']);
  if (width !== undefined) isOnly('“over” a width', ['area']);
  if (spread && width !== undefined) throw new PhraseFault('over a width a line of members carries it: there is no other way');
  if (kind === 'area' && space === 'plane' && width === undefined)
    throw new PhraseFault('in the plane say the width that it comes from: “2 kN/m2 down over 5 m”');
  if (kind === 'area' && measured !== 'across' && direction && direction[1] === 0)
    throw new PhraseFault('a pressure acts down or up, or across its panel');
  if (sense) isOnly(`“${sense}”`, [KIND_OF_SENSE[sense]]);
  if (axis) isOnly('“about”', ['couple']);
  if (measured) isOnly('“on plan”, “across” or “along the member”', ['line', 'area']);
  if (span) isOnly('“between”', ['line']);
  if (stations) isOnly('a place on the member', ['force', 'couple']);
  if (space === 'plane' && direction && direction[2] !== 0) throw new PhraseFault('in the plane nothing acts forward or back');
  if (space === 'plane' && axis && axis[2] === 0) throw new PhraseFault('in the plane couples turn about z only');
}

export const KIND_WORDS: Readonly<Record<PhraseKind, string>> = {
  line: 'a load per length',
  force: 'a force',
  couple: 'a couple',
  area: 'a pressure',
  temperature: 'a temperature change',
  fit: 'a lack of fit',
  settlement: 'a settlement',
};

function finished(
  kind: PhraseKind,
  from: number,
  to: number,
  { direction, sense, axis, measured, span, stations, spread, width }: Said,
): LoadPhrase {
  const isTurned = sense === 'clockwise' || sense === 'colder' || sense === 'too short';
  const sign = isTurned ? -1 : 1;
  return {
    kind,
    from: sign * from + 0,
    to: sign * to + 0,
    direction: kind === 'couple' ? (axis ?? AXES.z!) : (direction ?? WAYS.down!),
    measured: measured ?? 'member',
    ...(span && { span }),
    ...(stations && { stations }),
    ...(spread && { spread }),
    ...(width !== undefined && { width }),
  };
}
