import { TRAIN_AXLES } from '../../limits';
import { COINCIDENT, minus, pointOf, size } from '../point';
import { needed, neededPositive, positive, type Fields } from '../fields';
import type { Entity } from '../findings';
import { checkReference, type RuleContext } from '../rules/context';
import type { Axles } from '../train';
import type { Bars, CompoundKind, MemberChange } from './compound-kind';
import type { NodeLoad, PointLoad } from './primitive';
import { checkRun, lengthOf, linksOf, joinedRun, splitRun, type Link } from './run-links';
import { placeOnWay, SLACK, stretchesOf, type PlaceOnWay, type TrainWay } from './train-way';

/** Axles that stand somewhere on a run of members, or on a deck between nodes; those beside it do not count. */
export interface TrainLoad extends TrainWay {
  readonly id: string;
  readonly case: string;
  readonly type: 'train';
  /** Where its first axle stands, metres along its way; it may stand beside it. */
  readonly stands: number;
  /** Whether it goes along its way, its other axles behind the first one, or back. */
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

/** Where the axles stand, metres along the way. */
export function axlePlaces({ stands, way, spacings }: Pick<TrainLoad, 'stands' | 'way' | 'spacings'>): number[] {
  const places = [stands];
  for (const spacing of spacings) places.push(places.at(-1)! + (way === 'backwards' ? spacing : -spacing));
  return places;
}

/** The axles that are on the way: their numbers, from the front, and where they stand. */
export function axlesOnWay(load: TrainLoad, bars: Bars): readonly { readonly axle: number; readonly on: PlaceOnWay }[] {
  const stretches = stretchesOf(load, bars);
  return axlePlaces(load).flatMap((s, axle) => {
    const on = placeOnWay(stretches, s);
    return on ? [{ axle, on }] : [];
  });
}

/** The load moved along its way, so that one of its axles stands `s` metres along it. */
export function stoodAt(load: TrainLoad, axle: number, s: number): TrainLoad {
  const before = axlePlaces(load)[axle]!;
  return { ...load, stands: Number((load.stands + s - before).toFixed(9)) };
}

/** A force of some size as the train pushes. */
export function pushOf({ towards = DOWN }: Pick<TrainLoad, 'towards'>, force: number): Pick<PointLoad, 'fx' | 'fy' | 'fz'> {
  const [fx, fy, fz] = towards.map((part) => (force * part) / Math.hypot(...towards));
  return { ...(fx && { fx }), ...(fy && { fy }), ...(fz && { fz }) };
}

/** The forces of the axles where they stand on their way. */
export const axleForces = (load: TrainLoad, bars: Bars): readonly { readonly on: PlaceOnWay; readonly size: number }[] =>
  axlesOnWay(load, bars).map(({ axle, on }) => ({ on, size: (load.impact ?? 1) * load.axles[axle]! }));

function expand(load: TrainLoad, bars: Bars): readonly (PointLoad | NodeLoad)[] {
  const { id, case: own } = load;
  return axleForces(load, bars).flatMap(({ on, size }): (PointLoad | NodeLoad)[] => {
    if ('member' in on) return [{ id, case: own, type: 'point', ...on, measure: 'length', ...pushOf(load, size) }];
    const shares = [1 - on.part, on.part];
    return on.nodes.flatMap((node, i): NodeLoad[] =>
      shares[i]! > 0 ? [{ id, case: own, type: 'node', node, ...pushOf(load, shares[i]! * size) }] : [],
    );
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
  if (!load.members) return [load];
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

/** Whether a deck leads over nodes, each at another place than the one before it. */
function checkDeck({ findings, nodes: known }: RuleContext, load: Entity, path: string): void {
  const nodes = load.nodes as readonly unknown[];
  const bad = (at: string, value: unknown, what: string, remedy: string): void =>
    void findings.fault({
      code: 'broken-deck',
      path: `${path}.nodes${at}`,
      value,
      what,
      expected: 'two nodes at least, each at another place than the one before it',
      remedy,
      subjects: [`load ${String(load.id)}`],
    });
  nodes.forEach((node, i) => checkReference(findings, known, node, `${path}.nodes[${i}]`, 'node'));
  if (nodes.length < 2) bad('', nodes.length, 'A deck rests on two nodes at least', 'Name the nodes in the order in which a train meets them'); // oxfmt-ignore
  nodes.forEach((node, i) => {
    const [before, here] = [known.get(nodes[i - 1]), known.get(node)];
    if (i === 0 || !before || !here || ![before, here].every(({ x, y }) => typeof x === 'number' && typeof y === 'number'))
      return;
    if (size(minus(pointOf(here as never), pointOf(before as never))) > COINCIDENT) return;
    bad(`[${i}]`, node, `The deck does not get on from node “${String(nodes[i - 1])}” to node “${String(node)}”`, 'Leave one of them out'); // oxfmt-ignore
  });
}

function check(context: RuleContext, load: Entity, path: string): void {
  const [run, deck] = [Array.isArray(load.members), Array.isArray(load.nodes)];
  if (run === deck)
    context.findings.fault({
      code: 'no-way',
      path,
      value: run ? 'members and nodes' : 'neither',
      what: 'A train stands on a run of members, or on a deck between nodes',
      expected: '“members” or “nodes”',
      remedy: 'Give one of them',
      subjects: [`load ${String(load.id)}`],
    });
  else if (run) checkRun(context, load, path);
  else checkDeck(context, load, path);
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
    members: { kind: 'names' },
    nodes: { kind: 'names' },
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
  members: ({ members = [] }) => members,
  nodes: ({ nodes = [] }) => nodes,
  renamed: ({ members, nodes, ...load }, { member, node }) => ({
    ...load,
    ...(members && { members: members.map(member) }),
    // Nodes that became one are one place of the deck.
    ...(nodes && { nodes: nodes.map(node).filter((id, i, all) => id !== all[i - 1]) }),
  }),
  places: ['members', 'nodes', 'stands', 'way'],
  variants: (load, { direction }) => [load, { ...load, towards: direction((load.towards ?? DOWN) as never) }],
  follow,
};
