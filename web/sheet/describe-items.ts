import { freedoms, type Freedom, type Load, type Model, type Support } from '@rigid-beam/core/model/model';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { nameOf, quantitiesOf } from '@rigid-beam/core/results/quantities';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import { unitOfQuantity } from '@rigid-beam/drawing/show-quantity-value';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import { linearOf } from '@rigid-beam/core/results/sums';
import type { Solution } from '@rigid-beam/core/results/results';
import { shownDimensions } from '@rigid-beam/drawing/dimension-items';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes, pointOn, type Seen } from '@rigid-beam/drawing/geometry';
import { kindOf, supportKindsOf } from '../session/support-kinds';
import { loadValue } from './load-values';

/** One thing on the sheet, said in words, with the world point where it stands. */
export interface DescribedItem {
  readonly subject: Subject;
  readonly words: () => string;
  readonly x: number;
  readonly y: number;
}

/** Every node, member, support, dimension and load of the drawing with its values, for those who do not see or point. */
export function describeItems(model: Model, seen: Seen, solution: Solution | undefined, outcome: number): DescribedItem[] {
  const display = { ...defaultDisplay, ...model.display };
  const members = new Map(drawnMembers(model, seen).map((member) => [member.id, member]));
  const nodes = drawnNodes(model, seen);
  const items: DescribedItem[] = [...nodes.values()].map((node) => ({
    subject: { kind: 'node', id: node.id },
    words: () => nodeWords(model.nodes[node.index]!, node.index, display, solution, outcome),
    x: node.x,
    y: node.y,
  }));
  for (const [id, drawn] of members) {
    const member = model.members[drawn.index]!;
    const [x, y] = pointOn(drawn, drawn.length / 2);
    const words = (): string =>
      `Member ${id} from node ${member.start} to node ${member.end}, ${showQuantity(drawn.length, display.length)} long, section ${member.section}${memberForces(drawn.index, display, solution, outcome)}`;
    items.push({ subject: { kind: 'member', id }, words, x, y });
  }
  for (const support of model.supports) {
    const node = nodes.get(support.node);
    if (!node) continue;
    items.push({
      subject: { kind: 'support', id: support.node },
      words: () =>
        `Support of node ${support.node}: ${supportWords(support, model.space)}${reactionWords(node.index, display, solution, outcome)}`,
      x: node.x,
      y: node.y,
    });
  }
  for (const { axis, way, from, to, x, y } of shownDimensions(model, seen)) {
    const [start, end] = [from, to].map((at) => showQuantity(at, display.length));
    const words = (): string =>
      `${way === 'across' ? 'Bay' : 'Level'} from ${start} to ${end} along ${axis.toUpperCase()}: ${showQuantity(to - from, display.length)}`;
    items.push({ subject: { kind: 'dimension', axis, from, to }, words, x, y });
  }
  for (const load of model.loads) {
    const drawn = members.get('member' in load ? load.member : 'members' in load ? middleOf(load.members) : '');
    const node = 'node' in load ? nodes.get(load.node) : undefined;
    const [x, y] = drawn ? pointOn(drawn, drawn.length / 2) : [node?.x ?? 0, node?.y ?? 0];
    items.push({ subject: { kind: 'load', id: load.id }, words: () => `Load ${load.id}: ${loadWords(load, display)}`, x, y });
  }
  return items;
}

function nodeWords(
  node: Model['nodes'][number],
  index: number,
  display: DisplayUnits,
  solution: Solution | undefined,
  outcome: number,
): string {
  const place = `Node ${node.id} at ${showQuantity(node.x, display.length)} across, ${showQuantity(node.y, display.length)} up${node.z ? `, ${showQuantity(node.z, display.length)} towards the front` : ''}`;
  const linear = solution && linearOf(solution, outcome);
  if (!linear) return place;
  const [ux, uy] = [linear.displacements[6 * index]!, linear.displacements[6 * index + 1]!];
  return `${place}; moves ${showQuantity(Math.abs(ux), display.deflection, 3)} ${ux >= 0 ? 'right' : 'left'}, ${showQuantity(Math.abs(uy), display.deflection, 3)} ${uy >= 0 ? 'up' : 'down'}`;
}

