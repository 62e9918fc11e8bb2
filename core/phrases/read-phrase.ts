import { axisCalled, type AxisKey } from '../quantities/axis-names';
import { dimensions, type DimensionName } from '../quantities/dimension';
import { parseQuantity } from '../quantities/parse';
import type { DisplayUnits } from '../quantities/display';
import { cosineAndSine } from '../model/local-axes';
import type { Model } from '../model/model';
import type { Point } from '../model/point';
import {
  DIMENSION,
  KIND_WORDS,
  unitOfKind,
  WAYS,
  type LoadPhrase,
  type Measured,
  type PhraseKind,
  type Stations,
} from './phrase';
import { PhraseFault, sizeOf, withUnit, type Naming } from './phrase-size';
import { readTemperature, saysWarmth } from './read-temperature';

export type ReadPhrase = { readonly ok: true; readonly phrase: LoadPhrase } | { readonly ok: false; readonly reason: string };

/** What decides how a phrase is read. */
export interface PhraseSetting {
  readonly display: DisplayUnits;
  readonly space: Model['space'];
  /** What a size without a unit is. */
  readonly bare: PhraseKind;
  /** What names of parameters stand for, where sizes may mention them. */
  readonly naming?: Naming;
}

/**
 * Reads a load as it is said: `8 kN/m down`, `8 to 4 kN/m down on plan between 1 m and 3 m`, `12 kN at 30` (degrees from the right,
 * anticlockwise), `5 kN/m2 * 3.6 m down`, `10 kN down at thirds`, `4 kN down every 1.2 m`, `15 kN·m clockwise`, `20 K warmer`,
 * `3 mm too long`, `10 mm down`, `5 kN/m2 down one way`, `5 kN/m2 down onto a, b leaving out 5, 6, 7, 8`,
 * `0.8 kN/m2 down on plan over 5 m`, `8, 4, 2 kN/m down from 0, 1, 3, 6 m`, `3 kN/m over the first 2 m`, `3 kN/m from 0 to 2 m`, `10 kN at mid-span`; temperatures as `readTemperature` says. Without a direction loads act down. The unit tells what it is; a bare number is what `bare` says.
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
  sense?: 'clockwise' | 'anticlockwise' | 'too long' | 'too short';
  axis?: Point;
  measured?: Measured;
  span?: readonly [number, number];
  stations?: Stations;
  spread?: 'oneWay' | 'twoWay';
  width?: number;
  onto?: readonly string[];
  openings?: readonly (readonly string[])[];
  /** Places between which the sizes of steps act. */
  places?: readonly number[];
}

/** A part of a phrase up to where the next begins. */
const upTo = (part: string): RegExp =>
  new RegExp(
    `\\b${part}(?= (?:down|up|left|right|forward|back|on|across|at|square|along|between|over|every|from|one|two)\\b| $)`,
  );

const AXES: Readonly<Record<AxisKey, Point>> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };
const STATIONS: Readonly<Record<string, readonly number[]>> = {
  thirds: [1 / 3, 2 / 3],
  quarters: [1 / 4, 1 / 2, 3 / 4],
};

