import type { Model } from '../../model/model';
import { inUnit, showNumber } from '../../quantities/show';
import { unitOf, type DisplayUnits } from '../../quantities/display';
import { isRange } from '../../combinations/outcome';
import { extremesOverMembers } from '../../results/extremes-over-members';
import { quantitiesOf, type Quantity } from '../../results/quantities';
import type { Solution } from '../../results/results';
import { billOf, together } from '../../sections/bill';
import type { Table } from '../column';
import { compared as WORDS } from '../words';
import { largestMovement } from '../../results/movement';

/** A model with what was found in one outcome of it. */
export interface Compared {
  readonly model: Model;
  readonly solution: Solution;
  readonly outcome: number;
}

/** A figure of two states; undefined where one does not have it. SI. */
export interface ComparedRow {
  readonly what: string;
  readonly unit: string;
  readonly before: number | undefined;
  readonly after: number | undefined;
}

/** The largest size of some quantities over all members. */
function largest({ solution, outcome }: Compared, quantities: readonly Quantity[]): number | undefined {
  const told = new Set(quantitiesOf(solution.structure));
  const sizes = quantities.flatMap((quantity) => {
    const found = told.has(quantity) ? extremesOverMembers(solution, outcome, quantity) : undefined;
    return found ? [Math.abs(found.max.value), Math.abs(found.min.value)] : [];
  });
  return sizes.length > 0 ? Math.max(...sizes) : undefined;
}

const movement = ({ solution, outcome }: Compared): number | undefined =>
  isRange(solution.outcomes[outcome]!) ? undefined : largestMovement(solution, outcome)?.size;

/** What one asks of two states beside each other: mass, largest moment, shear, axial force, movement and stress, then and now. */
export function comparedTable(before: Compared, after: Compared, display: DisplayUnits): Table<ComparedRow> {
  const row = (what: string, unit: string, of: (one: Compared) => number | undefined): ComparedRow => ({
    ...{ what, unit },
    before: of(before),
    after: of(after),
  });
  const rows = [
    row(WORDS.mass, 'kg', ({ model }) => together(billOf(model)).mass),
    row(WORDS.moment, display.moment, (one) => largest(one, ['My', 'Mz'])),
    row(WORDS.shear, display.force, (one) => largest(one, ['Vy', 'Vz'])),
    row(WORDS.axial, display.force, (one) => largest(one, ['N'])),
    row(WORDS.movement, display.deflection, movement),
    row(WORDS.stress, unitOf('stress', display), (one) => largest(one, ['sigma'])),
  ].filter(({ before: a, after: b }) => (a ?? 0) !== 0 || (b ?? 0) !== 0);
  const told = (value: number | undefined, unit: string): string =>
    value === undefined ? '' : `${showNumber(inUnit(value, unit))} ${unit}`;
  return {
    title: WORDS.title,
    columns: [
      { key: 'what', title: '', value: ({ what }) => what },
      { key: 'before', title: WORDS.before, value: ({ before: value, unit }) => told(value, unit) },
      { key: 'after', title: WORDS.after, value: ({ after: value, unit }) => told(value, unit) },
      { key: 'change', title: WORDS.change, value: changeOf },
    ],
    rows,
  };
}

function changeOf({ before, after }: ComparedRow): string {
  if (before === undefined || after === undefined || before === 0) return '';
  const percent = (100 * (after - before)) / Math.abs(before);
  if (Math.abs(percent) < 0.05) return WORDS.same;
  return `${percent > 0 ? '+' : '−'}${showNumber(Math.abs(percent), 3)} %`;
}
