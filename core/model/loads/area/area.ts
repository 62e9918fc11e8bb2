import { isObject, type Entity } from '../../findings';
import { needed, positive } from '../../fields';
import { times, type Point } from '../../point';
import { checkReference, numberOf, type RuleContext } from '../../rules/context';
import type { Bars, CompoundKind, Handle, MemberChange } from '../compound-kind';
import { barsFrom, type BarMember } from '../bars';
import type { LineLoad } from '../primitive';
import { oneWay } from './one-way';
import { areaOf, panelOf, PanelTrouble } from './panel';
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

/** The way in which a pressure of 1 acts on a panel. */
function actionOf({ direction = 'down' }: AreaLoad, normal: Point): Point {
  if (direction === 'down') return [0, -1, 0];
  if (direction === 'plan') return [0, -Math.abs(normal[1]), 0];
  return normal[1] > 1e-9 ? times(normal, -1) : normal;
}

function stripsOf(
  load: AreaLoad,
  bars: Bars,
): { readonly strips: readonly Strip[]; readonly action: Point; readonly area: number } {
  const panel = panelOf(load.nodes ?? [], bars);
  const openings = (load.openings ?? []).map((nodes) => panelOf(nodes, bars));
  for (const opening of openings)
    for (const id of opening.ids)
      if (panel.off(bars.places.get(id)!) > 1e-6 * panel.extent)
        throw new PanelTrouble(`node ${id} of its opening does not lie in its plane`);
  // All in the plane of the panel itself.
  const inPanel = openings.map((opening) => ({ ...opening, corners: opening.ids.map((id) => panel.flat(bars.places.get(id)!)) }));
  const area = areaOf(panel.corners) - inPanel.reduce((sum, { corners }) => sum + Math.abs(areaOf(corners)), 0);
  const action = actionOf(load, panel.normal);
  if (load.spread === 'oneWay') {
    return { strips: oneWay(panel, inPanel, load.to, bars), action, area };
  }
  if (openings.length > 0) throw new PanelTrouble('two ways it has no openings: let it span one way, or divide it');
  return { strips: twoWay(panel, bars), action, area };
}

function expand(load: AreaLoad, bars: Bars): LineLoad[] {
  if (load.members) return load.members.map((member) => onWidth(load, member));
  const { strips, action } = stripsOf(load, bars);
  return strips.flatMap(({ links, from, to, widths }) =>
    links.flatMap((link): LineLoad[] => {
      const [begin, end] = [Math.max(from, link.from), Math.min(to, link.to)];
      const own = link.to - link.from;
      if (end - begin <= 1e-9 * own) return [];
      const widthAt = (x: number): number => widths[0] + ((widths[1] - widths[0]) * (x - from)) / (to - from);
      const ends = [begin, end].map((x) => ({ at: link.way === 'along' ? x - link.from : link.to - x, width: widthAt(x) }));
      if (link.way === 'against') ends.reverse();
      // Arms shorten a member, which still carries the whole.
      const { length } = bars(link.member);
      const scale = length / own;
      const [first, last] = ends.map(({ at, width }) => ({
        at: clean(at * scale, length),
        ...intensity(times(action, (load.pressure * width) / scale)),
      }));
      return [{ id: load.id, case: load.case, type: 'line', member: link.member, measure: 'length', from: first!, to: last! }];
    }),
  );
}

/** A place that rounding alone has moved off an end. */
const clean = (at: number, length: number): number =>
  Math.abs(at) < 1e-9 * length ? 0 : Math.abs(at - length) < 1e-9 * length ? length : at;

const intensity = ([wx, wy, wz]: Point): { wx?: number; wy?: number; wz?: number } => ({
  ...(wx !== 0 && { wx }),
  ...(wy !== 0 && { wy }),
  ...(wz !== 0 && { wz }),
});

const AXES = { down: 'global', plan: 'projected', normal: 'local' } as const;

function onWidth({ id, case: loadCase, pressure, direction = 'down', width = 0 }: AreaLoad, member: string): LineLoad {
  const wy = -pressure * width;
  return { id, case: loadCase, type: 'line', member, axes: AXES[direction], from: { wy }, to: { wy } };
}

/** Once, on the member that carries most. */
function handles(load: AreaLoad, bars: Bars): Handle[] {
  const parts = expand(load, bars);
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

function check(context: RuleContext, load: Entity, path: string): void {
  const { findings, nodes, members } = context;
  const subjects = [`load ${String(load.id)}`];
  const [panel, line] = [Array.isArray(load.nodes), Array.isArray(load.members)];
  const bad = (at: string, what: string, remedy: string): void =>
    void findings.fault({ code: 'bad-panel', path: at, value: load.nodes ?? load.members, what, expected: 'a panel that its members can carry', remedy, subjects }); // oxfmt-ignore
  if (panel === line)
    return bad(path, 'An area load lies on a panel or on members with a width', 'Give “nodes”, or “members” and “width”');
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
  try {
    expand(load as unknown as AreaLoad, barsOfContext(context));
  } catch (trouble) {
    if (!(trouble instanceof PanelTrouble)) throw trouble;
    bad(
      `${path}.nodes`,
      `This panel carries no load: ${trouble.message}`,
      'Choose corners that members join, in their order around the panel',
    );
  }
}

const known = new WeakMap<RuleContext, Bars>();
/** Members and nodes of a model that is being checked; those that are not sound take no part. */
function barsOfContext(context: RuleContext): Bars {
  const before = known.get(context);
  if (before) return before;
  const places = new Map(
    [...context.nodes].flatMap(([id, node]): [string, Point][] =>
      typeof node.x === 'number' && typeof node.y === 'number' ? [[String(id), [node.x, node.y, numberOf(node.z)]]] : [],
    ),
  );
  const sound = [...context.members.values()].filter(
    ({ start, end, offset }) =>
      places.has(String(start)) && places.has(String(end)) && (offset === undefined || isObject(offset)),
  );
  const made = barsFrom(new Map(sound.map((member) => [String(member.id), member as unknown as BarMember])), places);
  known.set(context, made);
  return made;
}

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
  expand,
  handles,
  members: (load, bars) => [...new Set(expand(load, bars).map(({ member }) => member))],
  follow,
};
