import type { Load, Model, Support } from '@rigid-beam/core/model/model';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { extremes } from '@rigid-beam/core/results/extremes';
import type { Solution } from '@rigid-beam/core/results/results';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes, pointOn, type Seen } from '@rigid-beam/drawing/geometry';
import { loadValue } from './load-values';

/** One thing on the sheet, said in words, with the world point where it stands. */
export interface DescribedItem {
  readonly subject: Subject;
  readonly text: string;
  readonly x: number;
  readonly y: number;
}

/** Every node, member, support and load of the drawing with its values, for those who do not see or point. */
export function describeItems(model: Model, seen: Seen, solution: Solution | undefined, outcome: number): DescribedItem[] {
  const display = { ...defaultDisplay, ...model.display };
  const members = new Map(drawnMembers(model, seen).map((member) => [member.id, member]));
  const nodes = drawnNodes(model, seen);
  const items: DescribedItem[] = [...nodes.values()].map((node) => ({
    subject: { kind: 'node', id: node.id },
    text: nodeWords(model.nodes[node.index]!, node.index, display, solution, outcome),
    x: node.x,
    y: node.y,
  }));
  for (const [id, drawn] of members) {
    const member = model.members[drawn.index]!;
    const [x, y] = pointOn(drawn, drawn.length / 2);
    const words = `Member ${id} from node ${member.start} to node ${member.end}, ${showQuantity(drawn.length, display.length)} long, section ${member.section}`;
    items.push({ subject: { kind: 'member', id }, text: words + memberForces(drawn.index, display, solution, outcome), x, y });
  }
  for (const support of model.supports) {
    const node = nodes.get(support.node);
    if (!node) continue;
    items.push({
      subject: { kind: 'support', id: support.node },
      text: `Support of node ${support.node}: ${supportWords(support)}${reactionWords(node.index, display, solution, outcome)}`,
      x: node.x,
      y: node.y,
    });
  }
  model.loads.forEach((load, index) => {
    const drawn = 'member' in load ? members.get(load.member) : undefined;
    const node = 'node' in load ? nodes.get(load.node) : undefined;
    const [x, y] = drawn ? pointOn(drawn, drawn.length / 2) : [node?.x ?? 0, node?.y ?? 0];
    items.push({ subject: { kind: 'load', index }, text: loadWords(load, display), x, y });
  });
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
  const linear = solution?.linear[outcome];
  if (!linear) return place;
  const [ux, uy] = [linear.displacements[6 * index]!, linear.displacements[6 * index + 1]!];
  return `${place}; moves ${showQuantity(Math.abs(ux), display.deflection, 3)} ${ux >= 0 ? 'right' : 'left'}, ${showQuantity(Math.abs(uy), display.deflection, 3)} ${uy >= 0 ? 'up' : 'down'}`;
}

function memberForces(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  if (!solution?.outcomes[outcome]) return '';
  const N = extremes(solution, outcome, index, 'N');
  const M = extremes(solution, outcome, index, 'Mz');
  return `; axial force ${showForce(N.min.value, display)} to ${showForce(N.max.value, display)}, moment ${showMoment(M.min.value, display)} to ${showMoment(M.max.value, display)}`;
}

function reactionWords(index: number, display: DisplayUnits, solution: Solution | undefined, outcome: number): string {
  const linear = solution?.linear[outcome];
  if (!linear) return '';
  const [fx, fy, mz] = [linear.reactions[6 * index]!, linear.reactions[6 * index + 1]!, linear.reactions[6 * index + 5]!];
  return `; reaction ${showForce(fx, display)} to the right, ${showForce(fy, display)} up, ${showMoment(mz, display)}`;
}

/** A plane support in words. */
export function supportWords(support: Support): string {
  const { ux, uy, rz } = support;
  const held = [ux, uy, rz].map((restraint) => restraint === 'fixed');
  const sprung = [ux, uy, rz].some((restraint) => typeof restraint === 'number' && restraint > 0);
  const name = sprung
    ? 'sprung'
    : held.every(Boolean)
      ? 'fixed'
      : held[0] && held[1]
        ? 'pinned'
        : held[1] && !held[0]
          ? 'rolls along X'
          : held[0] && !held[1]
            ? 'rolls along Y'
            : held[2]
              ? 'rotation held'
              : 'free';
  return support.angle ? `${name}, turned by ${support.angle}°` : name;
}

/** A load in words, with its size and where it acts. */
export function loadWords(load: Load, display: DisplayUnits): string {
  const { label, value, unit } = loadValue(load, display);
  const place = 'member' in load ? `member ${load.member}` : `node ${load.node}`;
  return `${label} ${showQuantity(value, unit)}${directionWords(load)} on ${place}, case ${load.case}`;
}

function directionWords(load: Load): string {
  const plan = load.type === 'line' && load.axes === 'projected' ? ' on plan' : '';
  const local = 'axes' in load && load.axes === 'local' ? ' along the member’s own axes' : '';
  const [x, y] =
    load.type === 'line'
      ? [load.from.wx || load.to.wx || 0, load.from.wy || load.to.wy || 0]
      : load.type === 'node' || load.type === 'point'
        ? [load.fx ?? 0, load.fy ?? 0]
        : [0, 0];
  const way = local
    ? local
    : x === 0 && y < 0
      ? ' down'
      : x === 0 && y > 0
        ? ' up'
        : y === 0 && x > 0
          ? ' right'
          : y === 0 && x < 0
            ? ' left'
            : '';
  return plan + way;
}
