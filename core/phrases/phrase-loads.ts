import type { Model } from '../model/model';
import { dot, times, type Point } from '../model/point';
import type { PanelKind } from '../model/panels';
import { runOf } from '../model/runs';
import { inOwnAxes } from '../model/support-axes';
import { carriersOfOpen } from '../model/loads/area/open-panel';
import { panelOf, PanelTrouble, pressedAlong } from '../model/loads/area/panel';
import { barsOf } from '../model/loads/bars';
import { shapeOf } from '../model/loads/member-shape';
import type { LoadPhrase, Stations } from './phrase';
import { thermalPartsOf } from './thermal-parts';

/** Where a phrase is put: on a node, on a member (`at`: the ratio where it was pointed at), or along a run of members as one line. */
export type PhraseTarget =
  | { readonly node: string }
  | { readonly member: string; readonly at?: number }
  | { readonly run: readonly string[] }
  /** Corners of a panel, in their order around it. */
  | { readonly panel: readonly string[] };

/** A load that is to be put, as an edit takes it. */
export type PhrasedLoad = Readonly<Record<string, unknown>> & { readonly case: string; readonly type: string };

export type MadeLoads =
  | { readonly ok: true; readonly loads: readonly PhrasedLoad[] }
  | { readonly ok: false; readonly reason: string };

/** At most so many forces at equal distances on one member. */
const MOST = 500;

/** The loads that a phrase means at a place; refused with a reason where it cannot act there. */
export function loadsOfPhrase(phrase: LoadPhrase, target: PhraseTarget, model: Model, caseId: string): MadeLoads {
  const entry = (load: Record<string, unknown> & { type: string }): PhrasedLoad => ({ case: caseId, ...load });
  if ('panel' in target) return onPanel(phrase, target.panel, model, entry);
  if ('node' in target) return onNode(phrase, target.node, model, entry);
  if ('run' in target) return along(phrase, target.run, model, entry);
  return onMember(phrase, target.member, target.at ?? 0.5, model, entry);
}

type Entry = (load: Record<string, unknown> & { type: string }) => PhrasedLoad;
const made = (...loads: PhrasedLoad[]): MadeLoads => ({ ok: true, loads });
const refused = (reason: string): MadeLoads => ({ ok: false, reason });

/** Whether a phrase acts on nodes, on members, on either, or on panels between members. */
export const actsOn = ({ kind, stations, width }: LoadPhrase): 'node' | 'member' | 'either' | 'panel' =>
  kind === 'area' && width === undefined
    ? 'panel'
    : kind === 'area'
      ? 'member'
      : kind === 'settlement'
        ? 'node'
        : kind === 'line' || kind === 'temperature' || kind === 'fit' || stations
          ? 'member'
          : 'either';

/** The panels that a pressure means: what acts sideways walls, what acts up or down floors and roofs, unless it is square to them. */
export const panelsMeant = ({ direction, measured }: LoadPhrase): PanelKind =>
  Math.abs(direction[1]) < Math.SQRT1_2 ? 'walls' : measured === 'across' ? 'any' : 'floors';

function onNode({ kind, from, direction, stations }: LoadPhrase, node: string, model: Model, entry: Entry): MadeLoads {
  if (stations) return refused('a place along a member does not go with a node');
  if (kind === 'force') return made(entry({ type: 'node', node, ...components('f', times(direction, from)) }));
  if (kind === 'couple') return made(entry({ type: 'node', node, ...components('m', times(direction, from)) }));
  if (kind === 'area') return refused('a pressure acts on panels and members: point at one');
  if (kind !== 'settlement') return refused('it acts on members: point at one');
  const support = model.supports.find((one) => one.node === node);
  const moves = components('u', inOwnAxes(support, times(direction, from)));
  const free = Object.keys(moves).filter((key) => (support?.[key as 'ux'] ?? 'free') === 'free');
  if (!support || free.length > 0) return refused(`node ${node} is not held that way: a settlement moves a support`);
  return made(entry({ type: 'settlement', node, ...moves }));
}

const DIRECTIONS = { member: 'down', plan: 'plan', across: 'normal' } as const;

