import type { Model } from '@rigid-beam/core/model/model';
import type { Item, Path } from './display-list';
import { SHADES } from './weight';
import type { View } from './view';

/** Members of a space structure from which what stands on them hides what stands behind. */
const CROWDED = 300;

export const isCrowded = ({ space, members }: Model, { plane }: View): boolean =>
  space === 'space' && plane === undefined && members.length > CROWDED;

/** Nearness from which something stands in front, and up to which only its outline is left. */
const FRONT = 0.85;
const HALF = 0.6;

/** Of what stands on a member neither arrows nor areas nor ordinates. */
export const isOutline = ({ parts, fill }: Path): boolean => parts === undefined && fill === undefined;

/**
 * What stands on something at a nearness to the viewer (1 in front, 0 at the back), in a crowd: it fades with its depth, loses its words,
 * and in the back half its arrows, areas and ordinates too. What is selected stays.
 */
export function behind(items: readonly Item[], near: number): Item[] {
  if (near >= FRONT) return [...items];
  // In steps: what is drawn alike is painted together.
  const shade = Math.round(near * SHADES) / SHADES;
  return items.flatMap((item): Item[] => {
    if (item.kind === 'label') return [];
    if (item.stroke === 'selection' || item.fill === 'selection') return [item];
    if (near < HALF && !isOutline(item)) return [];
    return [{ ...item, opacity: (item.opacity ?? 1) * (0.06 + 0.5 * shade ** 2), texts: 'rather beside' }];
  });
}
