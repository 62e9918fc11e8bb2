import { supportAxes } from '@rigid-beam/core/model/local-axes';
import { translations, type Restraint, type Support } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { symbolPath, type Item } from './display-list';
import { depthOf, seenPoint } from './projection';
import { circle } from './structure-items';
import { held, pushMark, sprung, supportStyle, symbol } from './support-symbol';
import type { Ground } from './ground';

/** Pixels: half the side of a base plate, of a pyramid's foot, and its height. */
const [PLATE, FOOT, HEIGHT] = [13, 9, 15];
/** A direction seen so much shorter than it is, is seen end on. */
const END_ON = 0.15;

type Axes = readonly [Point, Point, Point];

const acts = (restraint: Restraint | undefined): boolean => held(restraint) || sprung(restraint);

/** The support's own axes: along the global ones, turned about Z, or free in space. */
function ownAxes({ angle, axes }: Support): Axes {
  if (axes) {
    const rows = supportAxes(axes.x, axes.y);
    if (rows) return [0, 3, 6].map((i) => [rows[i]!, rows[i + 1]!, rows[i + 2]!] as const) as unknown as Axes;
  }
  const turn = ((angle ?? 0) * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return [
    [c, s, 0],
    [-s, c, 0],
    [0, 0, 1],
  ];
}

/**
 * In space: a clamp as a plate on the ground, a pin as a pyramid; any other support by a roller or spring along each direction that it
 * holds, as that direction is seen (a ring with a dot where it is seen end on), and a small square where rotations are held.
 */
export function symbolInSpace(support: Support, x: number, y: number, view: Ground): Item[] {
  return [...heldInSpace(support, x, y, view), ...pushesInSpace(support, x, y, view)];
}

function heldInSpace(support: Support, x: number, y: number, view: Ground): Item[] {
  const along = [support.ux, support.uy, support.uz];
  const rotations = [support.rx, support.ry, support.rz];
  const axes = ownAxes(support);
  const square = symbol({ node: support.node, rz: 'fixed' }, x, y, view);
  if (along.every(held)) {
    if (rotations.every(held)) return plate(support, axes, [x, y], view);
    return [...pyramid(support, axes, x, y, view), ...(rotations.some(acts) ? square : [])];
  }
  const parts = along.flatMap((restraint, k): Item[] => {
    const [dx, dy] = seenPoint(view.projection, axes[k]!);
    if (!acts(restraint)) return [];
    if (Math.hypot(dx, dy) < END_ON) return endOn(support, x, y, view);
    const sense = senseOf(dx, dy);
    const angle = (Math.atan2(sense * dy, sense * dx) * 180) / Math.PI - 90;
    const one = typeof restraint === 'number' ? { uy: restraint } : { uy: 'fixed' as const };
    return symbol({ node: support.node, ...one, angle }, x, y, view);
  });
  return [...parts, ...(rotations.some(acts) ? square : [])];
}

/** Which way it pushes along each direction in which it acts one way, where that is not seen end on. */
function pushesInSpace(support: Support, x: number, y: number, view: Ground): Item[] {
  if (!support.oneWay) return [];
  const axes = ownAxes(support);
  return translations.flatMap((along, k): Item[] => {
    const way = support.oneWay![along];
    const [dx, dy] = seenPoint(view.projection, axes[k]!);
    if (!way || Math.hypot(dx, dy) < END_ON) return [];
    const sense = senseOf(dx, dy);
    const turn = Math.atan2(sense * dy, sense * dx) - Math.PI / 2;
    return pushMark(support, [x, y], view, { turn, forwards: (way === 'positive') === sense > 0 });
  });
}

/** The symbol stands below or on the left of its node. */
const senseOf = (dx: number, dy: number): 1 | -1 => (dy > 0.02 || (Math.abs(dy) <= 0.02 && dx > 0) ? 1 : -1);

/** Corners of a square about the support's own y, in their order around it. */
const CORNERS = [[1, 1], [1, -1], [-1, -1], [-1, 1]] as const; // oxfmt-ignore

/** Places, in pixels right and up, of points in a support's own axes. */
const seenFrom =
  (axes: Axes, { projection, weight }: Ground) =>
  (along: number, up: number, across: number): [number, number] => {
    const at = [0, 1, 2].map((k) => along * axes[0][k]! + up * axes[1][k]! + across * axes[2][k]!);
    const [right, above] = seenPoint(projection, at as unknown as Point);
    return [right * weight, above * weight];
  };

/** A square on the ground, so far below the node, with the strokes of the ground at its near sides. */
function plate(support: Support, axes: Axes, [x, y]: readonly [number, number], view: Ground, below = 0): Item[] {
  const style = supportStyle(support, view);
  const seen = seenFrom(axes, view);
  const corners = CORNERS.map(([along, across]) => seen(PLATE * along, -below, PLATE * across));
  const outline = symbolPath(x, y, corners.flat(), {
    ...style,
    closed: true,
    fill: 'paper',
    width: (below > 0 ? 1.6 : 2.4) * view.weight,
  });
  // From above, or below, one looks upon the plate and not beside it.
  if (Math.hypot(...seen(0, 1, 0)) < END_ON * view.weight) return [outline];
  const middle = seen(0, -below, 0)[1];
  const strokes = corners.flatMap(([ax, ay], i) => {
    const [bx, by] = corners[(i + 1) % corners.length]!;
    if ((ay + by) / 2 > middle + 0.01 || Math.abs(bx - ax) < 6 * view.weight) return [];
    return [0.15, 0.5, 0.85].flatMap((part) => {
      const [px, py] = [ax + part * (bx - ax), ay + part * (by - ay)];
      return [px, py, px - 5 * view.weight, py - 5 * view.weight];
    });
  });
  return strokes.length > 0 ? [outline, symbolPath(x, y, strokes, { ...style, parts: 2 })] : [outline];
}

/** A pyramid that stands on the ground and holds the node with its top. */
function pyramid(support: Support, axes: Axes, x: number, y: number, view: Ground): Item[] {
  const seen = seenFrom(axes, view);
  const sides = CORNERS.flatMap(([along, across], i) => {
    const [nextAlong, nextAcross] = CORNERS[(i + 1) % CORNERS.length]!;
    const out = [0, 1, 2].map(
      (k) =>
        ((along + nextAlong) / 2) * HEIGHT * axes[0][k]! +
        FOOT * axes[1][k]! +
        ((across + nextAcross) / 2) * HEIGHT * axes[2][k]!,
    );
    if (depthOf(view.projection, out as unknown as Point) <= 0) return [];
    return [0, 0, ...seen(FOOT * along, -HEIGHT, FOOT * across), ...seen(FOOT * nextAlong, -HEIGHT, FOOT * nextAcross)];
  });
  const ground = plate(support, axes, [x, y], view, HEIGHT);
  if (sides.length === 0) return ground;
  return [...ground, symbolPath(x, y, sides, { ...supportStyle(support, view), parts: 3, closed: true, fill: 'paper' })];
}

/** What is held along the look. */
function endOn(support: Support, x: number, y: number, view: Ground): Item[] {
  const style = supportStyle(support, view);
  const w = view.weight;
  return [
    symbolPath(x, y, circle(7 * w), { ...style, closed: true }),
    symbolPath(x, y, circle(2.2 * w), { subject: style.subject, closed: true, fill: style.stroke }),
  ];
}
