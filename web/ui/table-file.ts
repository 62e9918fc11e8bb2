import * as Comlink from 'comlink';
import type { CellValue, Table } from '@rigid-beam/core/tables/column';
import { plainColumns } from '@rigid-beam/core/tables/plain-columns';
import { saveTable as WORDS } from './words';
import type { TableKind, TableWriter } from './table.worker';

/** Milliseconds for which rows are read at a time: the page answers in between. */
const AT_A_TIME = 10;

interface Slice {
  readonly cells: readonly (readonly CellValue[])[];
  readonly next: number;
}

/** What stands in rows from one on, as many as are read in some milliseconds, one at least. */
export function sliceOf<R>(
  { columns, rows }: Table<R>,
  from: number,
  milliseconds = AT_A_TIME,
  now: () => number = () => performance.now(),
): Slice {
  const cells: CellValue[][] = [];
  const until = now() + milliseconds;
  let next = from;
  do {
    const row = rows[next++]!;
    cells.push(columns.map(({ value }) => value(row)));
  } while (next < rows.length && now() < until);
  return { cells, next };
}

/** A table as a file, made bit by bit: `told` hears which part of it is read; nothing where it is given up. */
export async function tableFile<R>(
  { title, columns, rows }: Table<R>,
  kind: TableKind,
  told: (share: number) => void,
  signal: AbortSignal,
): Promise<Blob | undefined> {
  const table = { title, columns: plainColumns(columns, rows), rows };
  const worker = new Worker(new URL('./table.worker.ts', import.meta.url), { type: 'module' });
  const writer = Comlink.wrap<TableWriter>(worker);
  const death = new Promise<never>((_, reject) => worker.addEventListener('error', () => reject(new Error(WORDS.stopped))));
  const givenUp = new Promise<undefined>((resolve) => signal.addEventListener('abort', () => resolve(undefined)));
  const asked = <T>(work: Promise<T>): Promise<T | undefined> => Promise.race([work, death, givenUp]);
  try {
    const heads = table.columns.map(({ key, title: name, unit }) => ({ key, title: name, ...(unit !== undefined && { unit }) }));
    await asked(writer.begin(title, heads, kind));
    for (let at = 0; at < rows.length && !signal.aborted;) {
      const { cells, next } = sliceOf(table, at);
      at = next;
      // Asked after each, so that no more is under way than is being written.
      await asked(writer.add(cells));
      told(at / rows.length);
    }
    return signal.aborted ? undefined : await asked(writer.file());
  } finally {
    writer[Comlink.releaseProxy]();
    worker.terminate();
  }
}
