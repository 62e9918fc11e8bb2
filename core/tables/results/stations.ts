import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { inLetterOrder, lineQuantities, quantitiesOf } from '../../results/quantities';
import type { Solution } from '../../results/results';
import type { Table } from '../column';
import { results as WORDS } from '../words';
import { membersRead, quantityColumnOf } from './own-reader';

/** A place of a member, metres from its start. */
export interface StationRow {
  readonly member: string;
  readonly index: number;
  readonly x: number;
}

/**
 * Forces, and deflections beside the member, at `places` places of every member, evenly spaced from its start to its end: at a jump the value
 * just behind it, at the member's end that before it; of an envelope from the least to the greatest.
 */
export function stationsTable(solution: Solution, outcome: number, display: DisplayUnits, places: number): Table<StationRow> {
  const { names, lengths } = solution.structure;
  const read = membersRead(solution, outcome);
  const told = quantitiesOf(solution.structure);
  const rows = names.members.flatMap((member, index) =>
    Array.from({ length: places }, (_, i): StationRow => ({ member, index, x: (lengths[index]! * i) / (places - 1) })),
  );
  const quantities = inLetterOrder(
    lineQuantities.filter((one) => told.includes(one)),
    display,
  );
  return {
    title: WORDS.stations,
    columns: [
      { key: 'member', width: 0.75, title: WORDS.member, value: ({ member }) => member },
      {
        key: 'x',
        width: 0.75,
        title: WORDS.at,
        unit: display.length,
        value: ({ x }) => inUnit(x, display.length),
        digits: () => 6,
      },
      ...quantities.map((quantity) =>
        quantityColumnOf<StationRow>(solution, outcome, quantity, display, ({ index, x }) => read(index).at(quantity, x)),
      ),
    ],
    rows,
  };
}
