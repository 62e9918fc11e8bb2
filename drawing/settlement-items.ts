import type { PrimitiveLoad } from '@rigid-beam/core/model/loads/primitive';
import { dot } from '@rigid-beam/core/model/point';
import { inGlobalAxes } from '@rigid-beam/core/model/support-axes';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { symbolPath, type Item, type Subject } from './display-list';
import { turning } from './force-items';
import { arrow, END_ON, endOn, inkOf, label, prefix, type Context } from './load-marks';
import { seenPoint } from './projection';

/** Pixels from the node to the bar where the support stood, clear of its symbol, and to the tip of the arrow. */
const [BAR, TIP] = [26, 50];
const HALF_BAR = 7;

type Settlement = Extract<PrimitiveLoad, { type: 'settlement' }>;
type Place = { readonly x: number; readonly y: number };

/** A support that moves: a bar where it stood and an arrow the way it goes, away from the node; a turn as an arc round it. */
export function settlementItems(context: Context, { x, y }: Place, load: Settlement, subject: Subject, factor: number): Item[] {
  // Said in the support's own axes.
  const support = context.model.supports.find(({ node }) => node === load.node);
  const moved = inGlobalAxes(support, [load.ux ?? 0, load.uy ?? 0, load.uz ?? 0]);
  const turned = inGlobalAxes(support, [load.rx ?? 0, load.ry ?? 0, load.rz ?? 0]);
  const [way, turn] = [Math.hypot(...moved), Math.hypot(...turned)];
  const items: Item[] = [];
  if (way > 0) {
    const words = prefix(factor) + showQuantity(way, context.display.deflection);
    const scale = Math.sign(factor) / way;
    const seen = seenPoint(context.view.projection, moved).map((part) => part * scale) as [number, number];
    items.push(...movement(context, { x, y }, seen, words, subject));
  }
  if (turn > 0) {
    const [across, up] = seenPoint(context.view.projection, turned);
    const seen = { way: [across / turn, up / turn], toward: dot(context.view.projection.toward, turned) / turn } as const;
    const words = `${prefix(factor)}${showNumber(turn * 1e3)} mrad`;
    items.push(...turning(context, { x, y, ...seen, sense: Math.sign(factor) }, words, subject));
  }
  return items;
}

function movement(
  context: Context,
  { x, y }: Place,
  [ux, uy]: readonly [number, number],
  words: string,
  subject: Subject,
): Item[] {
  const w = context.view.weight;
  const reach = Math.hypot(ux, uy);
  if (reach < END_ON)
    return [...endOn(context, x, y, subject), label(context, { x, y, dx: 9 * w, dy: -9 * w, away: [1, -1] }, words, subject)];
  // As long on paper however it is seen: its size is written.
  const at = (along: number, aside = 0): [number, number] => [
    (w * (along * ux - aside * uy)) / reach,
    (w * (along * uy + aside * ux)) / reach,
  ];
  const [dx, dy] = at(TIP + 2);
  return [
    symbolPath(x, y, [...at(BAR, -HALF_BAR), ...at(BAR, HALF_BAR)], {
      stroke: inkOf(context, subject),
      width: 1.5 * w,
      subject,
      texts: 'keep off',
    }),
    ...arrow(context, { x, y, from: at(BAR), to: at(TIP), width: 2.2 }, subject),
    label(context, { x, y, dx, dy, away: [ux / reach, uy / reach] }, words, subject),
  ];
}
