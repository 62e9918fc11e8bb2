import { mixed, sizeOf, withoutPlace } from '@rigid-beam/core/model/loads/intensities';
import type { Intensity, LineLoad } from '@rigid-beam/core/model/loads/primitive';
import { showIntensity } from '@rigid-beam/core/quantities/show-load';
import type { Point } from '@rigid-beam/core/model/point';
import { VERTEX, type Item, type Subject } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { arrowLength, inkOf, label, ownAxes, prefix, type Context } from './load-marks';
import { seenPoint } from './projection';
import { COMB } from './stacked-loads';
import { SKETCHED } from './level-of-detail';

/** Where an intensity stands on the drawing, the pixels from there to the back of its arrow, and of them those to its foot. */
interface Ordinate {
  readonly x: number;
  readonly y: number;
  readonly ox: number;
  readonly oy: number;
  readonly bx: number;
  readonly by: number;
}

/** In which axes a load acts, with which factor, and how many pixels above its member it stands. */
type Acting = Pick<LineLoad, 'axes'> & { readonly factor: number; readonly base?: number };

/** The ordinate of an intensity at `at` metres from the member's start. */
export function ordinate(
  context: Context,
  member: DrawnMember,
  { axes, factor, base = 0 }: Acting,
  at: number,
  { wx = 0, wy = 0, wz = 0 }: Intensity,
): Ordinate {
  const w3: Point = [wx, wy, wz];
  const [across, up] = axes === 'local' ? ownAxes(member, w3) : seenPoint(context.view.projection, w3);
  const size = Math.hypot(...w3) || 1;
  const part = (Math.hypot(...w3) * Math.abs(factor)) / (context.largest.intensity || 1);
  const length = part < 1e-9 ? 0 : arrowLength(part) * COMB * context.view.weight;
  const [x, y] = pointOn(member, at);
  const [ux, uy] = [(-Math.sign(factor) * across) / size, (-Math.sign(factor) * up) / size];
  const foot = length === 0 ? 0 : base * context.view.weight;
  return { x, y, ox: ux * (foot + length), oy: uy * (foot + length), bx: ux * foot, by: uy * foot };
}

/** A line load: a comb of arrows that end on the member, its back as long as the intensity says. */
export function comb(context: Context, member: DrawnMember, load: LineLoad, subject: Subject, factor: number): Item[] {
  const measure = load.measure === 'length' ? 1 : member.length;
  const a = (load.from.at ?? 0) * measure;
  const b = load.to.at === undefined ? member.length : load.to.at * measure;
  const w = context.view.weight;
  const base = subject.kind === 'load' ? context.baseOf(subject.id) : 0;
  const acting: Acting = { ...(load.axes && { axes: load.axes }), factor, base };
  const at = (t: number): Ordinate => ordinate(context, member, acting, a + t * (b - a), mixed(load, t));
  const stroke = inkOf(context, subject);
  const gap = 3 * w;
  const vertices: number[] = [];
  // A thumbnail shows that and where a load acts; its arrows would only be a smear.
  const spacing = w < SKETCHED ? 60 : 15;
  const count = Math.max(2, Math.min(60, Math.round(((b - a) * context.view.scale) / (spacing * w)) + 1));
  const shafts: number[] = [];
  const heads: number[] = [];
  const feet: number[] = [];
  for (let i = 0; i < count; i++) {
    const { x, y, ox, oy, bx, by } = at(i / (count - 1));
    const far = Math.hypot(ox, oy);
    const size = far - Math.hypot(bx, by);
    vertices.push(x, y, ox * (1 + (far === 0 ? 0 : gap / far)), oy * (1 + (far === 0 ? 0 : gap / far)));
    feet.push(x, y, bx, by);
    if (size < 5 * w) continue;
    const [ux, uy] = [ox / far, oy / far];
    const head = Math.min(7 * w, size * 0.6);
    const toe = far - size + gap;
    const foot = toe + head;
    shafts.push(x, y, ux * (far + gap), uy * (far + gap), x, y, ux * foot, uy * foot);
    const [across, along] = [uy * head * 0.36, ux * head * 0.36];
    heads.push(
      x,
      y,
      ux * toe,
      uy * toe,
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
    // Seen end-on it has no arrows.
    ...(shafts.length === 0
      ? []
      : ([
          { kind: 'path', parts: 2, vertices: Float64Array.from(shafts), stroke, width: 0.91 * w },
          { kind: 'path', parts: 3, vertices: Float64Array.from(heads), closed: true, fill: stroke, texts: 'keep off' },
        ] as const)),
    { kind: 'path', vertices: Float64Array.from(vertices), stroke, width: 1.3 * w, subject, texts: 'rather beside' },
  ];
  // An invisible area lets the whole comb be picked.
  const area = [...vertices];
  for (let i = count - 1; i >= 0; i--) area.push(...feet.slice(i * VERTEX, (i + 1) * VERTEX));
  items.push({ kind: 'path', vertices: Float64Array.from(area), closed: true, fill: stroke, opacity: 0.07, subject });

  return items;
}

/** What is written of a line load. */
export interface SaidIntensity extends Pick<LineLoad, 'axes'> {
  /** Metres from the member's start. */
  readonly at: number;
  readonly ends: readonly Intensity[];
  readonly beside: Intensity;
}

/** The value of a load that lies along members, at the back of the ordinate that stands at a place of one of them. */
export function intensityLabel(
  context: Context,
  member: DrawnMember,
  { at, ends, beside, axes }: SaidIntensity,
  subject: Subject,
  factor: number,
): Item {
  const base = subject.kind === 'load' ? context.baseOf(subject.id) : 0;
  const { x, y, ox, oy } = ordinate(context, member, { ...(axes && { axes }), factor, base }, at, beside);
  const length = Math.hypot(ox, oy) || 1;
  const away: [number, number] = [ox / length, oy / length];
  const gap = 5 * context.view.weight;
  const sizes = [...new Set(ends.map(sizeOf))];
  const value = sizes.map((size) => showIntensity(size, context.display)).join(' … ');
  const suffix = axes === 'projected' ? ' on plan' : '';
  return label(context, { x, y, dx: ox + away[0] * gap, dy: oy + away[1] * gap, away }, prefix(factor) + value + suffix, subject);
}

/** The value of a line load, where it is heavier. */
export function lineLabel(context: Context, member: DrawnMember, load: LineLoad, subject: Subject, factor: number): Item {
  const measure = load.measure === 'length' ? 1 : member.length;
  const a = (load.from.at ?? 0) * measure;
  const b = load.to.at === undefined ? member.length : load.to.at * measure;
  const [from, to] = [sizeOf(load.from), sizeOf(load.to)];
  const t = from === to ? 0.5 : to > from ? 0.75 : 0.25;
  const ends = [load.from, load.to].map(withoutPlace);
  const said = { at: a + t * (b - a), ends, beside: mixed(load, t), ...(load.axes && { axes: load.axes }) };
  return intensityLabel(context, member, said, subject, factor);
}
