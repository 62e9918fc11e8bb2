import type { Load, Model } from '../model';
import type { Point } from '../point';
import { isCompound } from './compound';
import { barsOf } from './bars';
import { partsOf } from './expand';
import { shapeOf } from './member-shape';
import type { LineLoad, PointLoad, PrimitiveLoad } from './primitive';

/**
 * The force of a load in global axes, N: what of it the supports have to carry; couples, strains and movements have none. Undefined of a
 * notional load, which takes its share of weights that only the compiler knows.
 */
export function loadTotal(load: Load, model: Model): Point | undefined {
  if (load.type === 'notional') return undefined;
  const parts: readonly PrimitiveLoad[] = isCompound(load) ? partsOf(load, barsOf(model)) : [load];
  return parts.map((part) => forceOf(part, model)).reduce((sum, one) => added(sum, one), [0, 0, 0]);
}

const added = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

function forceOf(load: PrimitiveLoad, model: Model): Point {
  switch (load.type) {
    case 'node':
      return [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0];
    case 'point':
      return turned([load.fx ?? 0, load.fy ?? 0, load.fz ?? 0], load, model);
    case 'line':
      return lineForce(load, model);
    default:
      return [0, 0, 0];
  }
}

function lineForce(load: LineLoad, model: Model): Point {
  const shape = shapeOf(model, load.member);
  if (!shape) return [0, 0, 0];
  const { axes, length } = shape;
  const scale = load.measure === 'length' ? 1 : length;
  const loaded = (load.to.at === undefined ? length : load.to.at * scale) - (load.from.at ?? 0) * scale;
  // On plan each component counts on the projection square to its own direction.
  const seen = (k: number): number => (load.axes === 'projected' ? Math.sqrt(Math.max(0, 1 - axes[k]! ** 2)) : 1);
  const mean = (['wx', 'wy', 'wz'] as const).map(
    (key, k) => (((load.from[key] ?? 0) + (load.to[key] ?? 0)) / 2) * loaded * seen(k),
  ) as unknown as Point;
  return turned(mean, load, model);
}

function turned(force: Point, load: LineLoad | PointLoad, model: Model): Point {
  if (load.axes !== 'local') return force;
  const axes = shapeOf(model, load.member)?.axes;
  if (!axes) return [0, 0, 0];
  return [0, 1, 2].map((k) => [0, 1, 2].reduce((sum, i) => sum + force[i]! * axes[3 * i + k]!, 0)) as unknown as Point;
}