/** What of a pressure is told by its phrase alone. */
const pressureOf = (
  { from, direction, measured, spread, onto, openings }: LoadPhrase,
  sense: number,
): Record<string, unknown> => ({
  pressure: from * (measured === 'across' ? sense : -Math.sign(direction[1])),
  ...(measured !== 'member' && { direction: DIRECTIONS[measured] }),
  ...(spread && { spread }),
  ...(onto && { to: onto }),
  ...(openings && { openings }),
});

function onPanel(phrase: LoadPhrase, corners: readonly string[], model: Model, entry: Entry): MadeLoads {
  if (phrase.kind !== 'area') return refused('only a pressure is put on a panel');
  if (phrase.width !== undefined) return refused('over a width it acts on members: point at one');
  try {
    const pressed = pressedAlong(panelOf(corners, barsOf(model)).normal);
    // A wall that the ground closes spans from post to post.
    const posts = phrase.onto || phrase.spread ? undefined : carriersOfOpen(corners, barsOf(model));
    const carried: LoadPhrase = posts ? { ...phrase, spread: 'oneWay', onto: posts } : phrase;
    return made(entry({ type: 'area', nodes: corners, ...pressureOf(carried, Math.sign(dot(phrase.direction, pressed)) || 1) }));
  } catch (trouble) {
    if (trouble instanceof PanelTrouble) return refused(trouble.message);
    throw trouble;
  }
}

/** A pressure on members, from a width: square to a member it presses from above. */
function onWidth(phrase: LoadPhrase, members: readonly string[], model: Model, entry: Entry): MadeLoads {
  if (phrase.width === undefined)
    return refused('it acts on a panel: point into one, or say “over 5 m” for the width that members carry');
  const shape = shapeOf(model, members[0]!);
  const down = shape ? -dot(phrase.direction, [shape.axes[3]!, shape.axes[4]!, shape.axes[5]!]) : 1;
  return made(entry({ type: 'area', members, width: phrase.width, ...pressureOf(phrase, Math.sign(down) || 1) }));
}

function onMember(phrase: LoadPhrase, member: string, at: number, model: Model, entry: Entry): MadeLoads {
  const { kind, from, to, direction, measured, span } = phrase;
  if (kind === 'area') return onWidth(phrase, [member], model, entry);
  if (kind === 'temperature') {
    const warmth = thermalPartsOf(phrase, member, model);
    return typeof warmth === 'string' ? refused(warmth) : made(entry({ type: 'thermal', member, ...warmth }));
  }
  if (kind === 'fit') return made(entry({ type: 'strain', member, elongation: from }));
  if (kind === 'settlement') return refused('a settlement moves a support: point at its node');
  const shape = shapeOf(model, member);
  if (!shape) return refused(`there is no member ${member}`);
  if (kind === 'line') {
    const way = wayOf(phrase, shape.axes);
    if (phrase.steps) return inSteps(phrase.steps, { way, axes: AXES[measured], member, length: shape.length }, entry);
    const ends = span && { at: span };
    if (span && span[1] > shape.length * (1 + 1e-9))
      return refused(`member ${member} ends at ${tidy(shape.length)} m, before the load does`);
    return made(
      entry({
        type: 'line',
        member,
        axes: AXES[measured],
        ...(ends && { measure: 'length' }),
        from: { ...(ends && { at: ends.at[0] }), ...components('w', times(way, from)) },
        to: { ...(ends && { at: Math.min(ends.at[1], shape.length) }), ...components('w', times(way, to)) },
      }),
    );
  }
  const places = placesAlong(phrase.stations ?? { ratios: [at] }, shape.length);
  if (typeof places === 'string') return refused(places);
  const parts = components(kind === 'force' ? 'f' : 'm', times(direction, from));
  return made(...places.map((place) => entry({ type: 'point', member, ...place, ...parts })));
}

interface StepsOn {
  readonly way: Point;
  readonly axes: string;
  readonly member: string;
  readonly length: number;
}

