import { isRange } from '../../combinations/outcome';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { quietValue } from '../../results/noise';
import { symbolOf, unitOfQuantity, type Quantity } from '../../results/quantities';
import { memberReader, type MemberReader } from '../../results/read-quantity';
import type { Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import type { CellValue, Column } from '../column';

/** The readers of members that were read last: the cells of a row, and of rows beside it, ask the same one. */
const KEPT = 8;

/** Reads one member after the other in an outcome. */
export function membersRead(solution: Solution, outcome: number): (m: number) => MemberReader {
  const kept = new Map<number, MemberReader>();
  return (m) => {
    const known = kept.get(m);
    if (known) return known;
    const reader = memberReader(solution, outcome, m);
    if (kept.size >= KEPT) kept.delete(kept.keys().next().value!);
    kept.set(m, reader);
    return reader;
  };
}

/** A column of one quantity along members, in its unit, noise left out. `read`: what stands in a row, SI. */
export function quantityColumnOf<R>(
  solution: Solution,
  outcome: number,
  quantity: Quantity,
  display: DisplayUnits,
  read: (row: R) => { readonly max: number; readonly min: number } | number | undefined,
): Column<R> {
  const unit = unitOfQuantity(quantity, display);
  const shown = (value: number): number => inUnit(quietValue(solution, outcome, quantity, value), unit);
  const spans = isRange(solution.outcomes[outcome]!);
  return {
    key: quantity,
    title: symbolOf(isPlane(solution.structure) ? 'plane' : 'space', quantity, display),
    unit,
    width: spans ? 1.1 : 0.75,
    value: (row): CellValue => {
      const found = read(row);
      if (found === undefined) return undefined;
      if (typeof found === 'number') return shown(found);
      return spans || found.max !== found.min ? { max: shown(found.max), min: shown(found.min) } : shown(found.max);
    },
  };
}
