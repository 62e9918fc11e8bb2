import { alongAxis } from '../../quantities/axis-names';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { nodalRange } from '../../results/nodal-range';
import { quiet, sizesOf } from '../../results/noise';
import { isReadByPlace, nodalAt } from '../../results/read';
import type { Solution } from '../../results/results';
import type { Column, Table } from '../column';
import { results as WORDS } from '../words';
import { forceComponent, inComponentOrder } from './components';

/** The greatest or the least of one component at a support, and the outcome in which that is. */
export interface FoundationRow {
  readonly node: string;
  readonly index: number;
  /** 0 to 5, global, and which of its extremes. */
  readonly component: number;
  readonly side: 'max' | 'min';
  readonly from: number;
}

/**
 * What a foundation has to take: of an envelope the extremes of each component that there is at each support, each with all components that act at the same time, in its own outcome. Undefined
 * where there is one outcome only, and where trains travel, which do not stand in one place for all components.
 */
export function foundationTable(solution: Solution, outcome: number, display: DisplayUnits): Table<FoundationRow> | undefined {
  if (solution.outcomes[outcome]?.kind !== 'envelope' || isReadByPlace(solution, outcome)) return undefined;
  const { active, names } = solution.structure;
  const sizes = sizesOf(solution, outcome);
  const sizeOf = (k: number): number => (k < 3 ? sizes.force : sizes.couple);
  const order = inComponentOrder(active, display);
  const told = (k: number, value: number): number => {
    const component = forceComponent(k, active, display);
    return alongAxis(component, inUnit(quiet(value, sizeOf(k)), k < 3 ? display.force : display.moment));
  };
  const rows = names.nodes.flatMap((node, index): FoundationRow[] => {
    if (!solution.supported[index]) return [];
    return order.flatMap((component): FoundationRow[] => {
      const { max, min, maxFrom, minFrom } = nodalRange(solution, outcome, 'reactions', 6 * index + component);
      if (quiet(max, sizeOf(component)) === 0 && quiet(min, sizeOf(component)) === 0) return [];
      // An axis that is named the other way turns the greatest into the least.
      const { sign } = forceComponent(component, active, display);
      const [most, least] = sign < 0 ? [minFrom, maxFrom] : [maxFrom, minFrom];
      return [
        { node, index, component, side: 'max', from: most },
        { node, index, component, side: 'min', from: least },
      ];
    });
  });
  const column = (k: number): Column<FoundationRow> => ({
    key: forceComponent(k, active, display).name,
    title: forceComponent(k, active, display).name,
    unit: k < 3 ? display.force : display.moment,
    value: ({ index, from }) => told(k, nodalAt(solution, from, 'reactions', 6 * index + k)),
  });
  const there = order.filter((k) => rows.some(({ component }) => component === k));
  return {
    title: WORDS.foundations,
    columns: [
      { key: 'node', title: WORDS.node, value: ({ node }) => node },
      {
        key: 'what',
        title: WORDS.extreme,
        value: ({ component, side }) => WORDS.sideOf[side](forceComponent(component, active, display).name),
      },
      ...there.map(column),
      { key: 'by', title: WORDS.governs, value: ({ from }) => solution.outcomes[from]!.id },
    ],
    rows,
  };
}
