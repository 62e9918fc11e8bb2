import type { Model, Restraint, Support } from '@rigid-beam/core/model/model';
import { supportAxes } from '@rigid-beam/core/model/local-axes';
import type { Point } from '@rigid-beam/core/model/point';
import { isSelected, symbolPath, type Item, type Path, type Subject } from './display-list';
import { drawnNodes } from './geometry';
import { seenPoint } from './projection';
import { circle } from './structure-items';
import { supportWords } from '@rigid-beam/core/model/support-words';
import type { View } from './view';

const held = (restraint: Restraint | undefined): boolean => restraint === 'fixed';
const sprung = (restraint: Restraint | undefined): boolean => typeof restraint === 'number' && restraint > 0;

/** Supports in their textbook symbols, turned with the support's axes, springs as zigzags. */
export function supportItems(model: Model, view: View): Item[] {
  const nodes = drawnNodes(model, view);
  const symbols = model.supports.flatMap((support): Item[] => {
    const node = nodes.get(support.node);
    if (!node) return [];
    return model.space === 'plane' ? symbol(support, node.x, node.y, view) : symbolInSpace(support, node.x, node.y, view);
  });
  return view.supports === 'said' ? [...symbols, ...supportLabels(model, view)] : symbols;
}

/** From so many alike on, one of them says it for all. */
const MANY = 6;

/** What each support does, in words. */
function supportLabels(model: Model, view: View): Item[] {
  const nodes = drawnNodes(model, view);
  const said = model.supports.map((support) => ({
    node: nodes.get(support.node),
    id: support.node,
    text: supportWords(support, model.space),
  }));
  const counts = new Map<string, number>();
  for (const { text } of said) counts.set(text, (counts.get(text) ?? 0) + 1);
  const seen = new Set<string>();
  return said.flatMap(({ node, id, text }): Item[] => {
    const count = counts.get(text)!;
    if (!node || (count > MANY && seen.has(text))) return [];
    seen.add(text);
    const words = count > MANY ? `${count} × ${text}` : text;
    const subject: Subject = { kind: 'support', id };
    const place = { x: node.x, y: node.y, dx: 18 * view.weight, dy: -12 * view.weight, away: [1, -0.3] as const };
    return [{ kind: 'label', text: words, ...place, ink: 'support', role: 'load', rank: 80, subject }];
  });
}

function symbol(support: Support, x: number, y: number, view: View): Item[] {
  const subject: Subject = { kind: 'support', id: support.node };
  const selected = isSelected(view, subject);
  const w = view.weight;
  const angle = ((support.angle ?? 0) * Math.PI) / 180;
  const quiet = view.supports === 'faint' ? { opacity: 0.5 } : {};
  const line = (offsets: readonly number[], turn = 0, more: Partial<Path> = {}): Item =>
    symbolPath(
      x,
      y,
      offsets.map((part) => part * w),
      { stroke: selected ? 'selection' : 'support', width: 1.6 * w, subject, ...quiet, texts: 'keep off', ...more },
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
  return items;
}

/** The support's own axes: along the global ones, turned about Z, or free in space. */
function ownAxes({ angle, axes }: Support): readonly [Point, Point, Point] {
  if (axes) {
    const rows = supportAxes(axes.x, axes.y);
    if (rows) return [0, 3, 6].map((i) => [rows[i]!, rows[i + 1]!, rows[i + 2]!] as const) as unknown as [Point, Point, Point];
  }
  const turn = ((angle ?? 0) * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return [
    [c, s, 0],
    [-s, c, 0],
    [0, 0, 1],
  ];
}

/**
 * In space: a clamp and a pin as in the plane, since they hold all directions alike; any other support by a roller or spring along
 * each direction that it holds, as that direction is seen, and a small square where rotations are held.
 */
function symbolInSpace(support: Support, x: number, y: number, view: View): Item[] {
  const translations = [support.ux, support.uy, support.uz];
  const rotations = [support.rx, support.ry, support.rz];
  if (translations.every(held)) {
    const plane: Support = { node: support.node, ux: 'fixed', uy: 'fixed', ...(rotations.every(held) && { rz: 'fixed' }) };
    const partly = !rotations.every(held) && rotations.some((one) => held(one) || sprung(one));
    return [...symbol(plane, x, y, view), ...(partly ? symbol({ node: support.node, rz: 'fixed' }, x, y, view) : [])];
  }
  const axes = ownAxes(support);
  const parts = translations.flatMap((restraint, k): Item[] => {
    const [dx, dy] = seenPoint(view.projection, axes[k]!);
    if (Math.hypot(dx, dy) < 0.15 || !(held(restraint) || sprung(restraint))) return [];
    // The symbol stands below or on the left of its node.
    const sense = dy > 0.02 || (Math.abs(dy) <= 0.02 && dx > 0) ? 1 : -1;
    const angle = (Math.atan2(sense * dy, sense * dx) * 180) / Math.PI - 90;
    const one = typeof restraint === 'number' ? { uy: restraint } : { uy: 'fixed' as const };
    return symbol({ node: support.node, ...one, angle }, x, y, view);
  });
  const turned = rotations.some((one) => held(one) || sprung(one));
  return [...parts, ...(turned ? symbol({ node: support.node, rz: 'fixed' }, x, y, view) : [])];
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
