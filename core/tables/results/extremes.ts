import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import type { OverMembers } from '../../results/extremes-over-members';
import { quietValue } from '../../results/noise';
import {
  inLetterOrder,
  isLine,
  nameOf,
  quantitiesOf,
  quantityTable,
  unitOfQuantity,
  type Quantity,
} from '../../results/quantities';
import type { Solution } from '../../results/results';
import { trainsFor } from '../../results/travelling/where';
import { standingWords } from '../influence/standing';
import type { Table } from '../column';
import { results as WORDS } from '../words';

/** The largest or smallest value of a quantity in the whole structure. */
export interface ExtremeRow {
  readonly quantity: Quantity;
  readonly side: 'max' | 'min';
  /** SI, with its noise left out. */
  readonly value: number;
  readonly member: string;
  readonly x: number;
  /** The outcome that it comes from. */
  readonly from: number;
  /** Where the trains stand that travel in it; empty where none does. */
  readonly trains: string;
}

/** Of a magnitude only the largest value matters. */
const sidesOf = (quantity: Quantity): readonly ExtremeRow['side'][] =>
  quantityTable[quantity].derived?.isMagnitude ? ['max'] : ['max', 'min'];

/**
 * The extremes of every quantity over all members. `governing`: what finds those of one, which others may know already; without it a quantity is
 * left out.
 */
export function extremesTable(
  solution: Solution,
  outcome: number,
  display: DisplayUnits,
  governing: (quantity: Quantity) => OverMembers | undefined,
): Table<ExtremeRow> {
  const { structure } = solution;
  const rows = inLetterOrder(quantitiesOf(structure), display).flatMap((quantity) => {
    const found = governing(quantity);
    if (!found) return [];
    return sidesOf(quantity).map((side): ExtremeRow => {
      const { value, member, x, from } = found[side];
      const quiet = quietValue(solution, outcome, quantity, value);
      const trains =
        quiet !== 0 && isLine(quantity) ? trainsFor(solution, from, { m: member, quantity, x }, side === 'max' ? 1 : -1) : [];
      return {
        quantity,
        side,
        value: quiet,
        member: structure.names.members[member]!,
        x,
        from,
        trains: trains.map(({ travel, standing }) => standingWords(travel.path, standing, structure, display)).join('; '),
      };
    });
  });
  return {
    title: WORDS.extremes,
    columns: [
      { key: 'quantity', title: WORDS.quantity, value: ({ quantity }) => nameOf(structure, quantity, display) },
      { key: 'side', title: WORDS.side, value: ({ side }) => (side === 'max' ? WORDS.largest : WORDS.smallest) },
      { key: 'value', title: WORDS.value, value: ({ quantity, value }) => inUnit(value, unitOfQuantity(quantity, display)) },
      { key: 'unit', title: WORDS.unit, value: ({ quantity }) => unitOfQuantity(quantity, display) },
      { key: 'member', title: WORDS.member, value: ({ member }) => member },
      { key: 'at', title: WORDS.at, unit: display.length, value: ({ x }) => inUnit(x, display.length) },
      {
        key: 'by',
        title: WORDS.governs,
        value: ({ from, trains }) =>
          [...(from === outcome ? [] : [solution.outcomes[from]!.id]), ...(trains ? [trains] : [])].join(': ') || undefined,
      },
    ],
    rows,
  };
}
