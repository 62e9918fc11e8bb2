import { stretchFields } from '../fields';
import { isObject, type Entity } from '../findings';
import { checkPosition, memberLength, type RuleContext } from '../rules/context';
import type { Bars, CompoundKind, Handle, MemberChange, Turn } from './compound-kind';
import { checkRun, joinedRun, lengthOf, linksOf, splitRun, type Link } from './run-links';
import { INTENSITY_KEYS, mixed, resizedStretch, sizeOfStretch, withoutPlace } from './intensities';
import type { Intensity, LineLoad, LoadAxes, Measure } from './primitive';

/**
 * A linear intensity over a run of connected members, taken as one line. `members` in their order along the run, whichever way each of
 * them was drawn; positions along the run. In local axes y is each member's own, and x follows the run: on members that were drawn
 * against it, x and z are turned round.
 */
export interface ChainLoad {
  readonly id: string;
  readonly case: string;
  readonly type: 'chain';
  readonly members: readonly string[];
  readonly axes?: LoadAxes;
  readonly measure?: Measure;
  readonly from: Intensity;
  readonly to: Intensity;
}

/** Parts of the run's length below which a stretch is nothing. */
const SLACK = 1e-9;

/** Where the load begins and ends, metres along the run. */
function stretchOf({ measure, from, to }: ChainLoad, length: number): { readonly from: number; readonly to: number } {
  const scale = measure === 'length' ? 1 : length;
  return { from: (from.at ?? 0) * scale, to: to.at === undefined ? length : to.at * scale };
}

/** What of the load lies between two places of the run (metres): its own ends there; undefined where nothing does. */
function partBetween(load: ChainLoad, a: number, b: number, length: number): { from: Intensity; to: Intensity } | undefined {
  const { from, to } = stretchOf(load, length);
  const [begin, end] = [Math.max(from, a), Math.min(to, b)];
  if (end - begin <= SLACK * length) return undefined;
  const at = (x: number): Intensity => ({ at: x, ...mixed(load, (x - from) / (to - from)) });
  return { from: at(begin), to: at(end) };
}

/** A position that a load need not name is left out. */
function placed(end: Intensity, side: 'from' | 'to', length: number, measure: Measure = 'ratio'): Intensity {
  const at = end.at ?? 0;
  const isEnd = side === 'from' ? at <= SLACK * length : at >= length * (1 - SLACK);
  return { ...(!isEnd && { at: measure === 'length' ? at : at / length }), ...withoutPlace(end) };
}

/** The same intensity seen from the other end. */
function turned({ from, to }: { from: Intensity; to: Intensity }, length: number, axes: LoadAxes = 'global') {
  const other = ({ at = 0, ...end }: Intensity): Intensity => ({
    ...end,
    at: length - at,
    ...(axes === 'local' && end.wx !== undefined && { wx: 0 - end.wx }),
    ...(axes === 'local' && end.wz !== undefined && { wz: 0 - end.wz }),
  });
  return { from: other(to), to: other(from) };
}

function expand(load: ChainLoad, bars: Bars): LineLoad[] {
  const links = linksOf(load.members, bars);
  const length = lengthOf(links);
  const { id, case: loadCase, axes } = load;
  return links.flatMap((link): LineLoad[] => {
    const part = partBetween(load, link.from, link.to, length);
    if (!part) return [];
    const own = link.to - link.from;
    const shift = (end: Intensity): Intensity => ({ ...end, at: (end.at ?? 0) - link.from });
    const shifted = { from: shift(part.from), to: shift(part.to) };
    const ends = link.way === 'along' ? shifted : turned(shifted, own, axes);
    const [from, to] = [placed(ends.from, 'from', own, 'length'), placed(ends.to, 'to', own, 'length')];
    return [{ id, case: loadCase, type: 'line', member: link.member, ...(axes && { axes }), measure: 'length', from, to }];
  });
}

/** At both ends of what is loaded; where the intensity is the same all along, once, in the middle. */
function handles(load: ChainLoad, bars: Bars): Handle[] {
  const links = linksOf(load.members, bars);
  const { from, to } = stretchOf(load, lengthOf(links));
  const at = (x: number, t: number): Handle => {
    const link = links.find((one) => x <= one.to) ?? links.at(-1)!;
    const own = link.way === 'along' ? x - link.from : link.to - x;
    const here = { from: { ...mixed(load, t), at: 0 }, to: { ...mixed(load, t), at: 0 } };
    const beside = link.way === 'along' ? here.from : turned(here, 0, load.axes).from;
    return { member: link.member, at: own, beside: withoutPlace(beside) };
  };
  if (INTENSITY_KEYS.every((key) => (load.from[key] ?? 0) === (load.to[key] ?? 0))) return [at((from + to) / 2, 0.5)];
  return [
    { ...at(from, 0), end: 'from' },
    { ...at(to, 1), end: 'to' },
  ];
}

