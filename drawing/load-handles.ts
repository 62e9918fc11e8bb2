import type { Load, Model } from '@rigid-beam/core/model/model';
import { barsOf } from '@rigid-beam/core/model/loads/bars';
import { axlesOnWay } from '@rigid-beam/core/model/loads/train-load';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import { symbolPath, type Item } from './display-list';
import { pointOnBay } from './deck-items';
import { pointOn } from './geometry';
import { contextOf } from './load-items';
import { ordinate } from './line-load-items';
import { arrowLength } from './load-marks';
import type { View } from './view';

/** What of a load can be drawn by hand: where it begins, ends or stands; how large it is at an end; the tail of a force. */
export type HandleRole = 'from' | 'to' | 'at' | 'sizeFrom' | 'sizeTo' | 'turn';

/** A place on the drawing at which a load is taken: a world point, and pixels from there (up positive). */
export interface LoadHandle {
  readonly role: HandleRole;
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  /** Of a train: which of its axles stands there. */
  readonly axle?: number;
  /** Where an ordinate that stands above another load begins. */
  readonly foot?: readonly [number, number];
}

/** The handles of a load of the acting case; of compound ones a train’s axles; the ends of others are typed over. */
export function loadHandles(model: Model, factors: ReadonlyMap<string, number>, view: View, load: Load): LoadHandle[] {
  const context = contextOf(model, factors, view);
  if (load.type === 'line') {
    const member = context.members.get(load.member);
    if (!member) return [];
    const scale = load.measure === 'length' ? 1 : member.length;
    return (['from', 'to'] as const).flatMap((end): LoadHandle[] => {
      const at = load[end].at === undefined ? (end === 'from' ? 0 : member.length) : load[end].at! * scale;
      const [x, y] = pointOn(member, at);
      const tip = ordinate(
        context,
        member,
        { ...(load.axes && { axes: load.axes }), factor: 1, base: context.baseOf(load.id) },
        at,
        load[end],
      );
      const place: LoadHandle = { role: end, x, y, dx: 0, dy: 0 };
      if (sizeOf(load[end]) === 0) return [place];
      return [place, { role: end === 'from' ? 'sizeFrom' : 'sizeTo', x, y, dx: tip.ox, dy: tip.oy, foot: [tip.bx, tip.by] }];
    });
  }
  if (load.type === 'train') {
    return axlesOnWay(load, barsOf(model)).flatMap(({ axle, on }): LoadHandle[] => {
      const drawn = 'member' in on ? context.members.get(on.member) : undefined;
      const bay = 'nodes' in on ? pointOnBay(context.nodes, on) : undefined;
      const at = drawn && 'member' in on ? pointOn(drawn, on.at) : bay && ([bay.x, bay.y] as const);
      return at ? [{ role: 'at', x: at[0], y: at[1], dx: 0, dy: 0, axle }] : [];
    });
  }
  if (load.type !== 'point' && load.type !== 'node') return [];
  const member = load.type === 'point' ? context.members.get(load.member) : undefined;
  const node = load.type === 'node' ? context.nodes.get(load.node) : undefined;
  const at = load.type === 'point' ? load.at * (load.measure === 'length' ? 1 : (member?.length ?? 0)) : 0;
  const place = member ? pointOn(member, at) : node && ([node.x, node.y] as const);
  if (!place) return [];
  const [x, y] = place;
  const size = Math.hypot(load.fx ?? 0, load.fy ?? 0);
  // In space, and in a member's own axes, a direction is typed.
  const turns = model.space === 'plane' && size > 0 && !(load.type === 'point' && load.axes === 'local');
  const length = arrowLength(size / (context.largest.force || 1)) * 1.25 * view.weight;
  return [
    ...(member ? [{ role: 'at', x, y, dx: 0, dy: 0 } as const] : []),
    ...(turns
      ? [{ role: 'turn', x, y, dx: (-(load.fx ?? 0) * length) / size, dy: (-(load.fy ?? 0) * length) / size } as const]
      : []),
  ];
}

/** Small squares where a load can be taken. */
export const handleItems = (handles: readonly LoadHandle[]): Item[] =>
  handles.map(({ x, y, dx, dy, role }) => {
    const r = role === 'turn' || role.startsWith('size') ? 3.4 : 4.2;
    const corners = [-r, -r, r, -r, r, r, -r, r].map((value, i) => value + (i % 2 === 0 ? dx : dy));
    return symbolPath(x, y, corners, { closed: true, fill: 'paper', stroke: 'selection', width: 1.5 });
  });
