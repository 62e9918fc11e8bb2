import type { Restraint, Support } from '@rigid-beam/core/model/model';
import { isSelected, symbolPath, type Ink, type Item, type Path, type Subject } from './display-list';
import { circle } from './structure-items';
import type { Ground } from './ground';

export const held = (restraint: Restraint | undefined): boolean => restraint === 'fixed';
export const sprung = (restraint: Restraint | undefined): boolean => typeof restraint === 'number' && restraint > 0;

/** How all parts of a support's symbol are drawn. */
export function supportStyle(support: Support, view: Ground) {
  const subject: Subject = { kind: 'support', id: support.node };
  const stroke: Ink = isSelected(view, subject) ? 'selection' : 'support';
  const texts = 'keep off' as const;
  return { stroke, width: 1.6 * view.weight, subject, texts, ...(view.supports === 'faint' && { opacity: 0.5 }) };
}

/** The textbook symbol of a plane support at a place of the drawing, springs as zigzags. */
export function symbol(support: Support, x: number, y: number, view: Ground): Item[] {
  const style = supportStyle(support, view);
  const w = view.weight;
  const angle = ((support.angle ?? 0) * Math.PI) / 180;
  const line = (offsets: readonly number[], turn = 0, more: Partial<Path> = {}): Item =>
    symbolPath(
      x,
      y,
      offsets.map((part) => part * w),
      { ...style, ...more },
      angle + turn,
    );
  const area = (offsets: readonly number[], turn = 0): Item => line(offsets, turn, { closed: true, fill: 'paper' });
  const { ux, uy, rz } = support;
  const items: Item[] = [];

  if (held(ux) && held(uy) && held(rz)) {
    items.push(line([-14, 0, 14, 0], 0, { width: 2.6 * w }), ...ground(line, 0));
  } else if (held(ux) && held(uy)) {
    items.push(area([0, 0, -9, -15, 9, -15]), line([-14, -15, 14, -15]), ...ground(line, -15));
  } else if (held(uy) && held(rz)) {
    items.push(line([-12, 0, 12, 0], 0, { width: 2.4 * w }), ...rollers(area), line([-14, -8, 14, -8]), ...ground(line, -8));
  } else if (held(ux) && held(rz)) {
    items.push(
      line([-12, 0, 12, 0], -Math.PI / 2, { width: 2.4 * w }),
      ...rollers((o) => area(o, -Math.PI / 2)),
      line([-14, -8, 14, -8], -Math.PI / 2),
      ...ground((o) => line(o, -Math.PI / 2), -8),
    );
  } else {
    if (held(uy)) items.push(...rolling(area, line, 0));
    if (held(ux)) items.push(...rolling(area, line, -Math.PI / 2));
    if (held(rz)) items.push(area([-6, -6, 6, -6, 6, 6, -6, 6]));
  }
  if (sprung(uy)) items.push(line(ZIGZAG), line([-10, -26, 10, -26]), ...ground(line, -26, 10));
  if (sprung(ux))
    items.push(
      line(ZIGZAG, -Math.PI / 2),
      line([-10, -26, 10, -26], -Math.PI / 2),
      ...ground((o) => line(o, -Math.PI / 2), -26, 10),
    );
  if (sprung(rz)) items.push(line(COIL), line([6, -14, 18, -14]));
  const { oneWay = {} } = support;
  if (oneWay.uy) items.push(...pushMark(support, [x, y], view, { turn: angle, forwards: oneWay.uy === 'positive' }));
  if (oneWay.ux)
    items.push(...pushMark(support, [x, y], view, { turn: angle - Math.PI / 2, forwards: oneWay.ux === 'positive' }));
  return items;
}

/**
 * An arrow beside a symbol: which way a support pushes that acts one way. `turn`: by how much the symbol is turned whose base lies below, radians; `forwards`: from the base
 * to the node.
 */
export function pushMark(
  support: Support,
  [x, y]: readonly [number, number],
  view: Ground,
  { turn, forwards }: { readonly turn: number; readonly forwards: boolean },
): Item[] {
  // oxfmt-ignore
  const style = supportStyle(support, view);
  const w = view.weight;
  const part = (offsets: readonly number[]): Item => symbolPath(x, y, offsets.map((one) => one * w), style, turn); // oxfmt-ignore
  return [part([19, -20, 19, -3]), part(forwards ? [15.5, -8, 19, -3, 22.5, -8] : [15.5, -15, 19, -20, 22.5, -15])];
}

type Line = (offsets: readonly number[], turn?: number) => Item;

const rolling = (area: Line, line: Line, turn: number): Item[] => [
  area([0, 0, -8, -12, 8, -12], turn),
  ...[-4.5, 4.5].map((at) => area(circle(2.4, at, -15), turn)),
  line([-13, -18, 13, -18], turn),
  ...ground((offsets) => line(offsets, turn), -18),
];

const rollers = (area: (offsets: readonly number[]) => Item): Item[] => [-8, 0, 8].map((at) => area(circle(3, at, -4.5)));

/** The short slanted strokes of the ground below a line at height y. */
const ground = (line: (offsets: readonly number[]) => Item, y: number, half = 14): Item[] =>
  Array.from({ length: Math.floor(half / 3.5) }, (_, i) => -half + 5 + i * 7)
    .filter((x) => x <= half)
    .map((x) => line([x, y, x - 5, y - 5]));

const ZIGZAG = [0, 0, 0, -4, -5, -6, 5, -10, -5, -14, 5, -18, -5, -20, 0, -22, 0, -26];
const COIL = Array.from({ length: 30 }, (_, i) => i / 3).flatMap((t) => [
  2 + (2 + 1.1 * t) * Math.cos(t - 1.6),
  (2 + 1.1 * t) * Math.sin(t - 1.6),
]);
