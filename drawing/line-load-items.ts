import { mixed, sizeOf, withoutPlace } from '@rigid-beam/core/model/loads/intensities';
import type { Intensity, LineLoad } from '@rigid-beam/core/model/loads/primitive';
import { showIntensity } from '@rigid-beam/core/quantities/show-load';
import type { Point } from '@rigid-beam/core/model/point';
import { VERTEX, type Item, type Subject } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { arrowLength, inkOf, label, ownAxes, prefix, type Context } from './load-marks';
import { seenPoint } from './projection';
import { SKETCHED } from './weight';

/** Where an intensity stands on the drawing, and the pixels from there to the back of its arrow. */
interface Ordinate {
  readonly x: number;
  readonly y: number;
  readonly ox: number;
  readonly oy: number;
}

/** In which axes a load acts, and with which factor. */
type Acting = Pick<LineLoad, 'axes'> & { readonly factor: number };

/** The ordinate of an intensity at `at` metres from the member's start. */
export function ordinate(
  context: Context,
  member: DrawnMember,
  { axes, factor }: Acting,
  at: number,
  { wx = 0, wy = 0, wz = 0 }: Intensity,
): Ordinate {
  const w3: Point = [wx, wy, wz];
  const [across, up] = axes === 'local' ? ownAxes(member, w3) : seenPoint(context.view.projection, w3);
  const size = Math.hypot(...w3) || 1;
  const part = (Math.hypot(...w3) * Math.abs(factor)) / (context.largest.intensity || 1);
  const length = part < 1e-9 ? 0 : arrowLength(part) * 0.72 * context.view.weight;
  const [x, y] = pointOn(member, at);
  return { x, y, ox: (-Math.sign(factor) * across * length) / size, oy: (-Math.sign(factor) * up * length) / size };
}

/** A line load: a comb of arrows that end on the member, its back as long as the intensity says. */
export function comb(context: Context, member: DrawnMember, load: LineLoad, subject: Subject, factor: number): Item[] {
  const measure = load.measure === 'length' ? 1 : member.length;
  const a = (load.from.at ?? 0) * measure;
  const b = load.to.at === undefined ? member.length : load.to.at * measure;
  const w = context.view.weight;
  const acting: Acting = { ...(load.axes && { axes: load.axes }), factor };
  const at = (t: number): Ordinate => ordinate(context, member, acting, a + t * (b - a), mixed(load, t));
  const stroke = inkOf(context, subject);
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
    { kind: 'path', parts: 3, vertices: Float64Array.from(heads), closed: true, fill: stroke, texts: 'keep off' },
    { kind: 'path', vertices: Float64Array.from(vertices), stroke, width: 1.3 * w, subject, texts: 'rather beside' },
  ];
  // An invisible area lets the whole comb be picked.
  const area = [...vertices];
  for (let i = count - 1; i >= 0; i--) area.push(vertices[i * VERTEX]!, vertices[i * VERTEX + 1]!, 0, 0);
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
  const { x, y, ox, oy } = ordinate(context, member, { ...(axes && { axes }), factor }, at, beside);
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