function read(text: string, setting: PhraseSetting): LoadPhrase {
  const said: Said = {};
  const { naming } = setting;
  // Names keep their letters.
  let rest = ` ${text} `;
  const take = (pattern: RegExp, use: (...groups: string[]) => void): void => {
    const match = pattern.exec(rest);
    if (!match) return;
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
    use(...match.slice(1));
  };
  take(/\bleaving out (.+?)(?= onto\b| $)/i, (list) => (said.openings = list!.split(/\s+and\s+/i).map(namesOf)));
  take(/\bonto (.+?) $/i, (list) => (said.onto = namesOf(list!)));
  rest = lowered(rest);
  if (saysWarmth(rest)) {
    if (said.onto || said.openings) throw new PhraseFault('“onto” and “leaving out” go with a pressure only');
    return readTemperature(rest, setting.space, naming);
  }
  const length = lengthIn(setting);
  take(upTo('(?:over|within) the first (.+?)'), (end) => {
    said.span = [0, positive(length(end!))];
  });
  take(upTo('from ([^,]+?) to ([^,]+?)'), (from, to) =>
    fromTo(said, [from!, to!], setting, (sizes) => (rest = ` ${sizes}${rest}`)),
  );
  take(upTo('between (.+?) and (.+?)'), (from, to) => {
    if (said.span) throw new PhraseFault('where it acts is told twice');
    said.span = inOrder(length(withUnit(from!, to!, naming)), length(to!));
  });
  take(upTo('from ([^,]+(?:,[^,]+)+?)'), (list) => {
    const parts = list!.split(',');
    said.places = parts.map((part) => length(withUnit(part, parts.at(-1)!, naming)));
    if (said.places.some((place, i) => i > 0 && place <= said.places![i - 1]!))
      throw new PhraseFault('stations follow each other from the start of the member on');
  });
  take(/\bone way\b/, () => (said.spread = 'oneWay'));
  take(/\btwo ways?\b/, () => {
    if (said.spread ?? said.onto) throw new PhraseFault('a pressure is carried one way or two ways, not both');
    said.spread = 'twoWay';
  });
  take(upTo('over (.+?)'), (width) => (said.width = positive(length(width!))));
  const measure = (measured: Measured): void => {
    if (said.measured) throw new PhraseFault('“on plan”, “across” and “along the member” exclude each other: say one of them');
    said.measured = measured;
  };
  take(/\bon plan\b/, () => measure('plan'));
  take(/\b(?:across|square to (?:it|the member|the panel))\b/, () => measure('across'));
  take(/\balong the member\b/, () => measure('member'));
  take(upTo('every (.+?)'), (step) => station(said, { every: positive(length(step!)) }));
  take(/\b(?:at|in) (?:the )?(middle|mid-?span|mid-?point|centre|center)\b/, () => station(said, { ratios: [1 / 2] }));
  take(/\bat (?:the )?(thirds|quarters)\b/, (where) => station(said, { ratios: STATIONS[where!]! }));
  take(/\b(clockwise|anticlockwise|too long|too short)\b/, (sense) => (said.sense = sense as NonNullable<Said['sense']>));
  take(/\babout (x|y|z)\b/, (letter) => {
    const { key, sign } = axisCalled(setting.display, letter!)!;
    said.axis = AXES[key].map((part) => sign * part + 0) as unknown as Point;
  });
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
  const size = { dimension: DIMENSION[kind], unit: unitOfKind(kind, setting.display), what: 'a size' };
  const [from, to] = [sizes[0]!, sizes.at(-1)!].map((one) => sizeOf(withUnit(one, sizes.at(-1)!, naming), size, naming)) as [
    number,
    number,
  ];
  if (said.places && kind !== 'line') throw new PhraseFault('only a load per length acts in steps');
  if (kind !== 'line' && sizes.length > 1) throw new PhraseFault('only a load per length goes from one size to another');
  check(kind, said, setting);
  const steps = said.places && {
    sizes: sizes.map((one) => sizeOf(withUnit(one, sizes.at(-1)!, naming), size, naming)),
    at: said.places,
  };
  return { ...finished(kind, from, to, said), ...(steps && { steps }) };
}

/** `a, b, c`: names one after the other. */
function namesOf(list: string): readonly string[] {
  const names = list.split(',').map((name) => name.trim());
  if (names.includes('')) throw new PhraseFault(`a name is missing in “${list.trim()}”`);
  return names;
}

/** Words in small letters; units keep theirs, since MN is not mN. */
const lowered = (text: string): string =>
  text.replace(
    /\b(?:Down|Up|Left|Right|Forward|Front|Back|To|The|At|On|Plan|Across|Between|And|Every|Clockwise|Anticlockwise|Warmer|Colder|Too|Long|Short|In|Above|Below|Behind|About|Square|It|Member|Along|Middle|Mid-?span|Mid-?point|Centre|Center|Within|First|Thirds|Quarters|From|One|Two|Way|Ways|Over|Panel)\b/g,
    (word) => word.toLowerCase(),
  );

