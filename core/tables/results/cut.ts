import type { Point } from '../../model/point';
import { isRange } from '../../combinations/outcome';
import { alongAxis } from '../../quantities/axis-names';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { bodyBalance, middleOf, type BodyBalance, type CutForce, type FreeBody } from '../../results/bodies/cut';
import type { MemberBody } from '../../results/bodies/member-body';
import type { Joint } from '../../results/bodies/joint';
import { about, atPoint, nodePoint, NOTHING, plus } from '../../results/bodies/vectors';
import { quiet } from '../../results/noise';
import { inLetterOrder, quantitiesOf, symbolOf, unitOfQuantity } from '../../results/quantities';
import { forces } from '../../results/derived/derived';
import { partsOf } from '../../results/read';
import { responseOf } from '../../results/sums';
import type { Resultant, Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import type { Column, Table } from '../column';
import { cut as WORDS, results as RESULTS } from '../words';
import { forceComponent, inComponentOrder } from './components';

/** A sum of forces and couples about a point, N and N·m, and what it is of. */
export interface SumRow {
  readonly what: string;
  readonly sum: Resultant;
}

/** Columns of forces along the axes and couples about a point, in the reader's axes and units; what is noise beside `size` is nothing. */
function sumColumns(active: readonly number[], display: DisplayUnits, size: (row: SumRow) => number): readonly Column<SumRow>[] {
  return inComponentOrder(active, display).map((k): Column<SumRow> => {
    const component = forceComponent(k, active, display);
    const unit = k < 3 ? display.force : display.moment;
    return {
      key: component.name,
      title: component.name,
      unit,
      value: (row) => alongAxis(component, inUnit(quiet(row.sum[k]!, size(row)), unit)),
    };
  });
}

const largest = (rows: readonly SumRow[]): number => Math.max(0, ...rows.flatMap(({ sum }) => sum.map(Math.abs)));

/** A table of sums; the last row is what is left of them. */
function sumsTable(title: string, rows: readonly SumRow[], active: readonly number[], display: DisplayUnits): Table<SumRow> {
  const size = largest(rows);
  const left = { what: WORDS.left, sum: rows.reduce((sum, one) => plus(sum, one.sum), NOTHING) };
  return {
    title,
    columns: [{ key: 'what', title: '', value: ({ what }) => what }, ...sumColumns(active, display, () => size)],
    rows: [...rows, left],
  };
}

/** What goes through a cut and what holds it in balance on the body, about the middle of the cut; `at`: that middle. */
export function bodyTable(balance: BodyBalance, at: Point, active: readonly number[], display: DisplayUnits): Table<SumRow> {
  const { through, applied, reactions, residual } = balance;
  const rows = [
    { what: WORDS.through, sum: about(at, through) },
    { what: RESULTS.loads, sum: about(at, applied) },
    { what: RESULTS.reactions, sum: about(at, reactions) },
  ];
  const whole = sumsTable(WORDS.body, rows, active, display);
  // What hangs together beside the cut is no body of its own: only what goes through is told.
  return residual === undefined ? { ...whole, rows: rows.slice(0, 1) } : whole;
}

/** All that acts on a joint, about its node. */
export function jointTable({ members, applied, reaction }: Joint, solution: Solution, display: DisplayUnits): Table<SumRow> {
  const { names, active } = solution.structure;
  const isAny = (sum: Resultant): boolean => sum.some((value) => value !== 0);
  const rows = [
    ...members.map(({ member, force }) => ({ what: WORDS.fromMember(names.members[member]!), sum: force })),
    ...(isAny(applied) ? [{ what: RESULTS.loads, sum: applied }] : []),
    ...(isAny(reaction) ? [{ what: WORDS.reaction, sum: reaction }] : []),
  ];
  return sumsTable(WORDS.joint, rows, active, display);
}

/** A member between its nodes, about its start: the axes of the structure. */
export function memberBodyTable(
  { start, end, applied, displaced }: MemberBody,
  active: readonly number[],
  display: DisplayUnits,
): Table<SumRow> {
  const rows = [
    { what: WORDS.atStart, sum: start },
    { what: WORDS.atEnd, sum: end },
    { what: RESULTS.loads, sum: applied },
    ...(displaced.some((value) => value !== 0) ? [{ what: WORDS.displaced, sum: displaced }] : []),
  ];
  return sumsTable(WORDS.member, rows, active, display);
}

/** What some supports exert together, about the middle between them: of foundations that share a pad. */
export function supportsTable(
  solution: Solution,
  outcome: number,
  nodes: readonly number[],
  display: DisplayUnits,
): Table<SumRow> {
  const { structure } = solution;
  const { reactions } = responseOf(solution, outcome)!;
  const points = nodes.map((node) => nodePoint(structure, node));
  const at = [0, 1, 2].map((k) => points.reduce((sum, point) => sum + point[k]!, 0) / nodes.length) as unknown as Point;
  const rows = nodes.map((node, i): SumRow => {
    const [fx, fy, fz, mx, my, mz] = reactions.subarray(6 * node, 6 * node + 6) as unknown as Resultant;
    return { what: structure.names.nodes[node]!, sum: about(at, atPoint(points[i]!, [fx, fy, fz], [mx, my, mz])) };
  });
  return sumsTable(WORDS.supports, rows, structure.active, display);
}

/** What goes through a cut in every case and sum; of an envelope in each that makes it. */
export function cutByOutcome(solution: Solution, outcome: number, body: FreeBody, display: DisplayUnits): Table<SumRow> {
  const { structure, outcomes } = solution;
  const at = middleOf(structure, body.places);
  const all = isRange(outcomes[outcome]!) ? partsOf(solution, outcome) : outcomes.map((_, i) => i);
  const rows = all.flatMap((one): SumRow[] =>
    isRange(outcomes[one]!) || outcomes[one]!.kind === 'shape'
      ? []
      : [{ what: outcomes[one]!.id, sum: about(at, bodyBalance(solution, one, body).through) }],
  );
  const size = largest(rows);
  return {
    title: WORDS.byOutcome,
    columns: [
      { key: 'outcome', title: RESULTS.outcome, value: ({ what }) => what },
      ...sumColumns(structure.active, display, () => size),
    ],
    rows,
  };
}

/** The forces in each cut member, with the signs of the diagrams. */
export function facesTable(balance: BodyBalance, solution: Solution, display: DisplayUnits): Table<CutForce> {
  const { structure } = solution;
  const told = quantitiesOf(structure);
  const size = Math.max(0, ...balance.cut.flatMap(({ inside }) => inside.map(Math.abs)));
  return {
    title: WORDS.faces,
    columns: [
      { key: 'member', title: RESULTS.member, value: ({ place }) => structure.names.members[place.member] },
      { key: 'x', title: RESULTS.at, unit: display.length, value: ({ place }) => inUnit(place.x, display.length) },
      ...inLetterOrder(
        forces.filter((force) => told.includes(force)),
        display,
      ).map((force): Column<CutForce> => {
        const unit = unitOfQuantity(force, display);
        return {
          key: force,
          title: symbolOf(isPlane(structure) ? 'plane' : 'space', force, display),
          unit,
          value: ({ inside }) => inUnit(quiet(inside[forces.indexOf(force)]!, size), unit),
        };
      }),
    ],
    rows: balance.cut,
  };
}

/** Whether a body is in balance, in a sentence. */
export const balanceWords = (residual: number | undefined): string =>
  residual === undefined ? WORDS.noBalance : WORDS.balances(residual > 0 ? Math.floor(-Math.log10(residual)) : Infinity);