/** The load over some links that follow each other, which become a run of their own. */
function over(load: ChainLoad, links: readonly Link[], length: number): ChainLoad[] {
  const [first, last] = [links[0]!, links.at(-1)!];
  const part = partBetween(load, first.from, last.to, length);
  if (!part) return [];
  const own = last.to - first.from;
  const shift = (end: Intensity): Intensity => ({ ...end, at: (end.at ?? 0) - first.from });
  const shifted = { from: shift(part.from), to: shift(part.to) };
  // A run of one member leads the way that the member does.
  const ends = links.length === 1 && first.way === 'against' ? turned(shifted, own, load.axes) : shifted;
  const [from, to] = [placed(ends.from, 'from', own, load.measure), placed(ends.to, 'to', own, load.measure)];
  return [{ ...load, members: links.map(({ member }) => member), from, to }];
}

function follow(load: ChainLoad, change: MemberChange, bars: Bars): ChainLoad[] | undefined {
  const links = linksOf(load.members, bars);
  const length = lengthOf(links);
  switch (change.kind) {
    case 'gone': {
      const runs: Link[][] = [[]];
      for (const link of links)
        if (change.members.has(link.member)) runs.push([]);
        else runs.at(-1)!.push(link);
      return runs.filter((run) => run.length > 0).flatMap((run) => over(load, run, length));
    }
    case 'split':
      return [{ ...load, members: splitRun(links, change.pieces) }];
    case 'joined': {
      const joined = joinedRun(load.members, change);
      if (!joined) return undefined;
      const { members, way } = joined;
      if (members.length > 1 || way === 'along') return [{ ...load, members }];
      return over(load, [{ member: change.into, way, from: 0, to: length }], length);
    }
  }
}

/** What the load may be after a motion: the same components, mirrored ones, or with turned signs in the members' own axes. */
function variants(load: ChainLoad, { hand, direction }: Turn): ChainLoad[] {
  const withBoth = (change: (end: Intensity) => Intensity): ChainLoad => ({
    ...load,
    from: change(load.from),
    to: change(load.to),
  });
  if (load.axes !== 'local') {
    return [
      withBoth((end) => {
        const [wx, wy, wz] = hand === 1 ? [] : direction([end.wx ?? 0, end.wy ?? 0, end.wz ?? 0]);
        return hand === 1 ? end : { ...end, ...(wx && { wx }), ...(wy && { wy }), ...(wz && { wz }) };
      }),
    ];
  }
  return [1, -1].flatMap((y) =>
    [1, -1].map((z) => withBoth((end) => ({ ...end, ...(end.wy && { wy: y * end.wy }), ...(end.wz && { wz: z * end.wz }) }))),
  );
}

function check(context: RuleContext, load: Entity, path: string): void {
  const found = checkRun(context, load, path);
  if (found) checkStretch(context, load, found, path);
}

function checkStretch({ findings, nodes }: RuleContext, load: Entity, members: readonly Entity[], path: string): void {
  const lengths = members.map((member) => memberLength(member, nodes));
  if (!isObject(load.from) || !isObject(load.to) || !lengths.every((length) => length !== undefined)) return;
  const furthest = load.measure === 'length' ? lengths.reduce((sum, length) => sum + length, 0) : 1;
  const where = { what: 'its run of members', subjects: [`load ${String(load.id)}`], furthest };
  checkPosition(findings, { ...where, load, at: load.from.at, path: `${path}.from.at` });
  checkPosition(findings, { ...where, load, at: load.to.at, path: `${path}.to.at` });
  const [from, to] = [load.from.at ?? 0, load.to.at ?? furthest];
  if (typeof from !== 'number' || typeof to !== 'number' || from < to) return;
  findings.fault({
    code: 'stretch-backwards',
    path: `${path}.from.at`,
    value: load.from.at,
    what: 'The load does not end behind its own beginning',
    expected: 'from.at less than to.at',
    remedy: 'Correct or swap the two positions',
    subjects: where.subjects,
  });
}

export const chain: CompoundKind<ChainLoad> = {
  type: 'chain',
  fields: { members: { kind: 'ids', required: true }, ...stretchFields },
  check,
  amount: ({ members }) => ({ steps: 0, loads: Array.isArray(members) ? members.length : 0 }),
  expand,
  handles,
  value: { words: 'Intensity', dimension: 'intensity', of: sizeOfStretch, resized: (load, value) => resizedStretch(load, value) },
  members: ({ members }) => members,
  nodes: () => [],
  renamed: (load, { member }) => ({ ...load, members: load.members.map(member) }),
  places: ['members'],
  variants,
  follow,
};
