import { kindOfLoad, type CompoundLoad } from '../loads/compound';
import type { Bars } from '../loads/compound-kind';
import { partsOf } from '../loads/expand';
import { INTENSITY_KEYS } from '../loads/intensities';
import type { PrimitiveLoad } from '../loads/primitive';
import type { Load } from '../model';
import { carriedMemberLoad, carriedNodeLoad, type Axes } from './carry';
import { inPlaceOf } from './follow-members';
import type { Carried } from './motion';

/** A member that a motion carries: its name there, and its axes before and after. */
export interface CarriedBar {
  readonly id: string;
  readonly from: Axes;
  readonly to: Axes;
}

/** Parts of a load that differ by less than this part of their size are the same. */
const SAME = 1e-9;

/** What a motion carries, by names before: members, and nodes with what they are called afterwards. */
export interface CarriedThings {
  readonly bars: ReadonlyMap<string, CarriedBar>;
  readonly nodes: ReadonlyMap<string, string>;
}

/** The members before and after a motion. */
interface BothBars {
  readonly before: Bars;
  readonly after: Bars;
}

/**
 * A load on several members, carried by a motion together with those of `things`: as a whole if its single loads can be said by one such
 * load there, else as single loads. Those on members that are not carried stay; `others` says so, else they are no part of the copy.
 */
export function carriedCompound(
  load: CompoundLoad,
  things: CarriedThings,
  motion: Carried,
  bars: BothBars,
  others: 'stay' | 'leave out',
): readonly Load[] {
  const kind = kindOfLoad(load);
  const { bars: carried, nodes } = things;
  if (kind.carried) return kind.carried(load, { turn: motion, members: carried, nodes, bars: bars.before, others });
  const parts = partsOf(load, bars.before);
  const along = parts.flatMap((part): PrimitiveLoad[] => {
    const stays = others === 'stay' ? [part] : [];
    if ('node' in part) {
      const node = nodes.get(part.node);
      if (node === undefined) return stays;
      return [{ ...(part.type === 'node' ? carriedNodeLoad(part, motion) : part), node }];
    }
    const bar = carried.get(part.member);
    return bar ? [{ ...carriedMemberLoad(part, bar.from, bar.to, motion), member: bar.id }] : stays;
  });
  if (kind.members(load, bars.before).every((id) => carried.has(id)) && kind.nodes(load).every((id) => nodes.has(id))) {
    const there = kind.renamed(load, { node: (id) => nodes.get(id)!, member: (id) => carried.get(id)!.id });
    const ways = kind.variants?.(there, motion) ?? [there];
    const whole = ways.find((one) => sameParts(partsOf(one, bars.after), along));
    if (whole) return [whole];
  } else if (others === 'stay' && sameParts(parts, along)) return [load];
  return inPlaceOf(load, along);
}

function sameParts(a: readonly PrimitiveLoad[], b: readonly PrimitiveLoad[]): boolean {
  return a.length === b.length && a.every((one, i) => samePart(one, b[i]!));
}

const FORCES = ['fx', 'fy', 'fz', 'mx', 'my', 'mz'] as const;

function samePart(a: PrimitiveLoad, b: PrimitiveLoad): boolean {
  if (a.type === 'line' && b.type === 'line')
    return (
      a.member === b.member &&
      (['from', 'to'] as const).every((end) => isAlike(a[end], b[end], INTENSITY_KEYS) && isThere(a[end].at, b[end].at))
    );
  if (a.type === 'node' && b.type === 'node') return a.node === b.node && isAlike(a, b, FORCES);
  if (a.type !== 'point' || b.type !== 'point') return false;
  return a.member === b.member && a.axes === b.axes && a.measure === b.measure && isAlike(a, b, FORCES) && isThere(a.at, b.at);
}

const isThere = (a = 0, b = 0): boolean => Math.abs(a - b) <= SAME * (1 + a);

/** Whether two vectors are the same beside their size. */
function isAlike<K extends string>(a: { readonly [key in K]?: number }, b: typeof a, keys: readonly K[]): boolean {
  const size = Math.max(...keys.map((key) => Math.max(Math.abs(a[key] ?? 0), Math.abs(b[key] ?? 0))));
  return keys.every((key) => Math.abs((a[key] ?? 0) - (b[key] ?? 0)) <= SAME * size);
}
