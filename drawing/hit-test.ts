import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type DisplayList, type Path, type Subject } from './display-list';
import type { PlacedLabel } from './place-labels';

/** What is smaller, or lies on top of others, is preferred where several things are within reach. */
const PREFERENCE: Record<Subject['kind'], number> = {
  node: 0,
  release: 3,
  support: 4,
  dimension: 5,
  gridLine: 5,
  load: 6,
  extreme: 7,
  reaction: 7,
  member: 8,
};

/** Scores this near to each other are equal: then what stands in front is meant. Pixels. */
const SAME = 2;

/** What a hit inside a transparent area counts, in pixels of distance. */
const AREA = 3;

/** Pixels from the upper left corner. */
export type ScreenPoint = readonly [number, number];

export interface Hit {
  readonly subject: Subject;
  /** The label that was hit, when it was one. */
  readonly label?: PlacedLabel;
}

/** What lies under a screen point, within `reach` pixels. Independent of how it is painted. */
export function hitTest(
  list: DisplayList,
  placed: readonly PlacedLabel[],
  camera: Camera,
  [px, py]: ScreenPoint,
  reach: number,
): Hit | undefined {
  const label = placed.find((one) => one.label.subject && isOn(one, px, py));
  if (label?.label.subject) return { subject: label.label.subject, label };
  let best: { subject: Subject; score: number; depth: number | undefined } | undefined;
  for (const item of list) {
    if (item.kind !== 'path' || !item.subject || isFar(item.vertices, camera, [px, py], reach)) continue;
    const distance = distanceTo(item, camera, px, py);
    if (distance > reach) continue;
    const score = PREFERENCE[item.subject.kind] + distance;
    const { depth } = item;
    // In space what stands in front is meant, unless something behind it is clearly nearer to the pointer.
    const ahead = depth === undefined || best?.depth === undefined ? 0 : depth - best.depth;
    if (!best || score - SAME * Math.sign(ahead) < best.score) best = { subject: item.subject, score, depth };
  }
  return best;
}

/** Whether a point lies on a text, however it is turned. */
function isOn({ left, top, width, height, angle }: PlacedLabel, px: number, py: number): boolean {
  const [x, y] = [px - left - width / 2, py - top - height / 2];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return Math.abs(c * x + s * y) <= width / 2 + 2 && Math.abs(c * y - s * x) <= height / 2;
}

/** A symbol around one world point that is certainly out of reach. */
const LARGEST_SYMBOL = 90;
const isFar = (v: Float64Array, camera: Camera, [px, py]: ScreenPoint, reach: number): boolean =>
  v.length > 2 * VERTEX &&
  v[0] === v[VERTEX] &&
  v[1] === v[VERTEX + 1] &&
  v[0] === v[v.length - VERTEX] &&
  v[1] === v[v.length - VERTEX + 1] &&
  Math.abs(screenX(camera, v[0]!) - px) + Math.abs(screenY(camera, v[1]!) - py) > 2 * (LARGEST_SYMBOL + reach);

/** Pixels from a point to a path; 0 inside a filled one. */
function distanceTo(path: Path, camera: Camera, px: number, py: number): number {
  const { vertices, closed } = path;
  const count = vertices.length / VERTEX;
  if (count === 2) return lineDistance(vertices, camera, px, py);
  let [distance, inside] = [Infinity, false];
  const at = (i: number): [number, number] => [
    screenX(camera, vertices[i * VERTEX]!) + vertices[i * VERTEX + 2]!,
    screenY(camera, vertices[i * VERTEX + 1]!) - vertices[i * VERTEX + 3]!,
  ];
  let [ax, ay] = at(closed ? count - 1 : 0);
  for (let i = closed ? 0 : 1; i < count; i++) {
    const [bx, by] = at(i);
    distance = Math.min(distance, segmentDistance(ax - px, ay - py, bx - px, by - py));
    if (ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax) inside = !inside;
    [ax, ay] = [bx, by];
  }
  if (!closed || !path.fill) return distance;
  // A transparent area is there to be picked too, but yields to the lines that run along its edge.
  const isVeil = path.opacity !== undefined;
  if (inside) return isVeil ? AREA : 0;
  return isVeil ? Infinity : distance;
}

/** The usual case, told quickly: hovering asks it of every member. */
const lineDistance = (v: Float64Array, camera: Camera, px: number, py: number): number =>
  segmentDistance(
    screenX(camera, v[0]!) + v[2]! - px,
    screenY(camera, v[1]!) - v[3]! - py,
    screenX(camera, v[VERTEX]!) + v[VERTEX + 2]! - px,
    screenY(camera, v[VERTEX + 1]!) - v[VERTEX + 3]! - py,
  );

/** From the origin to the line from a to b. */
function segmentDistance(ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay];
  const length = dx * dx + dy * dy;
  const t = length === 0 ? 0 : Math.min(1, Math.max(0, -(ax * dx + ay * dy) / length));
  return Math.hypot(ax + t * dx, ay + t * dy);
}
