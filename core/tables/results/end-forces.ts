import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { isByPlace, isRange } from '../../combinations/outcome';
import { enveloped } from '../../results/nodal-range';
import { placeReader } from '../../results/place-reader';
import { inLetterOrder, quantitiesOf, symbolOf, unitOfQuantity } from '../../results/quantities';
import { forces, type Force } from '../../results/derived/derived';
import { endAt, partsOf } from '../../results/read';
import type { Range } from '../../results/curve-points';
import type { Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import { quietValue } from '../../results/noise';
import type { CellValue, Column, Table } from '../column';
import { results as WORDS } from '../words';

/** One end of a member. */
export interface EndRow {
  readonly member: string;
  readonly index: number;
  readonly side: 'start' | 'end';
}

/** The internal forces right at both ends of every member, with the signs of the diagrams; of an envelope from the least to the greatest. */
export function endForcesTable(solution: Solution, outcome: number, display: DisplayUnits): Table<EndRow> {
  const told = quantitiesOf(solution.structure);
  const parts = partsOf(solution, outcome);
  const isOne = !isRange(solution.outcomes[outcome]!);
  const valueIn = (part: number, { index, side }: EndRow, force: Force): number | Range => {
    const one = solution.outcomes[part]!;
    if (isByPlace(one)) return placeReader(solution, part, one, index).atEnd(force, side);
    return endAt(solution, part, index, force, side);
  };
  const column = (force: Force): Column<EndRow> => {
    const unit = unitOfQuantity(force, display);
    const shown = (value: number): number => inUnit(quietValue(solution, outcome, force, value), unit);
    const value = (row: EndRow): CellValue => {
      if (isOne) return shown(valueIn(outcome, row, force) as number);
      const { max, min } = enveloped(parts, (part) => valueIn(part, row, force));
      return { max: shown(max), min: shown(min) };
    };
    return { key: force, title: symbolOf(isPlane(solution.structure) ? 'plane' : 'space', force, display), unit, value };
  };
  return {
    title: WORDS.endForces,
    columns: [
      { key: 'member', title: WORDS.member, value: ({ member }) => member },
      { key: 'end', title: WORDS.end, value: ({ side }) => (side === 'start' ? WORDS.start : WORDS.endOfIt) },
      ...inLetterOrder(
        forces.filter((force) => told.includes(force)),
        display,
      ).map(column),
    ],
    rows: solution.structure.names.members.flatMap((member, index) =>
      (['start', 'end'] as const).map((side) => ({ member, index, side })),
    ),
  };
}
