import type { Point } from '@rigid-beam/core/model/point';
import type { Model } from '@rigid-beam/core/model/model';
import { freedoms as freedomNames } from '@rigid-beam/core/model/model';
import type { Mechanism } from '@rigid-beam/core/kinematics/mechanism';
import { ENDS_WIDTH } from '@rigid-beam/core/kinematics/member-motions';
import { symbolPath, worldPath, type Ink, type Item } from './display-list';
import { drawnMembers, drawnNodes, extentOf, type Seen } from './geometry';
import { seenPoint } from './projection';
import { circle } from './structure-items';

/** A motion that nothing resists, as it is drawn. */
export interface DrawnMotion {
  readonly mechanism: Mechanism;
  /** How the members' own ends move, global (6 a member), the largest movement being 1; undefined where only something turns. */
  readonly ends: Float64Array | undefined;
}

/** The largest movement, as a part of the structure's extent; of a structure of one point in metres. */
const REACH = 0.09;
/** Members from which thin lines are drawn: they swing at the pace of the screen. */
const MANY = 300;
/** Radius of the ring at a moved end, pixels. */
const RING = 4.5;
/** Less of the largest movement than this is at rest. */
const SMALL = 1e-3;

/**
 * The members of a motion where it takes them, and a round arrow at what only turns. `phase`, −1 to 1: how far it has swung. Members
 * stay straight: a motion that nothing resists bends none.
 */
export function motionItems(model: Model, { mechanism, ends }: DrawnMotion, seen: Seen, phase: number): Item[] {
  const reach = REACH * (extentOf(model) || 1) * phase;
  if (ends) return moved(model, ends, seen, reach);
  return [...turned(model, mechanism, seen, phase), ...twisted(model, mechanism, seen, phase)];
}

function moved(model: Model, ends: Float64Array, seen: Seen, reach: number): Item[] {
  const points: number[] = [];
  /** Places of ends that move: without a mark there, a slide along a member would hide behind it. */
  const places = new Map<string, readonly [number, number]>();
  for (const { index, x1, y1, x2, y2 } of drawnMembers(model, seen)) {
    const [start, end] = [0, 3].map((from): [number, number] | undefined => {
      const [x, y, z] = ends.subarray(ENDS_WIDTH * index + from, ENDS_WIDTH * index + from + 3) as unknown as Point;
      if (Math.max(Math.abs(x), Math.abs(y), Math.abs(z)) < SMALL) return undefined;
      return seenPoint(seen.projection, [reach * x, reach * y, reach * z]);
    });
    if (!start && !end) continue;
    const line = [x1 + (start?.[0] ?? 0), y1 + (start?.[1] ?? 0), x2 + (end?.[0] ?? 0), y2 + (end?.[1] ?? 0)] as const;
    points.push(...line);
    if (start) places.set(placeKey(line[0], line[1]), [line[0], line[1]]);
    if (end) places.set(placeKey(line[2], line[3]), [line[2], line[3]]);
  }
  if (points.length === 0) return [];
  const isMany = points.length > 4 * MANY;
  const lines = worldPath(points, { parts: 2, stroke: 'fault', width: isMany ? 1 : 2.2, dash: [7, 4] });
  const ring = { stroke: 'fault', width: 1.8, closed: true, fill: 'paper' } as const;
  return isMany ? [lines] : [lines, ...[...places.values()].map(([x, y]) => symbolPath(x, y, circle(RING), ring))];
}

const placeKey = (x: number, y: number): string => `${x.toFixed(6)} ${y.toFixed(6)}`;

/** Pixels. */
const RADIUS = 13;
const ARC = 4.4;
const STEPS = 16;

/** Members that turn about their own axis, by a round arrow at their middle. */
function twisted(model: Model, mechanism: Mechanism, seen: Seen, phase: number): Item[] {
  const { freedoms, members } = mechanism;
  if (freedoms.length > 0) return [];
  const own = new Set(members);
  return drawnMembers(model, seen).flatMap((member) => {
    if (!own.has(member.id)) return [];
    const [x, y] = [(member.x1 + member.x2) / 2, (member.y1 + member.y2) / 2];
    return roundArrow({ x, y }, 1, phase, inkOf(mechanism));
  });
}

/** What no load drives is told quietly. */
const inkOf = ({ harmless }: Mechanism): Ink => (harmless ? 'reaction' : 'fault');

/** An arrow round a place, turned as far as the motion has swung. */
function roundArrow({ x, y }: { readonly x: number; readonly y: number }, sense: 1 | -1, phase: number, ink: Ink): Item[] {
  const arc: number[] = [];
  for (let i = 0; i <= STEPS; i++) {
    const angle = sense * ((ARC * i) / STEPS - ARC / 2);
    arc.push(RADIUS * Math.cos(angle), RADIUS * Math.sin(angle));
  }
  const [tip, angle] = [arc.slice(-2), (sense * ARC) / 2];
  const [tx, ty] = [-Math.sin(angle) * sense, Math.cos(angle) * sense];
  const barb = (side: number): number[] => [
    tip[0]! - 6 * tx + 4 * side * Math.cos(angle),
    tip[1]! - 6 * ty + 4 * side * Math.sin(angle),
  ];
  const turn = phase * 0.5 * sense;
  const style = { stroke: ink, width: ink === 'fault' ? 1.8 : 1.3 } as const;
  return [symbolPath(x, y, arc, style, turn), symbolPath(x, y, [...barb(1), ...tip, ...barb(-1)], style, turn)];
}

/** Nodes that turn and do not move; of a long chain some of them. */
function turned(model: Model, mechanism: Mechanism, seen: Seen, phase: number): Item[] {
  const { freedoms } = mechanism;
  const nodes = drawnNodes(model, seen);
  const [moving, turning] = [new Set<string>(), new Map<string, number>()];
  for (const { node, freedom, amount } of freedoms) {
    if (freedomNames.indexOf(freedom) < 3 && Math.abs(amount) > SMALL) moving.add(node);
    else if (freedomNames.indexOf(freedom) >= 3) turning.set(node, (turning.get(node) ?? 0) + amount);
  }
  return [...turning].flatMap(([id, amount]): Item[] => {
    const node = nodes.get(id);
    if (!node || moving.has(id)) return [];
    return roundArrow(node, amount < 0 ? -1 : 1, phase, inkOf(mechanism));
  });
}