function positive(length: number): number {
  if (!(length > 0)) throw new PhraseFault('forces follow each other at a distance greater than 0');
  return length;
}

/** What follows “at”: degrees, or a place along the member. */
function tell(said: Said, place: string, setting: PhraseSetting): void {
  const { display, space, naming } = setting;
  const angle = parseQuantity(place, 'angle', 'deg');
  const isLength = parseQuantity(place, 'length', undefined, naming?.scope);
  if (isLength.ok) return station(said, { lengths: [lengthIn(setting)(place)] });
  if (said.direction) {
    // Which way it acts is told: a bare number is where.
    const bare = parseQuantity(place, 'length', display.length);
    if (bare.ok) return station(said, { lengths: [bare.value] });
    if (angle.ok) throw new PhraseFault('its direction is told twice: by a word and by an angle');
  }
  if (!angle.ok)
    throw new PhraseFault(`“${place.trim()}” is neither an angle nor a place along the member, such as 1.2 ${display.length}`);
  if (space === 'space') throw new PhraseFault('an angle is told in the plane only: say down, up, left, right, forward or back');
  said.angle = angle.value;
  const [c, s] = cosineAndSine((angle.value * 180) / Math.PI);
  said.direction = [c, s, 0];
}

/** Places are told once. */
function station(said: Said, stations: Stations): void {
  if (said.stations) throw new PhraseFault('where it acts is told twice');
  said.stations = stations;
}

/** Where a load begins and ends. */
function inOrder(from: number, to: number): readonly [number, number] {
  if (from >= to) throw new PhraseFault('between a place and one further on: the first is not before the second');
  return [from, to];
}

/** `from 0 to 3 m` is where it acts, `from 8 to 4 kN/m` how large it is there: `give` hands those back. */
function fromTo(said: Said, [from, to]: readonly [string, string], setting: PhraseSetting, give: (sizes: string) => void): void {
  if (parseQuantity(to, 'intensity', undefined, setting.naming?.scope).ok) return give(`${from} to ${to}`);
  if (said.span) throw new PhraseFault('where it acts is told twice');
  const length = lengthIn(setting);
  said.span = inOrder(length(withUnit(from, to, setting.naming)), length(to));
}

const lengthIn =
  ({ display, naming }: PhraseSetting) =>
  (part: string): number =>
    sizeOf(part, { dimension: 'length', unit: display.length, what: 'a length' }, naming);

const KIND_OF_SENSE: Readonly<Record<NonNullable<Said['sense']>, PhraseKind>> = {
  clockwise: 'couple',
  anticlockwise: 'couple',
  'too long': 'fit',
  'too short': 'fit',
};

function kindOf(size: string, { sense }: Said, { bare, naming }: PhraseSetting): PhraseKind {
  if (sense) return KIND_OF_SENSE[sense];
  const found = (['line', 'force', 'couple', 'area', 'temperature', 'settlement'] as const).find(
    (kind) => parseQuantity(size, DIMENSION[kind], undefined, naming?.scope).ok,
  );
  if (found) return found;
  const plain = parseQuantity(size, 'number', undefined, naming?.scope);
  if (plain.ok) return bare;
  const unknown = unknownWord(size);
  if (unknown !== undefined)
    throw new PhraseFault(
      Object.hasOwn(WAYS, unknown) ? 'its direction is told twice' : `“${unknown}” is not understood here: ${COULD_STAND}`,
    );
  const names = (Object.keys(dimensions) as DimensionName[]).filter((name) => parseQuantity(size, name).ok);
  throw new PhraseFault(
    names.length > 0
      ? `“${size.trim()}” is no load: write a size in kN/m, kN, kN·m, kN/m², K or mm`
      : `“${size.trim()}” is not a size: ${plain.reason}`,
  );
}

