import { once } from '@rigid-beam/core/once';
import type { Model } from '@rigid-beam/core/model/model';
import type { Item } from './display-list';
import { drawnMembers, type Seen } from './geometry';

/** Below this weight there is no room for arrows and numbers: a drawing is a thumbnail, or looked at from far away. */
export const SKETCHED = 0.6;
const THINNEST = 0.42;
/** Steps of depth: what is drawn alike can be painted together. */
export const SHADES = 6;
/** Members up to which everything on the page follows a drag, and the drawing finds its place anew whatever is switched. */
export const LIVELY = 300;
/** Members from which a drawing takes longer to build than anybody waits for several times over. */
export const LARGE = 1500;
/** Pixels of a usual member at which symbols have their full size. */
const COMFORTABLE = 60;

/** Weight of lines and symbols: full where members are long on the screen, less where they crowd. `scale` in pixels a metre. */
export function weightAt(model: Model, seen: Seen, scale: number, thinnest = THINNEST): number {
  const usual = usualLength(model, seen.projection, seen.hidden);
  return usual === undefined ? 1 : Math.min(1, Math.max(thinnest, (usual * scale) / COMFORTABLE));
}

const usualLength = once((model: Model, projection: Seen['projection'], hidden: Seen['hidden']): number | undefined => {
  const lengths = Float64Array.from(drawnMembers(model, { projection, hidden }), ({ length }) => length).sort();
  return lengths[Math.floor(lengths.length / 2)];
});

/** From far away only the governing values and the dimensions are said; the rest comes when one zooms in. */
export const withoutSmallTalk = (items: readonly Item[]): Item[] =>
  items.filter((item) => item.kind === 'path' || item.role === 'extreme' || item.role === 'dimension');
