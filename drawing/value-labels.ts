import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import { inkOf, sideOf, standsOn, type DrawnQuantity } from './diagram-items';
import type { Governing } from './diagram-scale';
import type { Label } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { showValue } from './show-quantity-value';

/** Parts of the largest value that are too small to be written; in space members stand before each other, and there is less room. */
const SMALL = 5e-3;
const CROWDED = 0.2;

/**
 * The exact extremes of each member as labels at the tip of their ordinate. The largest of the whole structure always stays; values
 * that repeat a neighbour's at a shared node are said once.
 */
export function valueLabels(
  model: Model,
  { solution, outcome, quantity, metresPerUnit }: DrawnQuantity,
  members: readonly DrawnMember[],
  governing: Governing,
): Label[] {
  const display: DisplayUnits = { ...defaultDisplay, ...model.display };
  const size = Math.max(Math.abs(governing.max.value), Math.abs(governing.min.value));
  if (size === 0) return [];
  const labels = new Map<string, Label>();
  for (const member of members) {
    const normal = standsOn(member, quantity);
    const { max, min } = quantityExtremes(solution, outcome, member.index, quantity)!;
    for (const { x, value } of max.value - min.value < 1e-6 * size ? [max] : [max, min]) {
      // What is lost in the width of a line is left to the member's card.
      if (Math.abs(value) < (model.space === 'space' ? CROWDED : SMALL) * size) continue;
      const isGoverning = [governing.max, governing.min].some(
        (one) => one.member === member.index && one.x === x && one.value === value,
      );
      // A constant value stands in the middle of its member.
      const at = max.value - min.value < 1e-6 * size ? member.length / 2 : x;
      const side = sideOf(quantity) * Math.sign(value);
      const reach = metresPerUnit * Math.abs(value) * side;
      const [px, py] = pointOn(member, at);
      const [wx, wy] = [px + normal[0] * reach, py + normal[1] * reach];
      const text = showValue(quantity, value, display);
      const key = `${px.toFixed(3)} ${py.toFixed(3)} ${text}`;
      const label: Label = {
        kind: 'label',
        text,
        x: wx,
        y: wy,
        dx: 3 * side * normal[0],
        dy: 3 * side * normal[1],
        away: [side * normal[0], side * normal[1]],
        ink: inkOf(quantity, value),
        role: isGoverning ? 'extreme' : 'value',
        rank: isGoverning ? 1000 : 70 + (20 * Math.abs(value)) / size,
        subject: { kind: 'extreme', member: member.id, x: at },
      };
      if (isGoverning ? labels.get(key)?.role !== 'extreme' : !labels.has(key)) labels.set(key, label);
    }
  }
  return [...labels.values()];
}
