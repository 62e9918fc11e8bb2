import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { movedAt } from '@rigid-beam/core/results/movement';
import { quietValue } from '@rigid-beam/core/results/noise';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { isLineDrawn, tipOf, type DrawnQuantity } from './diagram-items';
import { worldPath, type Item } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { showValue } from './show-quantity-value';

/** How near an end the pointer may be to mean it, as a part of the member: there the value is that of the end. */
const AT_END = 0.015;

/** What is drawn, at one place of a member, x metres from its start: its ordinate and its value; of an envelope both, and who governs there;
 * of the line that members take how far the place moves. */
export function readingItems(model: Model, drawn: DrawnQuantity, member: DrawnMember, asked: number): Item[] {
  const { solution, outcome, quantity } = drawn;
  const display = displayOf(model);
  const share = asked / member.length;
  const x = share < AT_END ? 0 : share > 1 - AT_END ? member.length : asked;
  const said = isLineDrawn(drawn) ? movement(drawn, member, x) : valuesAt(drawn, member, x);
  if (!said) return [];
  const say = (value: number): string => showValue(quantity, quietValue(solution, outcome, quantity, value), display);
  const words = said.map(({ value, by }) => (by === undefined ? say(value) : `${say(value)} by ${solution.outcomes[by]!.id}`));
  const [px, py] = pointOn(member, x);
  return [
    ...said.map(({ value }) => worldPath([px, py, ...tipOf(drawn, member, x, value)], { stroke: 'selection', width: 1.5 })),
    {
      kind: 'label',
      text: `${[...new Set(words)].join(' · ')}, ${showQuantity(x, display.length, 3)} from ${model.members[member.index]!.start}`,
      ...{ x: px, y: py, dx: 0, dy: 20, away: [0, 1] },
      ...{ ink: 'text', role: 'load', rank: Infinity },
    },
  ];
}

/** A value at a place; of an envelope with the outcome that gives it. */
interface Said {
  readonly value: number;
  readonly by?: number;
}

function valuesAt(
  { solution, outcome, quantity }: DrawnQuantity,
  { index }: DrawnMember,
  x: number,
): readonly Said[] | undefined {
  const here = memberReader(solution, outcome, index).at(quantity, x);
  if (!here) return undefined;
  const { max, min, maxFrom, minFrom } = here;
  if (isRange(solution.outcomes[outcome]!)) return [{ value: max, by: maxFrom }, { value: min, by: minFrom }]; // oxfmt-ignore
  return max === min ? [{ value: max }] : [{ value: max }, { value: min }];
}

/** How far the place moves, whichever way. */
const movement = ({ solution, outcome }: DrawnQuantity, { index: member }: DrawnMember, x: number): readonly Said[] => [
  { value: Math.hypot(...movedAt(solution, outcome, { member, x })) },
];

/** The place of a member, metres from its start, that is nearest to a point of the drawing. */
export function placeOn({ x1, y1, x2, y2, length }: DrawnMember, x: number, y: number): number {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const square = dx * dx + dy * dy;
  const t = square > 0 ? ((x - x1) * dx + (y - y1) * dy) / square : 0;
  return Math.min(Math.max(t, 0), 1) * length;
}
