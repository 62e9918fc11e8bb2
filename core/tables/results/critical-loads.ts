import type { Shape } from '../../combinations/outcome';
import type { Solution } from '../../results/results';
import type { Table } from '../column';
import { criticalLoads as WORDS } from './shape-words';

/** The critical loads of a solution, each by what it is of and its factor; undefined where none were found. */
export function criticalLoadsTable({ outcomes }: Solution): Table<Shape> | undefined {
  const rows = outcomes.filter((one): one is Shape => one.kind === 'shape' && one.measure === 'factor');
  if (rows.length === 0) return undefined;
  return {
    title: WORDS.title,
    columns: [
      { key: 'name', title: WORDS.name, width: 2, value: ({ id }) => id },
      { key: 'of', title: WORDS.of, value: ({ of }) => (of === undefined ? '' : outcomes[of]!.id) },
      { key: 'factor', title: WORDS.factor, value: ({ value }) => value },
    ],
    rows,
  };
}
