import { isRange } from '../../combinations/outcome';
import { unitOf, type DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { nodalRange } from '../../results/nodal-range';
import { quiet, sizesOf } from '../../results/noise';
import { nodalAt } from '../../results/read';
import type { Solution } from '../../results/results';
import type { CellValue, Column, Table } from '../column';
import { results as WORDS } from '../words';
import { alongAxis } from '../../quantities/axis-names';
import { forceComponent, inComponentOrder, movementComponent, type Component } from './components';

/** A node of a solved structure. */
export interface NodeRow {
  readonly id: string;
  readonly index: number;
}

const MILLI = 1e-3;

/** What the supports exert on the structure, node by node: N and N·m, noise left out; of an envelope from the least to the greatest. */
export function reactionsTable(solution: Solution, outcome: number, display: DisplayUnits): Table<NodeRow> {
  const { active, names } = solution.structure;
  const sizes = sizesOf(solution, outcome);
  const column = (k: number): Column<NodeRow> => {
    const [unit, size] = k < 3 ? [display.force, sizes.force] : [display.moment, sizes.couple];
    const component = forceComponent(k, active, display);
    const read = reader(solution, outcome, 'reactions', component, (value) => inUnit(quiet(value, size), unit));
    return { key: component.name, title: component.name, unit, value: ({ index }) => read(6 * index + k) };
  };
  const rows = names.nodes.flatMap((id, index) => (solution.supported[index] ? [{ id, index }] : []));
  return { title: WORDS.reactions, columns: [nodeColumn, ...inComponentOrder(active, display).map(column)], rows };
}

/** How all nodes move: lengths as deflections are shown, turns in mrad. */
export function displacementsTable(solution: Solution, outcome: number, display: DisplayUnits): Table<NodeRow> {
  const { active, names } = solution.structure;
  const column = (k: number): Column<NodeRow> => {
    const unit = k < 3 ? display.deflection : 'mrad';
    const component = movementComponent(k, active, display);
    const read = reader(solution, outcome, 'displacements', component, (value) => (k < 3 ? inUnit(value, unit) : value / MILLI));
    return { key: component.name, title: component.name, unit, value: ({ index }) => read(6 * index + k) };
  };
  return {
    title: WORDS.displacements,
    columns: [nodeColumn, ...inComponentOrder(active, display).map(column)],
    rows: names.nodes.map((id, index) => ({ id, index })),
  };
}

const nodeColumn: Column<NodeRow> = { key: 'node', title: WORDS.node, value: ({ id }) => id };

function reader(
  solution: Solution,
  outcome: number,
  what: 'reactions' | 'displacements',
  component: Component,
  shown: (value: number) => number,
): (freedom: number) => CellValue {
  const along = (value: number): number => shown(alongAxis(component, value));
  if (!isRange(solution.outcomes[outcome]!)) return (freedom) => along(nodalAt(solution, outcome, what, freedom));
  return (freedom) => {
    const { max, min } = nodalRange(solution, outcome, what, freedom);
    const [a, b] = [along(max), along(min)];
    // An axis that is named the other way turns the greatest into the least.
    return { max: Math.max(a, b), min: Math.min(a, b) };
  };
}

/** What loads and reactions add up to, about the origin; of a case or sum. */
export function balanceTable(
  { equilibrium: { applied, reactions, size } }: Pick<Solution['responses'][number], 'equilibrium'>,
  active: readonly number[],
  display: DisplayUnits,
): Table<BalanceRow> {
  const column = (k: number): Column<BalanceRow> => {
    const component = forceComponent(k, active, display);
    const unit = unitOf(k < 3 ? 'force' : 'moment', display);
    const title = k < 3 ? component.name : WORDS.aboutOrigin(component.name);
    return { key: component.name, title, unit, value: ({ sum }) => alongAxis(component, inUnit(quiet(sum[k]!, size), unit)) };
  };
  return {
    title: WORDS.balance,
    columns: [{ key: 'what', title: '', value: ({ what }) => what }, ...inComponentOrder(active, display).map(column)],
    rows: [
      { what: WORDS.loads, sum: applied },
      { what: WORDS.reactions, sum: reactions },
    ],
  };
}

interface BalanceRow {
  readonly what: string;
  readonly sum: readonly number[];
}
