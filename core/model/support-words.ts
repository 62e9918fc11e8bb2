import { freedoms, type Freedom, type Model, type Support } from './model';
import { kindOf, supportKindsOf } from './support-kinds';

/** A support in words. */
export function supportWords(support: Support, space: Model['space'] = 'plane'): string {
  const sprung = freedoms.some((freedom) => typeof support[freedom] === 'number' && support[freedom] > 0);
  const kind = kindOf(support, space);
  const held = freedoms.filter((freedom) => support[freedom] === 'fixed').map((freedom) => HELD_WORDS[freedom]);
  const listed = held.length > 0 ? `held ${held.join(', ')}` : 'free';
  const text = supportKindsOf(space).find(({ id }) => id === kind)?.text;
  const name = sprung ? 'sprung' : text ? text.replace(/^./, (c) => c.toLowerCase()) : listed;
  if (support.axes) return `${name}, in axes of its own`;
  return support.angle ? `${name}, turned by ${support.angle}°` : name;
}

const HELD_WORDS: Record<Freedom, string> = {
  ux: 'along X',
  uy: 'along Y',
  uz: 'along Z',
  rx: 'about X',
  ry: 'about Y',
  rz: 'about Z',
};
