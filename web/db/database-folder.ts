import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** What a database that was once complete always has. */
const PARTS = ['PG_VERSION', 'base', 'global/pg_control', 'pg_wal', 'pg_xact', 'postgresql.conf'];

/** What is missing of a database in a folder that is not empty, in words; nothing where it is whole. */
export function missingParts(folder: string): readonly string[] {
  const missing = PARTS.filter((part) => !existsSync(path.join(/* turbopackIgnore: true */ folder, part)));
  if (missing.length > 0) return [`${missing.join(', ')} missing`];
  return readdirSync(path.join(/* turbopackIgnore: true */ folder, 'base')).length === 0 ? ['its tables are missing'] : [];
}

/** Whether there is nothing in a folder, or no folder. */
export const isNothing = (folder: string): boolean => !existsSync(folder) || readdirSync(folder).length === 0;
