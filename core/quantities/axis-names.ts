import type { DisplayUnits } from './display';
import { showQuantity } from './show';

/** Axes as the model file has them: of the structure, Y up; of members, z the axis about which a section is strong. */
export const axisKeys = ['x', 'y', 'z'] as const;
export type AxisKey = (typeof axisKeys)[number];

/** An axis as the reader calls it: its letter, and −1 where its positive sense is the other way round. */
export interface CalledAxis {
  readonly letter: string;
  readonly sign: 1 | -1;
}
type Names = { readonly [key in AxisKey]: CalledAxis };

const as = (letter: string, sign: 1 | -1 = 1): CalledAxis => ({ letter, sign });

/**
 * The one table of names. Both systems are right-handed: where Z points up, Y leads to the back, against the file's Z; where y is the strong axis
 * of a section, z points as the file's y does, and y against the file's z.
 */
const STRUCTURE: { readonly [up in DisplayUnits['up']]: Names } = {
  Y: { x: as('X'), y: as('Y'), z: as('Z') },
  Z: { x: as('X'), y: as('Z'), z: as('Y', -1) },
};
const MEMBER: { readonly [strong in DisplayUnits['strong']]: Names } = {
  z: { x: as('x'), y: as('y'), z: as('z') },
  y: { x: as('x'), y: as('z'), z: as('y', -1) },
};

type Choice = Pick<DisplayUnits, 'up' | 'strong'>;

/** An axis of the structure, by its name in the file. */
export const structureAxis = ({ up }: Pick<Choice, 'up'>, key: AxisKey): CalledAxis => STRUCTURE[up][key];
/** A local axis of members and sections. */
export const memberAxis = ({ strong }: Pick<Choice, 'strong'>, key: AxisKey): CalledAxis => MEMBER[strong][key];

/** Axes of the structure in the order of the letters that readers give them. */
export const inReaderOrder = <K extends AxisKey>(keys: readonly K[], display: Pick<Choice, 'up'>): readonly K[] =>
  keys.toSorted((a, b) => structureAxis(display, a).letter.localeCompare(structureAxis(display, b).letter));

/** The axis of the structure that a reader means by a letter: its name in the file, and its sense; undefined where there is none. */
export function axisCalled(
  { up }: Pick<Choice, 'up'>,
  letter: string,
): { readonly key: AxisKey; readonly sign: 1 | -1 } | undefined {
  const key = axisKeys.find((one) => STRUCTURE[up][one].letter === letter.trim().toUpperCase());
  return key && { key, sign: STRUCTURE[up][key].sign };
}

/** A value along or about an axis as the reader has it, or, given back, as the file has it. */
export const alongAxis = ({ sign }: Pick<CalledAxis, 'sign'>, value: number): number => sign * value + 0;

/**
 * A text with the names of axes in it: `{X}`, `{Y}` and `{Z}` stand for axes of the structure, `{x}`, `{y}` and `{z}` for local ones, `{+y}`
 * and `{−z}` for a direction, and `{~Z}` for one whose sense is said only where it is the other way round. The names in the file are meant.
 */
export const withAxes = (text: string, display: Choice): string =>
  text.replace(/\{([+−~]?)([xyzXYZ])\}/g, (_, sense: string, axis: string) => {
    const key = axis.toLowerCase() as AxisKey;
    const { letter, sign } = axis === key ? memberAxis(display, key) : structureAxis(display, key);
    if (sense === '') return letter;
    if (sense === '~') return sign === 1 ? letter : `−${letter}`;
    return ((sense === '+') === (sign === 1) ? '+' : '−') + letter;
  });

/** A property of a section about or along local axes, as readers write it: `Iz`, `Wy`, `Ay`, `iz`, `Wplz`; others stay as they are. */
export const sectionSymbol = (key: string, display: Choice): string =>
  key.replace(/(?<=^(?:I|W|A|i|Wpl|I[yz]))[yz](?=[yz]?$)/g, (axis) => memberAxis(display, axis as AxisKey).letter);

/** A plane across an axis of the structure: `Y = 4.5 m`. */
export function planeWords(
  { axis, at }: { readonly axis: AxisKey; readonly at: number },
  display: DisplayUnits,
  digits?: number,
): string {
  const name = structureAxis(display, axis);
  return `${name.letter} = ${showQuantity(alongAxis(name, at), display.length, digits)}`;
}
