import { worldX, worldY, type Camera } from './camera';
import { worldPath, type Item } from './display-list';

/** Pixels between grid lines at least. */
const FINEST = 9;

/** The grid's step in metres for a zoom: 1, 2 or 5 × 10ⁿ, so that it refines as one zooms in. */
export function gridStep(scale: number): number {
  const wanted = FINEST / scale;
  const power = 10 ** Math.floor(Math.log10(wanted));
  const step = [1, 2, 5, 10].find((lead) => lead * power >= wanted * (1 - 1e-9))!;
  return Math.max(step * power, 1e-3);
}

/** The nearest grid point. */
export const snapToGrid = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6)) + 0;

/** Grid lines over the whole view; those at the next power of ten are stronger. */
export function gridItems(camera: Camera): Item[] {
  const step = gridStep(camera.scale);
  const lead = Math.round(step / 10 ** Math.floor(Math.log10(step) + 1e-9));
  const strong = 10 / lead;
  const [left, right] = [worldX(camera, 0), worldX(camera, camera.width)];
  const [bottom, top] = [worldY(camera, camera.height), worldY(camera, 0)];
  const items: Item[] = [];
  const ink = (n: number): 'grid' | 'gridStrong' => (n % strong === 0 ? 'gridStrong' : 'grid');
  for (let n = Math.ceil(left / step); n * step <= right; n++)
    items.push(worldPath([n * step, bottom, n * step, top], { stroke: ink(n), width: 0.6 }));
  for (let n = Math.ceil(bottom / step); n * step <= top; n++)
    items.push(worldPath([left, n * step, right, n * step], { stroke: ink(n), width: 0.6 }));
  return items;
}
