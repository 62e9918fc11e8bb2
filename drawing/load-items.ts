import type { LineLoad, Load, Model, PointLoad } from '@rigid-beam/core/model/model';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showForce, showIntensity, showMoment } from '@rigid-beam/core/quantities/show-load';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { Point } from '@rigid-beam/core/model/point';
import { dot } from '@rigid-beam/core/model/point';
import { isSelected, symbolPath, VERTEX, type Item, type Subject } from './display-list';
import { drawnMembers, drawnNodes, pointOn, type DrawnMember } from './geometry';
import { seenPoint } from './projection';
import type { View } from './view';
import { circle } from './structure-items';
import { SKETCHED } from './weight';

/** Longest and shortest arrow, pixels. */
const LONGEST = 36;
const SHORTEST = 12;

interface Context {
  readonly members: ReadonlyMap<string, DrawnMember>;
  readonly nodes: ReadonlyMap<string, { readonly x: number; readonly y: number }>;
  readonly display: DisplayUnits;
  readonly view: View;
  /** The largest intensity and force that act: they take the longest arrow. */
  readonly largest: { readonly intensity: number; readonly force: number };
}

/** The loads of the cases that `factors` lets act (by case id), each with its value; a factor other than 1 stands before it. */
export function loadItems(model: Model, factors: ReadonlyMap<string, number>, view: View): Item[] {
  const acting = model.loads
    .map((load, index) => ({ load, index, factor: factors.get(load.case) ?? 0 }))
    .filter(({ factor }) => factor !== 0);
  const context: Context = {
    members: new Map(drawnMembers(model, view).map((member) => [member.id, member])),
    nodes: drawnNodes(model, view),
    display: { ...defaultDisplay, ...model.display },
    view,
    largest: {
      intensity: Math.max(0, ...acting.map(({ load, factor }) => Math.abs(factor) * intensityOf(load))),
      force: Math.max(0, ...acting.map(({ load, factor }) => Math.abs(factor) * forceOf(load))),
    },
  };
  return acting.flatMap(({ load, index, factor }) => itemsOf(context, load, { kind: 'load', index }, factor));
}

const intensityOf = (load: Load): number =>
  load.type === 'line' ? Math.max(...[load.from, load.to].map((end) => Math.hypot(end.wx ?? 0, end.wy ?? 0, end.wz ?? 0))) : 0;
const forceOf = (load: Load): number =>
  load.type === 'node' || load.type === 'point' ? Math.hypot(load.fx ?? 0, load.fy ?? 0, load.fz ?? 0) : 0;

function itemsOf(context: Context, load: Load, subject: Subject, factor: number): Item[] {
  switch (load.type) {
    case 'node': {
      const node = context.nodes.get(load.node);
      return node ? concentrated(context, node.x, node.y, seenForces(context, load), subject, factor) : [];
    }
    case 'point': {
      const member = context.members.get(load.member);
      return member ? onMember(context, member, load, subject, factor) : [];
    }
    case 'line': {
      const member = context.members.get(load.member);
      return member ? comb(context, member, load, subject, factor) : [];
    }
    case 'settlement': {
      const node = context.nodes.get(load.node);
      if (!node) return [];
      const parts = (['ux', 'uy', 'uz'] as const)
        .filter((key) => load[key])
        .map((key) => `${WAYS[key]} ${showQuantity(load[key]!, context.display.deflection)}`);
      for (const key of ['rx', 'ry', 'rz'] as const)
        if (load[key]) parts.push(`${key === 'rz' ? '↺' : key} ${showNumber(load[key] * 1e3)} mrad`);
      return [text(node.x, node.y, `${prefix(factor)}moves ${parts.join(', ')}`, [0, -1], subject, -38)];
    }
    case 'thermal':
    case 'strain': {
      const member = context.members.get(load.member);
      if (!member) return [];
      const words =
        load.type === 'strain'
          ? `too long by ${showQuantity(load.elongation, context.display.deflection)}`
          : [
              load.uniform ? `${showNumber(load.uniform)} K` : '',
              load.gradientY ? `${showNumber(load.gradientY)} K/m upwards` : '',
              load.gradientZ ? `${showNumber(load.gradientZ)} K/m along z` : '',
            ]
              .filter(Boolean)
              .join(', ');
      const [x, y] = pointOn(member, member.length / 2);
      return [text(x, y, prefix(factor) + words, [member.ey[0], member.ey[1]], subject, 0)];
    }
  }
}

