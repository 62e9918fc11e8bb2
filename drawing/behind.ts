import type { Model } from '@rigid-beam/core/model/model';
import { finished, type Steps } from '@rigid-beam/core/steps';
import { VERTEX, verticesFor, type Ink, type Item, type Path } from './display-list';
import { SHADES } from './level-of-detail';
import type { Ground } from './ground';

/** Members of a space structure from which what stands on them hides what stands behind. */
const CROWDED = 300;

export const isCrowded = ({ space, members }: Model, { plane }: Ground): boolean =>
  space === 'space' && plane === undefined && members.length > CROWDED;

/** Nearness from which something stands in front; of what stands behind only its outline is left, and of what stands far behind nothing. */
export const FRONT = 0.85;
const FAR = 0.42;

/** What stands on so many things is drawn at a step. */
export const AT_ONCE = 400;

/** Up to this opacity a line is a hint. */
const HINT = 0.3;
const SOLID: readonly number[] = [];

/** Of what stands on a member neither arrows nor areas nor ordinates. */
export const isOutline = ({ parts, fill }: Path): boolean => parts === undefined && fill === undefined;

/** What stands on something at a nearness to the viewer: 1 in front, 0 at the back. Asked only for what will be seen of it. */
interface Standing {
  readonly near: number;
  readonly isSelected?: boolean;
  readonly items: () => readonly Item[];
  /** Draws its outline straight into what is left of lines that stand behind; unless said, that of its items is. */
  readonly outline?: (lines: Hairlines) => void;
}

/**
 * What stands on many things, from the back to the front. In a crowd it fades with its depth and loses its words, its arrows, areas and
 * ordinates; what is selected stays. What is drawn alike follows each other, since it is painted in one go then.
 */
export const inDepth = (all: readonly Standing[]): Item[] => finished(inDepthInSteps(all));

/** The same in steps. */
export function* inDepthInSteps(all: readonly Standing[]): Steps<Item[]> {
  const shades = Array.from({ length: SHADES + 1 }, (_, shade) => ({
    layers: LAYERS.map((): Item[] => []),
    hairlines: new Hairlines(shade / SHADES),
  }));
  const front = LAYERS.map((): Item[] => []);
  let drawn = 0;
  for (const { near, isSelected = false, items, outline } of all) {
    if (near < FAR && !isSelected) continue;
    if (++drawn % AT_ONCE === 0) yield;
    if (near >= FRONT) {
      for (const item of items()) front[layerOf(item)]!.push(item);
      continue;
    }
    const { layers, hairlines } = shades[Math.min(SHADES, Math.max(0, Math.round(near * SHADES)))]!;
    if (outline && !isSelected) {
      outline(hairlines);
      continue;
    }
    for (const item of items()) {
      if (isSelection(item)) layers[layerOf(item)]!.push(item);
      else if (item.kind === 'path' && isOutline(item)) hairlines.add(item);
    }
  }
  // Thousands of items, at every frame while something is in hand: one by one is several times as fast as flattening.
  const together: Item[] = [];
  for (const { layers, hairlines } of shades) {
    for (const path of hairlines.all()) layers[layerOfLines]!.push(path);
    for (const layer of layers) for (const item of layer) together.push(item);
  }
  for (const layer of front) for (const item of layer) together.push(item);
  return together;
}

/** From below to above: areas, what consists of many parts, lines, words. */
const LAYERS = ['area', 'parts', 'line', 'words'] as const;
const layerOfLines = LAYERS.indexOf('line');
const layerOf = (item: Item): number => (item.kind === 'label' ? 3 : item.fill ? 0 : item.parts !== undefined ? 1 : 2);

const isSelection = (item: Item): boolean => item.kind === 'path' && (item.stroke === 'selection' || item.fill === 'selection');

/** So many lines are one path: without a graphics processor one of hundreds takes several times as long. */
const TOGETHER = 10;

/** Lines of one look that wait for others. */
class Waiting {
  lines = 0;
  count = 0;
  starts: number[] = [];
  vertices = new Float64Array(64 * VERTEX);

  constructor(
    readonly stroke: Ink,
    readonly width: number,
    readonly opacity: number,
  ) {}

  isAlike(stroke: Ink, width: number, opacity: number): boolean {
    return this.stroke === stroke && this.width === width && this.opacity === opacity;
  }

  /** Room for so many vertices more. */
  grow(more: number): void {
    if (this.lines > 0) this.starts.push(this.count);
    this.lines++;
    this.count += more;
    if (this.count * VERTEX <= this.vertices.length) return;
    const larger = new Float64Array(2 * this.count * VERTEX);
    larger.set(this.vertices);
    this.vertices = larger;
  }
}

/** What is left of lines that stand behind, those of one ink and opacity together: there are thousands, and a path for each would cost more than all else. */
export class Hairlines {
  private readonly paths: Path[] = [];
  private readonly waiting: Waiting[] = [];

  constructor(private readonly shade: number) {}

  /** A line of so many vertices that begin at the one that is returned; whoever draws it writes the world places of all of them. */
  line(stroke: Ink, width: number, count: number, opacity = 1): { readonly vertices: Float64Array; readonly first: number } {
    let alike = this.waiting.find((one) => one.isAlike(stroke, width, opacity));
    if (!alike) this.waiting.push((alike = new Waiting(stroke, width, opacity)));
    if (alike.lines === TOGETHER) this.join(alike);
    alike.grow(count);
    return { vertices: alike.vertices, first: alike.count - count };
  }

  add(item: Path): void {
    const { stroke, closed, subject, depth, starts, opacity = 1, width = 1, vertices: own } = item;
    if (!stroke || closed || subject || starts || depth !== undefined) {
      this.paths.push({ ...item, ...this.look(opacity, width) });
      return;
    }
    const { vertices, first } = this.line(stroke, width, own.length / VERTEX, opacity);
    for (let i = 0, at = first * VERTEX; i < own.length; i++) vertices[at++] = own[i]!;
  }

  all(): readonly Path[] {
    for (const lines of this.waiting) if (lines.lines > 0) this.join(lines);
    return this.paths;
  }

  private join(lines: Waiting): void {
    const { stroke, width, opacity, starts, count } = lines;
    const vertices = verticesFor(count);
    vertices.set(lines.vertices.subarray(0, count * VERTEX));
    this.paths.push({ kind: 'path', vertices, starts, stroke, ...this.look(opacity, width) });
    // Whoever draws the next ones writes places, and leaves out what is 0.
    lines.vertices.fill(0, 0, count * VERTEX);
    lines.starts = [];
    lines.lines = lines.count = 0;
  }

  /** A faint line is as well a hairline, which a browser draws several times as fast; texts stand on it as on the grid. */
  private look(opacity: number, width: number): Pick<Path, 'width' | 'dash' | 'opacity' | 'texts'> {
    const left = opacity * (0.06 + 0.5 * this.shade ** 2);
    return { width: Math.min(1, width), dash: SOLID, opacity: left, texts: left > HINT ? 'rather beside' : 'over it' };
  }
}
