import { joined, type Stretch } from '@rigid-beam/core/results/envelope';
import { isReadByPlace } from '@rigid-beam/core/results/read';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import type { Model } from '@rigid-beam/core/model/model';
import { drawnSide, standsOn, type DrawnQuantity } from './diagram-items';
import { verticesFor, VERTEX, type Ink, type Item, type Label } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { saidOnce } from './runs';
import { stretchesOn } from './stretches';
import type { View } from './view';

/** Inks that take turns; an outcome keeps its ink over the whole drawing, and its name stands beside it. */
const INKS: readonly Ink[] = ['load-slate', 'load', 'load-plum', 'load-olive', 'load-indigo'];

/** Pixels from a member to the stripe that tells who governs, the width of the stripe, and how long a part must be to be named. */
const BESIDE = 5;
const WIDTH = 2.2;
const NAMED = 26;

/** A part of a member on which one outcome of an envelope gives the greatest (1) or the least (−1) value. */
interface Part extends Stretch {
  readonly member: DrawnMember;
  readonly side: 1 | -1;
}

/**
 * Of an envelope, along each member a stripe on the side of the greatest and one on that of the least values: who governs there, cut
 * exactly where another takes over. Neighbours of the same name say it once. Nothing of what is derived otherwise than as a sum, and where trains travel.
 */
export function governingItems(model: Model, drawn: DrawnQuantity, members: readonly DrawnMember[], view: View): Item[] {
  const { solution, outcome, quantity } = drawn;
  if (isReadByPlace(solution, outcome)) return [];
  const parts = members.flatMap((member) => {
    const own = quantityExtremes(solution, outcome, member.index, quantity);
    // Where there is nothing, nothing governs.
    if (!own || Math.max(Math.abs(own.max.value), Math.abs(own.min.value)) * drawn.metresPerUnit * view.scale < 1) return [];
    return ([1, -1] as const).flatMap((side) =>
      joined(stretchesOn(drawn, member.index, quantity, side)).map((one): Part => ({ ...one, member, side })),
    );
  });
  const inkOf = inksOf(parts);
  return [...parts.map((part) => stripe(part, drawn, view, inkOf(part.outcome))), ...names(model, parts, drawn, view, inkOf)];
}

/** The outcome that governs most of the structure has the first ink, and so on. */
function inksOf(parts: readonly Part[]): (outcome: number) => Ink {
  const lengths = new Map<number, number>();
  for (const { outcome, from, to } of parts) lengths.set(outcome, (lengths.get(outcome) ?? 0) + to - from);
  const order = [...lengths.keys()].sort((a, b) => lengths.get(b)! - lengths.get(a)! || a - b);
  const ranks = new Map(order.map((outcome, i) => [outcome, i]));
  return (outcome) => INKS[ranks.get(outcome)! % INKS.length]!;
}

/** Where the values of a part stand: right and up, on the drawing. */
function away({ member, side }: Part, drawn: DrawnQuantity): readonly [number, number] {
  const { quantity } = drawn;
  const [nx, ny] = standsOn(member, quantity);
  const size = Math.hypot(nx, ny) || 1;
  const sign = side * drawnSide(drawn);
  return [(sign * nx) / size, (sign * ny) / size];
}

function stripe(part: Part, drawn: DrawnQuantity, view: View, ink: Ink): Item {
  const [nx, ny] = away(part, drawn);
  const vertices = verticesFor(2);
  [part.from, part.to].forEach((x, i) => {
    const [px, py] = pointOn(part.member, x);
    vertices.set([px, py, BESIDE * nx, BESIDE * ny], i * VERTEX);
  });
  return { kind: 'path', vertices, stroke: ink, width: WIDTH * view.weight, texts: 'rather beside' };
}

function names(model: Model, parts: readonly Part[], drawn: DrawnQuantity, view: View, inkOf: (outcome: number) => Ink): Label[] {
  const said = parts.map((part) => {
    const { start, end } = model.members[part.member.index]!;
    const nodes = [...(part.from === 0 ? [start] : []), ...(part.to >= part.member.length * (1 - 1e-9) ? [end] : [])];
    return { nodes, text: `${part.side} ${part.outcome}`, part };
  });
  return saidOnce(said).flatMap(({ alike }): Label[] => {
    const { part } = alike.reduce((a, b) => (lengthOf(b.part) > lengthOf(a.part) ? b : a));
    const pixels = alike.reduce((sum, one) => sum + lengthOf(one.part), 0) * view.scale;
    if (pixels < NAMED) return [];
    const { id } = drawn.solution.outcomes[part.outcome]!;
    const [nx, ny] = away(part, drawn);
    const [x, y] = pointOn(part.member, (part.from + part.to) / 2);
    const [dx, dy] = [(BESIDE + WIDTH) * nx, (BESIDE + WIDTH) * ny];
    return [
      {
        kind: 'label',
        ...{ text: id, x, y, dx, dy, away: [nx, ny], ink: inkOf(part.outcome), role: 'name' },
        rank: 20 + Math.min(19, pixels / 40),
      },
    ];
  });
}

/** Metres on the drawing. */
const lengthOf = ({ member, from, to }: Part): number =>
  (Math.hypot(member.x2 - member.x1, member.y2 - member.y1) * (to - from)) / member.length;
