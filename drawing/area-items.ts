import type { Pressure } from '@rigid-beam/core/model/loads/compound-kind';
import { pressureUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { worldPath, type Item, type Subject } from './display-list';
import type { DrawnMember } from './geometry';
import { ordinate, type SaidIntensity } from './line-load-items';
import { inkOf, label, prefix, type Context } from './load-marks';

/** What a pressure is, as it is written on the drawing. */
function pressureWords({ pressure, direction, width, spread }: Pressure, { display }: Context, factor: number): string {
  const size = showQuantity(Math.abs(pressure), pressureUnit(display));
  const more = [
    direction === 'plan' ? 'on plan' : '',
    direction === 'normal' ? 'across' : pressure < 0 ? 'up' : '',
    spread === 'oneWay' ? 'one way' : '',
    width === undefined ? '' : `over ${showQuantity(width, display.length)}`,
  ];
  return [prefix(factor) + size, ...more].filter(Boolean).join(' ');
}

/** A pressure on a panel: the panel, and its value in the middle. */
export function panelItems(context: Context, subject: Subject, load: Pressure, factor: number): Item[] {
  const places = (load.nodes ?? []).flatMap((id) => context.nodes.get(id) ?? []);
  if (places.length < 3) return [];
  const ink = inkOf(context, subject);
  const [x, y] = (['x', 'y'] as const).map((key) => places.reduce((sum, place) => sum + place[key], 0) / places.length) as [
    number,
    number,
  ];
  const outline = worldPath(
    places.flatMap((place) => [place.x, place.y]),
    { closed: true, fill: ink, opacity: 0.07, subject, texts: 'rather beside' },
  );
  const said = label(context, { x, y, dx: 0, dy: 0, away: [0, 1] }, pressureWords(load, context, factor), subject);
  return [outline, said];
}

/** A pressure from a width, beside the member that carries it. */
export function pressureLabel(
  context: Context,
  { member, at, beside }: Pick<SaidIntensity, 'at' | 'beside'> & { readonly member: DrawnMember },
  subject: Subject,
  load: Pressure,
  factor: number,
): Item {
  const axes = load.direction === 'normal' ? 'local' : undefined;
  const { x, y, ox, oy } = ordinate(context, member, { ...(axes && { axes }), factor }, at, beside);
  const length = Math.hypot(ox, oy) || 1;
  const away: [number, number] = [ox / length, oy / length];
  const gap = 5 * context.view.weight;
  return label(
    context,
    { x, y, dx: ox + away[0] * gap, dy: oy + away[1] * gap, away },
    pressureWords(load, context, factor),
    subject,
  );
}
