import type { Model } from '@rigid-beam/core/model/model';
import type { Item, Path } from './display-list';
import { SHADES } from './level-of-detail';
import type { Ground } from './ground';

/** Members of a space structure from which what stands on them hides what stands behind. */
const CROWDED = 300;

export const isCrowded = ({ space, members }: Model, { plane }: Ground): boolean =>
  space === 'space' && plane === undefined && members.length > CROWDED;

/** Nearness from which something stands in front; of what stands behind only its outline is left, and of what stands far behind nothing. */
export const FRONT = 0.85;
const FAR = 0.42;

/** Up to this opacity a line is a hint. */
const HINT = 0.3;
const SOLID: readonly number[] = [];

/** Of what stands on a member neither arrows nor areas nor ordinates. */
export const isOutline = ({ parts, fill }: Path): boolean => parts === undefined && fill === undefined;

/** What stands on something at a nearness to the viewer: 1 in front, 0 at the back. Asked only for what will be seen of it. */
interface Standing {
  readonly near: number;
  readonly isSelected?: boolean;
  readonly items: (seen: 'whole' | 'outline') => readonly Item[];
}

/**
 * What stands on many things, from the back to the front. In a crowd it fades with its depth and loses its words, its arrows, areas and
 * ordinates; what is selected stays. What is drawn alike follows each other, since it is painted in one go then.
 */
export function inDepth(all: readonly Standing[]): Item[] {
  const shades = Array.from({ length: SHADES + 1 }, () => LAYERS.map((): Item[] => []));
  const front = LAYERS.map((): Item[] => []);
  for (const { near, isSelected = false, items } of all) {
    if (near < FAR && !isSelected) continue;
    if (near >= FRONT) {
      for (const item of items('whole')) front[layerOf(item)]!.push(item);
      continue;
    }
    const shade = Math.min(SHADES, Math.max(0, Math.round(near * SHADES)));
    for (const item of items(isSelected ? 'whole' : 'outline')) {
      const left = behind(item, shade / SHADES);
      if (left) shades[shade]![layerOf(left)]!.push(left);
    }
  }
  // Thousands of items, at every frame while something is in hand: one by one is several times as fast as flattening.
  const drawn: Item[] = [];
  for (const layers of [...shades, front]) for (const layer of layers) for (const item of layer) drawn.push(item);
  return drawn;
}

/** From below to above: areas, what consists of many parts, lines, words. */
const LAYERS = ['area', 'parts', 'line', 'words'] as const;
const layerOf = (item: Item): number => (item.kind === 'label' ? 3 : item.fill ? 0 : item.parts !== undefined ? 1 : 2);

const isSelection = (item: Item): boolean => item.kind === 'path' && (item.stroke === 'selection' || item.fill === 'selection');

/** What is left of an item that stands behind. */
function behind(item: Item, shade: number): Item | undefined {
  if (item.kind === 'label') return undefined;
  if (isSelection(item)) return item;
  if (!isOutline(item)) return undefined;
  // A faint line is as well a hairline, which a browser draws several times as fast; texts stand on it as on the grid.
  const opacity = (item.opacity ?? 1) * (0.06 + 0.5 * shade ** 2);
  const texts = opacity > HINT ? 'rather beside' : 'over it';
  const width = Math.min(1, item.width ?? 1);
  const { vertices, stroke, closed, subject, depth } = item;
  if (!stroke || closed || subject || depth !== undefined) return { ...item, width, dash: SOLID, opacity, texts };
  // Nearly all of them, by the thousand: to spread them would take longer than all else.
  return { kind: 'path', vertices, stroke, width, dash: SOLID, opacity, texts };
}
