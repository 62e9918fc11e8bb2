import { TRAIN_AXLES } from '../../limits';
import { needed, neededPositive, positive, type Fields } from '../fields';
import type { Entity } from '../findings';
import type { RuleContext } from '../rules/context';
import type { Axles } from '../train';
import type { Bars, CompoundKind, MemberChange } from './compound-kind';
import type { PointLoad } from './primitive';
import { checkRun, lengthOf, linksOf, joinedRun, splitRun, type Link } from './run-links';

/** Axles that stand somewhere on a run of members; those beside it do not count. */
export interface TrainLoad {
  readonly id: string;
  readonly case: string;
  readonly type: 'train';
  /** In their order along the run. */
  readonly members: readonly string[];
  /** Where its first axle stands, metres along the run; it may stand beside it. */
  readonly stands: number;
  /** Whether it goes along the run, its other axles behind the first one, or back. */
  readonly way?: 'forwards' | 'backwards';
  /** N, from the front, and metres from each to the next one. */
  readonly axles: readonly number[];
  readonly spacings: readonly number[];
  readonly impact?: number;
  /** Of a train that travels: what is spread over a length wherever it makes things worse, N/m, and a spacing that may be anything between two values. */
  readonly uniform?: number;
  readonly varies?: { readonly behind: number; readonly least: number; readonly most: number };
  /** Where they push, global; down where it is not said. */
  readonly towards?: readonly number[];
}

const DOWN = [0, -1, 0];

/** The train that the load is where it travels. */
export function trainOfLoad({ axles, spacings, impact, uniform, varies }: TrainLoad): Axles {
  return {
    axles,
    spacings: varies ? spacings.map((spacing, i) => (i === varies.behind ? varies.least : spacing)) : spacings,
    ...(varies && { varies: { behind: varies.behind, most: varies.most } }),
    ...(uniform !== undefined && { uniform }),
    ...(impact !== undefined && { impact }),
  };
}

/** The load as another train that stands in its place: a gap that may vary stays as it is, as far as it may. */
export function withTrain(load: TrainLoad, { axles, spacings, varies, uniform }: Axles): TrainLoad {
  const { uniform: _, varies: __, ...rest } = load;
  const gap = varies && load.spacings[varies.behind];
  const stands = varies && Math.min(Math.max(gap ?? 0, spacings[varies.behind]!), varies.most);
  return {
    ...rest,
    axles,
    spacings: spacings.map((spacing, i) => (i === varies?.behind ? stands! : spacing)),
    ...(uniform !== undefined && { uniform }),
    ...(varies && { varies: { behind: varies.behind, least: spacings[varies.behind]!, most: varies.most } }),
  };
}

/** Where the axles stand, metres along the run. */
export function axlePlaces({ stands, way, spacings }: Pick<TrainLoad, 'stands' | 'way' | 'spacings'>): number[] {
  const places = [stands];
  for (const spacing of spacings) places.push(places.at(-1)! + (way === 'backwards' ? spacing : -spacing));
  return places;
}

/** Metres by which an axle may miss the end of a run and still stands on it: what rounding makes of a place. */
const SLACK = 1e-7;

/** Whether a place along a way of `length` metres is on it, and not beside it. */
export const isOnWay = (s: number, length: number): boolean => s >= -SLACK && s <= length + SLACK;

/** The member on which a place of a run lies, and how far from its start. */
function onRun(links: readonly Link[], s: number): { readonly member: string; readonly at: number } | undefined {
  if (!isOnWay(s, lengthOf(links))) return undefined;
  const link = links.find(({ to }) => s <= to) ?? links.at(-1)!;
  const at = link.way === 'along' ? s - link.from : link.to - s;
  return { member: link.member, at: Math.min(Math.max(at, 0), link.to - link.from) };
}

/** The axles that are on the run: their numbers, from the front, and where they stand. */
export function axlesOnRun(
  load: TrainLoad,
  bars: Bars,
): { readonly axle: number; readonly member: string; readonly at: number }[] {
  const links = linksOf(load.members, bars);
  return axlePlaces(load).flatMap((s, axle) => {
    const place = onRun(links, s);
    return place ? [{ axle, ...place }] : [];
  });
}

/** The load moved along its run, so that one of its axles stands at a place of a member. */
export function stoodAt(
  load: TrainLoad,
  bars: Bars,
  axle: number,
  { member, at }: { readonly member: string; readonly at: number },
): TrainLoad {
  const link = linksOf(load.members, bars).find((one) => one.member === member)!;
  const s = link.way === 'along' ? link.from + at : link.to - at;
  const before = axlePlaces(load)[axle]!;
  return { ...load, stands: Number((load.stands + s - before).toFixed(9)) };
}

function expand(load: TrainLoad, bars: Bars): PointLoad[] {
  const { id, case: own, axles, impact = 1, towards = DOWN } = load;
  const size = Math.hypot(...towards);
  return axlesOnRun(load, bars).map(({ axle, member, at }): PointLoad => {
    const [fx, fy, fz] = towards.map((part) => (impact * axles[axle]! * part) / size);
    const force = { ...(fx && { fx }), ...(fy && { fy }), ...(fz && { fz }) };
    return { id, case: own, type: 'point', member, measure: 'length', at, ...force };
  });
}

