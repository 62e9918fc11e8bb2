import type { Bars } from '../compound-kind';
import { linksBetween, PanelTrouble } from './panel';

/** The members of a side of a panel, from a corner to the next; none where the ground closes it. */
export function sideMembers(corners: readonly string[], i: number, bars: Bars): readonly string[] {
  try {
    return linksBetween(corners[i]!, corners[(i + 1) % corners.length]!, bars).map(({ member }) => member);
  } catch (trouble) {
    if (trouble instanceof PanelTrouble) return [];
    throw trouble;
  }
}

/**
 * Who carries a panel of four sides of which the ground is one: the two beside it, from one to the other. Undefined where members bound all
 * sides, and all carry.
 */
export function carriersOfOpen(corners: readonly string[], bars: Bars): readonly string[] | undefined {
  if (corners.length !== 4) return undefined;
  const sides = corners.map((_, i) => sideMembers(corners, i, bars));
  const open = sides.flatMap((side, i) => (side.length === 0 ? [i] : []));
  if (open.length !== 1) return undefined;
  const [left, right] = [sides[(open[0]! + 3) % 4]!, sides[(open[0]! + 1) % 4]!];
  return [...left, ...right];
}
