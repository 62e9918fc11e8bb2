import { once } from '../../../once';
import { isObject, type Entity } from '../../findings';
import { needed, positive } from '../../fields';
import { times, type Point } from '../../point';
import { checkReference, numberOf, type RuleContext } from '../../rules/context';
import type { Bars, Carrying, CompoundKind, Handle, LoadAmount, MemberChange } from '../compound-kind';
import { barsFrom, type BarMember } from '../bars';
import type { LineLoad, MemberLoad } from '../primitive';
import { oneWay } from './one-way';
import { liesWithin, overlap } from '../../../polygons/rings';
import { onMember } from './on-member';
import { areaOf, isUpright, panelOf, PanelTrouble, pressedAlong, SLACK, type Panel } from './panel';
import { twoWay, type Strip } from './two-way';

export const areaDirections = ['down', 'plan', 'normal'] as const;
export type AreaDirection = (typeof areaDirections)[number];
export const areaSpreads = ['twoWay', 'oneWay'] as const;

/**
 * A pressure on a panel between nodes in space, carried by the members of its sides (two ways) or by members that are chosen (one way); or on
 * members of a line, over a width that they carry. It stays a panel: the loads on members follow when it changes.
 */
export interface AreaLoad {
  readonly id: string;
  readonly case: string;
  readonly type: 'area';
  /** Pa. */
  readonly pressure: number;
  /**
   * `down` (default): per area of the panel. `plan`: down, per area of its plan. `normal`: square to the panel, from above; on an upright one
   * along its normal, right-handed about its corners.
   */
  readonly direction?: AreaDirection;
  readonly nodes?: readonly string[];
  readonly spread?: (typeof areaSpreads)[number];
  /** One way: the members that carry; otherwise the longer pair of opposite sides of a panel with four corners. */
  readonly to?: readonly string[];
  readonly openings?: readonly (readonly string[])[];
  readonly members?: readonly string[];
  readonly width?: number;
}

/** For what edits a pressure as such. */
export const isArea = (load: { readonly type: string }): load is AreaLoad => load.type === 'area';

/** The way in which a pressure of 1 acts on a panel. */
function actionOf({ direction = 'down' }: AreaLoad, normal: Point): Point {
  if (direction === 'down') return [0, -1, 0];
  if (direction === 'plan') return [0, -Math.abs(normal[1]), 0];
  return pressedAlong(normal);
}

function stripsOf(
  load: AreaLoad,
  bars: Bars,
): { readonly strips: readonly Strip[]; readonly action: Point; readonly area: number } {
  const panel = panelOf(load.nodes ?? [], bars);
  const inPanel = openingsIn(panel, load.openings ?? [], bars);
  const area = areaOf(panel.corners) - inPanel.reduce((sum, { corners }) => sum + Math.abs(areaOf(corners)), 0);
  const action = actionOf(load, panel.normal);
  if (load.spread === 'oneWay') {
    return { strips: oneWay(panel, inPanel, load.to, bars), action, area };
  }
  if (inPanel.length > 0) throw new PanelTrouble('two ways it has no openings: let it span one way, or divide it');
  return { strips: twoWay(panel, bars), action, area };
}

/** The openings of a panel in its own plane; each lies in it, and apart from the others. */
function openingsIn(panel: Panel, openings: NonNullable<AreaLoad['openings']>, bars: Bars): readonly Panel[] {
  const slack = SLACK * panel.extent;
  const found: Panel[] = [];
  for (const [k, nodes] of openings.entries()) {
    const name = openings.length > 1 ? `opening ${k + 1}` : 'its opening';
    const opening = namedTrouble(name, () => panelOf(nodes, bars));
    for (const id of opening.ids)
      if (panel.off(bars.places.get(id)!) > 1e-6 * panel.extent)
        throw new PanelTrouble(`node ${id} of ${name} does not lie in its plane`);
    const corners = opening.ids.map((id) => panel.flat(bars.places.get(id)!));
    if (!liesWithin(corners, panel.corners, slack)) throw new PanelTrouble(`${name} reaches out of it`);
    const other = found.findIndex((one) => overlap(corners, one.corners, slack));
    if (other >= 0) throw new PanelTrouble(`openings ${other + 1} and ${k + 1} overlap`);
    found.push({ ...opening, corners });
  }
  return found;
}