function memberForces(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  if (!solution?.outcomes[outcome]) return '';
  const all = quantitiesOf(solution.structure).flatMap((quantity) => {
    const found = quantityExtremes(solution, outcome, index, quantity);
    if (!found) return [];
    const [min, max] = [found.min.value, found.max.value].map((value) => showQuantity(value, unitOfQuantity(quantity, display)));
    return [`${nameOf(solution.structure, quantity)} ${min} to ${max}`];
  });
  return `; ${all.join(', ')}`;
}

function reactionWords(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  const linear = solution && linearOf(solution, outcome);
  if (!linear) return '';
  const [fx, fy, mz] = [linear.reactions[6 * index]!, linear.reactions[6 * index + 1]!, linear.reactions[6 * index + 5]!];
  return `; reaction ${showForce(fx, display)} to the right, ${showForce(fy, display)} up, ${showMoment(mz, display)}`;
}

/** A support in words. */
export function supportWords(support: Support, space: Model['space'] = 'plane'): string {
  const sprung = freedoms.some((freedom) => typeof support[freedom] === 'number' && support[freedom] > 0);
  const kind = kindOf(support, space);
  const held = freedoms.filter((freedom) => support[freedom] === 'fixed').map((freedom) => HELD_WORDS[freedom]);
  const listed = held.length > 0 ? `held ${held.join(', ')}` : 'free';
  const text = supportKindsOf(space).find(({ id }) => id === kind)?.text;
  const name = sprung ? 'sprung' : text ? text.replace(/^./, (c) => c.toLowerCase()) : listed;
  if (support.axes) return `${name}, in axes of its own`;
  return support.angle ? `${name}, turned by ${support.angle}°` : name;
}

const HELD_WORDS: Record<Freedom, string> = {
  ux: 'along X',
  uy: 'along Y',
  uz: 'along Z',
  rx: 'about X',
  ry: 'about Y',
  rz: 'about Z',
};

/** A load in words, with its size and where it acts. */
export function loadWords(load: Load, display: DisplayUnits): string {
  return `${sizeWords(load, display)}${directionWords(load)} on ${placeWords(load)}, case ${load.case}`;
}

/** What a load acts on. */
export function placeWords(load: Load): string {
  if ('node' in load) return `node ${load.node}`;
  if ('member' in load) return `member ${load.member}`;
  return load.members.length === 1
    ? `member ${load.members[0]}`
    : `the run of ${load.members.length} members from ${load.members[0]} to ${load.members.at(-1)}`;
}

function sizeWords(load: Load, display: DisplayUnits): string {
  const { label, value, unit } = loadValue(load, display);
  if (!('from' in load)) return `${label} ${showQuantity(value, unit)}`;
  const [from, to] = [load.from, load.to].map((end) => showQuantity(sizeOf(end), unit));
  return from === to ? `${label} ${from}` : `${label} ${from} to ${to}`;
}

const middleOf = (members: readonly string[]): string => members[Math.floor(members.length / 2)] ?? '';

function directionWords(load: Load): string {
  const plan = 'axes' in load && load.axes === 'projected' ? ' on plan' : '';
  const local = 'axes' in load && load.axes === 'local' ? ' along the member’s own axes' : '';
  const parts = loadParts(load);
  const [axis, ...others] = (['x', 'y', 'z'] as const).filter((one) => parts[one] !== 0);
  const way = local || axis === undefined || others.length > 0 ? local : WAYS[axis][parts[axis] < 0 ? 0 : 1];
  return plan + way;
}

const WAYS = { x: [' left', ' right'], y: [' down', ' up'], z: [' to the back', ' to the front'] } as const;

function loadParts(load: Load): { readonly x: number; readonly y: number; readonly z: number } {
  if ('from' in load)
    return {
      x: load.from.wx || load.to.wx || 0,
      y: load.from.wy || load.to.wy || 0,
      z: load.from.wz || load.to.wz || 0,
    };
  if (load.type === 'node' || load.type === 'point') return { x: load.fx ?? 0, y: load.fy ?? 0, z: load.fz ?? 0 };
  return { x: 0, y: 0, z: 0 };
}
