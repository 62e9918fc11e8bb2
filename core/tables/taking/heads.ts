import type { Model } from '../../model/model';
import { dimensions, type DimensionName } from '../../quantities/dimension';
import { parseQuantity } from '../../quantities/parse';
import type { TypedColumn } from '../column';
import type { Catalogue } from '../schedules/list';
import type { Grid } from './grid';
import { takableKinds, takables, type TakableKind } from './takable';

/** A column of a table as it is taken: what it is, and the unit of its plain numbers where the file says one. */
export interface TakenColumn {
  /** The key of a column of the kind; undefined: it is not taken. */
  readonly key: string | undefined;
  readonly unit?: string;
}

/** A table of a file as it is understood: what its rows are, where they begin, and what its columns are. */
export interface Understood {
  readonly grid: Grid;
  /** Undefined: it is not taken. */
  readonly kind: TakableKind | undefined;
  /** The row of heads, and the first under it, counted from 0. */
  readonly head: number;
  readonly first: number;
  readonly columns: readonly TakenColumn[];
}

/** Rows at the top among which heads are looked for, and cells that tell whether a column fits. */
const TOP = 10;
const SAMPLE = 20;

const UNIT = /^(.*?)(?:\s*[([]\s*([^)\]]+?)\s*[)\]]|,\s*(\S+)|\s+in\s+(\S+))\s*$/u;
const IDLE = new Set(['coordinate', 'coordinates', 'coord', 'of', 'the']);

/** A text that is a unit, of whatever dimension. */
export const isUnit = (text: string): boolean =>
  /^[A-Za-z°/·*²³⁴\d^().]+$/u.test(text) &&
  !/^\d/u.test(text) &&
  (Object.keys(dimensions) as DimensionName[]).some((dimension) => parseQuantity(`1 ${text}`, dimension).ok);

/** A head without its marks, and its unit. */
export function readHead(text: string): { readonly name: string; readonly unit?: string } {
  const found = UNIT.exec(text.trim());
  const unit = found?.[2] ?? found?.[3] ?? found?.[4];
  if (found && unit !== undefined && isUnit(unit)) return { name: plain(found[1]!), unit };
  return { name: plain(text) };
}

/** Small letters and digits, with single spaces between words; idle words are left out unless there is nothing else. */
function plain(text: string): string {
  const words = text.toLowerCase().split(/[^\p{L}\d]+/u).filter(Boolean); // oxfmt-ignore
  const telling = words.filter((word) => !IDLE.has(word));
  return (telling.length > 0 ? telling : words).join(' ');
}

/** Columns of a kind by the name of a head: those that are called so, then those that others call so. */
function called(kind: TakableKind, model: Model, columns: readonly TypedColumn[]): (name: string) => readonly TypedColumn[] {
  const heads: Readonly<Record<string, readonly string[]>> = takables[kind].heads(model);
  return (name) => {
    const own = columns.filter(({ title, key }) => plain(title) === name || key.toLowerCase() === name);
    return [...own, ...columns.filter((column) => !own.includes(column) && heads[column.key]?.includes(name))];
  };
}

const isText = (cell: string): boolean => cell !== '' && !/^[+\-−]?[\d.,]+$/u.test(cell);

/** What each column is, if the rows under this head are of this kind; a column is taken once. */
function columnsAs(grid: Grid, at: number, kind: TakableKind, model: Model, catalogue?: Catalogue): readonly TakenColumn[] {
  const columns = takables[kind].columns(model, catalogue);
  const find = called(kind, model, columns);
  const sample = grid.rows.slice(at + 1, at + 1 + SAMPLE);
  const taken = new Set<string>();
  return (grid.rows[at] ?? []).map((head, c) => {
    const { name, unit } = readHead(head);
    const free = name === '' ? [] : find(name).filter(({ key }) => !taken.has(key));
    // “Start” may be a joint or a node: the first that understands a cell under it, else the first.
    const cells = sample.map((row) => row[c] ?? '').filter((cell) => cell !== '');
    const row = takables[kind].fresh(model, '');
    const takes = (column: TypedColumn): boolean =>
      !column.computed && cells.some((cell) => typeof column.take(row, typed(cell, unit, column)) !== 'string');
    const column = free.length > 1 ? (free.find(takes) ?? free[0]) : free[0];
    if (!column) return { key: undefined, ...(unit && { unit }) };
    taken.add(column.key);
    // What follows from the model is understood, and not taken.
    const key = column.computed && column.key !== 'id' ? undefined : column.key;
    return { key, ...(unit && { unit }) };
  });
}

const DEGREES = ['°', 'deg'];

/** The text of a cell as it is typed into a column: a plain number with the unit that its head says, where that is another than the column's. */
export function typed(cell: string, unit: string | undefined, column: TypedColumn): string {
  if (unit === undefined || column.unit === undefined || unit === column.unit) return cell;
  if (column.unit === '°' && DEGREES.includes(unit)) return cell;
  return /^[+\-−]?[\d.]+(?:e[+-]?\d+)?$/iu.test(cell) ? `${cell} ${unit}` : cell;
}

/** What a table is understood as, by what it is called and by its heads; the rows of no kind are not taken. */
export function understand(grid: Grid, model: Model, catalogue?: Catalogue): Understood {
  const title = plain(grid.title);
  let best: { score: number; kind: TakableKind | undefined; head: number; columns: readonly TakenColumn[] } = {
    ...{ score: 0, kind: undefined, head: 0, columns: (grid.rows[0] ?? []).map(() => ({ key: undefined })) },
  };
  for (let head = 0; head < Math.min(TOP, grid.rows.length); head++) {
    if (grid.rows[head]!.filter(isText).length < 2) continue;
    for (const kind of takableKinds) {
      const columns = columnsAs(grid, head, kind, model, catalogue);
      const keys = new Set(columns.flatMap(({ key }) => key ?? []));
      const lacks = takables[kind].needs(model).some((group) => !group.some((key) => keys.has(key)));
      const isCalled = plain(takables[kind].words) === title;
      // A table that lacks what its rows need is understood only by its name.
      if (keys.size < 2 || (lacks && !isCalled)) continue;
      const score = keys.size + (isCalled ? 100 : 0);
      if (score > best.score) best = { score, kind, head, columns };
    }
  }
  return { grid, ...bodyOf(grid, best) };
}

/** The same table, as another kind. */
export function understoodAs(
  { grid, head }: Understood,
  kind: TakableKind | undefined,
  model: Model,
  catalogue?: Catalogue,
): Understood {
  const columns = kind ? columnsAs(grid, head, kind, model, catalogue) : (grid.rows[head] ?? []).map(() => ({ key: undefined }));
  return { grid, ...bodyOf(grid, { kind, head, columns }) };
}

/** Under the heads may stand a row of units. */
function bodyOf(
  { rows }: Grid,
  { kind, head, columns }: Pick<Understood, 'kind' | 'head' | 'columns'>,
): Omit<Understood, 'grid'> {
  const units = (rows[head + 1] ?? []).map((cell) => cell.replace(/^[[(]|[\])]$/gu, ''));
  const said = units.filter((cell) => cell !== '' && cell !== '-');
  if (said.length === 0 || !said.every(isUnit)) return { kind, head, first: head + 1, columns };
  return {
    ...{ kind, head, first: head + 2 },
    columns: columns.map((column, c) => (units[c] && isUnit(units[c]) ? { ...column, unit: units[c] } : column)),
  };
}
