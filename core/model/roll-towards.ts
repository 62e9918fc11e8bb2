import { memberAxes } from './local-axes';
import type { Member } from './model';
import { endsOf, type NodePlaces } from './places';
import { dot, minus, type Point } from './point';

/** Rounding of an angle in degrees that is a whole number all the same. */
const WHOLE = 1e-9;

/**
 * The roll (degrees, from −180 to 180) that turns a member's local z towards a place, so that the open side of a channel and the legs of an
 * angle look there; undefined where the place lies on the member's axis.
 */
export function rollTowards(member: Member, places: NodePlaces, target: Point): number | undefined {
  const [from, to] = endsOf(member, places);
  const along = minus(to, from);
  const axes = memberAxes(...along, 0);
  const away = minus(target, from);
  const [y, z] = [dot([axes[3]!, axes[4]!, axes[5]!], away), dot([axes[6]!, axes[7]!, axes[8]!], away)];
  if (Math.hypot(y, z) <= 1e-9 * Math.hypot(...along, ...away)) return undefined;
  // Rolled by φ, local z points to −sin φ along y and cos φ along z.
  const degrees = (Math.atan2(-y, z) * 180) / Math.PI;
  const rounded = Math.round(degrees);
  return (Math.abs(degrees - rounded) < WHOLE ? rounded : degrees) + 0;
}

/** A quarter turn further, from −180 to 180 degrees. */
export const quarterTurned = (roll = 0): number => ((((roll + 270) % 360) + 360) % 360) - 180;

/** The middle between the outermost nodes. */
export function middleOf(places: NodePlaces): Point {
  const [low, high] = [[Infinity, Infinity, Infinity], [-Infinity, -Infinity, -Infinity]]; // oxfmt-ignore
  for (const place of places.values())
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k]!, place[k]!);
      high[k] = Math.max(high[k]!, place[k]!);
    }
  return [0, 1, 2].map((k) => (low[k]! + high[k]!) / 2) as unknown as Point;
}
