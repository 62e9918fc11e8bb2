import { parseQuantity } from '../quantities/parse';
import { SIDES, type LoadPhrase, type ThermalPart, WAYS } from './phrase';
import { PhraseFault, sizeOf, type Naming } from './phrase-size';

const EXAMPLES = '20 K warmer, 40 K/m warmer above, or 10 K colder on the left than on the other side';
const PART = new RegExp(`^(.*?)\\s*(warmer|colder)(?:\\s+(${Object.keys(SIDES).join('|')}))?$`);

const GRADIENT = { dimension: 'gradient', unit: 'K/m' } as const;
const DIFFERENCE = { dimension: 'temperature', unit: 'K' } as const;

/** Whether a text, in small letters, speaks of warmth. */
export const saysWarmth = (text: string): boolean => /\b(?:warmer|colder)\b/.test(text);

/**
 * Reads a change of temperature: `20 K warmer`, `40 K/m warmer above` (a gradient), `10 K colder on the left` (between the faces of the
 * section), or several of them: `20 K warmer and 40 K/m colder below`.
 */
export function readTemperature(text: string, space: 'plane' | 'space', naming?: Naming): LoadPhrase {
  let uniform: number | undefined;
  const across: ThermalPart[] = [];
  for (const part of text.trim().split(/\s+and\s+|\s*,\s*/)) {
    const [, said, sense, side] = PART.exec(part.trim()) ?? [];
    if (said === undefined) throw new PhraseFault(`“${part.trim()}” is not a change of temperature: write ${EXAMPLES}`);
    if (said === '') throw new PhraseFault(`its size is missing: write ${EXAMPLES}`);
    const sign = sense === 'colder' ? -1 : 1;
    if (side === undefined) {
      if (uniform !== undefined) throw new PhraseFault('the temperature of the whole member is told twice');
      uniform = sign * sizeOf(said, { dimension: 'temperature', unit: 'K', what: 'a size' }, naming);
      continue;
    }
    const towards = WAYS[SIDES[side]!]!;
    if (space === 'plane' && towards[2] !== 0) throw new PhraseFault('in the plane nothing is warmer in front or behind');
    const isGradient = !parseQuantity(said, 'temperature', 'K', naming?.scope).ok;
    const size = sign * sizeOf(said, { ...(isGradient ? GRADIENT : DIFFERENCE), what: 'a size' }, naming);
    across.push({ size, per: isGradient ? 'metre' : 'depth', towards });
  }
  const from = (uniform ?? 0) + 0;
  return {
    ...{ kind: 'temperature', from, to: from, direction: WAYS.down!, measured: 'member' },
    ...(across.length > 0 && { across }),
  };
}
