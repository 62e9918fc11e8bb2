import { linesOf } from '@rigid-beam/core/model/grid-lines';
import type { Model } from '@rigid-beam/core/model/model';
import type { AxisName, Point } from '@rigid-beam/core/model/point';
import { boundsOf } from './camera';
import { symbolPath, type Item, type Path, type Subject } from './display-list';
import { drawnNodes } from './geometry';
import { axisAlong, seenPoint } from './projection';
import { circle } from './structure-items';
import type { View } from './view';

/** Pixels from the structure to the marks of grid lines. */
const CLEAR = 46;
const AXES: readonly AxisName[] = ['x', 'y', 'z'];

/** Named grid lines: across the sheet where one looks along an axis, else on the ground, with their names at the end. */
export function gridLineItems(model: Model, view: View): Item[] {
  const { grid } = model;
  if (!grid) return [];
  const [across, upwards] = [axisAlong(view.projection.right), axisAlong(view.projection.up)];
  if (!across || !upwards) return onGround(model, view);
  const lines = (along: typeof across): { name: string; at: number; axis: AxisName }[] =>
    grid[along.axis]
      ? linesOf(along.axis, grid[along.axis]!).map((line) => ({ ...line, at: along.sense * line.at, axis: along.axis }))
      : [];
  const [columns, rows] = [lines(across), lines(upwards)];
  const box = boundsOf([
    ...drawnNodes(model, view).values(),
    ...columns.map(({ at }) => ({ x: at, y: rows[0]?.at ?? 0 })),
    ...rows.map(({ at }) => ({ x: columns[0]?.at ?? 0, y: at })),
  ]);
  if (!box) return [];
  return [
    ...columns.flatMap(({ name, at, axis }) => [
      line([at, box.bottom, 0, -CLEAR, at, box.top, 0, CLEAR]),
      ...mark([at, box.top], [0, CLEAR + 11], name, { kind: 'gridLine', axis }),
    ]),
    ...rows.flatMap(({ name, at, axis }) => [
      line([box.left, at, -CLEAR, 0, box.right, at, CLEAR, 0]),
      ...mark([box.right, at], [CLEAR + 22, 0], name, { kind: 'gridLine', axis }),
    ]),
  ];
}

function onGround(model: Model, view: View): Item[] {
  const { grid } = model;
  const ground = grid?.y?.from ?? Math.min(0, ...model.nodes.map(({ y }) => y));
  const range = (axis: 'x' | 'z'): [number, number] => {
    const places = [
      ...model.nodes.map((node) => node[axis] ?? 0),
      ...(grid?.[axis] ? linesOf(axis, grid[axis]).map(({ at }) => at) : []),
    ];
    return places.length > 0 ? [Math.min(...places), Math.max(...places)] : [0, 0];
  };
  return AXES.flatMap((axis): Item[] => {
    if (axis === 'y' || !grid?.[axis]) return [];
    const [low, high] = range(axis === 'x' ? 'z' : 'x');
    return linesOf(axis, grid[axis]).flatMap(({ name, at }) => {
      const point = (other: number): Point => (axis === 'x' ? [at, ground, other] : [other, ground, at]);
      const [[x1, y1], [x2, y2]] = [seenPoint(view.projection, point(low)), seenPoint(view.projection, point(high))];
      // The name stands at the end that is lower on the sheet: nearer to the viewer.
      const [ex, ey, ox, oy] = y1 <= y2 ? [x1, y1, x2, y2] : [x2, y2, x1, y1];
      const far = Math.hypot(ex - ox, ey - oy) || 1;
      const [dx, dy] = [((ex - ox) / far) * 26, ((ey - oy) / far) * 26];
      return [line([ox, oy, 0, 0, ex, ey, dx * 0.6, dy * 0.6]), ...mark([ex, ey], [dx, dy], name, { kind: 'gridLine', axis })];
    });
  });
}

const line = (vertices: number[]): Path => ({
  kind: 'path',
  vertices: Float64Array.from(vertices),
  stroke: 'dimension',
  width: 0.8,
  dash: [14, 4, 2, 4],
  opacity: 0.75,
});

type Pair = readonly [number, number];

/** A name in a ring, pixels off from a place of the paper; long names have no ring. */
function mark([x, y]: Pair, [dx, dy]: Pair, name: string, subject: Subject): Item[] {
  const ring = circle(11).map((part, i) => part + (i % 2 === 0 ? dx : dy));
  return [
    ...(name.length <= 2
      ? [symbolPath(x, y, ring, { closed: true, stroke: 'dimension', fill: 'paper', width: 1, subject })]
      : []),
    {
      kind: 'label',
      text: name,
      x,
      y,
      dx,
      dy,
      away: [0, 0],
      ink: 'dimension',
      role: 'dimension',
      rank: Infinity,
      subject,
    },
  ];
}
