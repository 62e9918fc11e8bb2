import type { Model } from '@rigid-beam/core/model/model';
import { pointOf, type Point } from '@rigid-beam/core/model/point';
import { worldX, worldY, type Camera } from './camera';
import { worldPath, type Item } from './display-list';
import { extentOf } from './geometry';
import { axisAlong, seenPoint, type Projection, type WorkPlane } from './projection';
import { inTilted, ofTilted } from './tilted-plane';

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

/** Lines of the work plane at most, in one direction. */
const MOST = 60;

/** The grid of a work plane that is seen obliquely, over `reach` metres around `middle`. */
function workPlaneItems(projection: Projection, plane: WorkPlane, middle: Point, reach: number, step: number): Item[] {
  const { axis, at, tilted } = plane;
  const [k, i, j] = ({ x: [0, 1, 2], y: [1, 0, 2], z: [2, 0, 1] } as const)[axis];
  let wide = step;
  while (reach / wide > MOST) wide *= 10;
  const centre = tilted ? inTilted(tilted, middle) : [middle[i]!, middle[j]!];
  const [fromI, toI, fromJ, toJ] = centre.flatMap((place) => [
    Math.floor((place - reach / 2) / wide),
    Math.ceil((place + reach / 2) / wide),
  ]) as [number, number, number, number];
  const seen = (a: number, b: number): [number, number] => {
    if (tilted) return seenPoint(projection, ofTilted(tilted, a * wide, b * wide));
    const point: [number, number, number] = [0, 0, 0];
    point[k] = at;
    point[i] = a * wide;
    point[j] = b * wide;
    return seenPoint(projection, point);
  };
  const items: Item[] = [];
  const ink = (n: number): 'grid' | 'gridStrong' => (n % 10 === 0 ? 'gridStrong' : 'grid');
  for (let n = fromI; n <= toI; n++) items.push(worldPath([...seen(n, fromJ), ...seen(n, toJ)], { stroke: ink(n), width: 0.7 }));
  for (let n = fromJ; n <= toJ; n++) items.push(worldPath([...seen(fromI, n), ...seen(toI, n)], { stroke: ink(n), width: 0.7 }));
  return items;
}

/** The paper: the grid of the sheet where one looks along an axis, in an oblique look the grid of the plane in use, around the structure. */
export function paperItems(model: Model, projection: Projection, camera: Camera, plane: WorkPlane): Item[] {
  if (axisAlong(projection.right) && axisAlong(projection.up)) return gridItems(camera);
  const nodes = model.nodes.map(pointOf);
  const middle = [0, 1, 2].map(
    (k) => nodes.reduce((sum, node) => sum + node[k]!, 0) / Math.max(nodes.length, 1),
  ) as unknown as Point;
  return workPlaneItems(projection, plane, middle, Math.max(extentOf(model) * 1.3, 4), gridStep(camera.scale));
}