const COULD_STAND =
  'a unit (kN/m, kN, kN·m, kN/m², K, mm), a direction (down, up, left, right, forward, back), “on plan”, “across”, “between 1 m and 3 m”, “at 1.2 m”, “at thirds” or “every 1.2 m” could stand there';

/** A word behind the size that is no unit of it. */
const unknownWord = (size: string): string | undefined =>
  size
    .trim()
    .split(/\s+/)
    .find((word, i) => i > 0 && /^[a-z][a-z-]{2,}$/i.test(word) && !isUnit(word));
const isUnit = (word: string): boolean =>
  (Object.keys(dimensions) as DimensionName[]).some((name) => parseQuantity(`1 ${word}`, name).ok);

/** Words that do not go with the kind are refused: nothing that is said is passed over. */
function check(
  kind: PhraseKind,
  { direction, sense, axis, measured, span, stations, spread, width, onto, openings }: Said,
  { space }: PhraseSetting,
): void {
  const isOnly = (what: string, kinds: readonly PhraseKind[]): void => {
    if (!kinds.includes(kind)) throw new PhraseFault(`${what} does not go with ${KIND_WORDS[kind]}`);
  };
  if (direction) isOnly('a direction', ['line', 'force', 'settlement', 'area']);
  if (spread) isOnly('“one way” or “two ways”', ['area']);
  if (spread === 'twoWay' && openings) throw new PhraseFault('two ways it has no openings: let it span one way');
  if (width !== undefined) isOnly('“over” a width', ['area']);
  if (onto) isOnly('“onto”', ['area']);
  if (openings) isOnly('“leaving out”', ['area']);
  if ((onto ?? openings) && width !== undefined)
    throw new PhraseFault('“onto” and “leaving out” go with a panel, not with a width');
  if (spread && width !== undefined) throw new PhraseFault('over a width a line of members carries it: there is no other way');
  if (kind === 'area' && space === 'plane' && width === undefined)
    throw new PhraseFault('in the plane say the width that it comes from: “2 kN/m2 down over 5 m”');
  if (kind === 'area' && measured && measured !== 'across' && direction && direction[1] === 0)
    throw new PhraseFault('what acts sideways acts square to its panel: leave out how it is measured');
  if (sense) isOnly(`“${sense}”`, [KIND_OF_SENSE[sense]]);
  if (axis) isOnly('“about”', ['couple']);
  if (measured) isOnly('“on plan”, “across” or “along the member”', ['line', 'area']);
  if (span) isOnly('“between”', ['line']);
  if (stations) isOnly('a place on the member', ['force', 'couple']);
  if (space === 'plane' && direction && direction[2] !== 0) throw new PhraseFault('in the plane nothing acts forward or back');
  if (space === 'plane' && axis && axis[2] === 0)
    throw new PhraseFault('in the plane couples turn in the plane only: leave out “about”');
}

function finished(
  kind: PhraseKind,
  from: number,
  to: number,
  { direction, sense, axis, measured, span, stations, spread, width, onto, openings }: Said,
): LoadPhrase {
  const isTurned = sense === 'clockwise' || sense === 'too short';
  const sign = isTurned ? -1 : 1;
  return {
    kind,
    from: sign * from + 0,
    to: sign * to + 0,
    direction: kind === 'couple' ? (axis ?? AXES.z) : (direction ?? WAYS.down!),
    // A pressure that acts sideways is the wind on a wall.
    measured: measured ?? (kind === 'area' && direction && direction[1] === 0 ? 'across' : 'member'),
    ...(span && { span }),
    ...(stations && { stations }),
    // What is carried by members that are named goes one way.
    ...((spread === 'oneWay' || onto) && { spread: 'oneWay' }),
    ...(width !== undefined && { width }),
    ...(onto && { onto }),
    ...(openings && { openings }),
  };
}
