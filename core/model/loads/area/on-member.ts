import { cross, dot, minus, plus, size, times, type Point } from '../../point';
import type { Bars } from '../compound-kind';
import type { LineLoad, MemberLoad } from '../primitive';
import { PanelTrouble } from './panel';

/** A force per length at a place along the line between a member's nodes, N/m and metres from its start node. */
interface End {
  readonly at: number;
  readonly force: Point;
}

/** What acts along a stretch of that line, growing evenly. */
interface Stretch {
  /** Between the nodes. */
  readonly length: number;
  readonly from: End;
  readonly to: End;
}

/** Couples of a stretch whose force acts beside the member's axis are put down in so many places. */
const COUPLES = 8;

/**
 * The loads on a member that stand for a force along the line between its nodes. Offsets move the member's axis away from that line: what
 * lies beside it keeps its place along it and brings its couple along, what lies beyond its ends acts on them. Force and moment about any
 * point are those of the stretch.
 */
export function onMember(load: Pick<LineLoad, 'id' | 'case'>, member: string, stretch: Stretch, bars: Bars): MemberLoad[] {
  const { from, to, start, end, length, hasArms } = bars(member);
  if (!hasArms) {
    const [first, last] = [stretch.from, stretch.to].map(({ at, force }) => ({ at: clean(at, length), ...intensity(force) }));
    return [{ ...load, type: 'line', member, measure: 'length', from: first!, to: last! }];
  }
  const [a, b] = [bars.places.get(start)!, bars.places.get(end)!];
  const way = times(minus(b, a), 1 / stretch.length);
  const axis = times(minus(to, from), 1 / length);
  const lean = dot(way, axis);
  if (!(lean > 0.5))
    throw new PanelTrouble(`member ${member} runs across the line between its nodes, since its offsets are long`);
  const placeAt = (x: number): Point => plus(a, times(way, x));
  const along = (x: number): number => dot(minus(placeAt(x), from), axis);
  const slope = times(minus(stretch.to.force, stretch.from.force), 1 / (stretch.to.at - stretch.from.at));
  const forceAt = (x: number): Point => plus(stretch.from.force, times(slope, x - stretch.from.at));
  // Cut where the member begins and ends.
  const ends = [0, length].map((t) => stretch.from.at + (t - along(stretch.from.at)) / lean);
  const cuts = [stretch.from.at, ...ends.filter((x) => x > stretch.from.at && x < stretch.to.at), stretch.to.at];
  return cuts.slice(1).flatMap((q, k): MemberLoad[] => {
    const p = cuts[k]!;
    if (q - p <= 1e-12 * stretch.length) return [];
    const middle = along((p + q) / 2);
    if (middle < 0 || middle > length) return [atPoint(middle < 0 ? 0 : length, p, q)];
    const [first, last] = [p, q].map((x) => ({ at: within(along(x), length), ...intensity(times(forceAt(x), 1 / lean)) }));
    const line: LineLoad = { ...load, type: 'line', member, measure: 'length', from: first!, to: last! };
    const step = (q - p) / COUPLES;
    const couples = Array.from({ length: COUPLES }, (_, i) => coupleOf(p + i * step, p + (i + 1) * step));
    return [line, ...couples.flat()];
  });

  /** What acts between two places, at one of the member's ends. */
  function atPoint(at: number, p: number, q: number): MemberLoad {
    const tip = at === 0 ? from : to;
    const { force, moment } = summed(p, q, () => tip);
    return { ...load, type: 'point', member, measure: 'length', at, ...parts('f', force), ...parts('m', moment) };
  }

  /** The couple that the force between two places has about the axis beside it, in its middle. */
  function coupleOf(p: number, q: number): MemberLoad[] {
    const { force, moment } = summed(p, q, (x) => plus(from, times(axis, along(x))));
    if (size(moment) <= 1e-12 * size(force) * stretch.length) return [];
    return [{ ...load, type: 'point', member, measure: 'length', at: along((p + q) / 2), ...parts('m', moment) }];
  }

  /** Force, and moment about a place that goes along; Simpson's rule is exact for products of two straight lines. */
  function summed(p: number, q: number, about: (x: number) => Point): { readonly force: Point; readonly moment: Point } {
    let [force, moment]: [Point, Point] = [[0, 0, 0], [0, 0, 0]]; // oxfmt-ignore
    for (const [x, weight] of [[p, 1], [(p + q) / 2, 4], [q, 1]] as const) {
      const one = times(forceAt(x), ((q - p) * weight) / 6);
      force = plus(force, one);
      moment = plus(moment, cross(minus(placeAt(x), about(x)), one));
    } // oxfmt-ignore
    return { force, moment };
  }
}

/** A place that rounding alone has moved off an end. */
const clean = (at: number, length: number): number =>
  Math.abs(at) < 1e-9 * length ? 0 : Math.abs(at - length) < 1e-9 * length ? length : at;

const within = (at: number, length: number): number => Math.min(Math.max(at, 0), length);

/** The parts of a vector under their names, those that are zero left out. */
const parts = (letter: string, vector: Point): Record<string, number> =>
  Object.fromEntries(vector.flatMap((value, k) => (value === 0 ? [] : [[`${letter}${'xyz'[k]!}`, value]])));

const intensity = (force: Point): { wx?: number; wy?: number; wz?: number } => parts('w', force);
