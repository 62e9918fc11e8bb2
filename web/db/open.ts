import { chmodSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { sql } from 'drizzle-orm';
import { ensureRoom } from './disk';
import { openDurable } from './durable';
import { lockDirectory } from './lock';
import { layEmptyDatabase } from './new-database';
import * as schema from './schema';
import { isNothing, missingParts } from './database-folder';

/** Why the data cannot be used, said to the user as it is. */
export class UnusableDataError extends Error {}

/** The database, or a transaction in it. */
export type Database = Pick<PgliteDatabase<typeof schema>, 'select' | 'insert' | 'update' | 'delete' | 'transaction'>;

export interface Opened {
  readonly database: Database;
  close(): Promise<void>;
}

/** Where a database takes what it begins with: its migrations, and an empty database that new ones are copied from. */
export interface Beginnings {
  readonly migrations: string;
  readonly template: string;
}

/** Opens the database in a directory, alone, with all migrations applied. Anything but an empty folder or a readable database is left as it is. */
export async function openDatabase(directory: string, { migrations, template }: Beginnings): Promise<Opened> {
  mkdirSync(directory, { recursive: true });
  chmodSync(directory, 0o700);
  const unlock = lockDirectory(directory);
  try {
    const folder = path.join(directory, 'database');
    ensureWhole(folder);
    ensureRoom(directory, 0);
    if (isNothing(folder)) await layEmptyDatabase(folder, template);
    const client = await opened(folder);
    closeToOthers(folder);
    try {
      const database = drizzle(client, { schema });
      await ensureKnown(database, folder, migrations);
      await migrate(database, { migrationsFolder: migrations });
      return {
        database,
        close: async () => {
          await client.close();
          unlock();
        },
      };
    } catch (error) {
      await client.close();
      throw error;
    }
  } catch (error) {
    unlock();
    throw error;
  }
}

/** Models are nobody else's business, and the database gives its files to everybody. What it makes later lies in folders that are closed. */
function closeToOthers(folder: string): void {
  chmodSync(folder, 0o700);
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true }))
    chmodSync(path.join(entry.parentPath, entry.name), entry.isDirectory() ? 0o700 : 0o600);
}

const advice = (folder: string): string =>
  `Nothing was written. Move ${folder} away and restore a backup (npx rigid-beam restore FILE), or set RIGID_BEAM_DATA to another folder.`;

/** A folder in which some of a database is missing is damaged: a new one laid over it would end what is left. */
function ensureWhole(folder: string): void {
  if (isNothing(folder)) return;
  const missing = missingParts(folder);
  if (missing.length > 0)
    throw new UnusableDataError(`The database in ${folder} is damaged: ${missing.join(', ')}. ${advice(folder)}`);
}

async function opened(folder: string): Promise<PGlite> {
  try {
    const client = await openDurable(folder);
    await client.query('select 1');
    return client;
  } catch (error) {
    throw new UnusableDataError(
      `The database in ${folder} cannot be read (${String((error as Error).message).slice(0, 200)}). ${advice(folder)}`,
    );
  }
}

/** A newer Rigid Beam may have stored what this one would spoil. */
async function ensureKnown(database: PgliteDatabase<typeof schema>, folder: string, migrations: string): Promise<void> {
  const journal = JSON.parse(readFileSync(path.join(migrations, 'meta', '_journal.json'), 'utf8')) as {
    readonly entries: readonly { readonly when: number }[];
  };
  const { rows: tables } = await database.execute(sql`select to_regclass('drizzle.__drizzle_migrations')::text as name`);
  if (!tables[0]?.['name']) return;
  const { rows } = await database.execute(sql`select max(created_at)::text as last from drizzle.__drizzle_migrations`);
  if (Number(rows[0]?.['last'] ?? 0) > Math.max(...journal.entries.map(({ when }) => when)))
    throw new UnusableDataError(
      `The data in ${folder} were written by a newer Rigid Beam. Use that one, or set RIGID_BEAM_DATA to another folder. Nothing was changed.`,
    );
}