/** What is wrong with a part, with the part's name before it. */
function namedTrouble<T>(name: string, find: () => T): T {
  try {
    return find();
  } catch (trouble) {
    throw trouble instanceof PanelTrouble ? new PanelTrouble(`of ${name}, ${trouble.message}`) : trouble;
  }
}

function expand(load: AreaLoad, bars: Bars): MemberLoad[] {
  if (load.members) return load.members.map((member) => onWidth(load, member));
  const { strips, action, area } = stripsOf(load, bars);
  const carried = strips.reduce((sum, { from, to, widths }) => sum + ((to - from) * (widths[0] + widths[1])) / 2, 0);
  // Whatever the way, all of it is carried and nothing twice.
  if (!(Math.abs(carried - area) <= 1e-9 * area))
    throw new PanelTrouble(`its members carry ${carried.toPrecision(4)} m² of ${area.toPrecision(4)} m²`);
  const shared = { id: load.id, case: load.case };
  return strips.flatMap(({ links, from, to, widths }) =>
    links.flatMap((link): MemberLoad[] => {
      const [begin, end] = [Math.max(from, link.from), Math.min(to, link.to)];
      const own = link.to - link.from;
      if (end - begin <= 1e-9 * own) return [];
      const widthAt = (x: number): number => widths[0] + ((widths[1] - widths[0]) * (x - from)) / (to - from);
      const ends = [begin, end].map((x) => ({
        at: link.way === 'along' ? x - link.from : link.to - x,
        force: times(action, load.pressure * widthAt(x)),
      }));
      if (link.way === 'against') ends.reverse();
      return onMember(shared, link.member, { length: own, from: ends[0]!, to: ends[1]! }, bars);
    }),
  );
}

const AXES = { down: 'global', plan: 'projected', normal: 'local' } as const;

function onWidth({ id, case: loadCase, pressure, direction = 'down', width = 0 }: AreaLoad, member: string): LineLoad {
  const wy = -pressure * width;
  return { id, case: loadCase, type: 'line', member, axes: AXES[direction], from: { wy }, to: { wy } };
}

/** Once, on the member that carries most. */
function handles(load: AreaLoad, bars: Bars): Handle[] {
  const parts = expand(load, bars).filter((part) => part.type === 'line');
  const size = ({ from, to }: LineLoad): number => Math.abs(from.wx ?? 0) + Math.abs(from.wy ?? 0) + Math.abs(from.wz ?? 0) + Math.abs(to.wx ?? 0) + Math.abs(to.wy ?? 0) + Math.abs(to.wz ?? 0); // oxfmt-ignore
  const largest = parts.reduce<LineLoad | undefined>((best, part) => (!best || size(part) > size(best) ? part : best), undefined);
  if (!largest) return [];
  const { length } = bars(largest.member);
  const [from, to] = [largest.from.at ?? 0, largest.to.at ?? length];
  const { at: _, ...beside } = size(largest) > 0 && (largest.from.wy ?? 0) === 0 ? largest.to : largest.from;
  return [{ member: largest.member, at: (from + to) / 2, beside }];
}

function follow(load: AreaLoad, change: MemberChange): readonly AreaLoad[] | undefined {
  const followed = (ids: readonly string[] | undefined): readonly string[] | undefined => {
    if (!ids) return undefined;
    if (change.kind === 'split') return ids.flatMap((id) => change.pieces.get(id) ?? [id]);
    if (change.kind === 'joined') return [...new Set(ids.map((id) => (change.members.includes(id) ? change.into : id)))];
    return ids.filter((id) => !change.members.has(id));
  };
  const [members, to] = [followed(load.members), followed(load.to)];
  if (change.kind !== 'gone') return [{ ...load, ...(members && { members }), ...(to && { to }) }];
  // A panel loses what carries it; a line of members goes on without them.
  return members && members.length > 0 ? [{ ...load, members }] : undefined;
}

