import { createWriteStream } from 'node:fs';
import { once } from 'node:events';
import { isRefusal } from '@rigid-beam/core/formats/made-file';
import type { FilePart } from '@rigid-beam/core/formats/format';
import type { DecimalMark } from '@rigid-beam/core/tables/files/csv';
import { tableKinds, tablesFile } from '@rigid-beam/core/tables/files/tables-file';
import { exitCodes } from './exit-codes';
import { printNotices, readInput } from './input';
import { print } from './output';
import { refused } from './refused';

export interface TableOptions {
  readonly case?: string;
  readonly each?: true;
  readonly places: number;
  readonly where?: string;
  readonly sort?: string;
  readonly decimal: DecimalMark;
  readonly output?: string;
}

/** Writes tables of a model or of its results as CSV, XLSX or JSON; several names with commas between them are sheets of one file. */
export async function table(file: string, names: string, options: TableOptions): Promise<number> {
  const { output, case: outcome, ...rest } = options;
  const kind = tableKinds.find((one) => output?.toLowerCase().endsWith(`.${one}`)) ?? 'csv';
  const { model, notices } = await readInput(file);
  printNotices(notices);
  if (!model) return exitCodes.invalid;
  const made = await tablesFile(model, { names, kind, outcome, ...rest });
  if (isRefusal(made)) return refused(made);
  try {
    if (output === undefined) await print(made.parts);
    else await streamed(output, made.parts);
  } catch (error) {
    return refused({ words: `The table could not be written: ${(error as Error).message}.` });
  }
  return 0;
}

/** No faster than the disk takes it, so that a long table is never in memory as a whole. */
async function streamed(file: string, parts: Iterable<FilePart>): Promise<void> {
  const stream = createWriteStream(file);
  await once(stream, 'open');
  for (const part of parts) if (!stream.write(part)) await once(stream, 'drain');
  stream.end();
  await once(stream, 'close');
}
