import { kindOfLoad, type CompoundLoad } from '../loads/compound';
import type { Bars } from '../loads/compound-kind';
import { partsOf } from '../loads/expand';
import { INTENSITY_KEYS } from '../loads/intensities';
import type { MemberLoad } from '../loads/primitive';
import type { Load } from '../model';
import { carriedMemberLoad, type Axes } from './carry';
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

/** What a motion carries: members by their names before, and, where these are copies, the nodes in the place of others. */
export interface CarriedThings {
  readonly bars: ReadonlyMap<string, CarriedBar>;
  readonly nodes?: ReadonlyMap<string, string>;
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
  const along = parts.flatMap((part): MemberLoad[] => {
    const bar = carried.get(part.member);
    if (bar) return [{ ...carriedMemberLoad(part, bar.from, bar.to, motion), member: bar.id }];
    return others === 'stay' ? [part] : [];
  });
  if (kind.members(load, bars.before).every((member) => carried.has(member))) {
    const there = kind.renamed(load, { node: (id) => nodes?.get(id) ?? id, member: (id) => carried.get(id)!.id });
    const ways = kind.variants?.(there, motion) ?? [there];
    const whole = ways.find((one) => sameParts(partsOf(one, bars.after), along));
    if (whole) return [whole];
  } else if (others === 'stay' && sameParts(parts, along)) return [load];
  return inPlaceOf(load, along);
}

function sameParts(a: readonly MemberLoad[], b: readonly MemberLoad[]): boolean {
  return a.length === b.length && a.every((one, i) => samePart(one, b[i]!));
}

function samePart(a: MemberLoad, b: MemberLoad): boolean {
  if (a.type !== 'line' || b.type !== 'line' || a.member !== b.member) return false;
  return (['from', 'to'] as const).every((end) => {
    const size = Math.max(...INTENSITY_KEYS.map((key) => Math.max(Math.abs(a[end][key] ?? 0), Math.abs(b[end][key] ?? 0))));
    const isSame = INTENSITY_KEYS.every((key) => Math.abs((a[end][key] ?? 0) - (b[end][key] ?? 0)) <= SAME * size);
    return isSame && Math.abs((a[end].at ?? 0) - (b[end].at ?? 0)) <= SAME * (1 + (a[end].at ?? 0));
  });
}
