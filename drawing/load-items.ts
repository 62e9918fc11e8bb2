import { isCompound, pressureOf } from '@rigid-beam/core/model/loads/compound';
import { expandLoads, handlesOf } from '@rigid-beam/core/model/loads/expand';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import { isNotional } from '@rigid-beam/core/model/loads/notional';
import { phraseOfLoad } from '@rigid-beam/core/phrases/phrase-of-load';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import type { PrimitiveLoad } from '@rigid-beam/core/model/loads/primitive';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { isSelected, type Ink, type Item, type Label, type Path, type Subject } from './display-list';
import { concentrated, forceOnMember, seenForces } from './force-items';
import { drawnNodes, nearness, pointOn, type DrawnMember } from './geometry';
import { panelItems, pressureLabel } from './area-items';
import { comb, intensityLabel, lineLabel } from './line-load-items';
import { inkOfColour, label, prefix, type Context } from './load-marks';
import { membersInFront } from './structure-items';
import { FRONT, inDepth, isCrowded, isOutline } from './behind';
import { latest, once } from '@rigid-beam/core/once';
import { LOOKED_AT, sameGround, type Ground } from './ground';
import { saidOnce, withNeighbours } from './runs';
import { axlesOnDeck, deckItems, isOnDeck, pointOnBay } from './deck-items';
import { stackedLoads, type ActingLoad, type DrawnLoad } from './stacked-loads';
import { settlementItems } from './settlement-items';
import type { View } from './view';

/**
 * The loads of the cases that `factors` lets act (by case id), each with its value; a factor other than 1 stands before it. A compound
 * load is drawn as the loads that it stands for, all of them the one thing, and its values are written at its own ends.
 */
export const loadItems = (model: Model, factors: ReadonlyMap<string, number>, view: View): readonly Item[] =>
  (view.loads === 'faint' ? faintLoads : strongLoads)(model, factors, view);

function drawnLoads(model: Model, factors: ReadonlyMap<string, number>, view: Ground): readonly Item[] {
  const acting = actingLoads(model, factors);
  const context = contextOf(model, factors, view, acting);
  const nearOf = nearnessOfLoads(model, view, context);
  const isHint = view.loads === 'faint' && isCrowded(model, view) && view.selection.length === 0;
  const all = acting.flatMap(({ load, origin, factor }) => {
    const near = nearOf(load);
    // In a crowd a hint of what stands behind would not be seen.
    if (isHint && near < FRONT) return NOTHING;
    const subject: Subject = { kind: 'load', id: origin.id };
    const said = isCompound(origin) || isNotional(origin) || view.loads !== 'said' ? 'drawn' : 'said';
    const items = (): Item[] => itemsOf(context, load, subject, factor, said);
    return { near, isSelected: isSelected(view, subject), items };
  });
  const items = isCrowded(model, view) ? inDepth(all) : all.flatMap((one) => one.items());
  if (view.loads !== 'said') {
    // In a crowd a hint is their outline.
    const isThere = (path: Path): boolean => view.loads !== 'faint' || !isCrowded(model, view) || isOutline(path);
    return items.flatMap((item): Item[] => (item.kind === 'path' && isThere(item) ? [faded(item, view)] : []));
  }
  const decks = new Set(acting.flatMap(({ origin }) => (isOnDeck(origin) ? [origin] : [])));
  return [
    ...[...decks].flatMap((load) => deckItems(context, load)),
    ...withRunsSaidOnce(model, items),
    ...compoundLabels(model, context, factors),
  ];
}

const NOTHING: readonly never[] = [];

/** The same factors of the same cases act. */
const sameActing = (one: unknown, other: unknown): boolean =>
  one instanceof Map && other instanceof Map
    ? one.size === other.size && [...one].every(([id, factor]) => other.get(id) === factor)
    : sameGround(one, other);

// Hints of other cases and what acts stand on one sheet.
const faintLoads = latest(LOOKED_AT, drawnLoads, sameActing);
const strongLoads = latest(LOOKED_AT, drawnLoads, sameActing);

/** The single loads of the cases that act, each with the load that it comes from. */
function actingLoads(model: Model, factors: ReadonlyMap<string, number>): ActingLoad[] {
  const { loads, origins } = expandLoads(model);
  const acting: ActingLoad[] = [];
  loads.forEach((load, index) => {
    const [origin, factor] = [origins[index]!, factors.get(load.case) ?? 0];
    if (factor === 0) return;
    if (!isOnDeck(origin)) acting.push({ index, load, origin, factor });
    else for (const axle of drawnAs(model, index, load)) acting.push({ index, load: axle, origin, factor });
  });
  return acting;
}

/** What an expanded load is drawn as: those of a load on a deck, which hand it to the nodes, are drawn as its axles, once. */
function drawnAs(model: Model, index: number, load: PrimitiveLoad): readonly DrawnLoad[] {
  const { loads, origins } = expandLoads(model);
  const origin = origins[index]!;
  if (!isOnDeck(origin)) return [load];
  return origins[index - 1] === origin && loads[index - 1]!.case === load.case ? [] : axlesOnDeck(model, origin, load.case);
}

