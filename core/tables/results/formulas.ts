import { isRange } from '../../combinations/outcome';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit, showNumber } from '../../quantities/show';
import { diagramOf } from '../../results/diagram';
import { addShifted } from '../../results/polynomial';
import { isStored, unitOfQuantity, type LineQuantity } from '../../results/quantities';
import { pieceOf } from '../../results/read';
import type { Solution } from '../../results/results';

/** The polynomial of a quantity on a part of a member: between two places, metres from its start, and written in the units that are shown. */
export interface Formula {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** Beside the largest part of a sum this much of it is rounding. */
const NOISE = 1e-9;

/**
 * A quantity of member m in an outcome of one value, piece by piece, as polynomials of the distance x from the member's start, in the units of lengths and of the quantity: “31.96 − 26.5·x”. Undefined of
 * an envelope. Pieces that go on alike are one.
 */
export function formulasOf(
  solution: Solution,
  outcome: number,
  m: number,
  quantity: LineQuantity,
  display: DisplayUnits,
): readonly Formula[] | undefined {
  if (isRange(solution.outcomes[outcome]!)) return undefined;
  const diagram = diagramOf(solution, outcome, m);
  if (!isStored(diagram.width, quantity)) return undefined;
  const unit = unitOfQuantity(quantity, display);
  const metre = inUnit(1, display.length);
  const found: Formula[] = [];
  for (let k = diagram.first; k < diagram.end; k++) {
    const [from, to] = [diagram.from[k]!, diagram.to[k]!];
    const own = pieceOf(diagram, k, quantity);
    const c = new Float64Array(own.length);
    addShifted({ coefficients: own, at: 0, degree: own.length - 1 }, -from, 1, c, 0);
    const parts = Array.from(c, (value, i) => ({ value: inUnit(value, unit) / metre ** i, size: Math.abs(value) * to ** i }));
    const largest = Math.max(...parts.map(({ size }) => size));
    const text = written(parts.map(({ value, size }) => (size > NOISE * largest ? value : 0)));
    const last = found.at(-1);
    if (last?.text === text) found[found.length - 1] = { ...last, to };
    else found.push({ from, to, text });
  }
  return found;
}

const POWERS = ['', 'x', 'x²', 'x³', 'x⁴', 'x⁵', 'x⁶', 'x⁷'];

/** A polynomial as it is written: signs between its parts, no part that is zero. */
function written(coefficients: readonly number[]): string {
  const parts = coefficients.flatMap((value, k) => (value === 0 ? [] : [{ value, power: POWERS[k]! }]));
  if (parts.length === 0) return '0';
  return parts
    .map(({ value, power }, i) => {
      const sign = value < 0 ? '−' : i > 0 ? '+' : '';
      const size = [showNumber(Math.abs(value)), power].filter(Boolean).join('·');
      return i > 0 ? `${sign} ${size}` : `${sign}${size}`;
    })
    .join(' ');
}
