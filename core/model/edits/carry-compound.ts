import type { AreaLoad } from '../loads/area/area';
import type { ChainLoad } from '../loads/chain';
import { compoundKinds, type CompoundLoad } from '../loads/compound';
import type { Bars } from '../loads/compound-kind';
import { isUpright, panelOf } from '../loads/area/panel';
import { partsOf } from '../loads/expand';
import { INTENSITY_KEYS } from '../loads/intensities';
import type { Intensity, MemberLoad } from '../loads/primitive';
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
  return load.type === 'area'
    ? carriedArea(load, things, motion, bars, others)
    : carriedChain(load, things.bars, motion, bars, others);
}

/**
 * A pressure keeps its direction: down stays down. What acts along the normal of an upright panel changes its sign in a mirror, in which
 * corners run the other way round.
 */
function carriedArea(
  load: AreaLoad,
  things: CarriedThings,
  motion: Carried,
  bars: BothBars,
  others: 'stay' | 'leave out',
): readonly Load[] {
  const flips = motion.hand !== 1 && load.direction === 'normal' && standsUpright(load, bars.before);
  const same = flips ? { ...load, pressure: -load.pressure } : load;
  if (others === 'stay') return [same];
  const { nodes } = things;
  const carriers = compoundKinds.area.members(load, bars.before);
  const all = [...(load.nodes ?? []), ...(load.openings ?? []).flat()];
  if (!nodes || !all.every((id) => nodes.has(id)) || !carriers.every((id) => things.bars.has(id))) return [];
  const node = (id: string): string => nodes.get(id)!;
  const member = (id: string): string => things.bars.get(id)!.id;
  return [
    {
      ...same,
      ...(load.nodes && { nodes: load.nodes.map(node) }),
      ...(load.openings && { openings: load.openings.map((ids) => ids.map(node)) }),
      ...(load.to && { to: load.to.map(member) }),
      ...(load.members && { members: load.members.map(member) }),
    },
  ];
}

const standsUpright = ({ nodes }: AreaLoad, bars: Bars): boolean => nodes !== undefined && isUpright(panelOf(nodes, bars).normal);

function carriedChain(
  load: ChainLoad,
  carried: ReadonlyMap<string, CarriedBar>,
  motion: Carried,
  bars: BothBars,
  others: 'stay' | 'leave out',
): readonly Load[] {
  const parts = partsOf(load, bars.before);
  const along = parts.flatMap((part): MemberLoad[] => {
    const bar = carried.get(part.member);
    if (bar) return [{ ...carriedMemberLoad(part, bar.from, bar.to, motion), member: bar.id }];
    return others === 'stay' ? [part] : [];
  });
  if (load.members.every((member) => carried.has(member))) {
    const there = { ...load, members: load.members.map((member) => carried.get(member)!.id) };
    const whole = waysToSay(there, motion).find((one) => sameParts(partsOf(one, bars.after), along));
    if (whole) return [whole];
  } else if (others === 'stay' && sameParts(parts, along)) return [load];
  return inPlaceOf(load, along);
}

/** What the load may be after the motion: the same components, mirrored ones, or with turned signs in the members' own axes. */
function waysToSay(load: ChainLoad, motion: Carried): ChainLoad[] {
  const withBoth = (change: (end: Intensity) => Intensity): ChainLoad => ({
    ...load,
    from: change(load.from),
    to: change(load.to),
  });
  if (load.axes !== 'local') {
    return [
      withBoth((end) => {
        const [wx, wy, wz] = motion.hand === 1 ? [] : motion.direction([end.wx ?? 0, end.wy ?? 0, end.wz ?? 0]);
        return motion.hand === 1 ? end : { ...end, ...(wx && { wx }), ...(wy && { wy }), ...(wz && { wz }) };
      }),
    ];
  }
  return [1, -1].flatMap((y) =>
    [1, -1].map((z) => withBoth((end) => ({ ...end, ...(end.wy && { wy: y * end.wy }), ...(end.wz && { wz: z * end.wz }) }))),
  );
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
