import { applyIntent } from '../../model/edits/apply-intent';
import { FreshIds } from '../../model/edits/fresh-ids';
import type { Intent } from '../../model/edits/intent';
import type { Model } from '../../model/model';
import type { Notice } from '../../model/notice';
import { isSpan, type CellValue, type Row, type TypedColumn } from '../column';
import type { Catalogue } from '../schedules/list';
import { taking as WORDS } from '../words';
import { typed, type Understood } from './heads';
import { takableKinds, takables, type Takable } from './takable';

/** What becomes of a row: it is new, it changes an entry, the model says the same already, or it cannot be taken. */
export type RowState = 'new' | 'changed' | 'same' | 'faulty';

/** A row of a table of a file, with its line there (counted from 1), its name in the model, and why it cannot be taken. */
export interface TakenRow {
  readonly line: number;
  readonly id: string;
  readonly state: RowState;
  readonly why?: string;
}

/** What becomes of the tables of a file. */
export interface Taken {
  /** The rows of each table, in the order in which tables were given; of one that is not taken none. */
  readonly rows: readonly (readonly TakenRow[])[];
  /** The one edit that takes all sound rows; nothing where there is none. */
  readonly intent: Intent | undefined;
  readonly counts: Readonly<Record<RowState, number>>;
}

/** A row on its way: what it is now, and what it was. */
interface Candidate {
  readonly line: number;
  readonly id: string;
  readonly row?: Row;
  readonly old?: Row;
  why?: string;
}

/** Rounds in which what the model refuses is taken out: in each all that is refused for one reason after the other is named together. */
const ROUNDS = 20;
/** Two numbers are the same when they differ by less, relatively: a unit was turned there and back. */
const SAME = 1e-12;
/** Names that a sentence lists. */
const NAMED = 12;

/**
 * Tables of a file as one edit of a model: rows whose name is known change that entry, others are new; cells that are empty leave what is there. What
 * cannot be taken is told row by row, and left out of the edit; rows that name what is left out with it are told too.
 */
export function takeTables(model: Model, tables: readonly Understood[], label: string, catalogue?: Catalogue): Taken {
  const rows: (readonly TakenRow[])[] = tables.map(() => []);
  const intents: Intent[] = [];
  const order = tables.filter(({ kind }) => kind !== undefined);
  order.sort((a, b) => takableKinds.indexOf(a.kind!) - takableKinds.indexOf(b.kind!));
  let now = model;
  for (const table of order) {
    const kind: Takable = takables[table.kind!];
    const candidates = candidatesOf(now, kind, table, catalogue);
    const taken = soundOf(now, kind, candidates);
    intents.push(...taken.intents);
    now = taken.model;
    rows[tables.indexOf(table)] = candidates.map(({ line, id, row, old, why }) => {
      const state: RowState = why !== undefined ? 'faulty' : !old ? 'new' : row === old ? 'same' : 'changed';
      return { line, id, state, ...(why !== undefined && { why }) };
    });
  }
  const all = rows.flat();
  const count = (state: RowState): number => all.filter((row) => row.state === state).length;
  return {
    rows,
    intent: intents.length > 0 ? { type: 'batch', intents, label } : undefined,
    counts: { new: count('new'), changed: count('changed'), same: count('same'), faulty: count('faulty') },
  };
}

