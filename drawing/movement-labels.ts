import type { Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { ownDeflection } from '@rigid-beam/core/results/own-deflection';
import { responseOf } from '@rigid-beam/core/results/sums';
import { largestMovement, type Movement } from '@rigid-beam/core/results/movement';
import { timesWords } from '@rigid-beam/core/tables/results/headlines/movement';
import { movedPoint, type Deflected } from './diagram-items';
import type { Label } from './display-list';
import { drawnNodes, pointOn, type DrawnMember } from './geometry';
import { SKETCHED } from './level-of-detail';
import { seenPoint } from './projection';
import { valueOnSheet } from './show-quantity-value';
import { SMALL } from './value-labels';
import type { View } from './view';

/**
 * How far the nodes move, whichever way, and how far each member bends from the line between its own ends, as a part of its length: the
 * largest with its unit. A member that is pointed at says its own however small.
 */
export function movementLabels(model: Model, deflected: Deflected, members: readonly DrawnMember[], view: View): Label[] {
  const { solution, outcome, factor } = deflected;
  const display = displayOf(model);
  const displacements = responseOf(solution, outcome)?.displacements;
  if (!displacements) return [];
  const moved = [...drawnNodes(model, view).values()].map((node) => {
    const way = [0, 1, 2].map((k) => displacements[6 * node.index + k]!) as [number, number, number];
    return { node, way, size: Math.hypot(...way) };
  });
  const isFar = view.weight < SKETCHED;
  const bent = members.flatMap((member) => {
    if (isFar && view.pointed !== member.id) return [];
    const own = ownDeflection(solution, outcome, member.index);
    return own ? [{ member, ...own }] : [];
  });
  const most = largestMovement(solution, outcome);
  if (!most || most.size === 0) return [];
  const largest = most.size;
  const text = (size: number): string => valueOnSheet('v', size, largest, display);
  const own = new Set(members.flatMap(({ index }) => [model.members[index]!.start, model.members[index]!.end]));
  const ofNodes = moved.flatMap(({ node, way, size }): Label[] => {
    // That of the largest movement is said below, also where it stands at a node.
    if (!own.has(node.id) || isFar || size < SMALL * largest || size > largest * (1 - 1e-6)) return [];
    const [dx, dy] = seenPoint(view.projection, way);
    const away = unit(dx, dy);
    return [
      {
        kind: 'label',
        text: text(size),
        ...{ x: node.x + factor * dx, y: node.y + factor * dy, dx: 5 * away[0], dy: 5 * away[1], away },
        ...{ ink: 'deflection', role: 'value', rank: 75 + (20 * size) / largest },
        subject: { kind: 'node', id: node.id },
      },
    ];
  });
  const ofMembers = bent.flatMap(({ member, x, size, span }): Label[] => {
    const isPointed = view.pointed === member.id;
    if (!isPointed && (isFar || size < SMALL * largest)) return [];
    const [tx, ty] = movedPoint(deflected, member, x);
    const [px, py] = pointOn(member, x);
    const away = unit(tx - px, ty - py);
    return [
      {
        kind: 'label',
        text: `${text(size)} own, span/${timesWords(span)}`,
        ...{ x: tx, y: ty, dx: 5 * away[0], dy: 5 * away[1], away },
        ...{ ink: 'deflection', role: 'value', rank: (isPointed ? 500 : 70) + (20 * size) / largest },
        subject: { kind: 'extreme', member: member.id, x },
      },
    ];
  });
  return [...largestLabel(deflected, members, most, `${text(largest)} ${display.deflection}`), ...ofNodes, ...ofMembers];
}

/** Where the largest movement is, be it at a node or along a member. */
function largestLabel(deflected: Deflected, members: readonly DrawnMember[], { at }: Movement, text: string): Label[] {
  const member = members.find(({ index }) => index === at.member);
  if (!member) return [];
  const [tx, ty] = movedPoint(deflected, member, at.x);
  const [px, py] = pointOn(member, at.x);
  const away = unit(tx - px, ty - py);
  return [
    {
      kind: 'label',
      ...{ text, x: tx, y: ty, dx: 5 * away[0], dy: 5 * away[1], away, ink: 'deflection', role: 'extreme', rank: 1020 },
      subject: { kind: 'extreme', member: member.id, x: at.x },
    },
  ];
}

function unit(x: number, y: number): [number, number] {
  const length = Math.hypot(x, y) || 1;
  return [x / length, y / length];
}