const nodesOf = ({ nodes = [], openings = [] }: AreaLoad): readonly string[] => [...nodes, ...openings.flat()];

/**
 * A pressure keeps its direction: down stays down. What acts along the normal of an upright panel changes its sign in a mirror, in which
 * corners run the other way round.
 */
function carried(load: AreaLoad, { turn, members, nodes, bars, others }: Carrying): readonly AreaLoad[] {
  const flips = turn.hand !== 1 && load.direction === 'normal' && load.nodes && isUpright(panelOf(load.nodes, bars).normal);
  const same = flips ? { ...load, pressure: -load.pressure } : load;
  if (others === 'stay') return [same];
  const isWhole = nodesOf(load).every((id) => nodes?.has(id)) && area.members(load, bars).every((id) => members.has(id));
  return nodes && isWhole ? [area.renamed(same, { node: (id) => nodes.get(id)!, member: (id) => members.get(id)!.id })] : [];
}

function amount(load: Entity, membersAt: (node: unknown) => number): LoadAmount {
  const list = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
  if (Array.isArray(load.members)) return { steps: 0, loads: load.members.length };
  const [corners, carriers] = [list(load.nodes), list(load.to).length];
  const edges = corners.length + list(load.openings).reduce<number>((sum, one) => sum + list(one).length, 0);
  const sides = corners.reduce<number>((sum, node) => sum + membersAt(node), edges * edges);
  if (load.spread !== 'oneWay') return { steps: sides, loads: 4 * edges };
  // Strips from each place at which the panel or a carrier begins or ends to the next, each looked at across all of them.
  const cuts = edges + 2 * carriers;
  return { steps: sides + cuts * (edges + carriers), loads: cuts * Math.max(2, carriers) };
}

function check(context: RuleContext, load: Entity, path: string): void {
  const { findings, nodes, members } = context;
  const subjects = [`load ${String(load.id)}`];
  const [panel, line] = [Array.isArray(load.nodes), Array.isArray(load.members)];
  const bad = (at: string, what: string, remedy: string): void =>
    void findings.fault({ code: 'bad-panel', path: at, value: load.nodes ?? load.members, what, expected: 'a panel that its members can carry', remedy, subjects }); // oxfmt-ignore
  if (panel === line)
    return bad(path, 'An area load lies on a panel or on members with a width', 'Give “nodes”, or “members” and “width”');
  for (const key of ['members', 'to'] as const) {
    const ids = (load[key] ?? []) as unknown[];
    const again = ids.findIndex((id, i) => ids.indexOf(id) < i);
    if (again >= 0)
      return bad(`${path}.${key}[${again}]`, `Member “${String(ids[again])}” is named twice`, 'Name each member once');
  }
  const idle: readonly (readonly [boolean, string, string, string])[] = [
    [line && load.spread !== undefined, 'spread', 'Members with a width carry it along them', 'Leave out “spread”'],
    [line && load.to !== undefined, 'to', 'Members with a width carry it themselves', 'Leave out “to”'],
    [line && load.openings !== undefined, 'openings', 'On members with a width there are no openings', 'Leave out “openings”, or name a panel'],
    [panel && load.width !== undefined, 'width', 'A panel has its width from its corners', 'Leave out “width”, or name members'],
    [panel && load.to !== undefined && load.spread !== 'oneWay', 'to', 'Two ways its sides carry it, and no others', 'Give "spread": "oneWay", or leave out “to”'],
  ]; // oxfmt-ignore
  for (const [isIdle, key, what, remedy] of idle)
    if (isIdle)
      return bad(`${path}.${key}`, `“${key}” says nothing here: ${what.charAt(0).toLowerCase()}${what.slice(1)}`, remedy);
  for (const [i, id] of ((load.members ?? []) as unknown[]).entries())
    checkReference(findings, members, id, `${path}.members[${i}]`, 'member');
  for (const [i, id] of ((load.nodes ?? []) as unknown[]).entries())
    checkReference(findings, nodes, id, `${path}.nodes[${i}]`, 'node');
  for (const [i, id] of ((load.to ?? []) as unknown[]).entries())
    checkReference(findings, members, id, `${path}.to[${i}]`, 'member');
  if (line) {
    if (!(numberOf(load.width) > 0))
      bad(`${path}.width`, 'The width that the members carry is missing', 'Give “width”, greater than 0');
    if (((load.members ?? []) as unknown[]).length === 0)
      bad(`${path}.members`, 'There is no member to carry it', 'Name the members');
    return;
  }
  if (context.model.space === 'plane')
    return bad(`${path}.nodes`, 'In a plane model there are no panels', 'Give “members” and “width”');
  const known = (id: unknown): boolean => {
    const node = nodes.get(id);
    return node !== undefined && [node.x, node.y].every((value) => typeof value === 'number');
  };
  const named = [...((load.nodes ?? []) as unknown[]), ...((load.openings ?? []) as unknown[][]).flat()];
  const lost = named.find((id) => !known(id));
  if (lost !== undefined || ((load.to ?? []) as unknown[]).some((id) => !members.has(id))) {
    if (!((load.nodes ?? []) as unknown[]).includes(lost) && lost !== undefined)
      bad(`${path}.openings`, `There is no node “${String(lost)}”`, 'Name existing nodes');
    return;
  }
  const { bars, sound } = soundBars(context);
  if (((load.to ?? []) as unknown[]).some((id) => !sound.has(String(id)))) return; // said where the member stands
  try {
    expand(load as unknown as AreaLoad, bars);
  } catch (trouble) {
    if (!(trouble instanceof PanelTrouble)) throw trouble;
    bad(
      `${path}.nodes`,
      `This panel carries no load: ${trouble.message}`,
      'Choose corners that members join, in their order around the panel',
    );
  }
}

