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
  const lines = corners.map((p, k): Line => {
    const q = corners[(k + 1) % corners.length]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const [x, y] = [-(q[1] - p[1]) / length, (q[0] - p[0]) / length];
    return [x, y, -(x * p[0] + y * p[1])];
  });
  return corners.flatMap((_, i) => {
    const links = linksBetween(ids[i]!, ids[(i + 1) % ids.length]!, bars);
    const profile = profileOf(panel, lines, i);
    return profile.slice(1).flatMap(([to, width], k): Strip[] => {
      const [from, before] = profile[k]!;
      return to - from <= 1e-12 * panel.extent || (before === 0 && width === 0)
        ? []
        : [{ links, from, to, widths: [before, width] }];
    });
  });
}

/** How far a place lies to the left of a line: a·x + b·y + c. */
type Line = readonly [x: number, y: number, c: number];
const at = ([x, y, c]: Line, [a, b]: Flat): number => x * a + y * b + c;

/** How wide the part of the panel is that side i carries: along the side, and square to it, from its beginning to its end. */
function profileOf({ corners, extent }: Panel, lines: readonly Line[], i: number): readonly Flat[] {
  const own = lines[i]!;
  // What is nearer to this side than to each other one; those beside it come first, and leave few corners for the others.
  const count = lines.length;
  let part: readonly Flat[] = corners;
  for (let n = 0; n < count - 1; n++) {
    const other = lines[(n % 2 === 0 ? i + 1 + n / 2 : i - (n + 1) / 2 + count) % count]!;
    part = clipped(part, [other[0] - own[0], other[1] - own[1], other[2] - own[2]]);
  }
  const slack = 1e-9 * extent;
  const [p, q] = [corners[i]!, corners[(i + 1) % count]!];
  // Along the side is a quarter turn back from the way to its left.
  const tips = part
    .map((place): Flat => [own[1] * (place[0] - p[0]) - own[0] * (place[1] - p[1]), at(own, place)])
    .filter(([, width]) => width > slack)
    .sort((one, two) => one[0] - two[0]);
  return [[0, 0], ...tips, [Math.hypot(q[0] - p[0], q[1] - p[1]), 0]];
}

/** What of a convex polygon lies to the left of a line. */
function clipped(corners: readonly Flat[], line: Line): readonly Flat[] {
  if (corners.every((place) => at(line, place) >= 0)) return corners;
  const kept: Flat[] = [];
  for (let i = 0; i < corners.length; i++) {
    const [here, next] = [corners[i]!, corners[(i + 1) % corners.length]!];
    const [now, then] = [at(line, here), at(line, next)];
    if (now >= 0) kept.push(here);
    if (now >= 0 === then >= 0) continue;
    const t = now / (now - then);
    kept.push([here[0] + t * (next[0] - here[0]), here[1] + t * (next[1] - here[1])]);
  }
  return kept;
}