const WAYS = { ux: '→', uy: '↑', uz: 'along Z' };

const prefix = (factor: number): string => (factor === 1 ? '' : `${showNumber(factor)} × `);

const text = (x: number, y: number, words: string, away: readonly [number, number], subject: Subject, dy: number): Item => ({
  kind: 'label',
  text: words,
  x,
  y,
  dx: 0,
  dy,
  away,
  ink: 'load',
  role: 'load',
  rank: 60,
  subject,
});

/** Pixels of an arrow for a part of the largest value. */
const arrowLength = (part: number): number => (part === 0 ? 0 : SHORTEST + (LONGEST - SHORTEST) * Math.min(1, Math.abs(part)));

/** A force and a couple as they are seen: their true sizes, and where they point on the drawing (less than 1 long). */
interface SeenForces {
  readonly force: number;
  readonly forceWay: readonly [number, number];
  readonly couple: number;
  readonly coupleWay: readonly [number, number];
  /** Part of the couple that turns about the line of sight, anticlockwise positive. */
  readonly coupleToward: number;
}

type Components = { readonly [key in 'fx' | 'fy' | 'fz' | 'mx' | 'my' | 'mz']?: number };

function seenForces({ view }: Context, load: Components, member?: DrawnMember): SeenForces {
  const [f, m]: [Point, Point] = [
    [load.fx ?? 0, load.fy ?? 0, load.fz ?? 0],
    [load.mx ?? 0, load.my ?? 0, load.mz ?? 0],
  ];
  const seen = (v: Point): [number, number] => (member ? ownAxes(member, v) : seenPoint(view.projection, v));
  const [force, couple] = [Math.hypot(...f), Math.hypot(...m)];
  const unit = ([x, y]: [number, number], size: number): [number, number] => (size === 0 ? [0, 0] : [x / size, y / size]);
  const coupleWay = unit(seen(m), couple);
  // A couple in a member's own axes that is not seen along the drawing turns about the line of sight.
  const rest = Math.sqrt(Math.max(0, 1 - coupleWay[0] ** 2 - coupleWay[1] ** 2));
  const coupleToward =
    couple === 0 ? 0 : member ? rest * turning(member) * Math.sign(m[2] || 1) : dot(view.projection.toward, m) / couple;
  return { force, forceWay: unit(seen(f), force), couple, coupleWay, coupleToward };
}

/** +1 where local z points at the viewer. */
const turning = ({ ex, ey }: DrawnMember): 1 | -1 => (ex[0] * ey[1] - ex[1] * ey[0] >= 0 ? 1 : -1);

function onMember(context: Context, member: DrawnMember, load: PointLoad, subject: Subject, factor: number): Item[] {
  const x = load.measure === 'length' ? load.at : load.at * member.length;
  const [px, py] = pointOn(member, x);
  const forces = load.axes === 'local' ? seenForces(context, load, member) : seenForces(context, load);
  return concentrated(context, px, py, forces, subject, factor);
}

const ownAxes = ({ ex, ey, ez }: DrawnMember, [x, y, z]: Point): [number, number] => [
  x * ex[0] + y * ey[0] + z * ez[0],
  x * ex[1] + y * ey[1] + z * ez[1],
];

