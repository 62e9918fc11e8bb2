import type { Model } from '@rigid-beam/core/model/model';
import { VERTEX, verticesFor, type Item } from './display-list';
import { drawnNodes, nearness, type Seen } from './geometry';

/** Lines of one pixel are painted many times faster than wider ones where there is no graphics processor. */
const HAIRLINE = 1;
/** Shades from back to front. */
const BANDS = 5;

/**
 * Only the members from node to node, as a few paths of many lines: what is drawn while a look turns, at the pace of the pointer. `coarse`: a
 * raster, in metres, on which lines end and are drawn once each.
 */
export function quickItems(model: Model, seen: Seen, coarse = 0): Item[] {
  const snapped = (x: number): number => (coarse > 0 ? Math.round(x / coarse) * coarse : x);
  const drawn = new Set<string>();
  const near = nearness(model, seen);
  const bands: number[][] = Array.from({ length: BANDS }, () => []);
  const nodes = drawnNodes(model, seen);
  for (const { id, start, end } of model.members) {
    const [a, b] = [nodes.get(start), nodes.get(end)];
    if (!a || !b || (seen.hidden.size > 0 && seen.hidden.has(`member:${id}`))) continue;
    const line = [snapped(a.x), snapped(a.y), snapped(b.x), snapped(b.y)] as const;
    if (coarse > 0) {
      const key = line.join();
      if (drawn.has(key) || (line[0] === line[2] && line[1] === line[3])) continue;
      drawn.add(key);
    }
    bands[Math.min(BANDS - 1, Math.floor(near((a.depth + b.depth) / 2) * BANDS))]!.push(...line);
  }
  return bands.flatMap((points, i): Item[] => {
    if (points.length === 0) return [];
    const vertices = verticesFor(points.length / 2);
    for (let p = 0; p < points.length / 2; p++) {
      vertices[p * VERTEX] = points[2 * p]!;
      vertices[p * VERTEX + 1] = points[2 * p + 1]!;
    }
    return [{ kind: 'path', parts: 2, vertices, stroke: 'member', width: HAIRLINE, opacity: 0.4 + (0.6 * (i + 1)) / BANDS }];
  });
}