/** One even load between each station and the next; none where a step has no size. */
function inSteps(
  { sizes, at }: NonNullable<LoadPhrase['steps']>,
  { way, axes, member, length }: StepsOn,
  entry: Entry,
): MadeLoads {
  if (at.at(-1)! > length * (1 + 1e-9)) return refused(`member ${member} ends at ${tidy(length)} m, before the last station`);
  return made(
    ...sizes.flatMap((size, i): PhrasedLoad[] => {
      if (size === 0) return [];
      const intensity = components('w', times(way, size));
      const [from, to] = [at[i]!, Math.min(at[i + 1]!, length)];
      return [
        entry({ type: 'line', member, axes, measure: 'length', from: { at: from, ...intensity }, to: { at: to, ...intensity } }),
      ];
    }),
  );
}

/** Positions of forces on a member, or why there are none. */
function placesAlong(
  stations: Stations,
  length: number,
): readonly { readonly at: number; readonly measure?: 'length' }[] | string {
  if ('ratios' in stations) return stations.ratios.map((at) => ({ at }));
  const beyond = (at: number): boolean => at > length * (1 + 1e-9) || at < 0;
  if ('lengths' in stations) {
    const outside = stations.lengths.find(beyond);
    if (outside !== undefined) return `the member is ${tidy(length)} m long: ${tidy(outside)} m lies beyond its end`;
    return stations.lengths.map((at) => ({ at: Math.min(at, length), measure: 'length' }));
  }
  const count = Math.floor(length / stations.every + 1e-9);
  if (count < 1) return `the member is ${tidy(length)} m long: no force stands on it every ${tidy(stations.every)} m`;
  if (count > MOST) return `that would be ${count} forces on one member; at most ${MOST} are put at once`;
  const places = Array.from({ length: count }, (_, i) => (i + 1) * stations.every).filter((at) => at < length * (1 - 1e-9));
  return places.length === 0
    ? `no force stands between the ends every ${tidy(stations.every)} m`
    : places.map((at) => ({ at, measure: 'length' }));
}

function along(phrase: LoadPhrase, ids: readonly string[], model: Model, entry: Entry): MadeLoads {
  const { kind, from, to, measured, span } = phrase;
  if (kind === 'area') {
    const run = runOf(model, ids);
    return run ? onWidth(phrase, run, model, entry) : refused('the members do not follow each other');
  }
  if (kind !== 'line') return refused('only a load per length is put along a run of members');
  if (span || phrase.steps) return refused('along a run a load acts from its beginning to its end');
  const members = runOf(model, ids);
  if (!members) return refused('the members do not follow each other');
  const shape = shapeOf(model, members[0]!);
  if (!shape) return refused(`there is no member ${members[0]}`);
  const way = wayOf(phrase, shape.axes);
  return made(
    entry({
      type: 'chain',
      members,
      axes: AXES[measured],
      from: components('w', times(way, from)),
      to: components('w', times(way, to)),
    }),
  );
}

const AXES = { member: 'global', plan: 'projected', across: 'local' } as const;

/** The direction in the load's own axes: square to a member, along its y or z, whichever is nearer to what was said. */
export function wayOf({ direction, measured }: Pick<LoadPhrase, 'direction' | 'measured'>, axes: Float64Array): Point {
  if (measured !== 'across') return direction;
  const [y, z] = [3, 6].map((k) => dot(direction, [axes[k]!, axes[k + 1]!, axes[k + 2]!])) as [number, number];
  // A direction along the member says nothing of its faces: then it presses onto the upper one.
  if (Math.max(Math.abs(y), Math.abs(z)) < 1e-6) return [0, -1, 0];
  return Math.abs(y) >= Math.abs(z) - 1e-9 ? [0, Math.sign(y), 0] : [0, 0, Math.sign(z)];
}

/** The parts that are not zero, as `fx`, `wy`, `uz`; rounding leaves no traces. */
function components(prefix: 'f' | 'm' | 'w' | 'u', parts: Point): Record<string, number> {
  const largest = Math.max(...parts.map(Math.abs));
  const all = ['x', 'y', 'z'].map((axis, k) => [`${prefix}${axis}`, parts[k]!] as const);
  return Object.fromEntries(all.filter(([, part]) => Math.abs(part) > 1e-12 * largest));
}

const tidy = (length: number): number => Number(length.toPrecision(6));
