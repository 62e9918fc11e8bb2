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