/** What all loads of a drawing are drawn with. */
export function contextOf(
  model: Model,
  factors: ReadonlyMap<string, number>,
  view: Ground,
  acting: readonly ActingLoad[] = actingLoads(model, factors),
): Context {
  const members = membersById(membersInFront(model, view));
  const largest = view.loadScale ?? largestOf(model, factors);
  return {
    model,
    members,
    nodes: drawnNodes(model, view),
    display: { ...defaultDisplay, ...model.display },
    view,
    inks: inksOf(model),
    largest,
    baseOf: stackedLoads(model, acting, largest.intensity),
    leaving: leavingOf(model, members),
  };
}

const membersById = once(
  (members: readonly DrawnMember[]): ReadonlyMap<string, DrawnMember> => new Map(members.map((member) => [member.id, member])),
);

/** The scale that the loads of a model are drawn to, for one that is not among them yet. */
export const loadScaleOf = (model: Model): Context['largest'] => largestOf(model, NO_FACTORS);
const NO_FACTORS: ReadonlyMap<string, number> = new Map();

/** One scale for all loads of a kind, whichever case acts: a factor lengthens it where more than the model's largest acts. */
function largestOf(model: Model, factors: ReadonlyMap<string, number>): Context['largest'] {
  let [intensity, force] = [0, 0];
  for (const [id, largest] of largestByCase(model)) {
    const factor = Math.max(1, Math.abs(factors.get(id) ?? 0));
    intensity = Math.max(intensity, factor * largest.intensity);
    force = Math.max(force, factor * largest.force);
  }
  return { intensity, force };
}

const largestByCase = once((model: Model): ReadonlyMap<string, Context['largest']> => {
  const found = new Map<string, { intensity: number; force: number }>();
  expandLoads(model).loads.forEach((expanded, i) => {
    const largest = found.get(expanded.case) ?? { intensity: 0, force: 0 };
    found.set(expanded.case, largest);
    for (const load of drawnAs(model, i, expanded)) {
      largest.intensity = Math.max(largest.intensity, intensityOf(load));
      largest.force = Math.max(largest.force, forceOf(load));
    }
  });
  return found;
});

/** Found when the first arrow asks. */
function leavingOf(model: Model, members: ReadonlyMap<string, DrawnMember>): Context['leaving'] {
  let found: Map<string, [number, number][]> | undefined;
  return (node) => {
    if (!found) {
      found = new Map();
      for (const { index, ex } of members.values()) {
        const { start, end } = model.members[index]!;
        for (const [at, sign] of [[start, 1], [end, -1]] as const) {
          const all = found.get(at);
          if (all) all.push([sign * ex[0], sign * ex[1]]);
          else found.set(at, [[sign * ex[0], sign * ex[1]]]);
        }
      } // oxfmt-ignore
    }
    return found.get(node) ?? [];
  };
}

/** Inks of the loads whose cases have a colour of their own. */
function inksOf({ cases, loads }: Model): ReadonlyMap<string, Ink> {
  const coloured = new Map(
    cases.flatMap(({ id, colour }): [string, Ink][] => (colour && colour !== 'brown' ? [[id, inkOfColour(colour)]] : [])),
  );
  if (coloured.size === 0) return NO_INKS;
  return new Map(
    loads.flatMap((load): [string, Ink][] => (coloured.has(load.case) ? [[load.id, coloured.get(load.case)!]] : [])),
  );
}
const NO_INKS: ReadonlyMap<string, Ink> = new Map();

/** How near to the viewer a load stands: 1 in front, 0 at the back. */
function nearnessOfLoads(model: Model, view: Ground, { members, nodes }: Context): (load: DrawnLoad) => number {
  const near = nearness(model, view);
  const placeOf = (load: DrawnLoad) =>
    'member' in load ? members.get(load.member) : 'node' in load ? nodes.get(load.node) : pointOnBay(nodes, load);
  return (load) => near(placeOf(load)?.depth ?? Infinity);
}

/** Where what is looked at is something else, loads are a hint; what is selected stays. */
const faded = (path: Path, view: Ground): Path =>
  view.loads === 'faint' && path.stroke !== 'selection' && path.fill !== 'selection'
    ? { ...path, opacity: (path.opacity ?? 1) * 0.32, texts: 'rather beside' }
    : path;

