import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { flushAll } from './durable';
import { missingParts } from './database-folder';

/**
 * Lays an empty database in `folder`, which is not there or empty. Making one takes seconds, so that it is made once, kept at `template`, and
 * copied. The folder gets its name when everything is in it and on the disk: a start that is cut off leaves no half of a database.
 */
export async function layEmptyDatabase(folder: string, template: string): Promise<void> {
  const parent = path.dirname(folder);
  for (const name of readdirSync(parent))
    if (name.startsWith(`${path.basename(folder)}.new-`)) rmSync(path.join(parent, name), { recursive: true, force: true });
  const half = mkdtempSync(`${folder}.new-`);
  if (await isKept(template)) cpSync(template, half, { recursive: true });
  else await make(half);
  flushAll(half);
  if (existsSync(folder)) rmSync(folder, { recursive: true });
  renameSync(half, folder);
}

async function make(folder: string): Promise<void> {
  const client = await PGlite.create(folder);
  await client.close();
}

/** Whether there is a template, made now where there is none. A place that cannot be written to keeps none. */
async function isKept(template: string): Promise<boolean> {
  if (existsSync(template)) return missingParts(template).length === 0;
  let half: string | undefined;
  try {
    mkdirSync(path.dirname(template), { recursive: true });
    half = mkdtempSync(`${template}.new-`);
    await make(half);
    renameSync(half, template);
    return true;
  } catch {
    if (half) rmSync(half, { recursive: true, force: true });
    // Another process may have made it meanwhile.
    return existsSync(template) && missingParts(template).length === 0;
  }
}
