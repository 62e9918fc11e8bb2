import type { Intent } from '../../model/edits/intent';
import { FreshIds } from '../../model/edits/fresh-ids';
import type { Model } from '../../model/model';
import type { Scope } from '../../quantities/expression';
import { inUnit } from '../../quantities/show';
import { namedBy } from '../../model/parameters/evaluate';
import { placeText } from '../../model/parameters/place';
import { turnedRound } from '../../model/parameters/turned-round';
import { mentionsAny, readTyped, type Typed } from '../../model/parameters/typed';
import type { Measured, Row, TypedColumn } from '../column';
import type { Catalogue } from './list';
import { schedules, type ScheduleList } from './lists';
import { writeCells as WORDS } from '../words';

/** One cell to be written: the id of its row (undefined: the next new row, counted by `added`), the key of its column, and the text. */
export interface Cell {
  readonly row: string | undefined;
  readonly added?: number;
  readonly column: string;
  readonly text: string;
}

export type Written = { readonly ok: true; readonly intent: Intent } | { readonly ok: false; readonly reason: string };

/**
 * The edit that writes texts into cells of a schedule: all of them in one step, or none, with the first reason why not. Rows that do not
 * exist yet are added with free names; a changed name is a renaming that everything follows.
 */
export function writeCells(model: Model, list: ScheduleList, cells: readonly Cell[], catalogue?: Catalogue): Written {
  const kind = schedules[list];
  const columns = new Map(kind.columns(model, catalogue).map((column) => [column.key, column]));
  const before = new Map(kind.rows(model).map((row) => [row.id, row]));
  const ids = new FreshIds(before.keys(), kind.names);
  const changed = new Map<string, Row>();
  const added = new Map<number, Row>();
  const { scope } = namedBy(model.parameters ?? [], model.formulas ?? []);
  const expressions: Intent[] = [];
  for (const { row: id, added: order = 0, column: key, text } of cells) {
    const column = columns.get(key);
    if (!column) return { ok: false, reason: WORDS.noColumn };
    const row = id === undefined ? (added.get(order) ?? kind.newRow(model, ids.next())) : (changed.get(id) ?? before.get(id));
    if (!row) return { ok: false, reason: WORDS.noRow(id) };
    if (column.computed) return { ok: false, reason: WORDS.computed(column.title) };
    // Nodes that are pasted with members of the same paste do not exist yet; the model's own check looks after them.
    const read = expressionFor(column, text, scope);
    if (read && !read.ok) return { ok: false, reason: WORDS.cell(row.id, column.title, read.reason) };
    const next = column.take(row, read?.kept === undefined ? text : String(shownIn(column.measured!, read.value)));
    if (typeof next === 'string') return { ok: false, reason: WORDS.cell(row.id, column.title, next) };
    if (read?.kept !== undefined)
      expressions.push({
        type: 'put',
        list: 'formulas',
        entry: {
          of: placeText(list, row.id, ...column.measured!.at),
          is: column.measured!.isTurned ? turnedRound(read.kept) : read.kept,
        },
      });
    if (id === undefined) added.set(order, next);
    else changed.set(id, next);
  }
  const intents: Intent[] = [];
  const names: Record<string, string> = {};
  for (const [id, row] of changed) {
    const old = before.get(id)!;
    if (row.id !== id) names[id] = row.id;
    intents.push(...kind.put(model, { ...row, id }, old));
  }
  for (const row of added.values()) intents.push(...kind.put(model, row, undefined));
  intents.push(...expressions);
  if (Object.keys(names).length > 0) intents.push({ type: 'rename', list, names });
  if (intents.length === 0) return { ok: false, reason: WORDS.nothingChanges };
  const words =
    changed.size + added.size === 1
      ? WORDS.row([...changed.keys()][0] ?? [...added.values()][0]!.id)
      : WORDS.rows(changed.size + added.size);
  return { ok: true, intent: { type: 'batch', intents, label: WORDS.changeOfThe(words, list) } };
}

/** What an expression of parameters gives in a cell; undefined where none is written, or none may stand. */
const expressionFor = ({ measured }: TypedColumn, text: string, scope: Scope): Typed | undefined =>
  measured && mentionsAny(text, scope) ? readTyped(text, measured.dimension, measured.unit, scope) : undefined;

const shownIn = ({ unit, isTurned }: Measured, value: number): number => (isTurned ? -1 : 1) * inUnit(value, unit);

/** The expression that gives the number in a cell, as the column counts it. */
export function expressionAt(
  texts: ReadonlyMap<string, string>,
  list: ScheduleList,
  row: string,
  { measured }: TypedColumn,
): string | undefined {
  const text = measured && texts.get(placeText(list, row, ...measured.at));
  return text !== undefined && measured!.isTurned ? turnedRound(text) : text;
}

/** A spreadsheet's clipboard: rows by lines, cells by tabs. */
export const readTable = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'));
