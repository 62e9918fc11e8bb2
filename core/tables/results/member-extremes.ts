import { isByPlace } from '../../combinations/outcome';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import type { Extreme } from '../../results/extreme';
import { diagramOf } from '../../results/diagram';
import { quietValue } from '../../results/noise';
import {
  inLetterOrder,
  isLine,
  lineQuantities,
  quantitiesOf,
  quantityTable,
  symbolOf,
  unitOfQuantity,
  type LineQuantity,
  type Quantity,
} from '../../results/quantities';
import { BESIDE, valueIn } from '../../results/read';
import { quantityExtremes } from '../../results/read-quantity';
import type { Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import type { Table } from '../column';
import { results as WORDS } from '../words';
import { quantityColumnOf } from './own-reader';

/** The greatest or the least value of a quantity on a member. */
export interface MemberExtremeRow {
  readonly member: string;
  readonly index: number;
  readonly quantity: Quantity;
  readonly side: 'max' | 'min';
}

/**
 * What governs in every member: the extremes of each force, exact, with their place, all other forces at the same place in the same outcome,
 * and that outcome; `isThere`: of which there is anything at all. Where trains travel, others are not known: each has a worst place of its own.
 */
export function memberExtremesTable(
  solution: Solution,
  outcome: number,
  display: DisplayUnits,
  isThere: (quantity: Quantity) => boolean,
): Table<MemberExtremeRow> {
  const { structure } = solution;
  const told = quantitiesOf(structure);
  const space = isPlane(structure) ? 'plane' : 'space';
  const forces = inLetterOrder(
    lineQuantities.filter((one) => told.includes(one) && quantityTable[one].dimension !== 'length' && isThere(one)),
    display,
  );
  const rows = structure.names.members.flatMap((member, index) =>
    forces.flatMap((quantity) => (['max', 'min'] as const).map((side): MemberExtremeRow => ({ member, index, quantity, side }))),
  );
  // The cells of a row, and of the other side, ask for the same.
  let last: { readonly key: string; readonly found: ReturnType<typeof quantityExtremes> } | undefined;
  const extremeOf = ({ index, quantity, side }: MemberExtremeRow): Extreme | undefined => {
    const key = `${index} ${quantity}`;
    if (last?.key !== key) last = { key, found: quantityExtremes(solution, outcome, index, quantity) };
    return last.found?.[side];
  };
  const concurrent = (row: MemberExtremeRow, other: LineQuantity): number | undefined => {
    const extreme = extremeOf(row);
    if (!extreme || row.quantity === other) return extreme?.value;
    if (isByPlace(solution.outcomes[extreme.from]!)) return undefined;
    const diagram = diagramOf(solution, extreme.from, row.index);
    const { x, value } = extreme;
    // An extreme may be the value before a jump.
    const isBehind =
      !isLine(row.quantity) || Math.abs(valueIn(diagram, row.quantity, x) - value) <= 1e-6 * Math.max(Math.abs(value), 1e-9);
    return valueIn(diagram, other, isBehind || x === 0 ? x : Math.max(0, x - BESIDE * diagram.length));
  };
  return {
    title: WORDS.memberExtremes,
    columns: [
      { key: 'member', width: 0.75, title: WORDS.member, value: ({ member }) => member },
      {
        key: 'what',
        title: WORDS.extreme,
        value: ({ quantity, side }) => WORDS.sideOf[side](symbolOf(space, quantity, display)),
      },
      {
        key: 'value',
        title: WORDS.value,
        width: 0.75,
        value: (row) => {
          const extreme = extremeOf(row);
          return (
            extreme && inUnit(quietValue(solution, outcome, row.quantity, extreme.value), unitOfQuantity(row.quantity, display))
          );
        },
      },
      { key: 'unit', title: WORDS.unit, width: 0.6, value: ({ quantity }) => unitOfQuantity(quantity, display) },
      {
        key: 'x',
        title: WORDS.at,
        unit: display.length,
        width: 0.75,
        value: (row) => {
          const extreme = extremeOf(row);
          return extreme && inUnit(extreme.x, display.length);
        },
      },
      ...forces.map((force) =>
        quantityColumnOf<MemberExtremeRow>(solution, outcome, force, display, (row) => concurrent(row, force)),
      ),
      {
        key: 'by',
        width: 0.75,
        title: WORDS.governs,
        value: (row) => {
          const from = extremeOf(row)?.from;
          return from === undefined ? undefined : solution.outcomes[from]!.id;
        },
      },
    ],
    rows,
  };
}