function concentrated(context: Context, x: number, y: number, seen: SeenForces, subject: Subject, factor: number): Item[] {
  const items: Item[] = [];
  const w = context.view.weight;
  const sense = Math.sign(factor);
  if (seen.force > 0) {
    const length = arrowLength((seen.force * factor) / (context.largest.force || 1)) * 1.25 * w;
    const [ux, uy] = [sense * seen.forceWay[0], sense * seen.forceWay[1]];
    const words = prefix(factor) + showForce(seen.force, context.display);
    if (Math.hypot(ux, uy) < END_ON)
      items.push(...endOn(context, x, y, subject), label(context, x, y, 9 * w, -9 * w, [1, -1], words, subject));
    else {
      items.push(...arrow(context, x, y, -ux * (length + 4 * w), -uy * (length + 4 * w), -ux * 4 * w, -uy * 4 * w, 2.2, subject));
      items.push(label(context, x, y, -ux * (length + 6 * w), -uy * (length + 6 * w), [-ux, -uy], words, subject));
    }
  }
  if (seen.couple > 0) {
    const words = prefix(factor) + showMoment(seen.couple, context.display);
    if (Math.abs(seen.coupleToward) >= Math.SQRT1_2)
      items.push(...couple(context, x, y, Math.sign(seen.coupleToward * factor), subject));
    else {
      // Right-handed about a double-headed arrow.
      const [ux, uy] = [sense * seen.coupleWay[0] * w, sense * seen.coupleWay[1] * w];
      items.push(...arrow(context, x, y, 4 * ux, 4 * uy, 30 * ux, 30 * uy, 2, subject));
      items.push(...arrow(context, x, y, 30 * ux, 30 * uy, 37 * ux, 37 * uy, 2, subject));
    }
    items.push(label(context, x, y, 14 * w, 16 * w, [1, 1], words, subject));
  }
  return items;
}

/** A force that points at the viewer, or away, by less than this part of its length across: drawn as a ring with a dot. */
const END_ON = 0.12;
const endOn = (context: Context, x: number, y: number, subject: Subject): Item[] => {
  const stroke = isSelected(context.view, subject) ? 'selection' : 'load';
  const w = context.view.weight;
  return [
    symbolPath(x, y, circle(6 * w), { closed: true, stroke, fill: 'paper', width: 1.5 * w, subject }),
    symbolPath(x, y, circle(1.8 * w), { closed: true, fill: stroke, subject }),
  ];
};

function label(
  context: Context,
  x: number,
  y: number,
  dx: number,
  dy: number,
  away: readonly [number, number],
  words: string,
  subject: Subject,
): Item {
  return {
    kind: 'label',
    text: words,
    x,
    y,
    dx,
    dy,
    away,
    ink: isSelected(context.view, subject) ? 'selection' : 'load',
    role: 'load',
    rank: 60,
    subject,
  };
}

/** An arrow between two pixel offsets from a world point, with a filled head at its end. */
function arrow(
  context: Context,
  x: number,
  y: number,
  fromX: number,
  fromY: number,
  toX: number,
  toY: number,
  width: number,
  subject: Subject,
): Item[] {
  const stroke = isSelected(context.view, subject) ? 'selection' : 'load';
  const w = context.view.weight;
  const angle = Math.atan2(toY - fromY, toX - fromX);
  const head = Math.min(7 * w, Math.hypot(toX - fromX, toY - fromY) * 0.6);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (along: number, across: number): [number, number] => [
    toX + c * along - s * across,
    toY + s * along + c * across,
  ];
  return [
    symbolPath(x, y, [fromX, fromY, ...corner(-head, 0)], { stroke, width: width * 0.7 * w, subject }),
    symbolPath(x, y, [toX, toY, ...corner(-head, head * 0.36), ...corner(-head, -head * 0.36)], {
      closed: true,
      fill: stroke,
      subject,
    }),
  ];
}

/** Three quarters of a circle with a head, anticlockwise for a positive couple. */
function couple(context: Context, x: number, y: number, sense: number, subject: Subject): Item[] {
  const w = context.view.weight;
  const radius = 13 * w;
  const arc = Array.from({ length: 25 }, (_, i) => sense * (-2.2 + (i / 24) * 4.4)).flatMap((a) => [
    radius * Math.cos(a),
    radius * Math.sin(a),
  ]);
  const [ex, ey] = arc.slice(-2) as [number, number];
  const [bx, by] = arc.slice(-8, -6) as [number, number];
  const stroke = isSelected(context.view, subject) ? 'selection' : 'load';
  return [
    symbolPath(x, y, arc, { stroke, width: 1.6 * w, subject }),
    ...arrow(context, x, y, bx, by, ex + (ex - bx) * 0.3, ey + (ey - by) * 0.3, 1, subject),
  ];
}

