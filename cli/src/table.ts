import { writeFile } from 'node:fs/promises';
import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { solve } from '@rigid-beam/core/analysis/session';
import { askedTable, isTableName, tableNames, type TableName } from '@rigid-beam/core/tables/asked';
import type { Table } from '@rigid-beam/core/tables/column';
import { csvParts, type DecimalMark } from '@rigid-beam/core/tables/files/csv';
import { xlsxFile } from '@rigid-beam/core/tables/files/xlsx';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';

export interface TableOptions {
  readonly case?: string;
  readonly each?: true;
  readonly places: number;
  readonly where?: string;
  readonly sort?: string;
  readonly decimal: DecimalMark;
  readonly output?: string;
}

/** Names of tables as they are typed: memberExtremes is member-extremes. */
const typed = (name: string): string => name.replace(/[A-Z]/gu, (letter) => `-${letter.toLowerCase()}`);
const named = (name: string): string => name.replace(/-([a-z])/gu, (_, letter: string) => letter.toUpperCase());
export const tableWords = tableNames.map(typed).join(', ');

/** Writes tables of a model or of its results as CSV or XLSX; several names with commas between them are sheets of one file. */
export async function table(file: string, names: string, options: TableOptions): Promise<number> {
  const fail = (words: string): number => {
    console.error(`Fault: ${words}`);
    return exitCodes.invalid;
  };
  const wanted = names.split(',').map((name) => named(name.trim()));
  const unknown = wanted.find((name) => !isTableName(name));
  if (unknown !== undefined) return fail(`There is no table “${typed(unknown)}”. There are: ${tableWords}.`);
  const isSheets = options.output?.toLowerCase().endsWith('.xlsx') === true;
  if (wanted.length > 1 && !isSheets)
    return fail('Several tables are sheets of one file: name it with -o, such as -o tables.xlsx.');
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  let results: ReturnType<typeof solve> | undefined;
  const solved = (): ReturnType<typeof solve> => (results ??= solve(model));
  const [, sense = '', key] = /^(-?)(.+)$/u.exec(options.sort ?? '') ?? [];
  const all: Table<never>[] = [];
  for (const name of wanted as TableName[]) {
    const found = askedTable(model, solved, {
      name,
      ...(options.case !== undefined && { outcome: options.case }),
      of: options.each ? 'each of its parts' : 'itself',
      places: options.places,
      ...(options.where !== undefined && { where: options.where }),
      ...(key !== undefined && { sorted: { key, way: sense === '-' ? -1 : 1 } }),
    });
    if (typeof found === 'string') return fail(found);
    all.push(found);
  }
  try {
    if (isSheets) await writeFile(options.output!, await xlsxFile(all));
    else if (options.output === undefined) await print(csvParts(all[0]!, options.decimal));
    else await streamed(options.output, csvParts(all[0]!, options.decimal));
  } catch (error) {
    return fail(`The table could not be written: ${(error as Error).message}.`);
  }
  return 0;
}

/** No faster than the disk takes it, so that a long table is never in memory as a whole. */
async function streamed(file: string, parts: Iterable<string>): Promise<void> {
  const stream = createWriteStream(file);
  await once(stream, 'open');
  for (const part of parts) if (!stream.write(part)) await once(stream, 'drain');
  stream.end();
  await once(stream, 'close');
}
