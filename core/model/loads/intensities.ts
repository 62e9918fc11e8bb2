import type { Intensity } from './primitive';

export const INTENSITY_KEYS = ['wx', 'wy', 'wz'] as const;

/** The size of an intensity, whatever its direction. */
export const sizeOf = (end: Intensity): number => Math.hypot(end.wx ?? 0, end.wy ?? 0, end.wz ?? 0);

/** The intensity at a part t of the way between two; parts that neither of them has stay unwritten. */
export function mixed({ from, to }: { readonly from: Intensity; readonly to: Intensity }, t: number): Intensity {
  const keys = INTENSITY_KEYS.filter((key) => from[key] !== undefined || to[key] !== undefined);
  return Object.fromEntries(
    keys.map((key) => {
      const [a, b] = [from[key] ?? 0, to[key] ?? 0];
      return [key, a + t * (b - a)];
    }),
  );
}

/** An intensity without the place where it acts. */
export const withoutPlace = ({ at: _, ...intensity }: Intensity): Intensity => intensity;

/** How heavy a line load is where it is heaviest. */
export const sizeOfStretch = ({ from, to }: Stretch): number => Math.max(sizeOf(from), sizeOf(to));

interface Stretch {
  readonly from: Intensity;
  readonly to: Intensity;
}

/**
 * A line load of another size, in its own direction: as a whole by its heavier end, or one end alone. An end that was 0 takes the direction of
 * the other; a load that was 0 becomes a downward one.
 */
export function resizedStretch<L extends Stretch>(load: L, value: number, end?: 'from' | 'to'): L {
  const { from, to } = load;
  const heavier = sizeOf(from) > sizeOf(to) ? from : to;
  const size = sizeOf(end ? load[end] : heavier);
  const like = sizeOf(heavier) === 0 ? { wy: -1 } : size === 0 ? heavier : undefined;
  const scaled = (one: Intensity): Intensity => {
    const direction = like ?? one;
    const length = like ? sizeOf(like) : size;
    const keys = INTENSITY_KEYS.filter((key) => direction[key]);
    return { ...one, ...Object.fromEntries(keys.map((key) => [key, (direction[key]! * value) / length])) };
  };
  return end ? { ...load, [end]: scaled(load[end]) } : { ...load, from: scaled(from), to: scaled(to) };
}