/** Members and nodes of a model that is being checked; those that are not sound take no part. */
const soundBars = once((context: RuleContext): { bars: Bars; sound: ReadonlyMap<string, BarMember> } => {
  const places = new Map(
    [...context.nodes].flatMap(([id, node]): [string, Point][] =>
      typeof node.x === 'number' && typeof node.y === 'number' ? [[String(id), [node.x, node.y, numberOf(node.z)]]] : [],
    ),
  );
  const isSound = ({ id, start, end, offset }: Entity): boolean =>
    typeof id === 'string' && places.has(String(start)) && places.has(String(end)) && (offset === undefined || isObject(offset));
  const sound = new Map(
    [...context.members.values()].filter(isSound).map((member) => [String(member.id), member as unknown as BarMember]),
  );
  return { bars: barsFrom(sound, places), sound };
});

export const area: CompoundKind<AreaLoad> = {
  type: 'area',
  fields: {
    pressure: needed('stress'),
    direction: { kind: 'choice', of: areaDirections },
    nodes: { kind: 'names' },
    spread: { kind: 'choice', of: areaSpreads },
    to: { kind: 'names' },
    openings: { kind: 'list', of: { kind: 'names' }, most: 20, words: 'openings' },
    members: { kind: 'names' },
    width: positive('length'),
  },
  check,
  amount,
  expand,
  handles,
  value: {
    words: 'Pressure',
    dimension: 'stress',
    of: ({ pressure }) => pressure,
    resized: (load, pressure) => ({ ...load, pressure }),
  },
  members: (load, bars) => [...new Set(expand(load, bars).map(({ member }) => member))],
  nodes: nodesOf,
  renamed: (load, { node, member }) => ({
    ...load,
    ...(load.nodes && { nodes: load.nodes.map(node) }),
    ...(load.openings && { openings: load.openings.map((ids) => ids.map(node)) }),
    ...(load.to && { to: load.to.map(member) }),
    ...(load.members && { members: load.members.map(member) }),
  }),
  places: ['members', 'nodes', 'to'],
  pressure: (load) => load,
  carried,
  follow,
};
