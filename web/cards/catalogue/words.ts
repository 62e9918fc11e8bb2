import { counted } from '@rigid-beam/core/counted';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import type { ShapeType } from '@rigid-beam/core/shapes/registry';

/** All that is said where a standard shape is chosen: read it through and correct it here. */

export const catalogueSearch = {
  field: 'Standard shapes',
  placeholder: 'ipe 3 · 310 uc · I > 5000 cm4 · 2 I',
  times: (multiple: string, count?: number): string =>
    `${multiple}, relative${count === undefined ? '' : count === 1 ? ', for this member' : `, for these ${count}`}`,
  kinds: 'Kind of shape',
  depths: 'Depths that suit the span',
  depth: (ratio: number, depth: string): string => `L/${ratio}: ${depth}`,
  sort: 'Order',
  list: (count: number): string => `${counted(count, 'shape')} found`,
  nothing: 'Nothing of the catalogue fits. Type less.',
  more: (shown: number, all: number): string => `The first ${shown} of ${all}. Type more to find yours.`,
  take: (designation: string): string => `Take ${designation}`,
  give: (designation: string, count: number): string => `${designation} for ${count === 1 ? 'this member' : `these ${count}`}`,
  hint: (designation: string): string =>
    `Click the members that get ${designation}, draw a box over them, or Ctrl+A for all. Escape ends.`,
  close: 'Close',
};

export const KINDS: readonly { readonly id: ShapeType; readonly words: string; readonly shape: Shape }[] = [
  { id: 'i', words: 'Only I-shapes', shape: { type: 'i', h: 0.2, b: 0.14, tw: 0.02, tf: 0.024 } },
  { id: 'channel', words: 'Only channels', shape: { type: 'channel', h: 0.2, b: 0.1, tw: 0.02, tf: 0.024 } },
  { id: 'angle', words: 'Only angles', shape: { type: 'angle', h: 0.2, b: 0.2, t: 0.03 } },
  { id: 'rhs', words: 'Only square and rectangular tubes', shape: { type: 'rhs', h: 0.2, b: 0.16, t: 0.02, ro: 0.03 } },
  { id: 'chs', words: 'Only round tubes', shape: { type: 'chs', d: 0.2, t: 0.025 } },
  { id: 'rectangle', words: 'Only flats and timber', shape: { type: 'rectangle', h: 0.2, b: 0.1 } },
];

export const SORTS = [
  { id: 'as listed', text: 'As listed' },
  { id: 'depth', text: 'By depth' },
  { id: 'mass', text: 'By mass' },
  { id: 'Iz', text: 'By I' },
] as const;

export const shapeSheet = {
  drawing: (designation: string): string => `${designation}, drawn with its dimensions`,
  properties: (designation: string): string => `Properties of ${designation}`,
};

export const neighbours = {
  next: (way: 'lighter' | 'heavier', designation: string): string =>
    `${way === 'lighter' ? 'Lighter' : 'Heavier'}: ${designation}`,
  shown: (way: 'lighter' | 'heavier', designation = 'none'): string => `${way === 'lighter' ? '▾' : '▴'} ${designation}`,
  none: (way: 'lighter' | 'heavier'): string => `None ${way}`,
  exchanged: (section: string, id: string): string => `${id} in the place of ${section}`,
};
