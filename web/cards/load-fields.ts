import type { Load, Model } from '@rigid-beam/core/model/model';
import { memberAxis, structureAxis, withAxes, type AxisKey, type CalledAxis } from '@rigid-beam/core/quantities/axis-names';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { loadCard as WORDS } from './words';

type Stretched = Extract<Load, { readonly from: object }>;

/** Along whose axes it acts. */
export const inAxes = (load: Stretched, axes: string): Load => ({ ...load, axes: axes as NonNullable<Stretched['axes']> });

/** A position keeps its number only where it means the same: the whole length does. */
export function measured(load: Stretched, measure: 'ratio' | 'length'): Load {
  const { at: _, ...from } = load.from;
  const { at: __, ...to } = load.to;
  return { ...load, measure, from, to };
}

const KINDS: Readonly<Record<string, string>> = {
  f: WORDS.force,
  m: WORDS.couple,
  w: WORDS.intensity,
  u: WORDS.settlement,
  r: WORDS.rotation,
};
const NAMES: Readonly<Record<string, string>> = {
  uniform: WORDS.temperature,
  gradientY: WORDS.gradientAlongY,
  gradientZ: WORDS.gradientAlongZ,
  elongation: WORDS.tooLongBy,
};

/** By what the axes of a component are called. */
interface Called {
  readonly space: Model['space'];
  readonly display: DisplayUnits;
}

/** The axis that a component is along or about; undefined of what has none. A couple of the plane turns as it is seen. */
export function axisOf(key: string, own: string, { space, display }: Called): CalledAxis | undefined {
  const axis = /^(?:[fmwur]([xyz])|gradient([YZ]))$/.exec(key);
  if (!axis) return undefined;
  const named = (axis[1] ?? axis[2]!).toLowerCase() as AxisKey;
  const called = own || axis[2] ? memberAxis(display, named) : structureAxis(display, named);
  return space === 'plane' && named === 'z' && called.sign < 0 ? { letter: '', sign: 1 } : called;
}

/** What the field of a component is called. `own`: before the letters of a member's own axes. */
export function labelOf(key: string, own: string, dimension: DimensionName, called: Called): string {
  if (key === 'at') return dimension === 'length' ? WORDS.fromTheStart : WORDS.partOfTheLength;
  const name = NAMES[key];
  if (name !== undefined) return withAxes(name, called.display);
  const { letter } = axisOf(key, own, called) ?? { letter: key.slice(1) };
  return `${KINDS[key.charAt(0)] ?? key}${letter && ` ${own}${letter}`}`;
}

/** Places on a member of some length, said the other way than they are stored: lengths as parts, parts as lengths. */
export function placesSaid(load: Load, length: number | undefined, display: DisplayUnits): string | undefined {
  const all = load.type === 'point' ? [load.at] : load.type === 'line' ? [load.from.at ?? 0, load.to.at] : [];
  if (length === undefined || all.length === 0) return undefined;
  const isLength = 'measure' in load && load.measure === 'length';
  const words = all.map((at) => {
    const metres = at === undefined ? length : isLength ? at : at * length;
    return isLength ? showNumber(metres / length, 4) : showQuantity(metres, display.length, 4);
  });
  return isLength ? WORDS.asParts(words.join(', ')) : WORDS.asLengths(words.join(', '));
}
