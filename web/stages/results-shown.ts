import type { Component } from '@rigid-beam/core/influence/effect';
import { isHeld } from '@rigid-beam/core/influence/read-effect';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { isReadByPlace, partsOf } from '@rigid-beam/core/results/read';
import type { Solution } from '@rigid-beam/core/results/results';
import { inComponentOrder } from '@rigid-beam/core/tables/results/components';
import { extremesTable } from '@rigid-beam/core/tables/results/extremes';
import { reactionsTable } from '@rigid-beam/core/tables/results/nodal';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';

/** Whether the ground moves in an outcome, or in a part of it. */
export const isEarthquake = (solution: Solution, outcome: number): boolean =>
  partsOf(solution, outcome).some((part) => solution.outcomes[part]!.kind === 'spectral');

/** Whether each support of an outcome takes sets of forces that do not act at one time. */
export const hasFoundations = (solution: Solution, outcome: number): boolean =>
  solution.outcomes[outcome]?.kind === 'envelope' && !isReadByPlace(solution, outcome);

/** Reactions without the columns of what no support holds, which are zero throughout; `componentAt`: what a cell tells of, where its support holds it. */
export function reactionsShown(solution: Solution, outcome: number, display: DisplayUnits) {
  const { structure } = solution;
  const order = inComponentOrder(structure.active, display) as readonly Component[];
  const all = reactionsTable(solution, outcome, display);
  const kept = order.filter((component) => all.rows.some(({ index }) => isHeld(structure, index, component)));
  const columns = all.columns.filter((_, i) => i === 0 || kept.includes(order[i - 1]!));
  const componentAt = (column: (typeof columns)[number], node: number): Component | undefined => {
    const component = kept[columns.indexOf(column) - 1];
    return component !== undefined && isHeld(structure, node, component) ? component : undefined;
  };
  return { table: { ...all, columns }, componentAt };
}

/** Columns of the extremes that a panel has room for. */
const IN_THE_PANEL: readonly string[] = ['quantity', 'value', 'member', 'at'];

/** Extremes of what there is any of: `whole` as it is copied, `table` as much of it as a panel has room for. */
export function extremesShown(solution: Solution, outcome: number, display: DisplayUnits) {
  const all = extremesTable(solution, outcome, display, (quantity) => governingValues(solution, outcome, quantity));
  const there = new Set(all.rows.flatMap(({ quantity, value }) => (value === 0 ? [] : [quantity])));
  const whole = { ...all, rows: all.rows.filter(({ quantity }) => there.has(quantity)) };
  return { whole, table: { ...whole, columns: all.columns.filter(({ key }) => IN_THE_PANEL.includes(key)) } };
}
