import type { Model } from '@rigid-beam/core/model/model';
import { VERTEX, type Item } from './display-list';
import { drawnMembers, nearness, type Seen } from './geometry';

/** Shades from back to front. */
const BANDS = 5;

/** Only the members, as a few paths of many lines: what is drawn while a look turns, at the pace of the pointer. */
export function quickItems(model: Model, seen: Seen): Item[] {
  const near = nearness(model, seen);
  const bands: number[][] = Array.from({ length: BANDS }, () => []);
  for (const { x1, y1, x2, y2, depth } of drawnMembers(model, seen))
    bands[Math.min(BANDS - 1, Math.floor(near(depth) * BANDS))]!.push(x1, y1, x2, y2);
  return bands.flatMap((points, i): Item[] => {
    if (points.length === 0) return [];
    const vertices = new Float64Array((points.length / 2) * VERTEX);
    for (let p = 0; p < points.length / 2; p++) {
      vertices[p * VERTEX] = points[2 * p]!;
      vertices[p * VERTEX + 1] = points[2 * p + 1]!;
    }
    return [{ kind: 'path', pairs: true, vertices, stroke: 'member', width: 1.4, opacity: 0.4 + (0.6 * (i + 1)) / BANDS }];
  });
}
