import { INTENSITY_KEYS, mixed, withoutPlace } from '../loads/intensities';
import type { Intensity, LineLoad, MemberLoad, PointLoad } from '../loads/primitive';

/** Loads of one member in metres from its start, cut and joined. A position that a load need not name is left out again. */

const SLACK = 1e-9;

interface Stretch {
  readonly from: number;
  readonly to: number;
}

const inMetres = (load: PointLoad | LineLoad, at: number, length: number): number =>
  load.measure === 'length' ? at : at * length;
const measured = (load: PointLoad | LineLoad, x: number, length: number): number => {
  const value = load.measure === 'length' ? x : x / length;
  const end = load.measure === 'length' ? length : 1;
  return Math.abs(value) < SLACK * end ? 0 : Math.abs(value - end) < SLACK * end ? end : value;
};

export const stretchOf = (load: LineLoad, length: number): Stretch => ({
  from: inMetres(load, load.from.at ?? 0, length),
  to: load.to.at === undefined ? length : inMetres(load, load.to.at, length),
});

/** A line load over other metres of a member of another length. `whole` where it covers that member from end to end. */
function placed(load: LineLoad, from: Intensity, to: Intensity, stretch: Stretch, length: number): LineLoad {
  const starts = stretch.from <= SLACK * length;
  const ends = stretch.to >= length * (1 - SLACK);
  return {
    ...load,
    from: { ...(!starts && { at: measured(load, stretch.from, length) }), ...from },
    to: { ...(!ends && { at: measured(load, stretch.to, length) }), ...to },
  };
}

/** The part of a load that acts between `a` and `b` metres of a member of `length`, on a piece of its own; undefined without any. */
export function cutLoad(load: MemberLoad, length: number, a: number, b: number, member: string): MemberLoad | undefined {
  const piece = b - a;
  switch (load.type) {
    case 'point': {
      const x = inMetres(load, load.at, length);
      const isLast = b >= length * (1 - SLACK);
      if (x < a - SLACK * length || (isLast ? x > b + SLACK * length : x >= b - SLACK * length)) return undefined;
      return { ...load, member, at: measured(load, Math.min(Math.max(x - a, 0), piece), piece) };
    }
    case 'line': {
      const { from, to } = stretchOf(load, length);
      const [begin, end] = [Math.max(from, a), Math.min(to, b)];
      if (end - begin <= SLACK * length) return undefined;
      const at = (x: number): Intensity => mixed(load, (x - from) / (to - from));
      return { ...placed(load, at(begin), at(end), { from: begin - a, to: end - a }, piece), member };
    }
    case 'thermal':
      return { ...load, member };
    case 'strain':
      return { ...load, member, elongation: (load.elongation * piece) / length };
  }
}

/** A piece of a member, metres: as long as it was, and where it lies in the joined member, which is `length` long. */
export interface JoinedPiece {
  readonly piece: number;
  readonly from: number;
  readonly length: number;
  readonly member: string;
  readonly way: 'along' | 'against';
}

/** A load of a piece, on the joined member. */
export function shiftedLoad(load: PointLoad | LineLoad, joined: JoinedPiece): MemberLoad {
  const { piece, from: a, length, member, way } = joined;
  const onto = (x: number): number => a + (way === 'along' ? x : piece - x);
  if (load.type === 'point')
    return { ...load, member, at: measured(load, Math.min(onto(inMetres(load, load.at, piece)), length), length) };
  const { from, to } = stretchOf(load, piece);
  const [first, last] = [withoutPlace(load.from), withoutPlace(load.to)];
  if (way === 'along') return { ...placed(load, first, last, { from: onto(from), to: onto(to) }, length), member };
  return { ...placed(load, last, first, { from: onto(to), to: onto(from) }, length), member };
}

/** Line loads that follow each other without a step, on one member and in one case, become one. */
export function joinedStretches(loads: readonly MemberLoad[], length: number): MemberLoad[] {
  const result: MemberLoad[] = [];
  for (const load of loads) {
    const last = load.type === 'line' ? result.findIndex((one) => one.type === 'line' && follows(one, load, length)) : -1;
    if (last < 0) result.push(load);
    else result[last] = { ...(result[last] as LineLoad), to: (load as LineLoad).to };
  }
  return result;
}

function follows(a: LineLoad, b: LineLoad, length: number): boolean {
  if (a.case !== b.case || (a.axes ?? 'global') !== (b.axes ?? 'global') || a.measure !== b.measure) return false;
  const [first, second] = [stretchOf(a, length), stretchOf(b, length)];
  if (Math.abs(first.to - second.from) > SLACK * length) return false;
  // One straight line over both: the same value at the seam, and the same slope.
  return INTENSITY_KEYS.every((key) => {
    const [a0, a1, b0, b1] = [a.from[key] ?? 0, a.to[key] ?? 0, b.from[key] ?? 0, b.to[key] ?? 0];
    const size = Math.max(Math.abs(a0), Math.abs(a1), Math.abs(b0), Math.abs(b1)) * 1e-9;
    const slopes = (a1 - a0) / (first.to - first.from) - (b1 - b0) / (second.to - second.from);
    return Math.abs(a1 - b0) <= size && Math.abs(slopes) * length <= size;
  });
}
