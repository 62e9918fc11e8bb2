import { isCompound } from '@rigid-beam/core/model/loads/compound';
import { expandLoads, handlesOf } from '@rigid-beam/core/model/loads/expand';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import type { PrimitiveLoad } from '@rigid-beam/core/model/loads/primitive';
import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { Item, Subject } from './display-list';
import { concentrated, forceOnMember, seenForces } from './force-items';
import { drawnMembers, drawnNodes, pointOn } from './geometry';
import { comb, intensityLabel, lineLabel } from './line-load-items';
import { prefix, type Context } from './load-marks';
import type { View } from './view';

/**
 * The loads of the cases that `factors` lets act (by case id), each with its value; a factor other than 1 stands before it. A compound
 * load is drawn as the loads that it stands for, all of them the one thing, and its values are written at its own ends.
 */
export function loadItems(model: Model, factors: ReadonlyMap<string, number>, view: View): Item[] {
  const { loads, origins } = expandLoads(model);
  const acting = loads
    .map((load, i) => ({ load, origin: origins[i]!, factor: factors.get(load.case) ?? 0 }))
    .filter(({ factor }) => factor !== 0);
  const context: Context = {
    members: new Map(drawnMembers(model, view).map((member) => [member.id, member])),
    nodes: drawnNodes(model, view),
    display: { ...defaultDisplay, ...model.display },
    view,
    largest: {
      intensity: Math.max(0, ...acting.map(({ load, factor }) => Math.abs(factor) * intensityOf(load))),
      force: Math.max(0, ...acting.map(({ load, factor }) => Math.abs(factor) * forceOf(load))),
    },
  };
  const items = acting.flatMap(({ load, origin, factor }) => {
    const subject: Subject = { kind: 'load', id: origin.id };
    const said = isCompound(origin) ? 'drawn' : 'said';
    return itemsOf(context, load, subject, factor, said);
  });
  return [...items, ...compoundLabels(model, context, factors)];
}

/** The values of compound loads, where their ends stand. */
function compoundLabels(model: Model, context: Context, factors: ReadonlyMap<string, number>): Item[] {
  return model.loads.flatMap((load) => {
    const factor = factors.get(load.case) ?? 0;
    if (!isCompound(load) || factor === 0) return [];
    return handlesOf(model, load).flatMap(({ member: id, at, end, beside }) => {
      const member = context.members.get(id);
      const subject: Subject = { kind: 'load', id: load.id, ...(end && { end }) };
      const said = { at, ends: [end ? load[end] : load.from], beside, ...(load.axes && { axes: load.axes }) };
      return member ? [intensityLabel(context, member, said, subject, factor)] : [];
    });
  });
}

const intensityOf = (load: PrimitiveLoad): number => (load.type === 'line' ? Math.max(sizeOf(load.from), sizeOf(load.to)) : 0);
const forceOf = (load: PrimitiveLoad): number =>
  load.type === 'node' || load.type === 'point' ? Math.hypot(load.fx ?? 0, load.fy ?? 0, load.fz ?? 0) : 0;

function itemsOf(context: Context, load: PrimitiveLoad, subject: Subject, factor: number, said: 'said' | 'drawn'): Item[] {
  switch (load.type) {
    case 'node': {
      const node = context.nodes.get(load.node);
      return node ? concentrated(context, { x: node.x, y: node.y, ...seenForces(context, load) }, subject, factor) : [];
    }
    case 'point': {
      const member = context.members.get(load.member);
      return member ? forceOnMember(context, member, load, subject, factor) : [];
    }
    case 'line': {
      const member = context.members.get(load.member);
      if (!member) return [];
      const drawn = comb(context, member, load, subject, factor);
      return said === 'said' ? [...drawn, lineLabel(context, member, load, subject, factor)] : drawn;
    }
    case 'settlement': {
      const node = context.nodes.get(load.node);
      if (!node) return [];
      const parts = (['ux', 'uy', 'uz'] as const)
        .filter((key) => load[key])
        .map((key) => `${WAYS[key]} ${showQuantity(load[key]!, context.display.deflection)}`);
      for (const key of ['rx', 'ry', 'rz'] as const)
        if (load[key]) parts.push(`${key === 'rz' ? '↺' : key} ${showNumber(load[key] * 1e3)} mrad`);
      return [text([node.x, node.y, -38], `${prefix(factor)}moves ${parts.join(', ')}`, [0, -1], subject)];
    }
    case 'thermal':
    case 'strain': {
      const member = context.members.get(load.member);
      if (!member) return [];
      const words =
        load.type === 'strain'
          ? `too long by ${showQuantity(load.elongation, context.display.deflection)}`
          : [
              load.uniform ? `${showNumber(load.uniform)} K` : '',
              load.gradientY ? `${showNumber(load.gradientY)} K/m upwards` : '',
              load.gradientZ ? `${showNumber(load.gradientZ)} K/m along z` : '',
            ]
              .filter(Boolean)
              .join(', ');
      return [text(pointOn(member, member.length / 2), prefix(factor) + words, member.ey, subject)];
    }
  }
}

const WAYS = { ux: '→', uy: '↑', uz: 'along Z' };

/** Words beside a place of the paper, `dy` pixels above it. */
const text = (
  [x, y, dy = 0]: readonly [number, number, number?],
  words: string,
  away: readonly [number, number],
  subject: Subject,
): Item => ({
  kind: 'label',
  text: words,
  x,
  y,
  dx: 0,
  dy,
  away,
  ink: 'load',
  role: 'load',
  rank: 60,
  subject,
});
