import type { Load } from '../model';
import type { Intensity } from './primitive';

/** What of a load says how large it is; places, axes and names do not. */
const SIZES: ReadonlySet<string> = new Set(
  ['fx', 'fy', 'fz', 'mx', 'my', 'mz', 'ux', 'uy', 'uz', 'rx', 'ry', 'rz', 'uniform', 'gradientY', 'gradientZ', 'elongation', 'pressure', 'share'], // oxfmt-ignore
);
const IN_ENDS: ReadonlySet<string> = new Set(['wx', 'wy', 'wz']);

const times = <T extends object>(entry: T, keys: ReadonlySet<string>, factor: number): T =>
  Object.fromEntries(
    Object.entries(entry).map(([key, value]) => [key, keys.has(key) && typeof value === 'number' ? value * factor + 0 : value]),
  ) as T;

/** The same load, so many times as large. */
export function scaledLoad<L extends Load>(load: L, factor: number): L {
  const scaled = times(load, SIZES, factor);
  if (load.type === 'train') {
    // Axles have no sign: they push the other way.
    const { axles, uniform, towards = [0, -1, 0] } = load;
    const size = Math.abs(factor);
    return {
      ...load,
      axles: axles.map((axle) => size * axle),
      ...(uniform !== undefined && { uniform: size * uniform }),
      ...(factor < 0 && { towards: towards.map((part) => -part + 0) }),
    };
  }
  if (!('from' in load)) return scaled;
  const end = (one: Intensity): Intensity => times(one, IN_ENDS, factor);
  return { ...scaled, from: end(load.from), to: end(load.to) };
}
