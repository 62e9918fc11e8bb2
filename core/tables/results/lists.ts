import { partsOf } from '../../results/read';
import type { DisplayUnits } from '../../quantities/display';
import type { Quantity } from '../../results/quantities';
import type { Solution } from '../../results/results';
import type { Column, Table } from '../column';
import { results as WORDS } from '../words';
import { baseShearTable } from './base-shear';
import { bucklingLengthsTable } from './buckling-lengths';
import { endForcesTable } from './end-forces';
import { foundationTable } from './foundation';
import { memberExtremesTable } from './member-extremes';
import { harmonicTable } from './harmonic';
import { massesTable, naturalModesTable } from './natural-modes';
import { displacementsTable, reactionsTable } from './nodal';
import { stationsTable } from './stations';

/** Results that have a schedule. */
export const resultLists = [
  'displacements',
  'reactions',
  'foundations',
  'endForces',
  'stations',
  'memberExtremes',
  'bucklingLengths',
  'naturalModes',
  'masses',
  'harmonic',
  'baseShear',
] as const;
export type ResultList = (typeof resultLists)[number];

export const isResultList = (name: string): name is ResultList => (resultLists as readonly string[]).includes(name);

/** What is asked for: of an outcome, or of each of those that make it; places along each member where that is asked. */
export interface AskedList {
  readonly outcome: number;
  readonly of: 'itself' | 'each of its parts';
  readonly places: number;
  /** Whether there is anything of a quantity in the outcome, where that is known. */
  readonly isThere?: (quantity: Quantity) => boolean;
}

/** What a list asks for besides the solution and the outcome. */
type Besides = Required<Pick<AskedList, 'places' | 'isThere'>>;

/** A row of a schedule of results: whose it is, and in which outcome. */
export interface ResultRow {
  readonly node?: string;
  readonly member?: string;
  readonly outcome: number;
}

/** How many places along a member may be asked for. */
export const PLACES = { least: 2, usual: 5, most: 101 } as const;

interface Listed {
  /** Undefined where there is no such thing in an outcome. */
  readonly table: (solution: Solution, outcome: number, display: DisplayUnits, besides: Besides) => Table<never> | undefined;
  readonly node?: (row: never) => string;
  readonly member?: (row: never) => string;
  /** It is the same whatever outcome is looked at; rows may each belong to one, by its name. */
  readonly ofAll?: true;
  readonly outcome?: (row: never) => string;
}

const listed = <R>(one: {
  readonly table: (solution: Solution, outcome: number, display: DisplayUnits, besides: Besides) => Table<R> | undefined;
  readonly node?: (row: R) => string;
  readonly member?: (row: R) => string;
  readonly ofAll?: true;
  readonly outcome?: (row: R) => string;
}): Listed => one as unknown as Listed;

/** Every schedule of results; a new one is entered here. */
const lists: Readonly<Record<ResultList, Listed>> = {
  displacements: listed({ table: displacementsTable, node: ({ id }) => id }),
  reactions: listed({ table: reactionsTable, node: ({ id }) => id }),
  foundations: listed({ table: foundationTable, node: ({ node }) => node }),
  endForces: listed({ table: endForcesTable, member: ({ member }) => member }),
  stations: listed({
    table: (solution, outcome, display, { places }) => stationsTable(solution, outcome, display, places),
    member: ({ member }) => member,
  }),
  memberExtremes: listed({
    table: (solution, outcome, display, { isThere }) => memberExtremesTable(solution, outcome, display, isThere),
    member: ({ member }) => member,
  }),
  bucklingLengths: listed({ table: bucklingLengthsTable, member: ({ id }) => id }),
  naturalModes: listed({ table: naturalModesTable, ofAll: true, outcome: ({ id }) => id }),
  harmonic: listed({ table: harmonicTable, ofAll: true }),
  masses: listed({ table: massesTable, ofAll: true }),
  baseShear: listed({ table: baseShearTable, ofAll: true }),
};

export const resultListWords = (list: ResultList): string => WORDS.lists[list];

/** Whether rows of a list stand for places along members. */
export const hasPlaces = (list: ResultList): boolean => list === 'stations';

/**
 * A schedule of results. Its rows are there at once, what stands in them is found when it is asked for. Of each part of an envelope the rows
 * come one outcome after the other, with a column that tells which.
 */
export function resultTable(
  solution: Solution,
  list: ResultList,
  { outcome, of, places, isThere = () => true }: AskedList,
  display: DisplayUnits,
): Table<ResultRow> | undefined {
  const { table, node, member, ofAll, outcome: ownOf } = lists[list];
  const single = of === 'itself' || ofAll;
  const outcomes = single ? [outcome] : partsOf(solution, outcome);
  const all = outcomes.map((one) => table(solution, one, display, { places, isThere }) as Table<object> | undefined);
  const first = all[0];
  if (!first) return undefined;
  const rows = outcomes.flatMap((one, i) =>
    (all[i]?.rows ?? []).map((row): Held => ({
      row,
      part: i,
      outcome: ownOf ? solution.outcomes.findIndex(({ id }) => id === ownOf(row as never)) : one,
      ...(node && { node: node(row as never) }),
      ...(member && { member: member(row as never) }),
    })),
  );
  const columns = first.columns.map((column, c): Column<Held> => ({
    ...column,
    value: ({ row, part }) => all[part]!.columns[c]!.value(row),
    ...(column.digits && { digits: ({ row }) => column.digits!(row) }),
  }));
  const which: Column<Held> = { key: 'outcome', title: WORDS.outcome, value: ({ outcome: own }) => solution.outcomes[own]!.id };
  return { title: first.title, columns: single ? columns : [which, ...columns], rows } as unknown as Table<ResultRow>;
}

interface Held extends ResultRow {
  readonly row: object;
  /** Which of the outcomes' tables it is from. */
  readonly part: number;
}
