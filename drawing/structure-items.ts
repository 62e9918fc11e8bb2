import { once } from '@rigid-beam/core/once';
import { memberAxis } from '@rigid-beam/core/quantities/axis-names';
import { displayOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { isPinEnded } from '@rigid-beam/core/model/behaviour';
import type { EndFreedom, Member, MemberEnd, Model } from '@rigid-beam/core/model/model';
import type { LetGo } from '@rigid-beam/core/results/results';
import { isSelected, symbolPath, worldPath, type Item, type Subject } from './display-list';
import { drawnMembers, drawnNodes, nearness, type DrawnMember } from './geometry';
import type { Bar } from './axial-items';
import { pointOf } from '@rigid-beam/core/model/point';
import { isCrowded } from './behind';
import { isOnPlane } from './tilted-plane';
import { SHADES } from './level-of-detail';
import { sameGround, type Ground } from './ground';
import type { View } from './view';

/** What becomes of members where they show a quantity themselves: bars, or colours on them. */
interface Shown {
  readonly bars?: ReadonlyMap<number, Bar>;
  readonly areColoured?: boolean;
  /** What has let go in what acts: members that are slack, joints within their gaps. */
  readonly letGo?: LetGo | undefined;
}

/** Members as heavy lines, rigid arms, hinges and other freed ends in their textbook symbols, nodes as small dots. */
export function structureItems(model: Model, view: View, { bars, areColoured = false, letGo }: Shown = {}): readonly Item[] {
  // In a large structure diagrams would be threads under dark members.
  const weight = view.quantity !== 'none' && !bars && isCrowded(model, view) ? 'receding' : 'full';
  return structureOn(model, view, weight, areColoured ? 'coloured' : 'plain', bars, letGo);
}

const structureOn = once(drawnStructure, sameGround);

function drawnStructure(
  model: Model,
  view: Ground,
  strength: 'receding' | 'full',
  colour: 'coloured' | 'plain',
  ...[bars, letGo]: [bars: ReadonlyMap<number, Bar> | undefined, letGo: LetGo | undefined]
): readonly Item[] {
  const items: Item[] = [];
  const near = nearness(model, view);
  // What is behind is painted first.
  const members =
    model.space === 'plane' ? drawnMembers(model, view) : [...drawnMembers(model, view)].sort((a, b) => a.depth - b.depth);
  const onPlane = planeTest(model, view);
  // Members that are drawn in the colour of a value are lines within it.
  const isColoured = colour === 'coloured' && !view.solids;
  const recedes = strength === 'receding';
  const isSlack = new Set(letGo?.slack);
  const openAt = (member: number, end: MemberEnd): readonly EndFreedom[] =>
    (letGo?.open ?? []).flatMap((one) => (one.member === member && one.end === end ? [one.freedom] : []));
  const isQuiet = view.members === 'faint' || isColoured;
  for (const member of members) {
    const subject: Subject = { kind: 'member', id: member.id };
    const { vertices } = worldPath([member.x1, member.y1, member.x2, member.y2], {});
    if (isSelected(view, subject))
      items.push({ kind: 'path', vertices, stroke: 'selection', width: 9 * view.weight, opacity: 0.45 });
    const { behaviour, start, end } = model.members[member.index]!;
    const faded = !onPlane(start) || !onPlane(end);
    const far = Math.round((1 - near(member.depth)) * SHADES) / SHADES;
    const hangs = isSlack.has(member.index);
    const bar = hangs ? undefined : bars?.get(member.index);
    // The width and colour of a force mean something: they are the same near and far.
    const depth = bar ? 1 : (1 - 0.82 * far) * (isQuiet ? 0.5 : 1) * (recedes ? RECEDED : 1);
    const opacity = faded ? 0.25 : depth;
    const full = (bar?.width ?? (isPinEnded({ behaviour }) ? 2 : 3.2)) * view.weight;
    const width = bar ? full : full * (1 - 0.4 * far) * (recedes || isColoured ? 0.4 : hangs ? 0.6 : 1);
    items.push({
      kind: 'path',
      vertices,
      stroke: bar?.ink ?? (faded ? 'faint' : 'member'),
      // While something is in hand lines are hairlines, as while a look turns: a browser draws them several times as fast.
      width: view.detail === 'whole' || bar ? width : 1,
      subject,
      ...(hangs && { dash: SLACK.map((part) => part * view.weight) }),
      depth: member.depth,
      opacity,
      texts: opacity > HEAVY ? 'keep off' : 'rather beside',
    });
    if (view.names) items.push(memberName(member, subject));
    if (view.localAxes || (view.sections && model.space === 'space' && isSelected(view, subject)))
      items.push(...axesItems(member, view, displayOf(model)));
  }
  for (const drawn of members) {
    const member = model.members[drawn.index]!;
    if (member.offset) items.push(...armItems(model, member, drawn, view));
    const isThere = onPlane(member.start) && onPlane(member.end);
    if (isThere && (member.releases || isPinEnded(member)))
      items.push(...releaseItems(member, drawn, view, (end) => openAt(drawn.index, end)));
  }
  const nodes = [...drawnNodes(model, view).values()];
  if (model.space === 'space') nodes.sort((a, b) => a.depth - b.depth);
  const dot = circle(2.6 * view.weight);
  for (const node of nodes) {
    const subject: Subject = { kind: 'node', id: node.id };
    if (isSelected(view, subject))
      items.push(symbolPath(node.x, node.y, circle(10 * view.weight), { closed: true, fill: 'selection', opacity: 0.45 }));
    // While something is in hand the ends of the lines show where the others are.
    else if (view.detail === 'outline') continue;
    const faded = !onPlane(node.id);
    const { vertices } = symbolPath(node.x, node.y, dot, {});
    const fill = faded ? 'faint' : 'member';
    const { depth } = node;
    const shade = model.space === 'plane' ? 1 : 0.3 + (0.7 * Math.round(near(depth) * SHADES)) / SHADES;
    const opacity = faded ? 0.25 : shade * (isQuiet ? 0.6 : 1);
    items.push({
      ...{ kind: 'path', vertices, closed: true, fill, subject, depth },
      ...(opacity < 1 && { opacity }),
      texts: faded || shade <= HEAVY ? 'rather beside' : 'keep off',
    });
    if (view.names) {
      items.push({
        kind: 'label',
        text: node.id,
        x: node.x,
        y: node.y,
        dx: 5,
        dy: 5,
        away: [1, 1],
        ink: 'text',
        role: 'name',
        rank: 30,
        subject,
      });
    }
  }
  return items;
}

/** Pixels: the dashes of a joint that is within its gap. */
const OPEN = [2, 2];
/** Pixels: the dashes of a member that is slack. */
const SLACK = [7, 5];

/** How much is left of members that recede behind their diagrams. */
const RECEDED = 0.4;

/** Lines that let more than this through are no obstacle to words: they stand behind. */
const HEAVY = 0.62;

/** Whether a node stands on the work plane; every node does where there is none. */
export function planeTest(model: Model, { plane }: Ground): (id: string) => boolean {
  if (!plane || model.space === 'plane') return () => true;
  const on = new Set(model.nodes.filter((node) => isOnPlane(plane, pointOf(node))).map(({ id }) => id));
  return (id) => on.has(id);
}

/** The members that something stands on: of a plane that is brought forward only its own. */
export function membersInFront(model: Model, view: Ground): readonly DrawnMember[] {
  const members = drawnMembers(model, view);
  if (!view.plane || model.space === 'plane') return members;
  const isOn = planeTest(model, view);
  return members.filter(({ index }) => isOn(model.members[index]!.start) && isOn(model.members[index]!.end));
}

/** Local x, y and z from the middle of a member, each with its letter. */
function axesItems(member: DrawnMember, view: Ground, display: DisplayUnits): Item[] {
  const [x, y] = [(member.x1 + member.x2) / 2, (member.y1 + member.y2) / 2];
  const reach = 22 * view.weight;
  const axes = [
    ['x', member.ex],
    ['y', member.ey],
    ['z', member.ez],
  ] as const;
  return axes.flatMap(([key, [ax, ay]]): Item[] => {
    if (Math.hypot(ax, ay) < 0.15) return [];
    const { letter, sign } = memberAxis(display, key);
    const [dx, dy] = [sign * ax, sign * ay];
    const [tx, ty] = [dx * reach, dy * reach];
    return [
      symbolPath(x, y, [0, 0, tx, ty], { stroke: 'selection', width: key === 'x' ? 1.8 : 1.2 }),
      {
        kind: 'label',
        text: letter,
        x,
        y,
        dx: tx,
        dy: ty,
        away: [dx, dy],
        ink: 'text',
        role: 'name',
        rank: 20,
      },
    ];
  });
}

function memberName(member: DrawnMember, subject: Subject): Item {
  const [x, y] = [(member.x1 + member.x2) / 2, (member.y1 + member.y2) / 2];
  return {
    kind: 'label',
    text: member.id,
    x,
    y,
    dx: 0,
    dy: 0,
    away: [-member.ey[0], -member.ey[1]],
    ink: 'faint',
    role: 'name',
    rank: 10,
    subject,
  };
}

/** Circles about the origin that were asked for, by radius: every node has one of the same. */
const circles = new Map<number, readonly number[]>();

/** Offsets of a closed polygon that looks like a circle of the given radius in pixels. */
export function circle(radius: number, x = 0, y = 0): readonly number[] {
  let offsets = circles.get(radius);
  if (!offsets) {
    const corners = radius < 2 ? 8 : radius < 4 ? 12 : 20;
    offsets = Array.from({ length: corners }, (_, i) => (2 * i * Math.PI) / corners).flatMap((angle) => [
      radius * Math.cos(angle),
      radius * Math.sin(angle),
    ]);
    if (circles.size > 100) circles.clear();
    circles.set(radius, offsets);
  }
  return x === 0 && y === 0 ? offsets : offsets.map((part, i) => part + (i % 2 === 0 ? x : y));
}

function armItems(model: Model, member: Member, drawn: DrawnMember, view: Ground): Item[] {
  const nodes = drawnNodes(model, view);
  const arm = (id: string, x: number, y: number): Item[] => {
    const node = nodes.get(id);
    return node && Math.hypot(node.x - x, node.y - y) > 1e-9
      ? [worldPath([node.x, node.y, x, y], { stroke: 'member', width: 6, opacity: 0.6 })]
      : [];
  };
  return [...arm(member.start, drawn.x1, drawn.y1), ...arm(member.end, drawn.x2, drawn.y2)];
}

/** A freed bending end is an open circle beside the node, with a spiral in it where it is sprung, in dashes without it where that is within its gap; a freed axial end a gap of two bars; a freed transverse end two bars along the member. */
function releaseItems(
  member: Member,
  drawn: DrawnMember,
  view: Ground,
  openAt: (end: MemberEnd) => readonly EndFreedom[],
): Item[] {
  const angle = Math.atan2(drawn.ex[1], drawn.ex[0]);
  return (['start', 'end'] as const).flatMap((end): Item[] => {
    const releases = member.releases?.[end] ?? {};
    const bending = releases.mz !== undefined && releases.mz !== 'fixed' ? releases.mz : releases.my;
    const hinge = isPinEnded(member) ? 'free' : (bending ?? 'fixed');
    const [x, y] = end === 'start' ? [drawn.x1, drawn.y1] : [drawn.x2, drawn.y2];
    const inward = end === 'start' ? 1 : -1;
    const subject: Subject = { kind: 'release', id: drawn.id, end };
    const w = view.weight;
    const items: Item[] = [];
    const open = openAt(end);
    const isOpen = open.includes('mz') || open.includes('my');
    if (hinge !== 'fixed') {
      const radius = (isPinEnded(member) ? 3 : 4.2) * w;
      items.push(
        symbolPath(
          x,
          y,
          circle(radius, inward * (radius + 3 * w)),
          {
            ...{ closed: true, fill: 'paper', stroke: 'member', width: 1.4 * w, subject, texts: 'keep off' },
            ...(isOpen && { dash: OPEN.map((part) => part * w) }),
          },
          angle,
        ),
      );
      if (typeof hinge === 'number' && !isOpen)
        items.push(
          symbolPath(x, y, spiral(inward * (radius + 3 * w)), { stroke: 'member', width: 1.2 * w, texts: 'keep off' }, angle),
        );
    }
    const bars = (freedom: EndFreedom, offsets: number[]): Item =>
      symbolPath(
        x,
        y,
        offsets,
        {
          ...{ stroke: 'member', width: 1.4 * w, texts: 'keep off' },
          ...(open.includes(freedom) && { dash: OPEN.map((part) => part * w) }),
        },
        angle,
      );
    const at = inward * 16 * w;
    if (releases.ux !== undefined && releases.ux !== 'fixed')
      items.push(bars('ux', [at - 2, -6, at - 2, 6]), bars('ux', [at + 2, -6, at + 2, 6]));
    if (releases.uy !== undefined && releases.uy !== 'fixed')
      items.push(bars('uy', [at - 6, -4, at + 6, -4]), bars('uy', [at - 6, 4, at + 6, 4]));
    return items;
  });
}

const spiral = (x: number): number[] =>
  Array.from({ length: 24 }, (_, i) => i / 3).flatMap((t) => [x + 1.1 * t * Math.cos(t * 2), 1.1 * t * Math.sin(t * 2)]);
