import { crossingOf } from '@rigid-beam/core/model/crossings';
import { linesOf } from '@rigid-beam/core/model/grid-lines';
import type { Model } from '@rigid-beam/core/model/model';
import { endsOf, placesOf } from '@rigid-beam/core/model/places';
import { axisNames, between, distance, dot, minus, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { screenX, screenY, worldX, worldY, type Camera } from './camera';
import { drawnMembers, drawnNodes, type DrawnMember, type Seen } from './geometry';
import { snapToGrid } from './grid-items';
import { onWorkPlane, seenPoint, type WorkPlane } from './projection';
import { inTilted, ofTilted } from './tilted-plane';

export type SnapKind = 'node' | 'mid-point' | 'third' | 'crossing' | 'square' | 'member' | 'picture' | 'grid line' | 'grid';

/** A point in space that the pointer means, and what it lies on. */
export interface Snap {
  readonly kind: SnapKind;
  readonly at: Point;
  readonly node?: string;
  /** The member it lies on, and where, as a part of its length; of a crossing both. */
  readonly on: readonly { readonly member: string; readonly at: number }[];
  /** What is shown beside the pointer before the click. */
  readonly words: string;
}

export interface SnapRequest {
  readonly model: Model;
  readonly seen: Seen;
  readonly camera: Camera;
  readonly px: number;
  readonly py: number;
  /** The plane one draws on. */
  readonly plane: WorkPlane;
  /** Metres between the points of the grid. */
  readonly step: number;
  /** Where the line begins that is drawn: it can meet a member squarely. */
  readonly from?: Point | undefined;
  /** What a picture behind the drawing has under the pointer: a place and its name. */
  readonly behind?: (() => { readonly at: Point; readonly words: string } | undefined) | undefined;
  /** Nodes that are themselves moved, with their members. */
  readonly without?: ReadonlySet<string>;
  /** Pixels. */
  readonly reach: number;
}

/**
 * The nearest thing that can be meant: a node, a marked point of a member, the member, a line of the picture behind, a crossing of grid
 * lines, or the grid.
 */
export function snap(request: SnapRequest): Snap | undefined {
  return nodeSnap(request) ?? memberSnap(request) ?? pictureSnap(request) ?? gridSnap(request);
}

const pixels = ({ camera, px, py }: SnapRequest, x: number, y: number): number =>
  Math.hypot(screenX(camera, x) - px, screenY(camera, y) - py);

function nodeSnap(request: SnapRequest): Snap | undefined {
  const { model, seen, without } = request;
  let best: { id: string; index: number; score: number } | undefined;
  for (const { id, index, x, y, depth } of drawnNodes(model, seen).values()) {
    if (without?.has(id)) continue;
    const far = pixels(request, x, y);
    // Of nodes behind each other the front one is meant.
    const score = far - depth * 1e-4;
    if (far <= request.reach && (!best || score < best.score)) best = { id, index, score };
  }
  if (!best) return undefined;
  const { id, x, y, z = 0 } = model.nodes[best.index]!;
  return { kind: 'node', at: [x, y, z], node: id, on: [], words: `node ${id}` };
}

interface Near {
  readonly member: DrawnMember;
  readonly ends: readonly [Point, Point];
  /** Part of the member's length under the pointer. */
  readonly t: number;
}

function membersNear(request: SnapRequest): Near[] {
  const { model, seen, camera, px, py, reach, without } = request;
  const [x, y] = [worldX(camera, px), worldY(camera, py)];
  const slack = reach / camera.scale;
  const near: Near[] = [];
  let places: ReadonlyMap<string, Point> | undefined;
  for (const drawn of drawnMembers(model, seen)) {
    const [dx, dy] = [drawn.x2 - drawn.x1, drawn.y2 - drawn.y1];
    const t = Math.min(1, Math.max(0, ((x - drawn.x1) * dx + (y - drawn.y1) * dy) / (dx * dx + dy * dy)));
    if (Math.hypot(x - drawn.x1 - t * dx, y - drawn.y1 - t * dy) > slack) continue;
    const member = model.members[drawn.index]!;
    if (without?.has(member.start) || without?.has(member.end)) continue;
    places ??= placesOf(model);
    near.push({ member: drawn, ends: endsOf(member, places), t });
  }
  return near;
}

function memberSnap(request: SnapRequest): Snap | undefined {
  const near = membersNear(request);
  const found: (Snap & { far: number })[] = [];
  const add = (snap: Snap): void => {
    const far = pixels(request, ...seenPoint(request.seen.projection, snap.at));
    if (far <= request.reach) found.push({ ...snap, far });
  };
  near.forEach((one, i) => {
    const { member, ends } = one;
    const point = (kind: SnapKind, t: number, words: string): void =>
      add({ kind, at: between(...ends, t), on: [{ member: member.id, at: t }], words });
    point('mid-point', 1 / 2, `middle of ${member.id}`);
    point('third', 1 / 3, `third of ${member.id}`);
    point('third', 2 / 3, `third of ${member.id}`);
    if (request.from) {
      const along = minus(ends[1], ends[0]);
      const t = dot(minus(request.from, ends[0]), along) / dot(along, along);
      if (t > 1e-9 && t < 1 - 1e-9) point('square', t, `square to ${member.id}`);
    }
    for (const other of near.slice(i + 1)) {
      const crossing = crossingOf(ends, other.ends);
      if (!crossing) continue;
      const on = [
        { member: member.id, at: crossing.s },
        { member: other.member.id, at: crossing.t },
      ];
      add({ kind: 'crossing', at: between(...ends, crossing.s), on, words: `${member.id} crosses ${other.member.id}` });
    }
  });
  found.sort((a, b) => a.far - b.far);
  if (found[0]) return found[0];
  const [first] = near;
  return first && alongMember(request, first);
}

/** A point of the member at a round distance from its start. */
function alongMember({ step }: SnapRequest, { member, ends, t }: Near): Snap | undefined {
  const length = distance(...ends);
  const x = snapToGrid(t * length, step);
  if (x <= 1e-9 || x >= length - 1e-9) return undefined;
  return {
    kind: 'member',
    at: between(...ends, x / length),
    on: [{ member: member.id, at: x / length }],
    words: `on ${member.id}`,
  };
}

function pictureSnap({ behind }: SnapRequest): Snap | undefined {
  const found = behind?.();
  return found && { kind: 'picture', at: found.at, on: [], words: found.words };
}

function gridSnap({ model, seen, camera, px, py, step, plane, reach }: SnapRequest): Snap | undefined {
  const at = onWorkPlane(seen.projection, plane, worldX(camera, px), worldY(camera, py));
  if (!at) return undefined;
  if (plane.tilted) {
    const [a, b] = inTilted(plane.tilted, at).map((part) => snapToGrid(part, step)) as [number, number];
    return { kind: 'grid', at: ofTilted(plane.tilted, a, b), on: [], words: '' };
  }
  let named = 0;
  const point = axisNames.map((axis, k) => {
    // Across the plane the place is given, and not for the grid to choose.
    if (axis === plane.axis) return plane.at;
    const lines = model.grid?.[axis];
    const line = lines && linesOf(axis, lines).find((one) => Math.abs(one.at - at[k]!) * camera.scale <= reach);
    if (line) named++;
    return line ? line.at : snapToGrid(at[k]!, step);
  }) as unknown as Point;
  return { kind: named > 0 ? 'grid line' : 'grid', at: point, on: [], words: named > 0 ? 'grid line' : '' };
}

/** Degrees within which a line on free paper or on a picture is meant to be level or plumb. */
const NEARLY = 0.5;

/**
 * A point that makes a line from `from` level or plumb in a plane, where it nearly does; undefined where it leans more, or does not at all.
 * Only along the plane's own axes; the way it goes keeps its length.
 */
export function trued(
  from: Point,
  to: Point,
  axis: AxisName,
): { readonly at: Point; readonly words: 'level' | 'plumb' } | undefined {
  const [i, j] = ({ x: [2, 1], y: [0, 2], z: [0, 1] } as const)[axis];
  const [a, b] = [to[i] - from[i], to[j] - from[j]];
  const slack = Math.tan((NEARLY * Math.PI) / 180);
  const at: [number, number, number] = [to[0], to[1], to[2]];
  if (b !== 0 && Math.abs(b) <= slack * Math.abs(a)) at[j] = from[j];
  else if (a !== 0 && Math.abs(a) <= slack * Math.abs(b)) at[i] = from[i];
  else return undefined;
  // On plan neither is upright.
  return { at, words: at[j] === from[j] || axis === 'y' ? 'level' : 'plumb' };
}

/** `to` brought onto a line from `from` along the axes of a plane or at 45° between them, at the same length across or up. */
export function straightened(from: Point, to: Point, axis: AxisName): Point {
  const [i, j] = ({ x: [2, 1], y: [0, 2], z: [0, 1] } as const)[axis];
  const [a, b] = [to[i] - from[i], to[j] - from[j]];
  const turn = Math.round(Math.atan2(b, a) / (Math.PI / 4)) * (Math.PI / 4);
  const reach = Math.max(Math.abs(a), Math.abs(b));
  const point: [number, number, number] = [from[0], from[1], from[2]];
  point[i] += Math.round(Math.cos(turn)) * reach;
  point[j] += Math.round(Math.sin(turn)) * reach;
  return point;
}
