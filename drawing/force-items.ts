import type { ForceComponents, PointLoad } from '@rigid-beam/core/model/loads/primitive';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { dot, type Point } from '@rigid-beam/core/model/point';
import type { Item, Subject } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { arrow, arrowLength, couple, END_ON, endOn, label, ownAxes, prefix, type Context } from './load-marks';
import { seenPoint } from './projection';

/** A force and a couple as they are seen: their true sizes, and where they point on the drawing (less than 1 long). */
interface SeenForces {
  readonly force: number;
  readonly forceWay: readonly [number, number];
  readonly couple: number;
  readonly coupleWay: readonly [number, number];
  /** Part of the couple that turns about the line of sight, anticlockwise positive. */
  readonly coupleToward: number;
}

export function seenForces({ view }: Context, load: ForceComponents, member?: DrawnMember): SeenForces {
  const [f, m]: [Point, Point] = [
    [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0],
    [load.mx ?? 0, load.my ?? 0, load.mz ?? 0],
  ];
  const seen = (v: Point): [number, number] => (member ? ownAxes(member, v) : seenPoint(view.projection, v));
  const [force, couple] = [Math.hypot(...f), Math.hypot(...m)];
  const unit = ([x, y]: [number, number], size: number): [number, number] => (size === 0 ? [0, 0] : [x / size, y / size]);
  const coupleWay = unit(seen(m), couple);
  // A couple in a member's own axes that is not seen along the drawing turns about the line of sight.
  const rest = Math.sqrt(Math.max(0, 1 - coupleWay[0] ** 2 - coupleWay[1] ** 2));
  const coupleToward =
    couple === 0 ? 0 : member ? rest * facing(member) * Math.sign(m[2] || 1) : dot(view.projection.toward, m) / couple;
  return { force, forceWay: unit(seen(f), force), couple, coupleWay, coupleToward };
}

/** +1 where local z points at the viewer. */
const facing = ({ ex, ey }: DrawnMember): 1 | -1 => (ex[0] * ey[1] - ex[1] * ey[0] >= 0 ? 1 : -1);

/** A force and couple on a member. */
export function forceOnMember(context: Context, member: DrawnMember, load: PointLoad, subject: Subject, factor: number): Item[] {
  const x = load.measure === 'length' ? load.at : load.at * member.length;
  const [px, py] = pointOn(member, x);
  const forces = load.axes === 'local' ? seenForces(context, load, member) : seenForces(context, load);
  return concentrated(context, { x: px, y: py, ...forces }, subject, factor);
}

/** A force as an arrow that ends at the point, a couple as an arc round it or a double-headed arrow. */
export function concentrated(
  context: Context,
  { x, y, node, ...seen }: SeenForces & { readonly x: number; readonly y: number; readonly node?: string },
  subject: Subject,
  factor: number,
): Item[] {
  const items: Item[] = [];
  const w = context.view.weight;
  const sense = Math.sign(factor);
  if (seen.force > 0) {
    const length = arrowLength((seen.force * factor) / (context.largest.force || 1)) * 1.25 * w;
    const [ux, uy] = [sense * seen.forceWay[0], sense * seen.forceWay[1]];
    const words = prefix(factor) + showForce(seen.force, context.display);
    if (Math.hypot(ux, uy) < END_ON)
      items.push(
        ...endOn(context, x, y, subject),
        label(context, { x, y, dx: 9 * w, dy: -9 * w, away: [1, -1] }, words, subject),
      );
    else {
      const { start, aside } = standing(node === undefined ? [] : context.leaving(node), [ux, uy]);
      // From its tail to its point, which ends on the node or, where a member stands behind it, begins there.
      const [tail, point] = start === 'here' ? [4 * w, length + 4 * w] : [-length - 4 * w, -4 * w];
      const [ax, ay] = [-uy * aside * w, ux * aside * w];
      const at = (along: number): [number, number] => [ux * along + ax, uy * along + ay];
      items.push(...arrow(context, { x, y, from: at(tail), to: at(point), width: 2.2 }, subject));
      const said = at(start === 'here' ? point + 3 * w : tail - 2 * w);
      const away: [number, number] = start === 'here' ? [ux, uy] : [-ux, -uy];
      items.push(label(context, { x, y, dx: said[0], dy: said[1], away }, words, subject));
    }
  }
  if (seen.couple > 0) {
    const words = prefix(factor) + showMoment(seen.couple, context.display);
    items.push(...turning(context, { x, y, way: seen.coupleWay, toward: seen.coupleToward, sense }, words, subject));
  }
  return items;
}

/** Cosine of the angle within which a member hides an arrow that lies along it. */
const HIDES = 0.97;
/** Pixels by which an arrow stands beside a member that goes on both ways. */
const ASIDE = 9;

/** Where an arrow stands that points along `way` at a node: before it, from it on where a member lies there, or beside both. */
function standing(
  leaving: readonly (readonly [number, number])[],
  [ux, uy]: readonly [number, number],
): { readonly start: 'before' | 'here'; readonly aside: number } {
  const isHidden = (sense: 1 | -1): boolean =>
    leaving.some(([x, y]) => sense * (x * ux + y * uy) > HIDES * (Math.hypot(x, y) * Math.hypot(ux, uy) || 1));
  if (!isHidden(-1)) return { start: 'before', aside: 0 };
  return isHidden(1) ? { start: 'before', aside: ASIDE } : { start: 'here', aside: 0 };
}

/** What turns at a point: the way of its axis on the drawing, and how much of it points at the viewer. */
interface Turning {
  readonly x: number;
  readonly y: number;
  readonly way: readonly [number, number];
  readonly toward: number;
  readonly sense: number;
}

/** An arc round the point, or about an axis that lies in the drawing a double-headed arrow, right-handed. */
export function turning(context: Context, { x, y, way, toward, sense }: Turning, words: string, subject: Subject): Item[] {
  const w = context.view.weight;
  const said = label(context, { x, y, dx: 14 * w, dy: 16 * w, away: [1, 1] }, words, subject);
  if (Math.abs(toward) >= Math.SQRT1_2) return [...couple(context, x, y, Math.sign(toward * sense), subject), said];
  const [ux, uy] = [sense * way[0] * w, sense * way[1] * w];
  const heads = [
    [4, 30],
    [30, 37],
  ] as const;
  const drawn = heads.flatMap(([from, to]) =>
    arrow(context, { x, y, from: [from * ux, from * uy], to: [to * ux, to * uy], width: 2 }, subject),
  );
  return [...drawn, said];
}
