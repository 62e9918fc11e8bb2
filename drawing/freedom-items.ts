import { axisKeys, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { displayOf } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { dot, type Point } from '@rigid-beam/core/model/point';
import type { SheetFreedom } from '@rigid-beam/core/workings/follow-words';
import { symbolPath, type Ink, type Item, type Subject } from './display-list';
import { drawnNodes } from './geometry';
import { seenPoint } from './projection';
import type { View } from './view';

const AXES: readonly Point[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1]]; // oxfmt-ignore

/** Pixels: where arrows along an axis begin and end, those of turns about it behind them, and the arc of a turn that is seen from its axis. */
const ALONG = [9, 27] as const;
const ABOUT = [33, 50] as const;
const ARC = 15;

/** Every freedom with its number at its node, in the sense in which readers count it: free ones strongly, those that follow them with what they follow, held ones faintly. */
export function freedomItems(model: Model, freedoms: readonly SheetFreedom[], view: View): Item[] {
  const display = displayOf(model);
  const nodes = [...drawnNodes(model, view).values()];
  const places = new Map(nodes.map((node) => [node.index, node]));
  return freedoms.flatMap(({ label: text, node, component, state, isLit = false }): Item[] => {
    const place = places.get(node);
    if (!place) return [];
    const { sign } = structureAxis(display, axisKeys[component % 3]!);
    const axis = AXES[component % 3]!.map((part) => sign * part) as unknown as Point;
    const arrow: Arrow = {
      ...{
        x: place.x,
        y: place.y,
        text,
        ink: isLit ? 'selection' : state === 'held' ? 'faint' : 'deflection',
        w: isLit ? 1.4 * view.weight : view.weight,
      },
      subject: { kind: 'node', id: place.id },
    };
    const seen = seenPoint(view.projection, axis);
    if (component < 3) return straight(arrow, seen, ALONG, 1);
    const toward = dot(view.projection.toward, axis);
    return Math.abs(toward) > Math.SQRT1_2 ? turning(arrow, Math.sign(toward)) : straight(arrow, seen, ABOUT, 2);
  });
}

interface Arrow {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly ink: Ink;
  readonly w: number;
  readonly subject: Subject;
}

/** An arrow away from the node with one head, or two for a turn. */
function straight(
  arrow: Arrow,
  [ux, uy]: readonly [number, number],
  [from, to]: readonly [number, number],
  heads: 1 | 2,
): Item[] {
  const { x, y, ink, w, subject } = arrow;
  // What leads at the reader is not drawn.
  const size = Math.hypot(ux, uy);
  if (size < 0.15) return [];
  const [cx, cy] = [ux / size, uy / size];
  const at = (reach: number): [number, number] => [cx * reach * w, cy * reach * w];
  const angle = Math.atan2(cy, cx);
  return [
    symbolPath(x, y, [...at(from), ...at(to)], { stroke: ink, width: 1.4 * w, subject, texts: 'keep off' }),
    head(arrow, at(to), angle),
    ...(heads === 2 ? [head(arrow, at(to - 6), angle)] : []),
    label(arrow, at(to + 1), [cx, cy]),
  ];
}

/** The arc of a turn about an axis that leads at the reader, or away. */
function turning(arrow: Arrow, sense: number): Item[] {
  const { x, y, ink, w, subject } = arrow;
  const points = Array.from({ length: 19 }, (_, i) => Math.PI / 2 + sense * (0.35 + (i / 18) * 1.15 * Math.PI)).flatMap((a) => [
    ARC * w * Math.cos(a),
    ARC * w * Math.sin(a),
  ]);
  const [ex, ey] = points.slice(-2) as [number, number];
  const [bx, by] = points.slice(-4, -2) as [number, number];
  const middle = Math.PI / 2 + sense * (0.35 + 0.4 * Math.PI);
  const away = [Math.cos(middle), Math.sin(middle)] as const;
  return [
    symbolPath(x, y, points, { stroke: ink, width: 1.4 * w, subject, texts: 'keep off' }),
    head(arrow, [ex, ey], Math.atan2(ey - by, ex - bx)),
    label(arrow, [away[0] * (ARC + 2) * w, away[1] * (ARC + 2) * w], away),
  ];
}

function head({ x, y, ink, w, subject }: Arrow, [tx, ty]: readonly [number, number], angle: number): Item {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (along: number, across: number): number[] => [tx + (c * along - s * across) * w, ty + (s * along + c * across) * w]; // oxfmt-ignore
  return symbolPath(x, y, [...corner(0, 0), ...corner(-6, 2.6), ...corner(-6, -2.6)], { closed: true, fill: ink, subject, texts: 'keep off' }); // oxfmt-ignore
}

const label = (
  { x, y, text, ink, subject }: Arrow,
  [dx, dy]: readonly [number, number],
  away: readonly [number, number],
): Item => ({
  ...{ kind: 'label', text, x, y, dx, dy, away, ink, role: 'value', subject },
  rank: ink === 'faint' ? 80 : 95,
});
