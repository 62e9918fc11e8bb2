import type { Bars } from '../compound-kind';
import { isConvex, linksBetween, PanelTrouble, type Flat, type Link, type Panel } from './panel';

/** A load per length of 1 Pa over a stretch of a line of members: metres along it, and the width that it carries at both ends. */
export interface Strip {
  readonly links: readonly Link[];
  readonly from: number;
  readonly to: number;
  readonly widths: readonly [number, number];
}

/**
 * Every place is carried by the side next to it: the angles of a convex panel are bisected, and sides get triangles and trapezia. Their sum
 * is the area; and since the distance to the next side is zero all around, moments about any axis are those of the pressure itself.
 */
export function twoWay(panel: Panel, bars: Bars): Strip[] {
  if (!isConvex(panel)) throw new PanelTrouble('one of its corners points inwards: divide it, or let it span one way');
  const { corners, ids } = panel;
  return corners.flatMap((_, i) => {
    const links = linksBetween(ids[i]!, ids[(i + 1) % ids.length]!, bars);
    const profile = profileOf(panel, i);
    return profile.slice(1).flatMap(([to, width], k): Strip[] => {
      const [from, before] = profile[k]!;
      return to - from <= 1e-12 * panel.extent || (before === 0 && width === 0)
        ? []
        : [{ links, from, to, widths: [before, width] }];
    });
  });
}

/** How wide the part of the panel is that side i carries: along the side, and square to it, from its beginning to its end. */
function profileOf({ corners, extent }: Panel, i: number): readonly Flat[] {
  const sides = corners.map((p, k) => {
    const q = corners[(k + 1) % corners.length]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return { p, d: [(q[0] - p[0]) / length, (q[1] - p[1]) / length] as const, length };
  });
  const distance = (k: number, [a, b]: Flat): number =>
    sides[k]!.d[0] * (b - sides[k]!.p[1]) - sides[k]!.d[1] * (a - sides[k]!.p[0]);
  const { p, d, length } = sides[i]!;
  // What is nearer to this side than to each other one.
  const part = sides.reduce<readonly Flat[]>(
    (kept, _, k) => (k === i ? kept : clipped(kept, (place) => distance(k, place) - distance(i, place))),
    corners,
  );
  const slack = 1e-9 * extent;
  const tips = part
    .map((place): Flat => [d[0] * (place[0] - p[0]) + d[1] * (place[1] - p[1]), distance(i, place)])
    .filter(([, width]) => width > slack)
    .sort((one, other) => one[0] - other[0]);
  return [[0, 0], ...tips, [length, 0]];
}

/** What of a convex polygon lies where a linear function is not negative. */
function clipped(corners: readonly Flat[], inside: (place: Flat) => number): readonly Flat[] {
  return corners.flatMap((here, i) => {
    const next = corners[(i + 1) % corners.length]!;
    const [now, then] = [inside(here), inside(next)];
    const kept: Flat[] = now >= 0 ? [here] : [];
    if (now >= 0 === then >= 0) return kept;
    const t = now / (now - then);
    return [...kept, [here[0] + t * (next[0] - here[0]), here[1] + t * (next[1] - here[1])] as const];
  });
}