/** The rows of a table, each by itself. */
function candidatesOf(model: Model, kind: Takable, table: Understood, catalogue: Catalogue | undefined): Candidate[] {
  const columns = new Map(kind.columns(model, catalogue).map((column) => [column.key, column]));
  const before = new Map(kind.rows(model).map((row) => [row.id, row]));
  const taken = table.columns.map(({ key, unit }) => ({ column: key === undefined ? undefined : columns.get(key), unit }));
  const named = taken.findIndex(({ column }) => column?.key === 'id');
  const lines = table.grid.rows.slice(table.first).map((cells, i) => ({ cells, line: table.first + i + 1 }));
  const used = lines.map(({ cells }) => cells[named]?.trim() ?? '');
  // Of loads a table has one kind: a name may be another's.
  const isTaken = new Set(kind.list === 'loads' ? model.loads.map(({ id }) => id) : before.keys());
  const ids = new FreshIds([...isTaken, ...used], kind.names);
  const seen = new Map<string, number>();
  return lines.flatMap(({ cells, line }): Candidate[] => {
    if (cells.every((cell) => cell.trim() === '')) return [];
    const id = cells[named]?.trim() || ids.next();
    const twice = seen.get(id);
    if (twice !== undefined) return [{ line, id, why: WORDS.twice(id, twice) }];
    seen.set(id, line);
    const old = before.get(id);
    if (!old && isTaken.has(id)) return [{ line, id, why: WORDS.isOther(id) }];
    const said = new Set<string>();
    let row: Row = old ?? kind.fresh(model, id);
    for (const [c, { column, unit }] of taken.entries()) {
      const cell = cells[c]?.trim() ?? '';
      if (!column || column.key === 'id' || cell === '') continue;
      said.add(column.key);
      if (old && saysSame(column, row, cell, unit)) continue;
      const next = column.take(row, typed(cell, unit, column));
      if (typeof next === 'string') return [{ line, id, why: `${column.title}: ${next}` }];
      row = next;
    }
    if (old) return [{ line, id, row, old }];
    const missing = kind.needs(model).find((group) => !group.some((key) => said.has(key)));
    if (!missing) return [{ line, id, row }];
    return [{ line, id, why: WORDS.lacks(missing.flatMap((key) => columns.get(key)?.title ?? []).slice(0, NAMED)) }];
  });
}

/** Whether a cell says what stands there already, whatever digits were lost when it was written. */
function saysSame(column: TypedColumn, row: Row, cell: string, unit: string | undefined): boolean {
  const value: CellValue = column.value(row);
  if (typeof value === 'string') return value === cell;
  if (value === undefined || isSpan(value) || (unit !== undefined && unit !== column.unit)) return false;
  const number = Number(cell.replace('−', '-'));
  return Number.isFinite(number) && Math.abs(number - value) <= SAME * Math.max(Math.abs(value), Math.abs(number));
}

/** The edits of all candidates that the model takes; what it refuses is told at its row, and tried without. */
function soundOf(
  model: Model,
  kind: Takable,
  candidates: readonly Candidate[],
): { readonly intents: readonly Intent[]; readonly model: Model } {
  for (let round = 0; round < ROUNDS; round++) {
    const taken = candidates.filter(({ row, old, why }) => why === undefined && row !== old);
    const intents = taken.flatMap(({ row, old }) => kind.put(model, row!, old));
    if (intents.length === 0) return { intents, model };
    const batch: Intent = { type: 'batch', intents, label: '' };
    const applied = applyIntent(model, batch);
    if (applied.ok) return { intents, model: applied.model };
    const trusted = applyIntent(model, batch, 'trust');
    const changed = trusted.ok ? trusted.model : model;
    let isNamed = false;
    for (const fault of applied.faults) {
      const candidate = candidateOf(fault, changed, taken);
      if (!candidate) continue;
      candidate.why ??= fault.message;
      isNamed = true;
    }
    // A refusal that names no row is one of all of them.
    if (!isNamed) for (const one of taken) one.why = applied.faults[0]!.message;
  }
  for (const one of candidates) one.why ??= WORDS.tooManyFaults;
  return { intents: [], model };
}

/** The row that a fault is about: by the place of its entry in the model. */
function candidateOf({ path, subjects }: Notice, model: Model, candidates: readonly Candidate[]): Candidate | undefined {
  const found = /^(\w+)\[(\d+)\]/u.exec(path ?? '');
  const list = found && (model as unknown as Readonly<Record<string, readonly { id?: string; node?: string }[]>>)[found[1]!];
  const entry = list?.[Number(found![2])];
  const ids = [entry?.id ?? entry?.node, ...subjects.map((subject) => subject.slice(subject.indexOf(' ') + 1))];
  return candidates.find(({ id, why }) => why === undefined && ids.includes(id));
}
