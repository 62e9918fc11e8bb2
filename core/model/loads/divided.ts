import type { Intensity, LineLoad } from './primitive';

const KEYS = ['wx', 'wy', 'wz'] as const;

/**
 * Two line loads in place of one, which meet at a ratio (0 to 1, both left out) of the stretch on which it acts and are together the same
 * load. `length` of the member in metres.
 */
export function dividedLoad(load: LineLoad, ratio: number, length: number): readonly [LineLoad, LineLoad] | undefined {
  if (!(ratio > 0 && ratio < 1)) return undefined;
  const whole = load.measure === 'length' ? length : 1;
  const [begins, ends] = [load.from.at ?? 0, load.to.at ?? whole];
  const middle = KEYS.flatMap((key): [string, number][] => {
    const [a, b] = [load.from[key] ?? 0, load.to[key] ?? 0];
    return a === 0 && b === 0 ? [] : [[key, a + ratio * (b - a)]];
  });
  const between: Intensity = { at: begins + ratio * (ends - begins), ...Object.fromEntries(middle) };
  return [
    { ...load, to: between },
    { ...load, from: between },
  ];
}