/** The load on a part of its run, with the axles where they stood; nothing where none of them is left. */
function over(load: TrainLoad, run: readonly Link[], members = run.map(({ member }) => member)): TrainLoad[] {
  const [first, last] = [run[0]!, run.at(-1)!];
  const length = last.to - first.from;
  const here: TrainLoad = { ...load, members, stands: load.stands - first.from };
  if (!axlePlaces(here).some((s) => s >= -SLACK && s <= length + SLACK)) return [];
  // A run of one member leads the way that the member does.
  if (members.length > 1 || run.length > 1 || first.way === 'along') return [here];
  return [{ ...here, stands: length - here.stands, way: load.way === 'backwards' ? 'forwards' : 'backwards' }];
}

function follow(load: TrainLoad, change: MemberChange, bars: Bars): readonly TrainLoad[] | undefined {
  const links = linksOf(load.members, bars);
  switch (change.kind) {
    case 'split':
      return [{ ...load, members: splitRun(links, change.pieces) }];
    case 'gone': {
      const runs: Link[][] = [[]];
      for (const link of links)
        if (change.members.has(link.member)) runs.push([]);
        else runs.at(-1)!.push(link);
      return runs.filter(({ length }) => length > 0).flatMap((run) => over(load, run));
    }
    case 'joined': {
      const joined = joinedRun(load.members, change);
      if (!joined) return undefined;
      const whole: Link = { member: change.into, way: joined.way, from: 0, to: lengthOf(links) };
      return joined.members.length > 1 ? [{ ...load, members: joined.members }] : over(load, [whole]);
    }
  }
}

function check(context: RuleContext, load: Entity, path: string): void {
  checkRun(context, load, path);
  const { findings } = context;
  const [axles, spacings] = [load.axles, load.spacings];
  if (!Array.isArray(axles) || !Array.isArray(spacings)) return;
  if (spacings.length !== axles.length - 1)
    findings.fault({
      code: 'wrong-spacings',
      path: `${path}.spacings`,
      value: spacings.length,
      what: `The train has ${axles.length} axles, between which there are ${axles.length - 1} spacings`,
      expected: `${axles.length - 1} spacings`,
      remedy: 'Give the distance from each axle to the next one',
      subjects: [`load ${String(load.id)}`],
    });
  const varies = load.varies as Partial<NonNullable<TrainLoad['varies']>> | undefined;
  const { behind, least, most } = varies ?? {};
  if (behind !== undefined && least !== undefined && most !== undefined && !(spacings[behind] !== undefined && most > least))
    findings.fault({
      code: 'wrong-variation',
      path: `${path}.varies`,
      value: `${least} to ${most} m behind axle ${behind}`,
      what: 'A spacing that varies is behind one of the axles, and goes up from its least value',
      expected: `an axle from 0 to ${spacings.length - 1}, and a greatest value above the least`,
      remedy: 'Correct them, or leave them out',
      subjects: [`load ${String(load.id)}`],
    });
  if (Array.isArray(load.towards) && load.towards.every((part) => part === 0))
    findings.fault({
      code: 'no-direction',
      path: `${path}.towards`,
      value: load.towards.join(', '),
      what: 'The axles push nowhere',
      expected: 'a direction',
      remedy: 'Give the parts of a vector, or leave it out for down',
      subjects: [`load ${String(load.id)}`],
    });
}

/** What every train holds, on a structure or in a list. */
export const axleFields: Fields = {
  axles: { kind: 'list', of: positive('force'), most: TRAIN_AXLES, words: 'axles', required: true },
  spacings: { kind: 'list', of: positive('length'), most: TRAIN_AXLES, words: 'spacings', least: 0, required: true },
  impact: positive('number'),
};

export const trainLoad: CompoundKind<TrainLoad> = {
  type: 'train',
  fields: {
    members: { kind: 'ids', required: true },
    stands: needed('length'),
    way: { kind: 'choice', of: ['forwards', 'backwards'] },
    uniform: positive('intensity'),
    varies: {
      kind: 'object',
      fields: { behind: needed('number'), least: neededPositive('length'), most: neededPositive('length') },
    },
    towards: { kind: 'vector', dimension: 'number' },
    ...axleFields,
  },
  check,
  amount: ({ axles }) => ({ steps: 0, loads: Array.isArray(axles) ? axles.length : 0 }),
  expand,
  // Each axle says its own force, as any force does.
  handles: () => [],
  value: {
    words: 'Heaviest axle',
    dimension: 'force',
    of: ({ axles }) => Math.max(...axles),
    resized: (load, value) => ({
      ...load,
      axles: load.axles.map((axle) => Number(((axle * value) / Math.max(...load.axles)).toPrecision(12))),
    }),
  },
  members: ({ members }) => members,
  nodes: () => [],
  renamed: (load, { member }) => ({ ...load, members: load.members.map(member) }),
  places: ['members', 'stands', 'way'],
  variants: (load, { direction }) => [{ ...load, towards: direction((load.towards ?? DOWN) as never) }],
  follow,
};