/** Of equal values on members and nodes beside each other one is written; that of a selected load always. */
function withRunsSaidOnce(model: Model, items: readonly Item[]): Item[] {
  const loads = new Map(model.loads.map((load) => [load.id, load]));
  const members = new Map(model.members.map((member) => [member.id, member]));
  const onMembers: { label: Label; nodes: string[]; text: string; speaks: boolean }[] = [];
  const onNodes: { label: Label; node: string; text: string; speaks: boolean }[] = [];
  const rest: Item[] = [];
  for (const item of items) {
    const load = item.kind === 'label' && item.subject?.kind === 'load' ? loads.get(item.subject.id) : undefined;
    if (item.kind !== 'label' || !load) {
      rest.push(item);
      continue;
    }
    const speaks = item.ink === 'selection';
    const text = `${load.case} ${load.type} ${item.text} ${Math.round(Math.atan2(item.away[1], item.away[0]) * 4)}`;
    const member = load.type === 'line' ? members.get(load.member) : undefined;
    if (member && isEven(load)) onMembers.push({ label: item, nodes: [member.start, member.end], text, speaks });
    else if (load.type === 'node') onNodes.push({ label: item, node: load.node, text, speaks });
    else rest.push(item);
  }
  const kept = [...saidOnce(onMembers), ...saidOnce(withNeighbours(model, onNodes))];
  return [
    ...rest,
    ...kept.map(({ label, alike }): Label => {
      const ids = alike.flatMap(({ label: { subject } }) => (subject?.kind === 'load' ? [subject.id] : []));
      return ids.length > 1 ? { ...label, alike: ids } : label;
    }),
  ];
}

/** Whether a load is the same all along its member. */
const isEven = (load: Load): boolean =>
  load.type === 'line' &&
  (load.from.at ?? 0) === 0 &&
  load.to.at === undefined &&
  (['wx', 'wy', 'wz'] as const).every((key) => (load.from[key] ?? 0) === (load.to[key] ?? 0));

/** The values of compound loads, where their ends stand. */
function compoundLabels(model: Model, context: Context, factors: ReadonlyMap<string, number>): Item[] {
  return model.loads.flatMap((load) => {
    const factor = factors.get(load.case) ?? 0;
    if (!isCompound(load) || factor === 0) return [];
    const pressure = pressureOf(load);
    if (pressure?.nodes) return panelItems(context, { kind: 'load', id: load.id }, pressure, factor);
    return handlesOf(model, load).flatMap(({ member: id, at, end, beside }) => {
      const member = context.members.get(id);
      const subject: Subject = { kind: 'load', id: load.id, ...(end && { end }) };
      if (!member) return [];
      if (pressure) return [pressureLabel(context, { member, at, beside }, subject, pressure, factor)];
      const said = {
        at,
        ends: ['from' in load ? load[end ?? 'from'] : beside],
        beside,
        ...('axes' in load && load.axes && { axes: load.axes }),
      };
      return [intensityLabel(context, member, said, subject, factor)];
    });
  });
}

const intensityOf = (load: DrawnLoad): number => (load.type === 'line' ? Math.max(sizeOf(load.from), sizeOf(load.to)) : 0);
const forceOf = (load: DrawnLoad): number =>
  load.type === 'node' || load.type === 'point' || load.type === 'axle'
    ? Math.hypot(load.fx ?? 0, load.fy ?? 0, load.fz ?? 0)
    : 0;

function itemsOf(context: Context, load: DrawnLoad, subject: Subject, factor: number, said: 'said' | 'drawn'): Item[] {
  switch (load.type) {
    case 'node': {
      const node = context.nodes.get(load.node);
      return node
        ? concentrated(context, { x: node.x, y: node.y, node: load.node, ...seenForces(context, load) }, subject, factor)
        : [];
    }
    case 'axle': {
      const at = pointOnBay(context.nodes, load);
      return at ? concentrated(context, { x: at.x, y: at.y, ...seenForces(context, load) }, subject, factor) : [];
    }
    case 'point': {
      const member = context.members.get(load.member);
      return member ? forceOnMember(context, member, load, subject, factor) : [];
    }
    case 'line': {
      const member = context.members.get(load.member);
      if (!member) return [];
      const drawn = comb(context, member, load, subject, factor);
      return said === 'said' ? [...drawn, lineLabel(context, member, load, subject, factor)] : drawn;
    }
    case 'settlement': {
      const node = context.nodes.get(load.node);
      return node ? settlementItems(context, node, load, subject, factor) : [];
    }
    case 'thermal':
    case 'strain': {
      const member = context.members.get(load.member);
      if (!member) return [];
      const phrase = phraseOfLoad(load, context.model);
      const words = phrase ? phraseWords(phrase, context.display) : ownAxesWords(load);
      const [x, y] = pointOn(member, member.length / 2);
      return [label(context, { x, y, dx: 0, dy: 0, away: member.ey }, prefix(factor) + words, subject)];
    }
  }
}

/** A temperature for whose sides there are no words: along the member's own axes. */
const ownAxesWords = (load: PrimitiveLoad): string =>
  load.type !== 'thermal'
    ? ''
    : [
        load.uniform ? `${showNumber(load.uniform)} K` : '',
        load.gradientY ? `${showNumber(load.gradientY)} K/m along its y` : '',
        load.gradientZ ? `${showNumber(load.gradientZ)} K/m along its z` : '',
      ]
        .filter(Boolean)
        .join(', ');
