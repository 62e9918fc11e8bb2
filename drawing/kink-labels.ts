import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import { isLine } from '@rigid-beam/core/results/quantities';
import { BESIDE, valueIn } from '@rigid-beam/core/results/read';
import { zeroPoints } from '@rigid-beam/core/results/zeros';
import { drawnSide, inkOf, standsOn, tipOf, type DrawnQuantity } from './diagram-items';
import { largestOf, type Governing } from './diagram-scale';
import type { Label } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { valueOnSheet } from './show-quantity-value';
import { SMALL } from './value-labels';

/** A jump of less than this part of the largest value is none. */
const JUMP = 1e-6;

/**
 * Of a case or sum the values where something begins or ends along a member (both sides of a jump), and where the diagram goes through zero, with
 * the way from the member's start. What is small beside the largest value, and what stands at the ends, is said elsewhere.
 */
export function kinkLabels(model: Model, drawn: DrawnQuantity, members: readonly DrawnMember[], governing: Governing): Label[] {
  const { solution, outcome, quantity } = drawn;
  const largest = largestOf(governing);
  if (!isLine(quantity) || isRange(solution.outcomes[outcome]!) || largest === 0) return [];
  const display = displayOf(model);
  return members.flatMap((member): Label[] => {
    const diagram = diagramOf(solution, outcome, member.index);
    const label = (x: number, value: number, text: string, rank: number): Label => {
      const normal = standsOn(member, quantity);
      const side = drawnSide(drawn) * (Math.sign(value) || 1);
      const [tx, ty] = value === 0 ? pointOn(member, x) : tipOf(drawn, member, x, value);
      return {
        kind: 'label',
        ...{ text, x: tx, y: ty, dx: 3 * side * normal[0], dy: 3 * side * normal[1] },
        away: [side * normal[0], side * normal[1]],
        ...{ ink: value === 0 ? 'text' : inkOf(quantity, value), role: 'value', rank },
        subject: { kind: 'extreme', member: member.id, x },
      };
    };
    const kinks: Label[] = [];
    for (let k = diagram.first + 1; k < diagram.end; k++) {
      const x = diagram.from[k]!;
      const [before, behind] = [valueIn(diagram, quantity, x - BESIDE * diagram.length), valueIn(diagram, quantity, x)];
      const values = Math.abs(before - behind) > JUMP * largest ? [before, behind] : [behind];
      for (const value of values)
        if (Math.abs(value) >= SMALL * largest)
          kinks.push(label(x, value, valueOnSheet(quantity, value, largest, display), 40 + (20 * Math.abs(value)) / largest));
    }
    const zeros = zeroPoints(diagram, quantity)
      .filter((x) => x > 1e-6 * diagram.length && x < diagram.length * (1 - 1e-6))
      .map((x) => label(x, 0, `0 at ${showQuantity(x, display.length, 3)}`, 38));
    return [...kinks, ...zeros];
  });
}
