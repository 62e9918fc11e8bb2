import type { Model } from '../model/model';
import { displayOf } from '../quantities/display';
import type { Results } from '../results/results';
import { arranged, type Sorted } from './arranged';
import type { Table } from './column';
import { readConditions } from './conditions';
import { cuttingList } from './cutting-list';
import { isResultList, resultLists, resultTable, type AskedList, type ResultList } from './results/lists';
import { scheduleLists, schedules, type ScheduleList } from './schedules/lists';
import { askedTable as WORDS } from './words';

/** Every table that can be asked for by name: lists of the model, what is cut for it, then results. */
export const tableNames = [...scheduleLists, 'cuttingList', ...resultLists] as const;
export type TableName = (typeof tableNames)[number];
export const isTableName = (name: string): name is TableName => (tableNames as readonly string[]).includes(name);

/** Which rows of a table, and of which outcome. */
export interface AskedTable {
  readonly name: TableName;
  /** The id of a case or combination; the first one where nothing is said. */
  readonly outcome?: string;
  readonly of: AskedList['of'];
  readonly places: number;
  readonly where?: string;
  readonly sorted?: Sorted;
}

/** A table as it is asked for, or why there is none. `results`: what an analysis finds, asked for where it is needed. */
export function askedTable(model: Model, results: () => Results, asked: AskedTable): Table<never> | string {
  const whole = isResultList(asked.name) ? ofResults(model, results(), asked) : modelTable(model, asked.name);
  return typeof whole === 'string' ? whole : narrowed(whole as unknown as Table<object>, asked);
}

/** A list of the model as a table. */
export const modelTable = (model: Model, name: ScheduleList | 'cuttingList'): Table<never> => {
  if (name === 'cuttingList') return cuttingList(model) as unknown as Table<never>;
  const kind = schedules[name];
  return { title: kind.words, columns: kind.columns(model), rows: kind.rows(model) } as unknown as Table<never>;
};

function ofResults(
  model: Model,
  { solution, status }: Results,
  { name, outcome, of, places }: AskedTable,
): Table<never> | string {
  if (!solution) return WORDS.noResults(status);
  const at = outcome === undefined ? 0 : solution.outcomes.findIndex(({ id }) => id === outcome);
  if (at < 0) return WORDS.noOutcome(outcome!, solution.outcomes.map(({ id }) => id).join(', '));
  const table = resultTable(solution, name as ResultList, { outcome: at, of, places }, displayOf(model));
  return table ? (table as unknown as Table<never>) : WORDS.notThere(WORDS.lists[name as ResultList], solution.outcomes[at]!.id);
}

function narrowed(table: Table<object>, { where = '', sorted }: AskedTable): Table<never> | string {
  const conditions = readConditions(where, table.columns);
  if (!conditions.ok) return conditions.reason;
  if (sorted && !table.columns.some(({ key, title }) => key === sorted.key || title === sorted.key))
    return WORDS.noColumn(sorted.key, table.columns.map(({ title }) => title).join(', '));
  if (where.trim() === '' && !sorted) return table as unknown as Table<never>;
  const by = sorted && table.columns.find(({ key, title }) => key === sorted.key || title === sorted.key)!.key;
  const reading = arranged(table, {
    ...(where.trim() !== '' && { holds: conditions.holds }),
    ...(sorted && by !== undefined && { sorted: { ...sorted, key: by } }),
  });
  for (let step = reading.next(); ; step = reading.next())
    if (step.done) return { ...table, rows: Array.from(step.value, (i) => table.rows[i]!) } as unknown as Table<never>;
}