/** A line load: a comb of arrows that end on the member, its back as long as the intensity says. */
function comb(context: Context, member: DrawnMember, load: LineLoad, subject: Subject, factor: number): Item[] {
  const measure = load.measure === 'length' ? 1 : member.length;
  const a = (load.from.at ?? 0) * measure;
  const b = load.to.at === undefined ? member.length : load.to.at * measure;
  const w = context.view.weight;
  const at = (t: number): { x: number; y: number; ox: number; oy: number; part: number } => {
    const mix = (key: 'wx' | 'wy' | 'wz'): number => (load.from[key] ?? 0) + t * ((load.to[key] ?? 0) - (load.from[key] ?? 0));
    const w3: Point = [mix('wx'), mix('wy'), mix('wz')];
    const [wx, wy] = load.axes === 'local' ? ownAxes(member, w3) : seenPoint(context.view.projection, w3);
    const size = Math.hypot(...w3) || 1;
    const part = (Math.hypot(...w3) * Math.abs(factor)) / (context.largest.intensity || 1);
    const length = part < 1e-9 ? 0 : arrowLength(part) * 0.72 * w;
    const [x, y] = pointOn(member, a + t * (b - a));
    return { x, y, ox: (-Math.sign(factor) * wx * length) / size, oy: (-Math.sign(factor) * wy * length) / size, part };
  };
  const stroke = isSelected(context.view, subject) ? 'selection' : 'load';
  const gap = 3 * w;
  const vertices: number[] = [];
  // A thumbnail shows that and where a load acts; its arrows would only be a smear.
  const spacing = w < SKETCHED ? 60 : 15;
  const count = Math.max(2, Math.min(60, Math.round(((b - a) * context.view.scale) / (spacing * w)) + 1));
  const shafts: number[] = [];
  const heads: number[] = [];
  for (let i = 0; i < count; i++) {
    const { x, y, ox, oy } = at(i / (count - 1));
    const size = Math.hypot(ox, oy);
    vertices.push(x, y, ox * (1 + (size === 0 ? 0 : gap / size)), oy * (1 + (size === 0 ? 0 : gap / size)));
    if (size < 5 * w) continue;
    const [ux, uy] = [ox / size, oy / size];
    const head = Math.min(7 * w, size * 0.6);
    const foot = gap + head;
    shafts.push(x, y, ux * (size + gap), uy * (size + gap), x, y, ux * foot, uy * foot);
    const [across, along] = [uy * head * 0.36, ux * head * 0.36];
    heads.push(
      x,
      y,
      ux * gap,
      uy * gap,
      x,
      y,
      ux * foot - across,
      uy * foot + along,
      x,
      y,
      ux * foot + across,
      uy * foot - along,
    );
  }
  const items: Item[] = [
    { kind: 'path', parts: 2, vertices: Float64Array.from(shafts), stroke, width: 0.91 * w },
    { kind: 'path', parts: 3, vertices: Float64Array.from(heads), closed: true, fill: stroke },
    { kind: 'path', vertices: Float64Array.from(vertices), stroke, width: 1.3 * w, subject },
  ];
  // An invisible area lets the whole comb be picked.
  const area = [...vertices];
  for (let i = count - 1; i >= 0; i--) area.push(vertices[i * VERTEX]!, vertices[i * VERTEX + 1]!, 0, 0);
  items.push({ kind: 'path', vertices: Float64Array.from(area), closed: true, fill: stroke, opacity: 0.07, subject });

  const size = (end: LineLoad['from']): number => Math.hypot(end.wx ?? 0, end.wy ?? 0, end.wz ?? 0);
  const [from, to] = [size(load.from), size(load.to)];
  const suffix = load.axes === 'projected' ? ' on plan' : '';
  const value =
    from === to
      ? showIntensity(from, context.display)
      : `${showIntensity(from, context.display)} … ${showIntensity(to, context.display)}`;
  const heavier = from === to ? 0.5 : to > from ? 0.75 : 0.25;
  const middle = at(heavier);
  const length = Math.hypot(middle.ox, middle.oy) || 1;
  const away: [number, number] = [middle.ox / length, middle.oy / length];
  items.push(
    label(
      context,
      middle.x,
      middle.y,
      middle.ox + away[0] * 5 * w,
      middle.oy + away[1] * 5 * w,
      away,
      prefix(factor) + value + suffix,
      subject,
    ),
  );
  return items;
}
